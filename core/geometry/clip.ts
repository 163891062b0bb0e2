import { TOLERANCE_MM } from '../tolerances.ts';
import { Clipper, ClipType, Clipper64, FillRule, PolyTree64, type Path64, type Paths64 } from 'clipper2-ts';
import { CLIP_UNITS_PER_MM } from './conventions.ts';
import { polygonArea, polygonsArea, ringArea, ringLength, type Polygon, type Ring } from './ring.ts';

type PolyPath = PolyTree64['child'] extends (index: number) => infer P ? P : never;

/** What two sets of polygons share. The result is checked by areas; throws when no attempt adds up. */
export function intersect(subject: readonly Polygon[], clip: readonly Polygon[]): Polygon[] {
  return checkedSplit(subject, clip).inside;
}

/** What is left of `subject` without `clip`. Checked as `intersect` is. */
export function difference(subject: readonly Polygon[], clip: readonly Polygon[]): Polygon[] {
  return checkedSplit(subject, clip).outside;
}

/** Joins rings, wherever their winding is positive, into polygons that do not overlap. */
export function unionOfRings(rings: readonly Ring[]): Polygon[] {
  return run(ClipType.Union, rings, [], CLIP_UNITS_PER_MM, FillRule.Positive);
}

/** A subject parted into what lies within a clip and what does not. */
export interface Split {
  readonly inside: Polygon[];
  readonly outside: Polygon[];
}

/** Parts a subject by a clip. Checked as `intersect` is. */
export const split = (subject: readonly Polygon[], clip: readonly Polygon[]): Split => checkedSplit(subject, clip);

/** Grids that are tried one after the other, as parts of the usual one; each also along the other axis. */
const FINER = [1, 10, 7, 3, 23];

/** A ring seen along the other axis; its sense stays. */
const flipped = (ring: Ring): Ring => ring.map(([x, y]) => [y, x] as const).reverse();
const flippedPolygon = (polygon: Polygon): Polygon => polygon.map(flipped);

/**
 * Clipping on whole numbers is wrong about once in 100 000 times, by square centimetres. Inside and
 * outside together must have the subject's area; a finer grid mends the cases that don't.
 */
function checkedSplit(subject: readonly Polygon[], clip: readonly Polygon[]): Split {
  const rings = subject.flat();
  const area = polygonsArea(subject);
  const slack = TOLERANCE_MM * (1 + rings.reduce((sum, ring) => sum + ringLength(ring), 0));
  for (const finer of FINER) {
    const units = CLIP_UNITS_PER_MM * finer;
    for (const flip of [false, true]) {
      const [from, by] = flip ? [rings.map(flipped), clip.flat().map(flipped)] : [rings, clip.flat()];
      const inside = run(ClipType.Intersection, from, by, units, FillRule.EvenOdd);
      const outside = run(ClipType.Difference, from, by, units, FillRule.EvenOdd);
      if (Math.abs(polygonsArea(inside) + polygonsArea(outside) - area) > slack) continue;
      return flip ? { inside: inside.map(flippedPolygon), outside: outside.map(flippedPolygon) } : { inside, outside };
    }
  }
  throw new Error(`a clip does not add up to its subject's area: ${area} mm²`);
}

function run(type: ClipType, subject: readonly Ring[], clip: readonly Ring[], units: number, rule: FillRule): Polygon[] {
  const engine = new Clipper64();
  engine.addSubject(toPaths(subject, units));
  if (clip.length > 0) engine.addClip(toPaths(clip, units));
  const tree = new PolyTree64();
  engine.execute(type, rule, tree);
  const polygons: Polygon[] = [];
  for (let k = 0; k < tree.count; k++) collect(tree.child(k), units, polygons);
  return polygons.filter((polygon) => polygonArea(polygon) > 0);
}

/** An outer ring with its holes is one polygon; islands inside holes are polygons of their own. */
function collect(node: PolyPath, units: number, into: Polygon[]): void {
  const rings: Ring[] = [oriented(node, units, 1)];
  for (let k = 0; k < node.count; k++) {
    const hole = node.child(k);
    rings.push(oriented(hole, units, -1));
    for (let m = 0; m < hole.count; m++) collect(hole.child(m), units, into);
  }
  into.push(rings);
}

function oriented(node: PolyPath, units: number, sign: 1 | -1): Ring {
  const ring: Ring = (node.poly ?? []).map(({ x, y }) => [x / units, y / units] as const);
  return Math.sign(ringArea(ring)) === sign ? ring : [...ring].reverse();
}

function toPaths(rings: readonly Ring[], units: number): Paths64 {
  return rings
    .map((ring): Path64 => withoutSpikes(ring.map(([x, y]) => ({ x: Math.round(x * units), y: Math.round(y * units) }))))
    .filter((path) => path.length >= 3);
}

/**
 * A path without corners that repeat and without spikes that run out and back on themselves: they hold no area,
 * and the library may never come back from a path made of them.
 */
function withoutSpikes(path: Path64): Path64 {
  const kept: Path64 = [];
  const settle = (): void => {
    for (;;) {
      const count = kept.length;
      if (count >= 2 && isSame(kept[count - 1], kept[count - 2])) kept.pop();
      else if (count >= 3 && turnsBack(kept[count - 3], kept[count - 2], kept[count - 1])) kept.splice(count - 2, 1);
      else return;
    }
  };
  for (const corner of path) {
    kept.push(corner);
    settle();
  }
  // Where it closes.
  let start = 0;
  for (;;) {
    const count = kept.length - start;
    if (count < 3) return [];
    const last = kept.length - 1;
    if (isSame(kept[last], kept[start]) || turnsBack(kept[last - 1], kept[last], kept[start])) kept.pop();
    else if (turnsBack(kept[last], kept[start], kept[start + 1])) start++;
    else return start === 0 ? kept : kept.slice(start);
  }
}

type Corner = Path64[number];
const isSame = (a: Corner, b: Corner): boolean => a.x === b.x && a.y === b.y;

/** Whether the way from b to c runs back over the way from a to b. */
function turnsBack(a: Corner, b: Corner, c: Corner): boolean {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return ux * vx + uy * vy < 0 && ux * vy === uy * vx;
}

/** Area of the parts two sets share, by a second way through the library; for checks in tests and bench. */
export function sharedArea(a: readonly Polygon[], b: readonly Polygon[]): number {
  const paths = Clipper.intersect(toPaths(a.flat(), CLIP_UNITS_PER_MM), toPaths(b.flat(), CLIP_UNITS_PER_MM), FillRule.EvenOdd);
  return Clipper.areaPaths(paths) / CLIP_UNITS_PER_MM ** 2;
}
