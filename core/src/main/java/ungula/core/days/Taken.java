package ungula.core.days;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import ungula.core.days.Network.Busy;

/** Spans in which others use all there is of a resource; in order, and apart. */
record Taken(long[] from, long[] to) {

  static Taken of(List<Busy> busy, int capacity) {
    long[][] changes = new long[2 * busy.size()][];
    for (int i = 0; i < busy.size(); i++) {
      changes[2 * i] = new long[] {busy.get(i).from(), 1};
      changes[2 * i + 1] = new long[] {busy.get(i).to(), -1};
    }
    // what ends makes room for what begins then
    Arrays.sort(changes, (a, b) -> Arrays.compare(a, b));
    List<long[]> full = new ArrayList<>();
    int used = 0;
    for (long[] change : changes) {
      boolean before = used >= capacity;
      used += (int) change[1];
      boolean now = used >= capacity;
      if (now && !before) {
        boolean goesOn = !full.isEmpty() && full.get(full.size() - 1)[1] == change[0];
        if (goesOn) {
          full.get(full.size() - 1)[1] = Long.MAX_VALUE;
        } else {
          full.add(new long[] {change[0], Long.MAX_VALUE});
        }
      } else if (before && !now) {
        full.get(full.size() - 1)[1] = change[0];
      }
    }
    return new Taken(
        full.stream().mapToLong(f -> f[0]).toArray(), full.stream().mapToLong(f -> f[1]).toArray());
  }

  /** From when on a use from one time to another finds it free; its beginning where it does. */
  long freeFrom(long begin, long end) {
    int at = Arrays.binarySearch(from, end);
    int before = (at >= 0 ? at : -at - 1) - 1;
    // all that end after it begins and begin before it ends: the last of them
    return before >= 0 && to[before] > begin ? to[before] : begin;
  }
}
