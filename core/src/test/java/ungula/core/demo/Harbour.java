package ungula.core.demo;

import java.util.function.Supplier;
import ungula.core.mesh.TriangleMesh;

/** The harbour museum's masters for tests: each made once, when first asked for. */
public enum Harbour {
  NAUTILUS(HarbourShapes.FINE::nautilus),
  OCTOPUS(HarbourShapes.FINE::octopus),
  /** In less than half as many facets, for what does not ask how fine they are. */
  COARSE_OCTOPUS(new HarbourShapes(2.0 / 3)::octopus),
  FINIAL(HarbourShapes.FINE::finial),
  WAVE_TILE(HarbourShapes.FINE::waveTile),
  CHESS_SET(HarbourShapes.FINE::chessSet),
  ROPE_KNOT(HarbourShapes.FINE::ropeKnot),
  BELL(HarbourShapes.FINE::bell),
  SEAL_PUP(HarbourShapes.FINE::sealPup),
  MOORING_POST(HarbourShapes.FINE::mooringPost);

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
