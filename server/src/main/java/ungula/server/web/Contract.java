package ungula.server.web;

import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The contract as springdoc reads it off the controllers, with what records guarantee added. */
@Configuration
class Contract {

  /** Record components that may be absent; all others are always there. */
  private static final Set<String> OPTIONAL =
      Set.of(
          "JobResponse.undo",
          "JobResponse.redo",
          "JobResponse.model",
          "JobResponse.dipstick",
          "JobResponse.second",
          "JobResponse.cut",
          "JobResponse.skin",
          "StepView.takes",
          "SkinView.cutDegrees",
          "DipstickView.parting",
          "StudyResponse.sprue",
          "StudyResponse.thinnest",
          "Stroke.brushMm",
          "ShelfJob.picture",
          "Caution.place",
          "JobName.name",
          "NewProduct.name",
          "NewProduct.copyOf",
          "Edit.text",
          "Edit.nudge",
          "Candidate.costOfCast",
          "LineView.price",
          "NewLot.mass",
          "NewMixed.base",
          "NewMixed.hardener",
          "MixedView.number");

  @Bean
  OpenApiCustomizer neededFields() {
    return api -> {
      api.setInfo(new Info().title("Ungula").version("1"));
      api.setServers(List.of(new Server().url("/")));
      for (Map.Entry<String, ?> e : api.getComponents().getSchemas().entrySet()) {
        Schema<?> schema = (Schema<?>) e.getValue();
        if (schema.getProperties() != null) {
          List<String> always = new ArrayList<>(schema.getProperties().keySet());
          always.removeIf(name -> OPTIONAL.contains(e.getKey() + "." + name));
          schema.setRequired(always);
        }
      }
    };
  }
}
