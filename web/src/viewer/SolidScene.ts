import {
  AmbientLight,
  BackSide,
  Box3,
  BufferAttribute,
  BufferGeometry,
  Color,
  CylinderGeometry,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  ExtrudeGeometry,
  Group,
  IcosahedronGeometry,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  OrthographicCamera,
  Plane,
  Quaternion,
  Raycaster,
  Scene,
  Shape,
  Spherical,
  TorusGeometry,
  Triangle,
  Vector2,
  Vector3,
  WebGLRenderer,
  type Material,
  type Object3D,
} from 'three';
import { acceleratedRaycast, MeshBVH } from 'three-mesh-bvh';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Channel, Drawing, Place, Study, SurfacePoint } from '../api/client';
import type { Filmed } from './film';
import { MARK_COLOURS, MASTER_COLOUR } from './marks';

/** What turns by less is round: no edge is drawn. */
const CORNER_DEGREES = 25;

export type Preset = 'corner' | 'front' | 'side' | 'top';

/** Asked to look from somewhere; another one asks again. */
export interface Seen {
  from: Preset;
}

/** A click on the master. */
export interface Pick {
  /** Outward direction of the facet: three numbers. */
  normal: string;
  /** The facet and where on it: three numbers. */
  place: string;
}

const MASTER = new Color(MASTER_COLOUR);
const MARKS = Object.values(MARK_COLOURS).map((colour) => new Color(colour));

const DIRECTIONS: Record<Preset, [number, number, number]> = {
  corner: [-0.62, -1, 0.62],
  front: [0, -1, 0.0001],
  side: [1, 0, 0.0001],
  top: [0, -0.0001, 1],
};

/** Nothing below it is drawn of what it cuts. */
const PLATE = new Plane(new Vector3(0, 0, 1), 0);

/** Nothing above it is drawn of what is poured. */
const LEVEL = new Plane(new Vector3(0, 0, -1), 0);

const RESIN = '#90949a';
const SURFACE = '#6e747b';

/** Laid another way nothing is cut off at the plate. */
const EVERYTHING = 1e9;

const UP = new Vector3(0, 0, 1);

const X = new Vector3(1, 0, 0);
const HALF = Math.PI / 2;

/** A press that moved further than this many pixels turned the view and picked nothing. */
const STILL_PX = 4;

/** Places of a stroke lie this many brush radii apart at most, if no more than so many are missed. */
const STEP = 0.7;
const MOST_STEPS = 32;

/** Everything that is drawn with WebGL. Millimetres, z up, as in the core. Draws only on change. */
export class SolidScene {
  private readonly renderer = new WebGLRenderer({ antialias: true, alpha: true });
  private readonly scene = new Scene();
  private readonly camera = new OrthographicCamera();
  private readonly controls: OrbitControls;
  /** All that turns when it is laid another way. */
  private readonly mould = new Group();
  private readonly master = new Group();
  /** What is poured into its place. */
  private readonly resin = new Group();
  private readonly box = new Group();
  private readonly rubber = new Group();
  /** Up to there the rubber is poured, mm. */
  private lineMm = 1;
  private readonly coats = new Group();
  private readonly parts = new Group();
  private readonly marks = new Group();
  private readonly strokeMarks = new Group();
  private readonly pointer = new Group();
  private flat: BufferGeometry | null = null;
  private solid: MeshLambertMaterial | null = null;
  private tint: { share: Uint8Array | null; full: Color } = { share: null, full: MASTER };
  private marked: Uint8Array | null = null;
  private brush: number | null = null;
  /** Places the brush went through since it touched the master; null while it does not. */
  private stroke: SurfacePoint[] | null = null;
  /** Where the brush touched last in this stroke, and where that is on the screen. */
  private lastTouch: { point: Vector3; at: Vector2 } | null = null;
  private readonly watcher: ResizeObserver;
  private pressed = new Vector2();
  private drawing = 0;
  private framed = false;
  /** The master was turned, and nobody has moved the view since: what comes is brought in sight. */
  private turned = false;

