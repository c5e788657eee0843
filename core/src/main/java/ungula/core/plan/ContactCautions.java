package ungula.core.plan;

import java.util.ArrayList;
import java.util.List;
import ungula.core.contact.Contact;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.contact.Surface;
import ungula.core.plan.Caution.Fix;
import ungula.core.plan.Caution.Level;
import ungula.core.sentence.WordBook.Edit;

/** Whether the rubber may touch the master. */
final class ContactCautions {

  private ContactCautions() {}

  /** What the rubber that is picked says to the master; null while none is picked. */
  static Contact contact(Planner p) {
    Choices.Master m = p.choices.master();
    return p.product == null
        ? null
        : Contact.of(Surface.of(m.material()), m.preparation(), p.product.chemistry(), m.patch());
  }

  static List<Caution> of(Planner p) {
    Contact contact = contact(p);
    if (contact == null || contact.verdict() == Contact.Verdict.FINE) {
      return List.of();
    }
    String master = p.choices.master().material().text();
    Fix patch = fix("A patch cured clean", "master.patch", Patch.CURED.name());
    Fix seal = fix("Seal it", "master.preparation", Preparation.SEALED.name());
    Fix cure = fix("Wash it and cure it through", "master.preparation", Preparation.CURED.name());
    boolean print = Surface.of(p.choices.master().material()) == Surface.PRINT_RESIN;
    List<Fix> fixes = new ArrayList<>();
    Level level = Level.CHECK;
    String title;
    switch (contact.verdict()) {
      case DO_NOT -> {
        level = Level.STOP;
        title = "This rubber does not cure against bare " + master;
        if (p.choices.master().patch() == Patch.TACKY) {
          title = "The patch on the master did not cure";
        } else {
          if (print) {
            fixes.add(cure);
          }
          fixes.add(seal);
        }
      }
      case PATCH -> {
        title = "Try a patch on the master first";
        fixes.add(patch);
      }
      case SEAL -> {
        title = "Seal the master first";
        fixes.add(seal);
      }
      default -> {
        level = Level.NOTE;
        title = "Release the master, or the rubber bonds to it";
      }
    }
    return List.of(
        new Caution(
            "contact.master",
            level,
            "rubber",
            title,
            contact.reason() + " " + contact.remedy(),
            null,
            fixes));
  }

  private static Fix fix(String label, String word, String to) {
    return new Fix(label, "", List.of(Edit.of(word, to)));
  }
}
