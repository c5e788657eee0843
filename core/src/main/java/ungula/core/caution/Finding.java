package ungula.core.caution;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.geometry.Vec3;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What the classes that look a plan over for one subject have in common. */
abstract class Finding {

  final Plan p;
  final Prices prices;
  final List<Caution> found = new ArrayList<>();
  private final String stage;

  /**
   * @param stage the cautions belong to
   */
  Finding(Plan p, Prices prices, String stage) {
    this.p = p;
    this.prices = prices;
    this.stage = stage;
  }

  final void add(
      String id, Caution.Level level, String title, String text, Place at, Fix... fixes) {
    found.add(new Caution(id, level, stage, title, text, at, List.of(fixes)));
  }

  /** A fix, with what it changes in rubber and sheet. */
  final Fix fix(String label, Edit... edits) {
    return prices.fix(label, edits);
  }

  /** Null for what is no place. */
  static Place place(Vec3 at) {
    return at == null ? null : new Place(at.x(), at.y(), at.z());
  }

  /** Text that a length word reads back as exactly this many millimetres. */
  static String typed(double mm) {
    return mm + " mm";
  }

  final String mm(double mm) {
    return Length.format(mm, p.units());
  }

  final String ml(double mm3) {
    return Volume.format(mm3, p.units());
  }
}
