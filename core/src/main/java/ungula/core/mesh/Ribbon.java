package ungula.core.mesh;

import java.util.List;

/** Surfaces that stand upright on lines seen from above. */
public final class Ribbon {

  private Ribbon() {}

  /**
   * @param lines of right, up pairs
   * @param from height of the lower edges
   * @param to height of the upper ones
   * @return two triangles along each piece of each line; open all round
   */
  public static TriangleMesh upright(List<double[]> lines, double from, double to) {
    int points = lines.stream().mapToInt(l -> l.length / 2).sum();
    double[] xyz = new double[6 * points];
    int[] corners = new int[6 * (points - lines.size())];
    int vertex = 0;
    int corner = 0;
    for (double[] line : lines) {
      for (int i = 0; i < line.length; i += 2) {
        for (double z : new double[] {from, to}) {
          xyz[3 * vertex] = line[i];
          xyz[3 * vertex + 1] = line[i + 1];
          xyz[3 * vertex++ + 2] = z;
        }
        if (i > 0) {
          int a = vertex - 4;
          for (int c : new int[] {a, a + 2, a + 3, a, a + 3, a + 1}) {
            corners[corner++] = c;
          }
        }
      }
    }
    return new TriangleMesh(xyz, corners);
  }
}