  constructor(
    private readonly host: HTMLElement,
    private readonly pick: (at: Pick) => void,
    private readonly painted: (places: SurfacePoint[]) => void,
  ) {
    host.prepend(this.renderer.domElement);
    this.renderer.setPixelRatio(window.devicePixelRatio);
    this.camera.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.camera, this.renderer.domElement);
    this.controls.addEventListener('change', this.draw);
    this.controls.addEventListener('start', () => (this.turned = false));
    this.scene.add(new AmbientLight(0xfff7ea, 1.3), this.mould);
    this.mould.add(this.master, this.resin, this.box, this.rubber, this.marks);
    this.mould.add(this.strokeMarks, this.pointer, this.coats, this.parts);
    this.renderer.localClippingEnabled = true;
    const sun = new DirectionalLight(0xffffff, 2.1);
    sun.position.set(-0.6, -0.9, 1.3);
    const sky = new DirectionalLight(0xdbe8ee, 0.7);
    sky.position.set(1, 0.6, 0.2);
    this.camera.add(sun, sky);
    this.scene.add(this.camera);
    this.renderer.domElement.addEventListener('pointerdown', this.press, { capture: true });
    this.renderer.domElement.addEventListener('pointermove', this.drag);
    this.renderer.domElement.addEventListener('pointerup', this.release);
    this.renderer.domElement.addEventListener('pointercancel', this.drop);
    this.watcher = new ResizeObserver(() => this.fit());
    this.watcher.observe(host);
    this.fit();
  }

  /** The binary mesh: three counts, coordinates, corners, open edges. */
  setMaster(data: ArrayBuffer) {
    this.turned = this.framed;
    clear(this.master);
    clear(this.resin);
    const [vertices = 0, triangles = 0, gaps = 0] = new Uint32Array(data, 0, 3);
    const shape = indexed(data);
    const flat = shape.toNonIndexed();
    flat.computeVertexNormals();
    this.flat = flat;
    this.colour();
    this.solid = new MeshLambertMaterial({ vertexColors: true, side: DoubleSide });
    const solid = new Mesh(flat, this.solid);
    solid.raycast = acceleratedRaycast;
    this.master.add(solid);
    if (gaps > 0) {
      const edges = new BufferGeometry();
      edges.setAttribute('position', shape.getAttribute('position'));
      edges.setIndex(
        new BufferAttribute(
          new Uint32Array(data, 12 + 12 * vertices + 12 * triangles, 2 * gaps),
          1,
        ),
      );
      this.master.add(new LineSegments(edges, new LineBasicMaterial({ color: '#9b2c22' })));
    }
    this.frame();
    this.draw();
  }

  /**
   * The outsides of a skin's coats from the master outwards, as binary meshes. Each is peeled back
   * from the right a little further than the one under it.
   */
  setCoats(coats: { data: ArrayBuffer; colour: string }[]) {
    clear(this.coats);
    const half = new Box3().setFromObject(this.master).getSize(new Vector3()).x / 2;
    coats.forEach(({ data, colour }, i) => {
      const shape = indexed(data);
      shape.computeVertexNormals();
      const edge = half * (1 - (2 * (i + 1)) / (coats.length + 1));
      this.coats.add(
        new Mesh(
          shape,
          new MeshLambertMaterial({
            color: colour,
            side: DoubleSide,
            clippingPlanes: [new Plane(new Vector3(-1, 0, 0), edge), PLATE],
          }),
        ),
      );
    });
    this.frame();
    this.draw();
  }

  /** Parts of the mould, as binary meshes; the master shows through them. */
  setParts(parts: { data: ArrayBuffer; colour: string; cover: number }[]) {
    clear(this.parts);
    for (const { data, colour, cover } of parts) {
      const shape = indexed(data);
      shape.computeVertexNormals();
      const body = new Mesh(
        shape,
        new MeshLambertMaterial({
          color: colour,
          side: DoubleSide,
          transparent: true,
          opacity: cover,
          depthWrite: false,
          clippingPlanes: [PLATE],
        }),
      );
      body.renderOrder = 1;
      this.parts.add(body);
    }
    this.frame();
    this.draw();
  }

  /** Tints each facet by how much of it is so, 0 to 255; null tints none. */
  setTint(share: Uint8Array | null, full: string) {
    this.tint = { share, full: new Color(full) };
    this.colour();
  }

  /** Points at places with rings that face whoever looks. */
  point(places: { x: number; y: number; z: number }[]) {
    clear(this.pointer);
    for (const at of places) {
      const size = new Box3().setFromObject(this.master).getSize(new Vector3()).length();
      const ring = new Mesh(
        new TorusGeometry(0.03 * size, 0.004 * size, 8, 32),
        new MeshBasicMaterial({ color: '#a3451f', depthTest: false, transparent: true }),
      );
      ring.position.set(at.x, at.y, at.z);
      ring.renderOrder = 5;
      this.pointer.add(ring);
    }
    this.draw();
  }

  /** Shows what facets are marked as: a bit for each mark; null shows none. */
  setMarked(bits: Uint8Array | null) {
    this.marked = bits;
    this.endStroke();
    this.colour();
  }

  private colour() {
    const shape = this.flat;
    if (!shape) {
      return;
    }
    const count = shape.getAttribute('position').count;
    const colours = new Float32Array(3 * count);
    const { share, full } = this.tint;
    const mixed = new Color();
    for (let v = 0; v < count; v += 3) {
      const t = v / 3;
      const mark = MARKS[31 - Math.clz32(this.marked?.[t] ?? 0)];
      mixed.copy(mark ?? MASTER).lerp(full, (share?.[t] ?? 0) / 255);
      for (let corner = v; corner < v + 3; corner++) {
        colours.set([mixed.r, mixed.g, mixed.b], 3 * corner);
      }
    }
    shape.setAttribute('color', new BufferAttribute(colours, 3));
    this.draw();
  }

  /** How wide the brush is; 0 paints where it is clicked; null has none, and a click picks. */
  setBrush(radiusMm: number | null) {
    this.brush = radiusMm;
  }

  /** Takes away what shows where the brush went. */
  endStroke() {
    clear(this.strokeMarks);
    this.draw();
  }

  /** Lays the mould so that a direction of its own is up; null stands it as it is poured. */
  lay(up: Place | null) {
    const to = up ? new Vector3(up.x, up.y, up.z) : UP;
    // half a turn has no shortest way: about x, as one turns it over towards oneself
    const over = to.z < -0.9999;
    this.mould.quaternion.copy(
      over ? new Quaternion(1, 0, 0, 0) : new Quaternion().setFromUnitVectors(to, UP),
    );
    PLATE.constant = up ? EVERYTHING : 0;
    // to be cast in it is out of its box
    this.box.visible = !up;
    this.turned = this.framed;
    this.frame();
    this.draw();
  }

  /**
   * Air as faceted balls as large as the pockets, that of what is poured or of both, vents and sprue
   * as they run to the outside.
   */
  setMarks(study: Study | null, stale: boolean, poured: Filmed['of'] | null) {
    clear(this.marks);
    const up = study ? new Vector3(study.castUp.x, study.castUp.y, study.castUp.z) : UP;
    const air = [
      ...(poured === 'CAST' ? [] : (study?.poured ?? [])).map((p) => ({ ...p, up: UP })),
      ...(poured === 'RUBBER' ? [] : (study?.cast ?? [])).map((p) => ({ ...p, up })),
    ];
    for (const p of air) {
      const radius = Math.max(1, p.sizeMm / 2);
      const ball = new IcosahedronGeometry(radius, 1);
      // air hangs under the top of what keeps it
      ball.translate(p.x - p.up.x * radius, p.y - p.up.y * radius, p.z - p.up.z * radius);
      this.mark(ball, '#c98a1b', stale ? 0.25 : 0.75, true);
    }
    for (const v of study?.vents ?? []) {
      this.ways(channel(1, 1, v));
    }
    if (study?.sprue) {
      this.ways(channel(5, 0.5, study.sprue));
    }
    this.draw();
  }

  private ways(stretches: BufferGeometry[]) {
    for (const stretch of stretches) {
      this.mark(stretch, '#1f6a4f', 0.9, false);
    }
  }

  private mark(shape: BufferGeometry, colour: string, cover: number, faceted: boolean) {
    const body = new Mesh(
      shape,
      new MeshLambertMaterial({
        color: colour,
        transparent: true,
        opacity: cover,
        depthTest: false,
      }),
    );
    body.renderOrder = 4;
    this.marks.add(body);
    if (!faceted) {
      return;
    }
    const lines = new LineSegments(
      new EdgesGeometry(shape, CORNER_DEGREES),
      new LineBasicMaterial({
        color: '#1c2833',
        transparent: true,
        opacity: 0.5,
        depthTest: false,
      }),
    );
    lines.renderOrder = 5;
    this.marks.add(lines);
  }

  /** What fills it, so far; null shows the mould as it is. */
  fill(now: Filmed | null) {
    const cast = now?.of === 'CAST';
    this.rubber.scale.z = now?.of === 'RUBBER' ? Math.max(1e-3, now.alongMm / this.lineMm) : 1;
    LEVEL.constant = now?.alongMm ?? 0;
    if (cast && this.resin.children.length === 0 && this.flat) {
      this.pour(this.flat, new MeshLambertMaterial({ color: RESIN, clippingPlanes: [LEVEL] }));
      // seen from above the cut, the far side of what is poured is its level
      this.pour(
        this.flat,
        new MeshBasicMaterial({ color: SURFACE, side: BackSide, clippingPlanes: [LEVEL] }),
      );
    }
    this.resin.visible = cast;
    if (this.solid && this.solid.transparent !== cast) {
      this.solid.transparent = cast;
      this.solid.depthWrite = !cast;
      this.solid.opacity = cast ? 0.2 : 1;
      this.solid.needsUpdate = true;
    }
    this.draw();
  }

  private pour(shape: BufferGeometry, material: Material) {
    const body = new Mesh(shape, material);
    // a click is on the master
    body.raycast = () => undefined;
    this.resin.add(body);
  }

  /** How far the master stands clear of the plate, mm. */
  lift(mm: number) {
    this.master.position.z = mm;
    this.resin.position.z = mm;
    this.draw();
  }

  /** The box as its plan drawing tells, or none. */
  setBox(plan: Drawing | null, lineMm = 0, heightMm = 0) {
    clear(this.box);
    clear(this.rubber);
    this.lineMm = lineMm || 1;
    const wall = plan?.shapes.find((s) => s.role === 'WALL')?.rings;
    const [outer, inner] = wall ?? [];
    if (outer && inner) {
      this.block(this.rubber, inner, 0, lineMm, '#8fc0c6', 0.34);
      this.block(this.box, outer, 0, heightMm, '#c9b48b', 0.1);
      this.block(this.box, outer, -4, 0, '#d9c9a6', 1);
    }
    this.frame();
    this.draw();
  }

  private block(
    to: Group,
    ring: number[],
    low: number,
    high: number,
    colour: string,
    cover: number,
  ) {
    const corners: Vector2[] = [];
    for (let i = 0; i < ring.length; i += 2) {
      corners.push(new Vector2(ring[i], ring[i + 1]));
    }
    const shape = new ExtrudeGeometry(new Shape(corners), {
      depth: high - low,
      bevelEnabled: false,
    });
    shape.translate(0, 0, low);
    const body = new Mesh(
      shape,
      new MeshLambertMaterial({
        color: colour,
        transparent: cover < 1,
        opacity: cover,
        depthWrite: cover === 1,
      }),
    );
    body.renderOrder = cover < 1 ? 2 : 0;
    body.userData.passive = true;
    const lines = new LineSegments(
      new EdgesGeometry(shape, CORNER_DEGREES),
      new LineBasicMaterial({ color: '#1c2833', transparent: true, opacity: 0.55 }),
    );
    lines.renderOrder = 3;
    to.add(body, lines);
  }

  look(preset: Preset) {
    this.lookAlong(new Vector3(...DIRECTIONS[preset]));
  }

  /** Brings everything in sight. @param direction from the middle to whoever looks */
  private lookAlong(direction: Vector3) {
    const bounds = new Box3().setFromObject(this.scene);
    if (bounds.isEmpty()) {
      return;
    }
    const centre = bounds.getCenter(new Vector3());
    const reach = bounds.getSize(new Vector3()).length();
    this.controls.target.copy(centre);
    this.camera.position
      .copy(direction)
      .normalize()
      .multiplyScalar(2 * reach)
      .add(centre);
    this.camera.near = 0.1;
    this.camera.far = 5 * reach;
    this.camera.zoom = 1;
    this.spread(reach);
    this.controls.update();
    this.draw();
  }

  private frame() {
    if (!this.framed && this.master.children.length > 0) {
      this.framed = true;
      this.look('corner');
    } else if (this.turned) {
      this.lookAlong(this.camera.position.clone().sub(this.controls.target));
    } else if (this.framed) {
      this.spread(new Box3().setFromObject(this.scene).getSize(new Vector3()).length());
    }
  }

  private spread(reach: number) {
    const aspect = this.host.clientWidth / Math.max(1, this.host.clientHeight);
    const half = reach * 0.56;
    const across = aspect < 1 ? half : half * aspect;
    this.camera.left = -across;
    this.camera.right = across;
    this.camera.top = across / aspect;
    this.camera.bottom = -across / aspect;
    this.camera.updateProjectionMatrix();
  }

  private fit() {
    this.renderer.setSize(this.host.clientWidth, this.host.clientHeight);
    this.spread(new Box3().setFromObject(this.scene).getSize(new Vector3()).length() || 100);
    this.draw();
  }

  private readonly draw = () => {
    cancelAnimationFrame(this.drawing);
    this.drawing = requestAnimationFrame(() => {
      this.pointer.children.forEach((ring) => ring.quaternion.copy(this.camera.quaternion));
      this.renderer.render(this.scene, this.camera);
    });
  };

  private readonly press = (e: PointerEvent) => {
    this.pressed.set(e.clientX, e.clientY);
    if (this.brush && e.button === 0 && this.hit(e.clientX, e.clientY)) {
      // the brush is on the master: nothing turns until it is lifted
      this.controls.enabled = false;
      this.renderer.domElement.setPointerCapture(e.pointerId);
      this.stroke = [];
      this.lastTouch = null;
      this.touch(e);
    }
  };

  private readonly drag = (e: PointerEvent) => {
    if (this.stroke) {
      this.touch(e);
    }
  };

  /** Adds to the stroke where the brush is, and what it passed over since the last place. */
  private touch(e: PointerEvent) {
    const hit = this.hit(e.clientX, e.clientY);
    const now = new Vector2(e.clientX, e.clientY);
    const last = this.lastTouch;
    this.lastTouch = hit && { point: hit.point, at: now };
    if (!hit || !this.brush) {
      return;
    }
    const steps = last
      ? Math.min(MOST_STEPS, Math.ceil(hit.point.distanceTo(last.point) / (STEP * this.brush)))
      : 1;
    for (let i = 1; last && i < steps; i++) {
      const between = last.at.clone().lerp(now, i / steps);
      const passed = this.hit(between.x, between.y);
      if (passed) {
        this.dab(passed);
      }
    }
    this.dab(hit);
    this.draw();
  }

  private dab(hit: { place: SurfacePoint; point: Vector3 }) {
    this.stroke?.push(hit.place);
    const spot = new Mesh(
      new IcosahedronGeometry(this.brush ?? 0, 2),
      new MeshLambertMaterial({ color: '#a3451f', transparent: true, opacity: 0.35 }),
    );
    spot.position.copy(hit.point);
    this.strokeMarks.add(spot);
  }

  private readonly release = (e: PointerEvent) => {
    if (this.stroke) {
      this.painted(this.stroke);
      this.stroke = null;
      this.controls.enabled = true;
      return;
    }
    if (this.pressed.distanceTo(new Vector2(e.clientX, e.clientY)) <= STILL_PX) {
      this.pickAt(e.clientX, e.clientY);
    }
  };

  /** The system took the pointer away: nothing is painted, and the view turns again. */
  private readonly drop = () => {
    this.stroke = null;
    this.controls.enabled = true;
    this.endStroke();
  };

  /** Picks what is in the middle of the view. */
  pickMiddle() {
    const view = this.renderer.domElement.getBoundingClientRect();
    this.pickAt(view.left + view.width / 2, view.top + view.height / 2);
  }

  private pickAt(clientX: number, clientY: number) {
    const hit = this.hit(clientX, clientY);
    if (hit && this.brush !== null) {
      this.painted([hit.place]);
    } else if (hit) {
      this.pick({
        normal: `${hit.normal.x} ${hit.normal.y} ${hit.normal.z}`,
        place: `${hit.place.facet} ${hit.place.u} ${hit.place.v}`,
      });
    }
  }

  /** Where a point of the screen meets the master. */
  private hit(clientX: number, clientY: number) {
    const view = this.renderer.domElement.getBoundingClientRect();
    const at = new Vector2(
      ((clientX - view.left) / view.width) * 2 - 1,
      1 - ((clientY - view.top) / view.height) * 2,
    );
    // the camera may have moved since the last frame was drawn
    this.scene.updateMatrixWorld();
    // as fast as the brush moves, from the first touch on; the triangles keep their numbers
    if (this.flat) {
      this.flat.boundsTree ??= new MeshBVH(this.flat, { indirect: true });
    }
    const ray = new Raycaster();
    ray.firstHitOnly = true;
    ray.setFromCamera(at, this.camera);
    const hit = ray.intersectObject(this.master).find((h) => h.face);
    const corners = this.flat?.getAttribute('position');
    if (!hit?.face || !corners || hit.faceIndex === undefined || hit.faceIndex === null) {
      return null;
    }
    const { a, b, c, normal } = hit.face;
    const at3 = (i: number) => new Vector3().fromBufferAttribute(corners, i);
    const where = this.master.worldToLocal(hit.point.clone());
    const weights = new Vector3();
    Triangle.getBarycoord(where, at3(a), at3(b), at3(c), weights);
    const u = Number(Math.min(1, Math.max(0, weights.y)).toFixed(6));
    const v = Math.min(1 - u, Math.max(0, weights.z));
    return {
      point: hit.point,
      normal,
      place: { facet: hit.faceIndex, u, v: Math.floor(v * 1e6) / 1e6 },
    };
  }

  /** Turns the view by so many degrees round and up. */
  turn(round: number, up: number) {
    const spherical = new Spherical().setFromVector3(
      // the controls' axis is z, a spherical's is y
      new Vector3().subVectors(this.camera.position, this.controls.target).applyAxisAngle(X, -HALF),
    );
    spherical.theta += (round * Math.PI) / 180;
    spherical.phi -= (up * Math.PI) / 180;
    spherical.makeSafe();
    this.camera.position
      .setFromSpherical(spherical)
      .applyAxisAngle(X, HALF)
      .add(this.controls.target);
    this.controls.update();
    this.draw();
  }

  dispose() {
    cancelAnimationFrame(this.drawing);
    this.watcher.disconnect();
    this.renderer.domElement.removeEventListener('pointerdown', this.press, { capture: true });
    this.renderer.domElement.removeEventListener('pointermove', this.drag);
    this.renderer.domElement.removeEventListener('pointerup', this.release);
    this.renderer.domElement.removeEventListener('pointercancel', this.drop);
    this.controls.removeEventListener('change', this.draw);
    this.controls.dispose();
    clear(this.master);
    clear(this.resin);
    clear(this.box);
    clear(this.rubber);
    clear(this.coats);
    clear(this.marks);
    clear(this.strokeMarks);
    clear(this.pointer);
    this.renderer.dispose();
    this.renderer.domElement.remove();
  }
}

