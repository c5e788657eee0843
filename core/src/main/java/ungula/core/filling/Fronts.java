package ungula.core.filling;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import ungula.core.filling.Passages.Section;
import ungula.core.geometry.Vec3;
import ungula.core.sprue.Sprue.Resin;

/**
 * When what is poured arrives where: two bounds for each section of a cavity, and what may gel
 * before it is full.
 *
 * <p>Laminar flow through a section of half width a under a pressure p: by slits at best, a² p ÷ 3
 * µ, through a round tube at worst, a² p ÷ 8 µ, both a mean over the section. Its head is from the
 * section up to where the material stands: the level while it rises, the mouth of the sprue once it
 * is full. A section is reached when the sum of head ÷ viscosity over time is resistance times
 * volume, summed over the way. At best it stays as thin as when it was mixed, and only what lies on
 * the way is passed through it; at worst it thickens as {@link Flow} says, and whatever branches
 * off fills first.
 *
 * @param last section to be reached, by its worst
 * @param late branches that may gel before they are full, the largest first
 */
public record Fronts(Arrival last, List<Late> late) {

  private static final double SLIT = 1 / 3.0;
  private static final double ROUND = 1 / 8.0;

  /** Where it stands no sooner than this share of its pot life, pouring is what takes too long. */
  private static final double POURED = 0.9;

  /** Less of a branch is not told, mm³. */
  private static final double LEAST_MM3 = 50;

  /**
   * @param freshS at best
   * @param thickeningS at worst; infinite where it gels before
   */
  public record Arrival(Vec3 place, double freshS, double thickeningS) {}

  /**
   * @param volumeMm3 that may stay empty
   * @param acrossMm where most holds it up on the way there
   * @param end of it that is reached last
   * @param surely also at best it gels before it is full
   */
  public record Late(double volumeMm3, double acrossMm, Arrival end, boolean surely) {}

  /**
   * @param drivenMm the height the material stands at once the cavity is full, along up
   */
  public static Fronts of(Passages passages, Filling filling, double drivenMm, Resin resin) {
    return new Reaching(passages.sections(), filling, drivenMm, resin).fronts();
  }

  /** Sections with what reaching them takes. */
  private static final class Reaching {
    private final List<Section> sections;
    private final Filling.Point full;
    private final double gelS;
    private final double[] heights;
    private final double[] freshS;
    private final double[] thickeningS;

    /** Whether the material stands that high well before it gels, at best. */
    private final boolean[] poured;

    /** Of each section, the one on the way there that holds up most. */
    private final int[] tightest;

    Reaching(List<Section> sections, Filling filling, double drivenMm, Resin resin) {
      this.sections = sections;
      this.full = filling.full();
      this.gelS = 60 * resin.potLifeMin();
      this.heights = sections.stream().mapToDouble(s -> s.middle().dot(filling.up())).toArray();
      Head fresh = Head.of(filling, drivenMm, resin, false);
      Head thickening = Head.of(filling, drivenMm, resin, true);
      double[] least = alongTheWay();
      double[] most = withBranches();
      this.tightest = tightest();
      this.freshS = new double[sections.size()];
      this.thickeningS = new double[sections.size()];
      this.poured = new boolean[sections.size()];
      for (int n = 0; n < freshS.length; n++) {
        poured[n] = fresh.reaches(heights[n], 0) <= POURED * gelS;
        freshS[n] = fresh.reaches(heights[n], least[n]);
        thickeningS[n] = Math.max(freshS[n], thickening.reaches(heights[n], most[n]));
      }
    }

    /** Resistance times volume where only the way itself is filled: least of all. */
    private double[] alongTheWay() {
      int n = sections.size();
      double[] resistance = new double[n];
      double[] volume = new double[n];
      double[] moment = new double[n];
      double[] need = new double[n];
      for (int i = 0; i < n; i++) {
        Section s = sections.get(i);
        boolean first = s.before() < 0;
        double own = first ? 0 : s.lengthMm() / (SLIT * s.easeMm4());
        double upTo = first ? 0 : volume[s.before()];
        resistance[i] = own + (first ? 0 : resistance[s.before()]);
        volume[i] = upTo + s.volumeMm3();
        moment[i] = (first ? 0 : moment[s.before()]) + own * (upTo + s.volumeMm3() / 2);
        need[i] = resistance[i] * volume[i] - moment[i];
      }
      return need;
    }

