import { READS_ALIKE_MM, ROUNDED_OFTEN } from '../../tolerances.ts';
import { distance } from '../../geometry/point.ts';
import { boxOf, type Ring } from '../../geometry/ring.ts';
import type { EdgeSummary } from '../edges/edgeCuts.ts';
import { forEachWhole, tileRing, type Layout } from '../place/layout.ts';
import type { Field } from '../fields/field.ts';
import { cellShift, unitOf, type Repeat } from '../../pattern/repeat.ts';
import type { Traced } from '../../surface/traceSurface.ts';

/** One piece of the bottom course: what stays of it at both ends, mm. */
export interface BottomPiece {
  readonly fromMm: number;
  readonly toMm: number;
  readonly heightsMm: readonly [number, number];
}

/** A level ledger under the second course of a wall. */
export interface Ledger {
  /** Above the base at its left and right ends, or above what is laid on that before, mm. */
  readonly heightsMm: readonly [number, number];
  /** What is laid on the base before, tile and bed of a floor, mm; 0 where nothing is. */
  readonly standsMm: number;
  /** Where its top edge lies on the drawing, mm. */
  readonly atMm: number;
  /** The pieces of the bottom course, from left to right; full ones are left out. */
  readonly bottom: readonly BottomPiece[];
}

/** Where the courses of a repeat begin, level: its lowest course within one step. */
function courseLow(repeat: Repeat): { readonly lowMm: number; readonly stepMm: number } | null {
  if (repeat.turnedDeg && repeat.turnedDeg % 90 !== 0) return null;
  const { minY } = unitOf(repeat);
  const up = repeat.upright ? Math.abs(cellShift(repeat, 1, 0)[1]) : Math.abs(cellShift(repeat, 0, 1)[1]) / repeat.coursesPerCell;
  return up > 1 ? { lowMm: minY, stepMm: up } : null;
}

/** Lower walls, such as risers and niches, are laid off the base on packers, mm. */
const LEDGER_FROM_MM = 400;

/** A batten is no thinner, mm: what leaves less room is stood on packers too. */
const BATTEN_MM = 18;

/**
 * The ledger that a wall's second course stands on, where the bottom course is cut to the base; null where full
 * courses stand on the base, courses do not run level, or there is no room for one under the second course or too little wall above.
 */
export function ledgerOf(
  layout: Layout,
  { edges: outline, sides, limits, body }: Traced,
  edges: readonly EdgeSummary[],
  fields: readonly Pick<Field, 'kind' | 'layout'>[],
): Ledger | null {
  const course = courseLow(layout.repeat);
  const base = edges.find(({ id }) => id === sides.bottom);
  if (!course || !base || base.cuts.length === 0) return null;
  const start = layout.placement.origin[1] + course.lowMm;
  // The first course that begins above the whole base.
  const own = outline.filter(({ id }) => id === base.id);
  const lowest = Math.max(...own.flatMap(({ from, to, endMm }) => [from[1] + endMm, to[1] + endMm]));
  const framed = aboveBorder(fields, lowest);
  if (framed === 'between') return null;
  const isSquare = layout.placement.turnDeg % 90 === 0;
  const atMm =
    framed ??
    (isSquare ? lowestLevel(fields, lowest) : start + Math.ceil((lowest - start) / course.stepMm - ROUNDED_OFTEN) * course.stepMm);
  if (atMm === null || atMm > limits.maxY) return null;
  const [left, right] = [own[0].from[1], own[own.length - 1].to[1]];
  // Along a stair, or a floor that falls as much, a level board holds nothing at one of its ends.
  if (Math.abs(left - right) > course.stepMm) return null;
  if (body.maxY - body.minY < LEDGER_FROM_MM || atMm - Math.max(left, right) < BATTEN_MM) return null;
  const bottom = base.cuts
    .map(({ endsMm, alongMm, edge: { from, to } }): BottomPiece => {
      const level = (to[0] - from[0]) / distance(from, to);
      return { fromMm: from[0] + alongMm[0] * level, toMm: from[0] + alongMm[1] * level, heightsMm: endsMm };
    })
    .sort((a, b) => a.fromMm - b.fromMm);
  const standsMm = Math.max(0, own[0].endMm - own[0].gapMm);
  return { atMm, heightsMm: [atMm - left - standsMm, atMm - right - standsMm], standsMm, bottom };
}

/** How far down and up each piece of the field reaches, mm. */
function reachesOf(fields: readonly Pick<Field, 'kind' | 'layout'>[]): (readonly [low: number, high: number])[] {
  const reaches: (readonly [low: number, high: number])[] = [];
  const add = (ring: Ring): void => {
    const { minY, maxY } = boxOf(ring);
    reaches.push([minY, maxY]);
  };
  for (const { kind, layout } of fields) {
    if (kind !== 'main' && kind !== 'beyondBand') continue;
    forEachWhole(layout, (address) => add(tileRing(layout, address)));
    for (const { polygons } of layout.cutTiles) for (const [ring] of polygons) add(ring);
  }
  return reaches;
}

/** Pieces that end nearer than this to a level do not run across it, mm. */
const ACROSS_MM = READS_ALIKE_MM;

/** What stands on the base ends no further below the second course, mm: a joint. */
const JOINT_MM = 25;

/**
 * The level above the pieces on the base that others stand on and none runs across, mm; null where courses reach into
 * each other, or several lie below such a level.
 */
function lowestLevel(fields: readonly Pick<Field, 'kind' | 'layout'>[], baseMm: number): number | null {
  let [below, onBase] = [-Infinity, -Infinity];
  for (const [low, high] of reachesOf(fields).sort(([a], [b]) => a - b)) {
    const isOnBase = low < baseMm + ACROSS_MM;
    if (!isOnBase && onBase > -Infinity && below < low + ACROSS_MM) return low - onBase < JOINT_MM ? low : null;
    below = Math.max(below, high);
    if (isOnBase) onBase = Math.max(onBase, high);
  }
  return null;
}

/** Where the field above a border begins, mm: the border is the bottom course. Null where none is laid; 'between' where tiles of the field lie below it too. */
function aboveBorder(fields: readonly Pick<Field, 'kind' | 'layout'>[], baseMm: number): number | 'between' | null {
  if (!fields.some(({ kind }) => kind === 'border')) return null;
  const lowMm = reachesOf(fields).reduce((lowest, [low]) => Math.min(lowest, low), Infinity);
  return lowMm === Infinity || lowMm < baseMm + BATTEN_MM ? 'between' : lowMm;
}
