package ungula.server.web;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import ungula.core.working.KeyedBy;

/**
 * What records say of their components: all are there but those {@link Nullable}; the keys of a map
 * are of the list {@link KeyedBy} names.
 */
@Component
class RecordSchemas implements ModelConverter {

  @Override
  public Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    if (!chain.hasNext()) {
      return null;
    }
    Schema<?> schema = chain.next().resolve(type, context, chain);
    Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
    if (schema != null && raw.isRecord()) {
      String reference = schema.get$ref();
      say(raw, reference == null ? schema : context.getDefinedModels().get(name(reference)));
    }
    return schema;
  }

  private static String name(String reference) {
    return reference.substring(Components.COMPONENTS_SCHEMAS_REF.length());
  }

  private static void say(Class<?> record, @Nullable Schema<?> schema) {
    if (schema == null || schema.getProperties() == null) {
      return;
    }
    List<String> always = new ArrayList<>(schema.getProperties().keySet());
    for (RecordComponent c : record.getRecordComponents()) {
      if (c.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
        always.remove(c.getName());
      }
      KeyedBy keys = c.getAnnotation(KeyedBy.class);
      if (keys != null) {
        ((Schema<?>) schema.getProperties().get(c.getName()))
            .setPropertyNames(
                new Schema<>().$ref(Components.COMPONENTS_SCHEMAS_REF + keys.value()));
      }
    }
    schema.setRequired(always);
  }
}
