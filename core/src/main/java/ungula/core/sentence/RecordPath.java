package ungula.core.sentence;

import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;

/**
 * Reads and replaces one component deep inside nested records: "mould.sidesMm" of a job's choices.
 * Replacing copies the records on the way; the constructors' own checks run.
 */
final class RecordPath {

  private final String[] names;

  RecordPath(String path) {
    names = path.split("\\.");
  }

  Object get(Record root) {
    Object at = root;
    for (String name : names) {
      at = at == null ? null : read((Record) at, component((Record) at, name));
    }
    return at;
  }

  <T extends Record> T with(T root, Object value) {
    @SuppressWarnings("unchecked")
    T changed = (T) with(root, 0, value);
    return changed;
  }

  private Record with(Record at, int depth, Object value) {
    RecordComponent[] components = at.getClass().getRecordComponents();
    Object[] values = new Object[components.length];
    Class<?>[] types = new Class<?>[components.length];
    for (int i = 0; i < components.length; i++) {
      types[i] = components[i].getType();
      values[i] = read(at, components[i]);
      if (components[i].getName().equals(names[depth])) {
        values[i] = depth == names.length - 1 ? value : with((Record) values[i], depth + 1, value);
      }
    }
    try {
      Constructor<? extends Record> all = at.getClass().getDeclaredConstructor(types);
      return all.newInstance(values);
    } catch (ReflectiveOperationException e) {
      if (e.getCause() instanceof RuntimeException refused) {
        throw refused;
      }
      throw new IllegalStateException(e);
    }
  }

  private static RecordComponent component(Record at, String name) {
    return Arrays.stream(at.getClass().getRecordComponents())
        .filter(c -> c.getName().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("No " + name + " in " + at.getClass()));
  }

  private static Object read(Record at, RecordComponent component) {
    try {
      return component.getAccessor().invoke(at);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
