package ungula.server.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.servers.Server;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import ungula.core.approach.Approach;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.library.Mould;
import ungula.core.offer.BoxOffers;
import ungula.core.offer.LyingOffers;
import ungula.core.offer.StandOffers;
import ungula.core.plan.PlanFigures;
import ungula.core.pour.MixNow;
import ungula.core.pour.PourTogether;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductWords;
import ungula.core.stock.Lot;
import ungula.core.working.FigureKeys;
import ungula.core.workshop.Workshop;

/**
 * The contract as springdoc reads it off the controllers, with the words that can be changed and
 * the figures that may be shown: the page's compiler knows them by it.
 */
@Configuration
class Contract {

  @Bean
  OpenApiCustomizer title() {
    return api -> {
      api.setInfo(new Info().title("Ungula").version("1"));
      api.setServers(List.of(new Server().url("/")));
    };
  }

  @Bean
  OpenApiCustomizer words() {
    return api -> {
      Product sheet = ProductWords.blank("any");
      Lot lot = Lot.full(sheet, 1000, LocalDate.EPOCH);
      Set<String> job = new TreeSet<>(ChoiceWords.states(Choices.fresh(Units.METRIC)).keySet());
      job.addAll(Recorded.WORDS);
      names(api, "JobWord", job);
      names(api, "ProductWord", ProductWords.book().states(sheet, Units.METRIC).keySet());
      names(api, "LotWord", Lot.words().states(lot, Units.METRIC).keySet());
      names(api, "WorkshopWord", Workshop.words().states(Workshop.DEFAULT, Units.METRIC).keySet());
      names(api, "MouldWord", Mould.UNKNOWN.states(Units.METRIC).keySet());
    };
  }

  @Bean
  OpenApiCustomizer figures() {
    return api -> {
      for (FigureKeys figures :
          List.of(
              PlanFigures.KEYS,
              Approach.FIGURES,
              BoxOffers.FIGURES,
              StandOffers.FIGURES,
              LyingOffers.FIGURES,
              MixNow.FIGURES,
              PourTogether.FIGURES)) {
        names(api, figures.of(), figures.keys());
      }
    };
  }

  private static void names(OpenAPI api, String name, Collection<String> names) {
    Schema<?> schema = new StringSchema()._enum(List.copyOf(new TreeSet<>(names)));
    api.getComponents().addSchemas(name, schema);
  }
}
