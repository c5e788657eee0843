package ungula.core.demo;

import java.util.function.Supplier;
import ungula.core.mesh.TriangleMesh;

/** The harbour museum's masters for tests: each made once, when first asked for. */
public enum Harbour {
  NAUTILUS(HarbourShapes::nautilus),
  OCTOPUS(HarbourShapes::octopus),
  /** In less than half as many facets, for what does not ask how fine they are. */
  COARSE_OCTOPUS(() -> HarbourShapes.octopus(80)),
  FINIAL(HarbourShapes::finial),
  WAVE_TILE(HarbourShapes::waveTile),
  CHESS_SET(HarbourShapes::chessSet),
  ROPE_KNOT(HarbourShapes::ropeKnot),
  BELL(HarbourShapes::bell),
  SEAL_PUP(HarbourShapes::sealPup),
  MOORING_POST(HarbourShapes::mooringPost);

  private final Supplier<TriangleMesh> maker;
  private TriangleMesh made;

  Harbour(Supplier<TriangleMesh> maker) {
    this.maker = maker;
  }

  public synchronized TriangleMesh mesh() {
    if (made == null) {
      made = maker.get();
    }
    return made;
  }
}
