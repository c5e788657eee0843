package ungula.core.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.cutline.CutLine;
import ungula.core.cutlist.CutList;
import ungula.core.hollow.HollowCore;
import ungula.core.master.VolumeWays;
import ungula.core.mould.BoxMould;
import ungula.core.parting.Parting;
import ungula.core.pour.Batches;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.rubber.SecondPart;
import ungula.core.sprue.Sprue;
import ungula.core.working.Figure;

/**
 * What follows from a job's choices.
 *
 * @param figures every number that may be shown, by its key, each with its working
 * @param ways the master's volume is known by
 * @param cautions worst first
 * @param box the mould; empty while the master's size is not known
 * @param parting of a two-part mould; empty for any other
 * @param cut of a cut mould whose master has a mesh; empty for any other
 * @param sprue a cast is poured in through; empty where that is the open base
 * @param core that makes casts hollow; empty when they are solid
 * @param cuts what to cut for it; empty while there is no box
 * @param order of work, a sentence a step
 * @param touching what fresh rubber and casts lie against, with a verdict each
 * @param mix one batch of the first pour; empty while no rubber is picked or its sheet does not
 *     allow weighing
 * @param second what to pour after the first part was really weighed
 * @param batches of rubber
 * @param needs of each product, for all moulds and casts asked for
 * @param stages what each stage builds on, by its name
 * @param undecided what is still open, in words
 * @param parts that take a closer look at the shape, and how far each is known
 */
public record Plan(
    Map<String, Figure> figures,
    List<VolumeWays.Result> ways,
    List<Caution> cautions,
    Optional<BoxMould> box,
    Optional<Parting> parting,
    Optional<CutLine> cut,
    Optional<Sprue> sprue,
    Optional<HollowCore> core,
    Optional<SkinPlan> skin,
    Optional<CutList> cuts,
    List<String> order,
    List<Touching> touching,
    Optional<Mix> mix,
    Optional<SecondPart> second,
    Batches batches,
    List<Need> needs,
    Map<String, Looked.Basis> stages,
    List<String> undecided,
    List<PlanPart> parts) {

  /**
   * @param massG of it as it is sold, first and second part together
   */
  public record Need(Product product, double massG) {}

  public boolean stopped() {
    return cautions.stream().anyMatch(c -> c.level() == Caution.Level.STOP);
  }
}
