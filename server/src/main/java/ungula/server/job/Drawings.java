package ungula.server.job;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.springframework.stereotype.Component;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.jacket.SkinDrawing;
import ungula.core.master.Measured;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Ribbon;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.MouldPicture;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Dimension;
import ungula.core.mould.SectionDrawing.Measure;
import ungula.core.mould.SectionDrawing.Role;
import ungula.core.mould.SectionDrawing.Side;
import ungula.core.parting.Parting;
import ungula.core.parting.PartingSurface;
import ungula.core.parting.Riser;
import ungula.core.plan.HalvesPart;
import ungula.core.plan.Plan;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Length;
import ungula.core.skin.Coat;
import ungula.core.skin.SkinField;
import ungula.core.sprue.Channel;

/** Drawings of a job as it stands, for the page and for paper. */
@Component
public class Drawings {

  private final Shapes shapes;
  private final Skins skins;

  Drawings(Shapes shapes, Skins skins) {
    this.shapes = shapes;
    this.skins = skins;
  }

  /**
   * @param at where the plane lies along its axis, mm; null for the middle
   */
  public SectionDrawing section(Job job, Cut cut, Double at) {
    return job.plan()
        .plan()
        .skin()
        .map(skin -> skinned(job, skin, cut, at))
        .orElseGet(() -> boxed(job, job.box(), cut, at));
  }

  /** The master with its coats and its jacket. */
  private SectionDrawing skinned(Job job, SkinPart skin, Cut cut, Double at) {
    SectionDrawing drawn =
        SkinDrawing.of(
            room(job).orElse(null),
            shapes.posed(job.choices()).map(p -> p.slicer(cut)).orElse(null),
            shapes.facts(job.choices()).sizeMm(),
            skin.coats(),
            job.choices().skin(),
            skin.cutDegrees(),
            skin.sections(),
            job.choices().jacket(),
            job.plan().plan().jacket().map(j -> j.needs().thickMm()).orElse(0.0),
            cut,
            at,
            job.choices().units());
    SectionDrawing drawing = outlined(job, drawn, 0);
    return job.study()
        .map(s -> drawing.with(Role.CAST_AIR, s.cast().airAt(cut, drawing.at())))
        .orElse(drawing);
  }

  /** With the outline of all the master, which a cut shows only a part of. */
  private SectionDrawing outlined(Job job, SectionDrawing drawing, double liftMm) {
    Cut cut = drawing.cut();
    List<double[]> outline = shapes.posed(job.choices()).map(p -> p.outline(cut)).orElse(List.of());
    return drawing.with(Role.OUTLINE, cut == Cut.TOP ? outline : heights(outline, z -> z + liftMm));
  }

  /** Rings of right, up pairs with other heights. */
  private static List<double[]> heights(List<double[]> rings, DoubleUnaryOperator other) {
    return rings.stream()
        .map(
            ring -> {
              double[] up = ring.clone();
              for (int i = 1; i < up.length; i += 2) {
                up[i] = other.applyAsDouble(up[i]);
              }
              return up;
            })
        .toList();
  }

  /** The room that coats lie in; empty while it is not worked out, or there is no shape. */
  private Optional<SkinField> room(Job job) {
    return job.shape().flatMap(ShapeAsked::ofSkin).flatMap(s -> skins.field(s.ofRoom()));
  }

  /**
   * The outside of a skin, above the plate; empty while it is not worked out.
   *
   * @param coats that are on
   */
  Optional<TriangleMesh> outside(Job job, int coats) {
    return job.plan()
        .plan()
        .skin()
        .flatMap(
            skin ->
                skin.coats().stream()
                    .filter(c -> c.number() == coats)
                    .findFirst()
                    .flatMap(c -> room(job).map(field -> field.outside(c.toMm()))));
  }

  /** What of a mould is drawn round its master in the solid view, beside box and coats. */
  public enum SolidPart {
    /** Where two halves meet, keys and seal ring included. */
    PARTING,
    /** Where a block is cut open. */
    CUT,
    CORE,
    JACKET
  }

