package ungula.core.study;

import java.util.List;
import java.util.function.BinaryOperator;
import java.util.function.UnaryOperator;
import ungula.core.form.Hollow;
import ungula.core.form.Hollows;
import ungula.core.form.ThinPart;
import ungula.core.form.ThinParts;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** What a master's shape decides however it stands: its holes and its thin parts. */
public record FormStudy(List<Hollow> hollows, List<ThinPart> thin) {

  /** Changes when a study of the same body comes out otherwise: old ones are made again. */
  public static final int VERSION = 3;

  /**
   * @param mesh in millimetres
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static FormStudy of(TriangleMesh mesh, Parallel parallel, Progress progress) {
    return new FormStudy(
        Hollows.of(mesh, parallel, progress.part(0, 0.5)),
        ThinParts.of(mesh, parallel, progress.part(0.5, 1)));
  }

  /**
   * The same with the body standing otherwise.
   *
   * @param direction from a place, and a direction there
   */
  public FormStudy posed(UnaryOperator<Vec3> place, BinaryOperator<Vec3> direction) {
    return new FormStudy(
        hollows.stream()
            .map(
                h ->
                    new Hollow(
                        h.through(),
                        direction.apply(h.place(), h.along()),
                        place.apply(h.place()),
                        h.areaMm2(),
                        h.widthMm(),
                        h.depthMm()))
            .toList(),
        thin.stream()
            .map(
                t ->
                    new ThinPart(
                        t.kind(),
                        t.thicknessMm(),
                        t.lengthMm(),
                        place.apply(t.tip()),
                        place.apply(t.root())))
            .toList());
  }
}
