package ungula.core.jacket;

import java.util.List;
import ungula.core.mesh.TriangleMesh;
import ungula.core.skin.Bridge;
import ungula.core.skin.Bridging;
import ungula.core.skin.SkinField;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What the outside of a skin of one thickness decides.
 *
 * @param bridges recesses it closes up solid, largest first
 * @param scan what its jacket can be pulled off along
 */
public record OutsideStudy(List<Bridge> bridges, JacketScan scan) {

  /** Changes when the same skin comes out otherwise: old ones are made again. */
  public static final int VERSION = 2;

  /**
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static OutsideStudy of(
      SkinField skin, double wallMm, Parallel parallel, Progress progress) {
    progress.at("Laying the outside of the skin", 0);
    TriangleMesh outside = Bridging.outside(skin, wallMm);
    List<Bridge> bridges = Bridging.of(skin, outside, wallMm, parallel, progress.part(0.1, 0.5));
    progress.at("Pulling sections off it", 0.6);
    return new OutsideStudy(bridges, JacketScan.of(skin, outside, wallMm, parallel));
  }
}