  /** The parts that a job's mould has. */
  List<SolidPart> solidParts(Job job) {
    Plan plan = job.plan().plan();
    List<SolidPart> parts = new ArrayList<>();
    plan.parting().ifPresent(p -> parts.add(SolidPart.PARTING));
    plan.cut().ifPresent(c -> parts.add(SolidPart.CUT));
    plan.core().ifPresent(c -> parts.add(SolidPart.CORE));
    plan.jacket().ifPresent(j -> parts.add(SolidPart.JACKET));
    return parts;
  }

  /** One of them, above the plate as the box stands; empty where there is none. */
  Optional<TriangleMesh> solid(Job job, SolidPart part) {
    if (!solidParts(job).contains(part)) {
      return Optional.empty();
    }
    Plan plan = job.plan().plan();
    return switch (part) {
      case PARTING -> plan.parting().map(PartingSurface::of);
      case CUT ->
          plan.cut()
              .map(
                  cut -> {
                    List<double[]> shadow = shapes.posed(job.choices()).orElseThrow().shadow();
                    BoxMould box = job.box();
                    return Ribbon.upright(cut.seen(Cut.TOP, box, shadow), 0, box.pourLineMm());
                  });
      case CORE -> {
        Vec3 lift = new Vec3(0, 0, job.choices().pose().liftMm());
        yield plan.core().map(core -> core.core().mesh().moved(1, Rotation.NONE, lift));
      }
      case JACKET -> {
        double thick = plan.jacket().orElseThrow().needs().thickMm();
        double wall =
            plan.skin().orElseThrow().coats().stream().mapToDouble(Coat::toMm).max().orElse(0);
        yield room(job).map(field -> field.outside(wall + thick));
      }
    };
  }

  private SectionDrawing boxed(Job job, BoxMould box, Cut cut, Double at) {
    double middle = cut == Cut.TOP ? box.belowMm() + box.masterMm().z() / 2 : 0;
    SectionDrawing drawn =
        SectionDrawing.of(
            box,
            shapes.posed(job.choices()).map(p -> p.slicer(cut)).orElse(null),
            cut,
            job.choices().master().measured().outline() == Measured.Outline.ROUND,
            at == null ? middle : at,
            job.choices().units());
    SectionDrawing drawing = outlined(job, drawn, box.belowMm());
    Optional<Parting> parting = job.plan().plan().parting();
    if (parting.isPresent()) {
      drawing =
          cut == Cut.TOP
              ? drawing.with(Role.KEY, parting.get().keysFromAbove())
              : withLevel(
                  job,
                  withRisers(job, drawing, cut)
                      .with(Role.PARTING, parting.get().cut(cut, drawing.at())));
    }
    if (job.plan().plan().cut().isPresent()) {
      List<double[]> shadow = shapes.posed(job.choices()).map(PosedMaster::shadow).orElseThrow();
      drawing = drawing.with(Role.CUT_LINE, job.plan().plan().cut().get().seen(cut, box, shadow));
    }
    Optional<PlacedLabel> label = job.plan().plan().placedLabel();
    if (label.isPresent()) {
      drawing = drawing.with(Role.LABEL, List.of(label.get().seen(cut)));
    }
    return withAir(job, withChannels(job, withCore(job, drawing, cut), cut), cut);
  }

