import { distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { placementMotion, type Address } from '../place/layout.ts';
import type { Field } from './field.ts';
import { laidMap } from './laidMap.ts';
import { meetingsOf, sharedSidesOf } from './neighbours.ts';

/** Crossings of joints by kind: four corners, two corners and a side, three corners. */
export interface Crossings {
  readonly cross: number;
  readonly tee: number;
  readonly wye: number;
}

/** A corner this near to where it was is still there, mm. */
const SAME_MM = 0.5;

const shifted = ({ piece, i, j }: Address, di: number, dj: number): Address => ({ piece, i: i + di, j: j + dj });

/** Counts the places where pieces meet, each laid piece with the corner it has there. At walls nothing meets. */
export function countCrossings(fields: readonly Field[]): Crossings {
  const counts = { cross: 0, tee: 0, wye: 0 };
  for (const { laid, layout } of fields) {
    const map = laidMap(layout);
    const { turn } = placementMotion(layout.placement);
    const keepsCorner = (address: Address, at: Point, di: number, dj: number): boolean => {
      const state = map.at(address);
      if (state !== 'cut') return state === 'whole';
      const [dx, dy] = cellShift(layout.repeat, di, dj);
      const corner = turn([at[0] + dx, at[1] + dy]);
      return map.cutAt(address)?.polygons.some((rings) => rings.some((ring) => ring.some((p) => distance(p, corner) <= SAME_MM))) ?? false;
    };
    for (const { kind, corners, beside } of meetingsOf(layout.repeat, laid.jointMm))
      map.forEachCell((i, j) => {
        const isThere =
          corners.every(({ address, at }) => keepsCorner(shifted(address, i, j), at, i, j)) &&
          beside.every((address) => map.at(shifted(address, i, j)) !== null);
        if (isThere) counts[kind]++;
      });
  }
  return counts;
}

/** Lengths of the joints that two pieces share, mm, each once: of cut pieces, what stays of it. */
export function sharedJointLengths(fields: readonly Field[], leastMm: number): Map<number, number> {
  const lengths = new Map<number, number>();
  const count = (mm: number): void => {
    const key = Math.round(mm * 10) / 10;
    if (mm >= leastMm) lengths.set(key, (lengths.get(key) ?? 0) + 1);
  };
  for (const { laid, layout } of fields) {
    const map = laidMap(layout);
    const { turn } = placementMotion(layout.placement);
    for (const { pieces, from, to } of sharedSidesOf(layout.repeat, laid.jointMm, leastMm))
      map.forEachCell((i, j) => {
        const [a, b] = pieces.map((address) => shifted(address, i, j));
        const [one, other] = [map.at(a), map.at(b)];
        if (one === null || other === null) return;
        if (one === 'whole' && other === 'whole') return count(distance(from, to));
        const [dx, dy] = cellShift(layout.repeat, i, j);
        const side: readonly [Point, Point] = [turn([from[0] + dx, from[1] + dy]), turn([to[0] + dx, to[1] + dy])];
        const along = [a, b].map((address) =>
          map.at(address) === 'whole' ? [0, distance(...side)] : staysAlong(map.cutAt(address)?.polygons, side, laid.jointMm),
        );
        count(Math.min(along[0][1], along[1][1]) - Math.max(along[0][0], along[1][0]));
      });
  }
  return lengths;
}

/** The part of a stretch of joint along which a cut piece still has a side, as runs from its start, mm. */
function staysAlong(
  polygons: readonly (readonly (readonly Point[])[])[] = [],
  [from, to]: readonly [Point, Point],
  jointMm: number,
): [number, number] {
  const along = unit(subtract(to, from));
  const length = distance(from, to);
  let [low, high] = [Infinity, -Infinity];
  for (const ring of polygons.flat())
    ring.forEach((p, k) => {
      const ends = [p, ring[(k + 1) % ring.length]];
      const onLine = ends.every((end) => {
        const [x, y] = subtract(end, from);
        return Math.abs(along[0] * y - along[1] * x) <= jointMm * 1.6 + SAME_MM;
      });
      if (!onLine) return;
      for (const end of ends) {
        const run = Math.min(length, Math.max(0, dot(subtract(end, from), along)));
        low = Math.min(low, run);
        high = Math.max(high, run);
      }
    });
  return low > high ? [0, 0] : [low, high];
}
