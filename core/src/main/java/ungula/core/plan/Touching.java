package ungula.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.choice.MasterChoice;
import ungula.core.contact.Contact;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.contact.Releases;
import ungula.core.contact.Surface;
import ungula.core.mould.MouldKind;
import ungula.core.rubber.Product.Chemistry;

/**
 * One thing the rubber touches, and whether it may.
 *
 * @param what part it has
 * @param surface what it is, in words
 * @param contact the verdict
 */
public record Touching(What what, String surface, Contact contact) {

  public enum What {
    MASTER,
    BEDDING,
    BOX,
    GLUE,
    HALVES,
    CAST
  }

  /** Everything the rubber of a job touches; empty while none is picked. */
  public static List<Touching> of(Brief b) {
    if (b.product() == null) {
      return List.of();
    }
    List<Touching> all = new ArrayList<>();
    MasterChoice m = b.choices().master();
    Chemistry chemistry = b.product().chemistry();
    all.add(
        new Touching(
            What.MASTER,
            m.material().text() + ", " + m.preparation().text(),
            Contact.of(
                Surface.of(m.material()),
                m.preparation(),
                chemistry,
                b.recorded().master().patch())));
    if (b.poured()) {
      if (b.choices().mould().kind() == MouldKind.TWO_PART) {
        all.add(bare(What.BEDDING, Surface.of(b.choices().parting().bedding()), chemistry));
      }
      all.add(bare(What.BOX, Surface.of(b.choices().mould().sheet()), chemistry));
      Surface.of(b.choices().mould().fixing())
          .ifPresent(glue -> all.add(bare(What.GLUE, glue, chemistry)));
      if (b.choices().mould().kind() == MouldKind.TWO_PART) {
        all.add(bare(What.HALVES, Surface.itself(chemistry), chemistry));
      }
    }
    all.add(
        new Touching(
            What.CAST,
            b.cast() == null ? b.castingMaterial().text() : b.cast().name(),
            b.castingMaterial().in(chemistry, b.castC(), b.product().heatLimitC())));
    return List.copyOf(all);
  }

  /** That rubber bonds to the master, unless it is released; empty where it is or need not be. */
  public static Optional<Contact> bonding(Brief b) {
    MasterChoice m = b.choices().master();
    return b.product() == null || b.workshop().releases() == Releases.EVERYTHING
        ? Optional.empty()
        : Contact.bonding(Surface.of(m.material()), m.preparation(), b.product().chemistry());
  }

  private static Touching bare(What what, Surface surface, Chemistry chemistry) {
    Contact contact = Contact.of(surface, Preparation.BARE, chemistry, Patch.NONE);
    return new Touching(what, surface.text(), contact);
  }

  /** That of one part; empty where the rubber does not touch it. */
  public static Optional<Touching> of(Brief b, What what) {
    return of(b).stream().filter(t -> t.what == what).findFirst();
  }
}
