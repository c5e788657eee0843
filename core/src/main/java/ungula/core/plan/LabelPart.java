package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ungula.core.castlabel.CastLabel;
import ungula.core.castlabel.LabelPlace;
import ungula.core.castlabel.Lettering;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.castlabel.PlacedLabel.Face;
import ungula.core.castlabel.PlacedLabel.Room;
import ungula.core.choice.LabelChoice;
import ungula.core.cutline.Extent;
import ungula.core.geometry.Vec3;
import ungula.core.mark.Mark;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.MouldKind;
import ungula.core.quantity.Day;
import ungula.core.quantity.Length;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * A label cast into the rubber.
 *
 * @param text what it says, part by part
 * @param missing letters of it the typeface does not have
 * @param room there is for it
 * @param placed empty where there is none
 */
public record LabelPart(
    Brief brief, List<String> text, List<String> missing, Room room, Optional<PlacedLabel> placed)
    implements Part {

  /** Walls by the quarter turn nearest to the way a cut runs, from the right. */
  private static final List<Face> ROUND = List.of(Face.RIGHT, Face.BACK, Face.LEFT, Face.FRONT);

  /** Empty where none is wanted, and for a skin, which has neither base nor wall. */
  static Optional<LabelPart> of(Brief b, BoxMould box, CastPart cast, Optional<KnifePart> knife) {
    LabelChoice c = b.choices().label();
    if (c.place() == LabelPlace.NONE || !b.poured()) {
      return Optional.empty();
    }
    List<String> text = text(b, c, cast);
    Room room = new Room(box, b.facts().shadow().get(), clean(b, box), closed(b, knife));
    return Optional.of(
        new LabelPart(
            b,
            text,
            Lettering.missing(String.join("", text)),
            room,
            PlacedLabel.of(c.place(), text, c.letterMm(), room)));
  }

  /** Code, date and what a cast takes, as far as they are known, or what somebody wrote. */
  private static List<String> text(Brief b, LabelChoice c, CastPart cast) {
    if (c.text() != null) {
      List<String> own =
          Stream.of(c.text().split("/")).map(String::strip).filter(t -> !t.isEmpty()).toList();
      return own.isEmpty() ? List.of(c.text()) : own;
    }
    List<String> all = new ArrayList<>();
    if (c.code() != null) {
      all.add(c.code());
    }
    if (b.choices().days().begin() != null) {
      all.add(Day.format(b.choices().days().begin().at().toLocalDate()));
    }
    if (cast.known()) {
      all.add(b.ml(cast.volumeMm3()));
    }
    return all;
  }

  /** Middles of what is to be kept clean, as the master stands in the box. */
  private static List<Vec3> clean(Brief b, BoxMould box) {
    BitSet facets = b.choices().marks().of(Mark.KEEP_CLEAN).facets();
    if (facets.isEmpty() || b.facts().parted() == null) {
      return List.of();
    }
    TriangleMesh mesh = b.facts().parted().mesh();
    Vec3 up = new Vec3(0, 0, box.belowMm());
    return facets.stream()
        .filter(t -> t < mesh.triangleCount())
        .mapToObj(t -> mesh.middle(t).plus(up))
        .toList();
  }

  /** The parting of a two-part mould runs round all walls, a knife comes out at one or two. */
  private static Set<Face> closed(Brief b, Optional<KnifePart> knife) {
    Set<Face> closed = EnumSet.noneOf(Face.class);
    if (b.choices().mould().kind() == MouldKind.TWO_PART) {
      closed.addAll(ROUND);
    }
    knife.ifPresent(
        k -> {
          int quarter = (int) Math.round(k.cut().degrees() / 90);
          closed.add(ROUND.get(quarter % 4));
          if (k.cut().extent() == Extent.ROUND) {
            closed.add(ROUND.get((quarter + 2) % 4));
          }
        });
    return closed;
  }

  /** The same in letters of another height, or in another place; empty where there is no room. */
  public Optional<PlacedLabel> placed(LabelPlace place, double letterMm) {
    return PlacedLabel.of(place, text, letterMm, room);
  }

  /** The box with it. */
  BoxPart in(BoxPart box) {
    return placed.map(l -> new BoxPart(brief, box.mould().with(l.insert()))).orElse(box);
  }

  @Override
  public void show(FigureBook figures) {
    placed.ifPresent(p -> show(figures, p));
  }

  private void show(FigureBook figures, PlacedLabel p) {
    CastLabel l = p.label();
    String size = Length.format3(l.widthMm(), l.heightMm(), CastLabel.thickMm(), brief.units());
    figures.put(
        "label.size",
        "label, " + p.on().text(),
        l.widthMm(),
        size,
        Working.of("plate = text with an edge round it; thick = plate + letters")
            .given("capitals", brief.mm(l.letterMm()), CHOSEN)
            .given("strokes of them", brief.mm(l.strokeMm()), COMPUTED)
            .given("plate", brief.mm(CastLabel.PLATE_MM), DEFAULT)
            .given("letters on it", brief.mm(CastLabel.RAISED_MM), DEFAULT)
            .done());
    figures.volume(
        "label.volume",
        "rubber the label takes the place of",
        l.volumeMm3(),
        Working.of("width × height × plate + area of the letters × what they stand out")
            .given("size", size, COMPUTED)
            .given("area of the letters", brief.area(l.letters().getArea()), COMPUTED)
            .done());
    figures.length(
        "label.rubber",
        "rubber between label and master",
        p.rubberMm(),
        p.on() == Face.BASE
            ? Working.of("as seen from above, at the nearest").done()
            : Working.of("rubber at that side − thickness of the label")
                .given("thickness", brief.mm(CastLabel.thickMm()), COMPUTED)
                .done());
  }
}
