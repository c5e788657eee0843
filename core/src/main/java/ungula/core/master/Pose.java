package ungula.core.master;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.UnreadableQuantity;

/**
 * Which way up the master stands as the rubber is poured. After turning it is set on the plate at z
 * = 0 with its middle over the origin, then lifted.
 *
 * @param turn from the model's axes to the pose
 * @param liftMm how far its lowest point is clear of the plate; 0 rests on it
 */
public record Pose(Rotation turn, double liftMm) {

  public static final Pose AS_MODELLED = new Pose(Rotation.NONE, 0);

  /** The mesh turned and set down at z = 0, not lifted. */
  public TriangleMesh setDown(TriangleMesh mesh, double scale) {
    TriangleMesh turned = mesh.moved(scale, turn, Vec3.ZERO);
    Box3 b = turned.bounds();
    Vec3 c = b.centre();
    return turned.moved(1, Rotation.NONE, new Vec3(-c.x(), -c.y(), -b.min().z()));
  }

  /** Rests on the face that points this way in the present pose. */
  public Pose restOn(Vec3 faceNormal) {
    Vec3 down = Vec3.UP.times(-1);
    return new Pose(Rotation.bringing(faceNormal, down).after(turn), liftMm);
  }

  /**
   * Reads a turn such as "x 90" or "z -15": degrees about an axis of the plate.
   *
   * @throws UnreadableQuantity when it is neither
   */
  public Pose turned(String text) {
    String[] words = text.strip().split("\\s+", 2);
    Vec3 axis =
        switch (words[0]) {
          case "x" -> new Vec3(1, 0, 0);
          case "y" -> new Vec3(0, 1, 0);
          case "z" -> Vec3.UP;
          default -> throw new UnreadableQuantity("Turn about x, y or z, such as “x 90”.");
        };
    double degrees = Numbers.parse(words.length < 2 ? "" : words[1].replaceAll("\\s*(°|deg)$", ""));
    return new Pose(Rotation.about(axis, degrees).after(turn), liftMm);
  }

  /**
   * Reads "14 90": tips the top by so many degrees towards a direction, 0 being +x and 90 +y.
   *
   * @throws UnreadableQuantity when it is not two numbers
   */
  public Pose tipped(String text) {
    String[] words = text.strip().split("\\s+", 2);
    double degrees = Numbers.parse(words[0]);
    double towards = Math.toRadians(Numbers.parse(words.length < 2 ? "" : words[1]));
    Vec3 axis = new Vec3(-Math.sin(towards), Math.cos(towards), 0);
    return new Pose(Rotation.about(axis, degrees).after(turn), liftMm);
  }

  /**
   * Reads "1 0 0 0": the turn from the model's axes, as a quaternion.
   *
   * @throws UnreadableQuantity when it is not four numbers, or no turn
   */
  public Pose stood(String text) {
    String[] words = text.strip().split("\\s+");
    try {
      return new Pose(
          new Rotation(
              Double.parseDouble(words[0]),
              Double.parseDouble(words[1]),
              Double.parseDouble(words[2]),
              Double.parseDouble(words[3])),
          liftMm);
    } catch (RuntimeException e) {
      throw new UnreadableQuantity("A way to stand is named by its turn: four numbers.");
    }
  }

  /** Reads "0 0 -1": rests on the face whose outward direction this is in the present pose. */
  public Pose restOn(String text) {
    String[] words = text.strip().split("\\s+");
    try {
      return restOn(
          new Vec3(
              Double.parseDouble(words[0]),
              Double.parseDouble(words[1]),
              Double.parseDouble(words[2])));
    } catch (RuntimeException e) {
      throw new UnreadableQuantity("A face is named by its direction: three numbers.");
    }
  }
}
