import { ON_LINE_MM, TOLERANCE_MM } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { distance, quarterTurn, subtract, unit } from '../../geometry/point.ts';
import { boxOf } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import type { Trials } from '../trial/trials.ts';
import { CLEAR_MM } from '../trial/features.ts';
import { legLimit } from '../choice/leg.ts';
import { spanOf, type Axis, type Span } from '../choice/axisPlacement.ts';
import { sliverLimit } from '../choice/sliver.ts';

/** A line that turns to a direction by more than this has no one place in it, as a sine. */
const ASLANT_SINE = 0.06;

/** Stretches of a curve have no place of their own, mm. */
const SHORT_MM = 60;

/** Translates of the repeat that are looked at; further ones repeat what they bring. */
const TRANSLATES = [-3, -2, -1, 0, 1, 2, 3];

/** Translates in the other direction that move a course along. */
const COURSES = [0, 1, 2, 3];

/** How far the origin of a repeat may move in a direction before it lies as before, mm; null where that never comes. */
export function periodOf({ vectors }: Repeat, axis: Axis): number | null {
  const [k, other] = axis === 'x' ? [0, 1] : [1, 0];
  const straight = vectors.find((v) => Math.abs(v[other]) < TOLERANCE_MM && Math.abs(v[k]) > TOLERANCE_MM);
  if (straight) return Math.abs(straight[k]);
  // Alternating courses: two steps of the one less some of the other come out straight.
  for (const m of TRANSLATES)
    for (const n of COURSES) {
      const across = m * vectors[0][other] + n * vectors[1][other];
      const along = Math.abs(m * vectors[0][k] + n * vectors[1][k]);
      if (Math.abs(across) < TOLERANCE_MM && along > TOLERANCE_MM) return along;
    }
  return null;
}

/**
 * The places of the origin in one direction where a cut along some edge turns zero, full, half, or to the limit of a sliver,
 * or where two opposite edges cut alike, or what is seen as the middle gets a piece or a joint: between two of them
 * every cut grows or shrinks evenly, so nothing is best there. Within one period, mm.
 */
export function criticalOffsets(trials: Trials, axis: Axis): readonly number[] {
  return (axis === 'x' ? criticalAlongX : criticalAlongY)(trials);
}

const criticalAlongX = oncePer((trials: Trials) => findCritical(trials, 'x'));
const criticalAlongY = oncePer((trials: Trials) => findCritical(trials, 'y'));

function findCritical(trials: Trials, axis: Axis): readonly number[] {
  const { repeat } = trials;
  const period = periodOf(repeat, axis);
  const places = linesAcross(trials, axis);
  const spans = spansOf(repeat, axis);
  const found: number[] = [];
  for (const { low, high } of spans) {
    const limit = sliverLimit(high - low);
    for (const { atMm, sign } of places) {
      if (sign > 0)
        found.push(atMm - low, atMm - high, atMm - high + limit, atMm - (low + high) / 2, atMm - high + 0.95 * SMALLEST_PIECE_WIDTH_MM);
      else found.push(atMm - high, atMm - low, atMm - low - limit, atMm - (low + high) / 2, atMm - low - 0.95 * SMALLEST_PIECE_WIDTH_MM);
    }
    for (const a of places)
      for (const b of places) if (a.sign > 0 && b.sign < 0 && b.atMm > a.atMm) found.push((a.atMm + b.atMm - low - high) / 2);
  }
  found.push(...featureOffsets(trials, axis, spans));
  const half = period === null ? 0 : period / 2;
  // What lies beyond a band is moved on by it; ends are alike half way between.
  const beyond = trials.movedOn[axis].slice(1).flatMap((mm) => found.flatMap((at) => [at - mm, at - mm / 2]));
  const balanced = [...found, ...found.map((at) => at + half), ...beyond];
  const middles = trials.middles
    .filter((middle) => middle.axis === axis)
    .flatMap(({ atMm, stepMm }) => trials.movedOn[axis].flatMap((mm) => [atMm - mm, atMm + stepMm - mm]));
  return distinct([...balanced, ...middles], period);
}