  /** Under the master while its upper half is poured, seen from the front. */
  private static SectionDrawing withRisers(Job job, SectionDrawing drawing, Cut cut) {
    List<Riser> risers = job.plan().plan().halves().map(HalvesPart::risers).orElse(List.of());
    if (cut != Cut.FRONT || risers.isEmpty()) {
      return drawing;
    }
    double end = job.box().masterMm().x() / 2;
    SectionDrawing drawn = drawing;
    for (Riser r : risers) {
      double half = Riser.THICK_MM / 2;
      double[] ring = {
        r.xMm() - half,
        0,
        r.xMm() + half,
        0,
        r.xMm() + half,
        r.heightMm(),
        r.xMm() - half,
        r.heightMm()
      };
      boolean left = r.side().equals("left");
      String text = Length.format(r.inMm(), job.choices().units());
      Measure of = left ? Measure.RISER_LEFT : Measure.RISER_RIGHT;
      drawn =
          drawn
              .with(Role.RISER, List.of(ring))
              .with(
                  new Dimension(
                      Side.BELOW, 3, left ? -end : r.xMm(), left ? r.xMm() : end, text, of));
    }
    return drawn;
  }

  /** How far up the master the halves meet. */
  private static SectionDrawing withLevel(Job job, SectionDrawing drawing) {
    double below = job.box().belowMm();
    double level = job.plan().plan().parting().orElseThrow().levelMm();
    String text = Length.format(level - below, job.choices().units());
    return level - below < 1
        ? drawing
        : drawing.with(new Dimension(Side.LEFT, 1, below, level, text, Measure.PARTING));
  }

  /** Without its print, which goes straight down through the plate. */
  private static SectionDrawing withCore(Job job, SectionDrawing drawing, Cut cut) {
    double lift = job.choices().pose().liftMm();
    return job.plan()
        .plan()
        .core()
        .map(core -> drawing.with(Role.CORE, lifted(core.core(), cut, drawing.at(), lift)))
        .orElse(drawing);
  }

  private static List<double[]> lifted(HollowCore core, Cut cut, double at, double lift) {
    return cut == Cut.TOP
        ? core.at(cut, at - lift)
        : heights(core.at(cut, at), z -> Math.max(0, z) + lift);
  }

  private SectionDrawing withChannels(Job job, SectionDrawing drawing, Cut cut) {
    CastWays ways = CastWays.of(job, shapes);
    double across = job.choices().channels().ventMm();
    SectionDrawing drawn = drawing;
    for (List<Vec3> path : ways.vents()) {
      drawn = drawn.with(Role.VENT, new Channel(path, across).seen(cut));
    }
    return job.plan().plan().sprue().isEmpty() || ways.sprue().isEmpty()
        ? drawn
        : drawn.with(
            Role.SPRUE,
            new Channel(ways.sprue().get(), job.plan().plan().sprue().get().diameterMm())
                .seen(cut));
  }

  private static SectionDrawing withAir(Job job, SectionDrawing drawing, Cut cut) {
    return job.study()
        .map(
            s ->
                drawing
                    .with(Role.AIR, s.rubber().airAt(cut, drawing.at()))
                    .with(Role.CAST_AIR, s.cast().airAt(cut, drawing.at())))
        .orElse(drawing);
  }

  /** The master in its block or skin of rubber; empty while there is no shape to draw. */
  public Optional<BufferedImage> picture(Job job, int width, int height) {
    return shapes
        .posed(job.choices())
        .map(
            master -> {
              Plan plan = job.plan().plan();
              int[] argb =
                  plan.skin().isPresent()
                      ? MouldPicture.inSkin(
                          master.mesh(), plan.skin().get().wallMm(), width, height)
                      : MouldPicture.of(master.mesh(), plan.inBox().orElse(null), width, height);
              return image(argb, width, height);
            });
  }

  /**
   * @param master set down at z = 0
   */
  static BufferedImage alone(TriangleMesh master, int width, int height) {
    return image(MouldPicture.of(master, null, width, height), width, height);
  }

  /** A master as a piece of its mould sees it. */
  public static BufferedImage seenBy(
      TriangleMesh master, Vec3 pull, byte[] by, int piece, int width, int height) {
    return image(MouldPicture.seenBy(master, pull, by, piece, width, height), width, height);
  }

  private static BufferedImage image(int[] argb, int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    image.setRGB(0, 0, width, height, argb, 0, width);
    return image;
  }
}
