package ungula.core.sentence;

import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Reads and replaces one component deep inside nested records: "mould.sidesMm" of a job's choices;
 * of a map from names to records the name is a step. Replacing copies what is on the way; the
 * constructors' own checks run.
 */
final class RecordPath {

  private static final Map<Class<?>, Shape> SHAPES = new ConcurrentHashMap<>();

  private final String[] names;

  RecordPath(String path) {
    names = path.split("\\.");
  }

  /** A record type's parts, looked up once. */
  private record Shape(List<String> names, Method[] accessors, Constructor<?> all) {

    static Shape of(Class<?> type) {
      RecordComponent[] components = type.getRecordComponents();
      try {
        return new Shape(
            Arrays.stream(components).map(RecordComponent::getName).toList(),
            Arrays.stream(components).map(RecordComponent::getAccessor).toArray(Method[]::new),
            type.getDeclaredConstructor(
                Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new)));
      } catch (NoSuchMethodException e) {
        throw new IllegalStateException(e);
      }
    }

    int index(String name) {
      int i = names.indexOf(name);
      if (i < 0) {
        throw new IllegalArgumentException("No " + name + " in " + all.getDeclaringClass());
      }
      return i;
    }

    Object read(Object record, int i) {
      try {
        return accessors[i].invoke(record);
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(e);
      }
    }
  }

  private static Shape shape(Object record) {
    return SHAPES.computeIfAbsent(record.getClass(), Shape::of);
  }

  /** Keys are the constants of an enumeration: all that may be named are there. */
  private static Object key(Map<?, ?> map, String name) {
    return map.keySet().stream()
        .filter(k -> ((Enum<?>) k).name().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("No " + name + " in " + map.keySet()));
  }

  Object get(Record root) {
    Object at = root;
    for (String name : names) {
      if (at instanceof Map<?, ?> map) {
        at = map.get(key(map, name));
      } else if (at != null) {
        Shape shape = shape(at);
        at = shape.read(at, shape.index(name));
      }
    }
    return at;
  }

  <T extends Record> T with(T root, Object value) {
    @SuppressWarnings("unchecked")
    T changed = (T) with(root, 0, value);
    return changed;
  }

  private Object with(Object at, int depth, Object value) {
    if (depth == names.length) {
      return value;
    }
    if (at instanceof Map<?, ?> map) {
      Map<Object, Object> changed = new LinkedHashMap<>(map);
      changed.put(key(map, names[depth]), with(map.get(key(map, names[depth])), depth + 1, value));
      return changed;
    }
    Shape shape = shape(at);
    Object[] values = new Object[shape.accessors.length];
    for (int i = 0; i < values.length; i++) {
      values[i] = shape.read(at, i);
    }
    int changed = shape.index(names[depth]);
    values[changed] = with(values[changed], depth + 1, value);
    try {
      return shape.all.newInstance(values);
    } catch (ReflectiveOperationException e) {
      if (e.getCause() instanceof RuntimeException refused) {
        throw refused;
      }
      throw new IllegalStateException(e);
    }
  }
}
