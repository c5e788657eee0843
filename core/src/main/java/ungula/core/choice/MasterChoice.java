package ungula.core.choice;

import ungula.core.contact.Preparation;
import ungula.core.master.MasterMaterial;
import ungula.core.master.Measured;
import ungula.core.master.Solid;
import ungula.core.master.VolumeWays;

/**
 * @param source what the shape is known from
 * @param model id of the model file; null without one
 * @param fileName it was uploaded under in this job; null in what was kept before names were
 * @param unitMm millimetres per file unit; null while it is only guessed
 * @param solid measures when it is a simple solid
 * @param measured what was read off tape, vessel and scale
 * @param way whose volume counts
 * @param material it is made of
 * @param massG as weighed; null when only computed
 * @param preparation of its surface
 */
public record MasterChoice(
    MasterSource source,
    String model,
    String fileName,
    Double unitMm,
    Solid solid,
    Measured measured,
    VolumeWays.Way way,
    MasterMaterial material,
    Double massG,
    Preparation preparation) {

  /** Where surfaces were not asked about yet, it counts as bare. */
  public MasterChoice {
    preparation = preparation == null ? Preparation.BARE : preparation;
  }

  /** What a mould is planned by: all but what is done to the surface. */
  public MasterChoice shape() {
    return new MasterChoice(
        source, model, null, unitMm, solid, measured, way, material, massG, Preparation.BARE);
  }

  MasterChoice readIn(Double boxMm3) {
    return new MasterChoice(
        source,
        model,
        fileName,
        unitMm,
        solid,
        measured.readIn(boxMm3),
        way,
        material,
        massG,
        preparation);
  }

  /** Nothing is known of another surface. */
  MasterChoice consistentAfter(MasterChoice before) {
    boolean other = material != before.material();
    return new MasterChoice(
        source,
        model,
        fileName,
        unitMm,
        solid,
        measured,
        way,
        material,
        massG,
        other && preparation == before.preparation() ? Preparation.UNKNOWN : preparation);
  }
}