    /** The same where all that branches off on the way fills first: the most. */
    private double[] withBranches() {
      int n = sections.size();
      double[] beyond = beyond();
      double[] resistance = new double[n];
      double[] moment = new double[n];
      double[] need = new double[n];
      for (int i = 0; i < n; i++) {
        Section s = sections.get(i);
        boolean first = s.before() < 0;
        double own = first ? 0 : s.lengthMm() / (ROUND * s.easeMm4());
        resistance[i] = own + (first ? 0 : resistance[s.before()]);
        moment[i] = (first ? 0 : moment[s.before()]) + own * (beyond[i] - s.volumeMm3() / 2);
        need[i] = moment[i] - resistance[i] * (beyond[i] - s.volumeMm3());
      }
      return need;
    }

    private int[] tightest() {
      double[] beyond = beyond();
      double[] held = new double[sections.size()];
      int[] most = new int[sections.size()];
      for (int i = 0; i < held.length; i++) {
        Section s = sections.get(i);
        held[i] = s.before() < 0 ? 0 : s.lengthMm() / s.easeMm4() * beyond[i];
        most[i] = s.before() < 0 || held[i] >= held[most[s.before()]] ? i : most[s.before()];
      }
      return most;
    }

    /** Volume of each section with all that follows it. */
    private double[] beyond() {
      double[] sum = sections.stream().mapToDouble(Section::volumeMm3).toArray();
      for (int i = sum.length - 1; i >= 0; i--) {
        if (sections.get(i).before() >= 0) {
          sum[sections.get(i).before()] += sum[i];
        }
      }
      return sum;
    }

    Fronts fronts() {
      int last = 0;
      for (int i = 1; i < sections.size(); i++) {
        last = later(i, last) ? i : last;
      }
      // what comes to lie on top arrives no sooner than all is poured
      Arrival end = arrival(last);
      double fresh = Math.max(end.freshS, full.freshS());
      double thickening = Math.max(end.thickeningS, full.thickeningS());
      return new Fronts(
          new Arrival(end.place, fresh, thickening > gelS ? Double.POSITIVE_INFINITY : thickening),
          late());
    }

    private boolean later(int a, int b) {
      return thickeningS[a] > thickeningS[b]
          || thickeningS[a] == thickeningS[b] && freshS[a] > freshS[b];
    }

    private Arrival arrival(int i) {
      return new Arrival(
          sections.get(i).middle(),
          freshS[i],
          thickeningS[i] > gelS ? Double.POSITIVE_INFINITY : thickeningS[i]);
    }

    /** A branch is late from its first late section on. */
    private List<Late> late() {
      int[] branch = new int[sections.size()];
      int[] end = new int[sections.size()];
      double[] volume = new double[sections.size()];
      Arrays.fill(branch, -1);
      for (int i = 0; i < branch.length; i++) {
        Section s = sections.get(i);
        int before = s.before();
        // what is never poured so high is not held up by how narrow it is
        if (thickeningS[i] > gelS && poured[i]) {
          branch[i] = before >= 0 && branch[before] >= 0 ? branch[before] : i;
          volume[branch[i]] += s.volumeMm3();
          end[branch[i]] = branch[i] == i || later(i, end[branch[i]]) ? i : end[branch[i]];
        }
      }
      List<Late> all = new ArrayList<>();
      for (int i = 0; i < branch.length; i++) {
        if (branch[i] == i && volume[i] > LEAST_MM3) {
          double across = sections.get(tightest[end[i]]).acrossMm();
          all.add(new Late(volume[i], across, arrival(end[i]), freshS[end[i]] > gelS));
        }
      }
      all.sort(Comparator.comparingDouble(l -> -l.volumeMm3()));
      return List.copyOf(all);
    }
  }
}