/** The places of the origin in one direction where a pin can be kept, within one period, mm. */
export function pinnedOffsets(trials: Trials, axis: Axis): number[] {
  const { pins, repeat, boundary } = trials;
  if (pins.length === 0) return [];
  const k = axis === 'x' ? 0 : 1;
  const spans = spansOf(repeat, axis);
  const least = pins.flatMap(({ pin }) =>
    pin.kind === 'noCutUnder'
      ? boundary.lines
          .filter(({ owner }) => boundary.owners[owner].id === pin.edge)
          .flatMap(({ from, to }) =>
            [from[k], to[k]].flatMap((mm) => spans.flatMap(({ low, high }) => [mm - high + pin.mm, mm - low - pin.mm])),
          )
      : [],
  );
  const found = [...pins.flatMap(({ critical }) => critical(axis)), ...least];
  // A band moves on what a pin beyond it speaks of.
  const moved = found.flatMap((mm) => trials.movedOn[axis].map((by) => mm - by));
  return distinct(moved, periodOf(repeat, axis));
}

/** Where something round touches the side of a piece or has it in its middle, and where a leg beside a notch is just strong enough. */
function featureOffsets({ rounds, boundary }: Trials, axis: Axis, spans: readonly Span[]): number[] {
  const k = axis === 'x' ? 0 : 1;
  const touching = rounds.flatMap(({ centre, radiusMm }) => [
    centre[k] - radiusMm - 2 * CLEAR_MM,
    centre[k],
    centre[k] + radiusMm + 2 * CLEAR_MM,
  ]);
  return spans.flatMap(({ low, high }) => {
    const leg = legLimit(high - low);
    return [
      ...touching.flatMap((mm) => [mm - low, mm - high]),
      ...boundary.notches.flatMap(({ at }) => [at[k] - low - leg, at[k] - high + leg]),
    ];
  });
}

/** Where straight stretches of the boundary lie in a direction, each with the side its field is on. */
function linesAcross({ boundary }: Trials, axis: Axis): { readonly atMm: number; readonly sign: 1 | -1 }[] {
  const [k, other] = axis === 'x' ? [0, 1] : [1, 0];
  const found = new Map<string, { atMm: number; sign: 1 | -1 }>();
  for (const { from, to, owner } of boundary.lines) {
    if (distance(from, to) < Math.min(SHORT_MM, boundary.owners[owner].lengthMm / 2)) continue;
    const inward = quarterTurn(unit(subtract(to, from)));
    if (Math.abs(inward[other]) > ASLANT_SINE) continue;
    const sign = inward[k] > 0 ? 1 : -1;
    for (const atMm of [from[k], to[k]]) found.set(`${sign} ${atMm.toFixed(2)}`, { atMm, sign });
  }
  return [...found.values()];
}

/** Where the pieces of a repeat lie in a direction, also as its other translates move them; each span once. */
function spansOf(repeat: Repeat, axis: Axis): Span[] {
  const k = axis === 'x' ? 0 : 1;
  const period = periodOf(repeat, axis);
  const shifts = distinct(
    COURSES.flatMap((n) => [0, 1].map((m) => m * repeat.vectors[0][k] + n * repeat.vectors[1][k])),
    period,
  );
  const found = new Map<string, { low: number; high: number }>();
  for (const { ring } of repeat.pieces) {
    const { low, high } = spanOf(boxOf(ring), axis);
    for (const shift of shifts)
      found.set(`${within(low + shift, period).toFixed(2)} ${(high - low).toFixed(2)}`, { low: low + shift, high: high + shift });
  }
  return [...found.values()];
}

const within = (mm: number, period: number | null): number => (period === null ? mm : mm - period * Math.floor(mm / period));

/** Values brought into one period, each once, in order. */
export function distinct(values: readonly number[], period: number | null): number[] {
  const all = values.map((mm) => within(mm, period)).sort((a, b) => a - b);
  return all.filter((mm, k) => k === 0 || mm - all[k - 1] > ON_LINE_MM);
}
