package ungula.core.mesh.io;

import ungula.core.mesh.TriangleMesh;

/**
 * What a model file held.
 *
 * @param mesh welded, in the file's own unit
 * @param format what the content turned out to be, whatever the file was called
 * @param unitMm millimetres per file unit; null when the format does not say
 * @param collapsed triangles dropped because two of their corners were the same point
 */
public record Model(TriangleMesh mesh, ModelFormat format, Double unitMm, int collapsed) {}
