import { SEEN_MM } from '../../tolerances.ts';
import { distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { placementMotion } from '../place/layout.ts';
import type { Field } from './field.ts';
import { CUT, laidMap, NONE, WHOLE } from './laidMap.ts';
import { meetingsOf, sharedSidesOf } from './neighbours.ts';

/** Crossings of joints by kind: four corners, two corners and a side, three corners. */
export interface Crossings {
  readonly cross: number;
  readonly tee: number;
  readonly wye: number;
}

/** Counts the places where pieces meet, each laid piece with the corner it has there. At walls nothing meets. */
export function countCrossings(fields: readonly Field[]): Crossings {
  const counts = { cross: 0, tee: 0, wye: 0 };
  for (const { laid, layout } of fields) {
    const map = laidMap(layout);
    const { turn } = placementMotion(layout.placement);
    const keepsCorner = (at: Point, place: number, di: number, dj: number): boolean => {
      const [dx, dy] = cellShift(layout.repeat, di, dj);
      const corner = turn([at[0] + dx, at[1] + dy]);
      const { polygons = [] } = map.cutAt(place) ?? {};
      return polygons.some((rings) => rings.some((ring) => ring.some((p) => distance(p, corner) <= SEEN_MM)));
    };
    for (const { kind, corners, beside } of meetingsOf(layout.repeat, laid.jointMm)) {
      const meet = corners.map(({ address, at }) => ({ step: map.step(address), at }));
      const passed = beside.map(map.step);
      map.forEachCell((di, dj, cell) => {
        for (const step of passed) if (map.states[cell + step] === NONE) return;
        for (const { step } of meet) if (map.states[cell + step] === NONE) return;
        for (const { step, at } of meet) if (map.states[cell + step] === CUT && !keepsCorner(at, cell + step, di, dj)) return;
        counts[kind]++;
      });
    }
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
    for (const { pieces, from, to } of sharedSidesOf(layout.repeat, laid.jointMm, leastMm)) {
      const [a, b] = pieces.map(map.step);
      const length = distance(from, to);
      map.forEachCell((di, dj, cell) => {
        const [one, other] = [map.states[cell + a], map.states[cell + b]];
        if (one === NONE || other === NONE) return;
        if (one === WHOLE && other === WHOLE) return count(length);
        const [dx, dy] = cellShift(layout.repeat, di, dj);
        const side: readonly [Point, Point] = [turn([from[0] + dx, from[1] + dy]), turn([to[0] + dx, to[1] + dy])];
        const [low, high] = [a, b].reduce<readonly [number, number]>(
          (run, step) => {
            const cut = map.cutAt(cell + step);
            const own = cut ? staysAlong(cut.polygons, side, laid.jointMm) : ([0, distance(...side)] as const);
            return [Math.max(run[0], own[0]), Math.min(run[1], own[1])];
          },
          [0, Infinity],
        );
        count(high - low);
      });
    }
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
        return Math.abs(along[0] * y - along[1] * x) <= jointMm * 1.6 + SEEN_MM;
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
