package ungula.core.study;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import ungula.core.field.EnclosedVolume;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.ConvexHull;
import ungula.core.mesh.Mending;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What a mesh is and what is wrong with it.
 *
 * @param triangles as read, after collapsed ones were dropped
 * @param vertices after welding
 * @param parts connected over edges
 * @param openEdges with a triangle on one side only, before closing
 * @param openLoops rings of open edges, before closing
 * @param closedLoops how many small flat openings were closed
 * @param nonManifoldEdges shared by more than two triangles
 * @param flippedFacets turned against their neighbours, and turned back
 * @param insideOut whether the whole surface faced inwards, and was turned round
 * @param overlapping whether closed parts run into each other; the volume counts shared room once
 * @param closed whether every edge has two triangles, after closing small openings
 * @param volumeMm3 enclosed volume: exact for closed meshes, an estimate otherwise
 * @param volumeErrorMm3 ± to carry, k = 2; 0 when exact
 * @param areaMm2 of all triangles
 * @param bounds of the vertices
 * @param centroid of the enclosed volume
 * @param hullVolumeMm3 of the convex hull
 * @param euler V − E + F
 * @param genus through-holes of all parts; 0 unless closed
 * @param estimate whether the volume is an estimate
 */
public record MeshReport(
    int triangles,
    int vertices,
    int parts,
    int openEdges,
    int openLoops,
    int closedLoops,
    int nonManifoldEdges,
    int flippedFacets,
    boolean insideOut,
    boolean overlapping,
    boolean closed,
    double volumeMm3,
    double volumeErrorMm3,
    double areaMm2,
    Box3 bounds,
    Vec3 centroid,
    double hullVolumeMm3,
    int euler,
    int genus,
    boolean estimate) {

  /** The report, and the mesh it speaks of: turned and closed where that could be done. */
  public record Result(MeshReport report, TriangleMesh mesh) {}

  /** Looks a mesh over, mends what is certain, and measures it. */
  public static Result of(TriangleMesh raw, Progress progress) {
    CompletableFuture<TriangleMesh> hullWork =
        CompletableFuture.supplyAsync(() -> ConvexHull.of(raw));
    progress.at("Looking at the edges", 0);
    Topology found = Topology.of(raw);
    Mending mending = Mending.of(raw, found);
    TriangleMesh mesh = mending.mesh();
    Topology topology = mesh == raw ? found : Topology.of(mesh);
    progress.at("Measuring", 0.5);
    TriangleMesh.Measure measure = mesh.measure();
    boolean closed = topology.closed() && topology.consistentSense();
    double volume = measure.volumeMm3();
    double error = 0;
    boolean overlapping = false;
    boolean estimate = !closed;
    if (!closed || partsMayOverlap(mesh, topology)) {
      EnclosedVolume enclosed = EnclosedVolume.of(mesh, Parallel.ALL, progress.part(0.6, 0.9));
      // parts that share room add up to more than they enclose
      overlapping = closed && volume - enclosed.volumeMm3() > enclosed.errorMm3();
      estimate = !closed || overlapping;
      if (estimate) {
        volume = enclosed.volumeMm3();
        error = enclosed.errorMm3();
      }
    }
    progress.at("Wrapping the hull", 0.9);
    double hullVolume = Math.max(0, hullWork.join().measure().volumeMm3());
    return new Result(
        new MeshReport(
            mesh.triangleCount(),
            raw.vertexCount(),
            topology.parts(),
            found.openEdges(),
            found.boundaryLoops().size(),
            mending.closedLoops(),
            found.nonManifoldEdges(),
            mending.flipped(),
            mending.insideOut(),
            overlapping,
            closed,
            volume,
            error,
            measure.areaMm2(),
            mesh.bounds(),
            measure.centroidMm(),
            hullVolume,
            topology.euler(),
            topology.closed() ? Math.max(0, topology.genus()) : 0,
            estimate),
        mesh);
  }

  private static boolean partsMayOverlap(TriangleMesh mesh, Topology topology) {
    int parts = topology.parts();
    if (parts == 1) {
      return false;
    }
    // min x, y, z, max x, y, z per part: stride 6
    double[] box = new double[6 * parts];
    for (int p = 0; p < parts; p++) {
      for (int a = 0; a < 3; a++) {
        box[6 * p + a] = Double.POSITIVE_INFINITY;
        box[6 * p + 3 + a] = Double.NEGATIVE_INFINITY;
      }
    }
    int[] corners = mesh.corners();
    double[] xyz = mesh.xyz();
    int[] partOf = topology.partOf();
    for (int i = 0; i < corners.length; i++) {
      int p = 6 * partOf[i / 3];
      for (int a = 0; a < 3; a++) {
        double v = xyz[3 * corners[i] + a];
        box[p + a] = Math.min(box[p + a], v);
        box[p + 3 + a] = Math.max(box[p + 3 + a], v);
      }
    }
    // more parts than this and comparing pairs costs more than counting columns
    if (parts > 2000) {
      return true;
    }
    for (int p = 0; p < parts; p++) {
      for (int q = p + 1; q < parts; q++) {
        boolean apart = false;
        for (int a = 0; a < 3; a++) {
          apart |= box[6 * p + a] >= box[6 * q + 3 + a] || box[6 * q + a] >= box[6 * p + 3 + a];
        }
        if (!apart) {
          return true;
        }
      }
    }
    return false;
  }

  /** The same report with every length multiplied. */
  public MeshReport scaled(double by) {
    double cubed = by * by * by;
    return new MeshReport(
        triangles,
        vertices,
        parts,
        openEdges,
        openLoops,
        closedLoops,
        nonManifoldEdges,
        flippedFacets,
        insideOut,
        overlapping,
        closed,
        volumeMm3 * cubed,
        volumeErrorMm3 * cubed,
        areaMm2 * by * by,
        new Box3(bounds.min().times(by), bounds.max().times(by)),
        centroid.times(by),
        hullVolumeMm3 * cubed,
        euler,
        genus,
        estimate);
  }

  /** The report in words, what is wrong first; empty when nothing is. */
  public List<String> defects() {
    List<String> words = new ArrayList<>();
    if (insideOut) {
      words.add("The surface faced inwards and was turned round.");
    }
    if (flippedFacets > 0) {
      words.add(
          flippedFacets
              + (flippedFacets == 1 ? " facet was" : " facets were")
              + " turned against the others and turned back.");
    }
    if (closedLoops > 0) {
      words.add(
          closedLoops
              + (closedLoops == 1 ? " small flat hole was" : " small flat holes were")
              + " closed.");
    }
    if (!closed && openEdges > 0) {
      int left = openLoops - closedLoops;
      words.add(
          "The surface is open in "
              + left
              + (left == 1 ? " place" : " places")
              + ": the volume is an estimate. Close it in the program it came from, or measure the"
              + " volume another way.");
    }
    if (nonManifoldEdges > 0) {
      words.add(
          nonManifoldEdges
              + (nonManifoldEdges == 1 ? " edge joins" : " edges join")
              + " more than two facets; there the inside is not certain.");
    }
    if (overlapping) {
      words.add("Parts run into each other; the room they share is counted once, by estimate.");
    }
    return words;
  }
}