/** A binary mesh: three counts, coordinates, corners. */
function indexed(data: ArrayBuffer) {
  const [vertices = 0, triangles = 0] = new Uint32Array(data, 0, 2);
  const shape = new BufferGeometry();
  shape.setAttribute('position', new BufferAttribute(new Float32Array(data, 12, 3 * vertices), 3));
  shape.setIndex(new BufferAttribute(new Uint32Array(data, 12 + 12 * vertices, 3 * triangles), 1));
  return shape;
}

/** From each place to the next, so thick at its outer end and at the cast. */
function channel(outMm: number, inMm: number, { path }: Channel) {
  return path.slice(1).map((to, i) => {
    const from = new Vector3().copy(path[i] ?? to);
    const way = new Vector3().copy(to).sub(from);
    const long = Math.max(1, way.length());
    const last = i === path.length - 2;
    const shape = new CylinderGeometry(last ? outMm : inMm, inMm, long);
    shape.translate(0, long / 2, 0);
    const towards = way.lengthSq() > 0 ? way.normalize() : UP;
    shape.applyQuaternion(new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), towards));
    return shape.translate(from.x, from.y, from.z);
  });
}

function clear(group: Group) {
  for (const child of [...group.children]) {
    group.remove(child);
    release(child);
  }
}

function release(object: Object3D) {
  if (object instanceof Mesh || object instanceof LineSegments) {
    (object.geometry as BufferGeometry).dispose();
    (object.material as Material).dispose();
  }
}
