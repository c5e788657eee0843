package ungula.core.field;

import static org.testng.Assert.assertEquals;

import java.util.BitSet;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.work.Parallel;

public class CellDistancesTest {

  @Test
  public void equalsTheLeastOfAllDistances() {
    int nx = 13;
    int ny = 9;
    int nz = 7;
    Random random = new Random(4);
    BitSet set = new BitSet();
    for (int i = 0; i < 12; i++) {
      set.set(random.nextInt(nx * ny * nz));
    }
    float[] d = CellDistances.squared(nx, ny, nz, set::get, new Parallel(2));
    for (int cell = 0; cell < d.length; cell++) {
      int c = cell;
      int least =
          set.stream()
              .map(
                  s -> {
                    int x = s % nx - c % nx;
                    int y = s / nx % ny - c / nx % ny;
                    int z = s / (nx * ny) - c / (nx * ny);
                    return x * x + y * y + z * z;
                  })
              .min()
              .orElseThrow();
      assertEquals(d[cell], (float) least, "cell " + cell);
    }
  }

  @Test
  public void anEmptySetIsFarFromEverything() {
    for (float d : CellDistances.squared(4, 3, 2, cell -> false, new Parallel(1))) {
      assertEquals(d, 1e20f);
    }
  }
}
