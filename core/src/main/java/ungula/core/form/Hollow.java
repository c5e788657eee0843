package ungula.core.form;

import ungula.core.geometry.Vec3;

/**
 * A hole in a body, seen along one direction.
 *
 * @param through whether it goes through; else it is blind
 * @param along the direction it runs in, about; out of the hole when it is blind
 * @param place the middle of its smallest section when it goes through, of its mouth when blind
 * @param areaMm2 of its smallest section, or of its mouth
 * @param widthMm of the largest ball that passes; of a blind hole as it is half way down
 * @param depthMm along it
 */
public record Hollow(
    boolean through, Vec3 along, Vec3 place, double areaMm2, double widthMm, double depthMm) {}
