package ungula.core;

import ungula.core.choice.Choices;
import ungula.core.cutline.CutPlanes;
import ungula.core.jacket.OutsideStudy;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.MouldKind;
import ungula.core.parting.PartedMaster;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.SkinFacts;
import ungula.core.skin.SkinField;
import ungula.core.skin.SkinStudy;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** Masters of which there is a model. */
public final class Modelled {

  private Modelled() {}

  /** What is known of one, but for the studies of its shape; its skin in coarse cells. */
  public static MasterFacts facts(TriangleMesh mesh, Choices c) {
    return guessed(mesh, c, null);
  }

  /** The same, where the unit of its file is guessed; null where it is known. */
  public static MasterFacts guessed(TriangleMesh mesh, Choices c, Double unitMm) {
    PosedMaster posed = PosedMaster.of(mesh, 1, c.pose(), c.laid());
    MasterFacts facts =
        MasterFacts.of(
            posed,
            new PartedMaster(posed),
            new CutPlanes(posed.mesh()),
            MeshReport.of(mesh, Progress.NONE).report(),
            unitMm,
            "made up");
    if (c.mould().kind() != MouldKind.SKIN) {
      return facts;
    }
    SkinField room = SkinField.of(posed.mesh(), 32, Parallel.ALL, Progress.NONE);
    double wall = c.skin().wallMm(posed.mesh().bounds().size());
    return facts.with(
        new SkinFacts(
            SkinStudy.of(posed, room, Parallel.ALL),
            OutsideStudy.of(room, wall, Parallel.ALL, Progress.NONE)));
  }
}
