import { seededNumbers } from '../geometry/seededNumbers.ts';

type Point = readonly [number, number];
type Ring = readonly Point[];

/** What an outside reader takes from the plan as JSON. */
export interface ReadSurface {
  readonly id: string;
  readonly region: { readonly polygons: readonly (readonly Ring[])[] };
  readonly setout: { readonly jointMm: number; readonly jointMayVary: boolean; readonly largestJointMm: number };
  readonly pieces: readonly {
    readonly label: string;
    readonly whole: boolean;
    readonly tileIndex: number;
    readonly rings: readonly Ring[];
    readonly tileRings: readonly Ring[];
  }[];
}

/** How far off anything may be, mm. */
const SLACK = 0.05;
/** Less than half a millimetre is cut off no side of a tile (trade practice): it is laid whole, over the region by so much; over a corner of it by both sides. */
const LEAST_CUT = 0.5 * Math.SQRT2 + SLACK;

/** Places in a region that are looked at for a piece nearby. */
const PROBES = 1500;

/**
 * Reads the plan of a surface as somebody else would, by plain distances and without the product's geometry:
 * pieces within the region, whole ones whole and cut ones cut, joints wide enough, nothing left bare.
 * Returns what is wrong, in words; nothing when all is well.
 */
export function readFromOutside({ region, setout, pieces }: ReadSurface): string[] {
  const walls = new Segments(region.polygons.flat());
  const inRegion = (p: Point): boolean => region.polygons.some((polygon) => isWithin(p, polygon));
  const wrong: string[] = [];
  const corners = region.polygons.flat(2);
  const byTile = new Map<number, ReadSurface['pieces'][number][]>();
  for (const piece of pieces) {
    const parts = byTile.get(piece.tileIndex) ?? [];
    parts.push(piece);
    byTile.set(piece.tileIndex, parts);
  }

  for (const { label, whole, rings, tileRings, tileIndex } of pieces) {
    const outside = rings.flatMap(withMiddles).find((p) => walls.distanceTo(p, LEAST_CUT) > LEAST_CUT && !inRegion(p));
    if (outside) wrong.push(`${label} lies outside the region by ${walls.distanceTo(outside, 50).toFixed(3)} at ${outside.join(', ')}`);
    const box = boxOf(tileRings.flat());
    const inBox = corners.filter(([x, y]) => x > box.minX && x < box.maxX && y > box.minY && y < box.maxY);
    const poked = inBox.find((p) => isWithin(p, rings) && distanceToRings(p, rings) > LEAST_CUT);
    if (poked) wrong.push(`${label} lies over a corner of the region by ${distanceToRings(poked, rings).toFixed(3)}`);
    const parts = byTile.get(tileIndex) ?? [];
    if (whole && isSame(rings, tileRings)) continue;
    const bare = areaOf(tileRings) - parts.reduce((sum, own) => sum + areaOf(own.rings), 0);
    const missing = bare > 0.3 || tileRings.flat().some((p) => parts.every((own) => reaches(p, own.rings) > 0.04));
    const notched = inBox.some((p) => isWithin(p, tileRings) && distanceToRings(p, tileRings) > 0.04);
    if (whole && missing) wrong.push(`${label} is called whole and is not its whole tile`);
    if (!whole && !missing && !notched) wrong.push(`${label} is called cut and nothing of its tile is missing`);
  }

  if (!setout.jointMayVary) wrong.push(...narrowJoints(pieces, setout.jointMm));
  const all = new Segments(pieces.flatMap(({ rings }) => rings));
  const boxes = pieces.map(({ rings }) => boxOf(rings.flat()));
  const next = seededNumbers(7);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - bottom];
  for (let k = 0; k < PROBES; k++) {
    const p: Point = [left + next() * wide, bottom + next() * high];
    if (!inRegion(p)) continue;
    const reach = setout.largestJointMm + SLACK;
    if (all.distanceTo(p, reach) > reach && !pieces.some(({ rings }, k) => isInBox(p, boxes[k]) && isWithin(p, rings)))
      wrong.push(`nothing lies within ${setout.largestJointMm} of ${p.map((v) => v.toFixed(1)).join(', ')}`);
  }
  return wrong;
}

/** Pairs of pieces of different tiles that lie nearer than the joint. */
function narrowJoints(pieces: ReadSurface['pieces'], jointMm: number): string[] {
  const wrong: string[] = [];
  const boxes = pieces.map(({ rings }) => boxOf(rings.flat()));
  const order = [...pieces.keys()].sort((a, b) => boxes[a].minX - boxes[b].minX);
  order.forEach((a, at) => {
    for (let m = at + 1; m < order.length; m++) {
      const b = order[m];
      if (boxes[b].minX > boxes[a].maxX + jointMm) break;
      if (boxes[b].minY > boxes[a].maxY + jointMm || boxes[a].minY > boxes[b].maxY + jointMm) continue;
      if (pieces[a].tileIndex === pieces[b].tileIndex) continue;
      const gap = gapBetween(pieces[a].rings, pieces[b].rings, jointMm);
      if (gap < jointMm - SLACK) wrong.push(`${pieces[a].label} and ${pieces[b].label} lie ${gap.toFixed(3)} apart, not ${jointMm}`);
    }
  });
  return wrong;
}

