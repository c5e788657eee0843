package ungula.core.caution;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Level;
import ungula.core.choice.MasterChoice;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.Contact;
import ungula.core.contact.Contact.Verdict;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.master.MasterMaterial;
import ungula.core.parting.Bedding;
import ungula.core.plan.Plan;
import ungula.core.plan.Touching;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.rubber.Product.Clarity;
import ungula.core.sentence.WordBook.Edit;

/** Whether the rubber may touch what it touches. */
final class ContactCautions {

  private final Plan p;
  private final List<Caution> found = new ArrayList<>();

  private ContactCautions(Plan p) {
    this.p = p;
  }

  static List<Caution> of(Plan p) {
    ContactCautions c = new ContactCautions(p);
    for (Touching t : Touching.of(p.brief())) {
      if (t.contact().verdict() != Verdict.FINE) {
        switch (t.what()) {
          case MASTER -> c.master(t.contact());
          case BEDDING -> c.bedding(t);
          case GLUE -> c.glue(t);
          case CAST -> c.cast(t);
          default -> {
            // a box is sealed by the caution of its sheet; the halves' release is a step
          }
        }
      }
    }
    c.bonds();
    c.marked();
    c.skin();
    return c.found;
  }

  private void add(String id, Level level, String title, Contact contact, List<Fix> fixes) {
    found.add(
        new Caution(
            "contact." + id,
            level,
            "rubber",
            title,
            contact.reason() + " " + contact.remedy(),
            null,
            fixes));
  }

  private void master(Contact contact) {
    MasterChoice m = p.choices().master();
    Fix patch = fix("A patch cured clean", "master.patch", Patch.CURED.name());
    Fix seal = fix("Seal it", "master.preparation", m.preparation().sealing().name());
    Fix cure = fix("Wash it and cure it through", "master.preparation", Preparation.CURED.name());
    boolean print = m.material() == MasterMaterial.PRINT_RESIN;
    switch (contact.verdict()) {
      case DO_NOT -> {
        if (p.brief().recorded().master().patch() == Patch.TACKY) {
          add("master", Level.STOP, "The patch on the master did not cure", contact, List.of());
        } else {
          add(
              "master",
              Level.STOP,
              "This rubber does not cure against bare " + m.material().text(),
              contact,
              print ? List.of(cure, seal) : List.of(seal));
        }
      }
      case PATCH ->
          add("master", Level.CHECK, "Try a patch on the master first", contact, List.of(patch));
      case SEAL -> add("master", Level.CHECK, "Seal the master first", contact, List.of(seal));
      default -> {
        // what bonds is told apart
      }
    }
  }

  /** It would take the master with it: nothing but release keeps it from that. */
  private void bonds() {
    Touching.bonding(p.brief())
        .ifPresent(
            c ->
                add(
                    "bonds",
                    Level.STOP,
                    "Release the master, or the rubber bonds to it",
                    c,
                    List.of(
                        fix(
                            "Release it",
                            "master.preparation",
                            p.choices().master().preparation().releasing().name()))));
  }

  private void bedding(Touching t) {
    switch (t.contact().verdict()) {
      case PATCH ->
          add(
              "bedding",
              Level.CHECK,
              "The " + t.surface() + " it is bedded in may keep the rubber from curing",
              t.contact(),
              List.of(
                  fix(
                      "Bed it in sulphur-free clay",
                      "parting.bedding",
                      Bedding.CLAY_SULPHUR_FREE.name())));
      case SEAL ->
          add(
              "bedding",
              Level.NOTE,
              "Seal the " + t.surface() + " it is bedded in",
              t.contact(),
              List.of());
      default -> {
        // released as a step
      }
    }
  }

  private void glue(Touching t) {
    if (t.contact().verdict() == Verdict.PATCH) {
      add(
          "glue",
          Level.NOTE,
          "Rubber may stay tacky where it touches the " + t.surface(),
          t.contact(),
          List.of());
    }
  }

  private void cast(Touching t) {
    if (t.contact().verdict() == Verdict.DO_NOT) {
      add("cast", Level.STOP, "Not in this rubber: " + t.surface(), t.contact(), List.of());
    } else {
      add(
          "cast",
          Level.NOTE,
          "Release the mould before every cast of " + t.surface(),
          t.contact(),
          List.of());
    }
  }

  /** Condensation-cure rubber gives off residues for some days. */
  private void marked() {
    boolean clear = p.brief().cast() != null && p.brief().cast().clear() == Clarity.CLEAR;
    boolean silicone = p.brief().castingMaterial() == CastingMaterial.SILICONE;
    if (p.product().chemistry() == Chemistry.CONDENSATION && (clear || silicone)) {
      add(
          "residue",
          Level.CHECK,
          "What this rubber gives off marks " + (clear ? "clear" : "silicone") + " casts",
          new Contact(
              Verdict.PATCH,
              "Condensation-cure rubber leaves residues for some days.",
              "Bake the mould before the first cast, or take an addition-cure rubber."),
          List.of());
    }
  }

  private void skin() {
    if (p.brief().castingMaterial() == CastingMaterial.SOAP) {
      found.add(
          new Caution(
              "contact.skin",
              Level.NOTE,
              "rubber",
              "Soap touches skin",
              "For that, as for food, only a rubber that is certified for it will do: its maker's"
                  + " sheet says so, Ungula does not.",
              null,
              List.of()));
    }
  }

  private static Fix fix(String label, String word, String to) {
    return new Fix(label, "", List.of(Edit.of(word, to)));
  }
}
