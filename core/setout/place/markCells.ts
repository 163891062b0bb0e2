import { TOLERANCE_MM } from '../../tolerances.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import type { Repeat } from '../../pattern/repeat.ts';

/** One straight stretch of the region's boundary, the region on its left. */
export interface Segment {
  readonly from: Point;
  readonly to: Point;
}

/** The tiles of one piece of the repeat that the boundary may touch, and those wholly inside. */
export interface MarkedCells {
  /** By row j: cells i the boundary may touch, each with the segments that do. */
  readonly touched: ReadonlyMap<number, ReadonlyMap<number, readonly Segment[]>>;
  /** By row j: stretches of i, first and last, whose tile centres lie inside. */
  readonly inside: ReadonlyMap<number, readonly (readonly [number, number])[]>;
}

/** Coordinates along the two vectors of a repeat. */
type ToLattice = (p: Point) => Point;

/** Positions as steps along the vectors of a repeat; throws when the vectors are parallel. */
export function latticeOf({ vectors: [a, b] }: Pick<Repeat, 'vectors'>): ToLattice {
  const det = a[0] * b[1] - a[1] * b[0];
  if (det === 0) throw new Error(`the vectors of a repeat must not be parallel: ${String(a)} and ${String(b)}`);
  return ([x, y]) => [(x * b[1] - y * b[0]) / det, (a[0] * y - a[1] * x) / det];
}

/** The boundary of a region as segments. */
export function boundarySegments(region: readonly Polygon[]): Segment[] {
  return region.flatMap((polygon) => polygon.flatMap((ring) => ring.map((from, k) => ({ from, to: ring[(k + 1) % ring.length] }))));
}

/**
 * Finds the cells a boundary crosses by walking it through the rows, and fills the rest row by row.
 * A tile whose box no segment enters is inside or outside as a whole, and its centre tells which;
 * so a wall that runs in a joint cuts nothing.
 */
export function markCells(ring: Ring, toLattice: ToLattice, segments: readonly Segment[]): MarkedCells {
  const box = grow(boxOf(ring.map(toLattice)), latticeTolerance(toLattice));
  const flat = segments.map((segment) => ({ segment, from: toLattice(segment.from), to: toLattice(segment.to) }));
  const touched = new Map<number, Map<number, Segment[]>>();
  for (const { segment, from, to } of flat) {
    markSegment(box, from, to, (i, j) => {
      const row = getOrAdd(touched, j, () => new Map<number, Segment[]>());
      getOrAdd(row, i, (): Segment[] => []).push(segment);
    });
  }
  return { touched, inside: fillRows(box, flat) };
}

function markSegment(box: Box, from: Point, to: Point, mark: (i: number, j: number) => void): void {
  const lowV = Math.min(from[1], to[1]);
  const highV = Math.max(from[1], to[1]);
  for (let j = Math.ceil(lowV - box.maxY); j <= Math.floor(highV - box.minY); j++) {
    const [u1, u2] = spanInRow(from, to, j + box.minY, j + box.maxY);
    for (let i = Math.ceil(u1 - box.maxX); i <= Math.floor(u2 - box.minX); i++) mark(i, j);
  }
}

/** The least and greatest u of a segment within a row's band of v. */
function spanInRow(from: Point, to: Point, low: number, high: number): [number, number] {
  const dv = to[1] - from[1];
  const at = (v: number): number => from[0] + ((v - from[1]) / dv) * (to[0] - from[0]);
  const ends =
    dv === 0 ? [from[0], to[0]] : [from[1], to[1]].map((v, k) => (v >= low && v <= high ? [from, to][k][0] : at(v < low ? low : high)));
  return [Math.min(...ends), Math.max(...ends)];
}

function fillRows(box: Box, flat: readonly { readonly from: Point; readonly to: Point }[]): MarkedCells['inside'] {
  const u = (box.minX + box.maxX) / 2;
  const v = (box.minY + box.maxY) / 2;
  const crossings = new Map<number, number[]>();
  for (const { from, to } of flat) {
    // Each end takes its row by itself, so that stretches which share it agree, and a level one crosses none.
    const [a, b] = [Math.ceil(from[1] - v), Math.ceil(to[1] - v)];
    for (let j = Math.min(a, b); j < Math.max(a, b); j++) {
      const at = from[0] + ((j + v - from[1]) / (to[1] - from[1])) * (to[0] - from[0]);
      getOrAdd(crossings, j, (): number[] => []).push(at);
    }
  }
  return new Map([...crossings].sort(([j], [k]) => j - k).map(([j, us]) => [j, stretches(us, u)]));
}

function stretches(us: number[], centre: number): [number, number][] {
  us.sort((a, b) => a - b);
  const found: [number, number][] = [];
  for (let k = 0; k + 1 < us.length; k += 2) {
    const first = Math.ceil(us[k] - centre);
    const last = Math.floor(us[k + 1] - centre);
    if (first <= last) found.push([first, last]);
  }
  return found;
}

function latticeTolerance(toLattice: ToLattice): Point {
  const [ux, vx] = toLattice([TOLERANCE_MM, 0]);
  const [uy, vy] = toLattice([0, TOLERANCE_MM]);
  return [Math.abs(ux) + Math.abs(uy), Math.abs(vx) + Math.abs(vy)];
}

const grow = (box: Box, [u, v]: Point): Box => ({
  minX: box.minX - u,
  minY: box.minY - v,
  maxX: box.maxX + u,
  maxY: box.maxY + v,
});

function getOrAdd<K, V>(map: Map<K, V>, key: K, make: () => V): V {
  const found = map.get(key);
  if (found !== undefined) return found;
  const made = make();
  map.set(key, made);
  return made;
}

/** How many cells lie wholly inside a region, and how many its boundary may cut. */
export function countCells({ touched, inside }: MarkedCells): { readonly whole: number; readonly cut: number } {
  let [whole, cut] = [0, 0];
  for (const cells of touched.values()) cut += cells.size;
  for (const [j, runs] of inside)
    for (const [first, last] of runs) {
      whole += last - first + 1;
      for (const i of touched.get(j)?.keys() ?? []) if (i >= first && i <= last) whole--;
    }
  return { whole, cut };
}