/** The gap between two pieces where it is less than the joint; only what lies near the other is looked at. */
function gapBetween(a: readonly Ring[], b: readonly Ring[], jointMm: number): number {
  const [own, other] = [near(a, boxOf(b.flat()), jointMm), near(b, boxOf(a.flat()), jointMm)];
  if (own.points.some((p) => isWithin(p, b)) || other.points.some((p) => isWithin(p, a))) return 0;
  let least = Infinity;
  for (const p of own.points) for (const [from, to] of other.stretches) least = Math.min(least, distanceToLine(p, from, to));
  for (const p of other.points) for (const [from, to] of own.stretches) least = Math.min(least, distanceToLine(p, from, to));
  return least;
}

type Box = ReturnType<typeof boxOf>;

/** The corners and stretches of some rings that come within reach of a box. */
function near(rings: readonly Ring[], { minX, minY, maxX, maxY }: Box, reach: number) {
  const isNear = ([x, y]: Point): boolean => x >= minX - reach && x <= maxX + reach && y >= minY - reach && y <= maxY + reach;
  const stretches = rings.flatMap((ring) => ring.map((from, k) => [from, ring[(k + 1) % ring.length]] as const));
  return {
    points: rings.flat().filter(isNear),
    stretches: stretches.filter(
      ([p, q]) =>
        Math.max(p[0], q[0]) >= minX - reach &&
        Math.min(p[0], q[0]) <= maxX + reach &&
        Math.max(p[1], q[1]) >= minY - reach &&
        Math.min(p[1], q[1]) <= maxY + reach,
    ),
  };
}

const isSame = (a: readonly Ring[], b: readonly Ring[]): boolean =>
  a.length === b.length &&
  a.every((ring, k) => ring.length === b[k].length && ring.every(([x, y], m) => x === b[k][m][0] && y === b[k][m][1]));

const areaOf = (rings: readonly Ring[]): number =>
  rings.reduce(
    (sum, ring) =>
      sum + ring.reduce((twice, [x, y], k) => twice + x * ring[(k + 1) % ring.length][1] - y * ring[(k + 1) % ring.length][0], 0) / 2,
    0,
  );

const reaches = (p: Point, rings: readonly Ring[]): number => (isWithin(p, rings) ? 0 : distanceToRings(p, rings));

const isInBox = ([x, y]: Point, box: Box): boolean => x >= box.minX && x <= box.maxX && y >= box.minY && y <= box.maxY;

const withMiddles = (points: readonly Point[]): Point[] =>
  points.flatMap((p, k) => {
    const q = points[(k + 1) % points.length];
    return [p, [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2] as const];
  });

function boxOf(points: readonly Point[]) {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys) };
}

/** Inside by the parity of crossings to the right. */
function isWithin([x, y]: Point, rings: readonly Ring[]): boolean {
  let inside = false;
  for (const ring of rings)
    ring.forEach(([x1, y1], k) => {
      const [x2, y2] = ring[(k + 1) % ring.length];
      if (y1 > y !== y2 > y && x < x1 + ((y - y1) * (x2 - x1)) / (y2 - y1)) inside = !inside;
    });
  return inside;
}

function distanceToRings(p: Point, rings: readonly Ring[]): number {
  let least = Infinity;
  for (const ring of rings) ring.forEach((a, k) => (least = Math.min(least, distanceToLine(p, a, ring[(k + 1) % ring.length]))));
  return least;
}

function distanceToLine([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const size = dx * dx + dy * dy;
  const t = size === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / size));
  return Math.hypot(x - ax - t * dx, y - ay - t * dy);
}

/** Stretches of rings, found by where they lie. */
class Segments {
  private readonly cells = new Map<string, (readonly [Point, Point])[]>();
  private readonly cellMm = 60;

  constructor(rings: readonly Ring[]) {
    for (const ring of rings)
      ring.forEach((a, k) => {
        const b = ring[(k + 1) % ring.length];
        this.visit(Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1]), (key) =>
          this.cellAt(key).push([a, b]),
        );
      });
  }

  private cellAt(key: string): (readonly [Point, Point])[] {
    const cell = this.cells.get(key) ?? [];
    this.cells.set(key, cell);
    return cell;
  }

  /** The distance to the nearest stretch; Infinity where none lies within `reach`. */
  distanceTo(p: Point, reach: number): number {
    let least = Infinity;
    this.visit(p[0] - reach, p[1] - reach, p[0] + reach, p[1] + reach, (key) => {
      for (const [a, b] of this.cells.get(key) ?? []) least = Math.min(least, distanceToLine(p, a, b));
    });
    return least;
  }

  private visit(minX: number, minY: number, maxX: number, maxY: number, each: (key: string) => void): void {
    const at = (mm: number): number => Math.floor(mm / this.cellMm);
    for (let i = at(minX); i <= at(maxX); i++) for (let j = at(minY); j <= at(maxY); j++) each(`${i},${j}`);
  }
}
