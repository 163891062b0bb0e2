import { ROUNDED_OFTEN, SAW_MM } from '../../tolerances.ts';
import { LEAST_CUT_MM } from '../../geometry/conventions.ts';
import { motion, type Point } from '../../geometry/point.ts';
import { boxOf, boxRing } from '../../geometry/ring.ts';
import { areMain, cellShift, type Repeat } from '../../pattern/repeat.ts';
import type { Field, FieldKind } from '../fields/field.ts';
import { forEachWhole, placementMotion, tileRing, type Address, type Layout } from '../place/layout.ts';
import { spanOf, type Axis, type Span } from '../choice/axisPlacement.ts';

/** Where pieces begin more often than this a rod is no help, mm. */
const LEAST_APART_MM = 40;

/** What belongs to the courses of a field. */
const ON_THE_ROD: ReadonlySet<FieldKind> = new Set(['main', 'band', 'beyondBand']);

/** One course and the joint after it on a rod. */
export interface RodMark {
  /** Where the course begins and ends, from the end of the rod, mm. */
  readonly fromMm: number;
  readonly toMm: number;
}

/** How far a pattern was turned beyond the nearest quarter, degrees. */
const beyondQuarter = (turnedDeg: number): number => {
  const offDeg = turnedDeg - 90 * Math.round(turnedDeg / 90);
  return Math.abs(offDeg) < ROUNDED_OFTEN ? 0 : offDeg;
};

/** Whether courses ran up the drawing before the pattern was turned: a repeat that is turned by quarters has turned them along. */
export function ranUpright({ upright, turnedDeg = 0 }: Repeat): boolean {
  const isOdd = Math.round(turnedDeg / 90) % 2 !== 0;
  return beyondQuarter(turnedDeg) === 0 && isOdd ? !upright : upright;
}

/** How a rod lies by a pattern: turned out of level and upright so far, degrees, and whether courses run along it there when it is held up. */
export function rodFrame(repeat: Repeat): { readonly offDeg: number; readonly runsUp: boolean } {
  const { turnedDeg = 0 } = repeat;
  const isOdd = Math.round(turnedDeg / 90) % 2 !== 0;
  return { offDeg: beyondQuarter(turnedDeg), runsUp: isOdd ? !ranUpright(repeat) : ranUpright(repeat) };
}

/**
 * The marks of a gauge rod held level (x) or upright (y) in the frame of the setout, or as the pattern is turned there: every course that lies within the
 * field, whether any of its pieces is whole or not, on through bands and what lies beyond them, from where the first one
 * begins. Mosaics are marked by their sheets. Along courses that are shifted no rod serves all, so that of the first
 * whole piece's course is given; where pieces reach past each other, every place where some begin is marked.
 */
export function gaugeRod(fields: readonly Pick<Field, 'kind' | 'layout' | 'laid'>[], axis: Axis): RodMark[] {
  const own = fields.filter(({ kind }) => ON_THE_ROD.has(kind));
  const { placement, repeat } = fields[0].layout;
  const { unturn } = motion(placement.turnDeg + rodFrame(repeat).offDeg, placement.origin);
  const reach = reachOf(own, axis, unturn);
  // Along the courses one of them is given: those beyond a band lie otherwise.
  const isAlong = (axis === 'y') === rodFrame(repeat).runsUp;
  const spansOf = (every: boolean): Span[] =>
    within(
      (isAlong && !every && !repeat.sheet ? own.slice(0, 1) : own).flatMap((field) => pieceSpans(field, axis, unturn, every)),
      reach,
    );
  const { jointMm } = fields[0].laid;
  const courses = spansOf(false);
  const steps = courses.slice(1).map(({ low }, k) => low - courses[k].high);
  const runsTogether = steps.some((mm) => mm < jointMm - 2 * SAW_MM);
  const hasGaps = steps.some((mm) => mm > jointMm + 2 * SAW_MM);
  const all = runsTogether || hasGaps ? begins(spansOf(true), jointMm) : [];
  const marks = runsTogether || all.length > courses.length ? all : courses;
  const start = marks[0]?.low ?? 0;
  return marks.map(({ low, high }) => ({ fromMm: low - start, toMm: high - start }));
}

/** Marks where pieces reach past each other: from where some begin to the joint before the next that do. None where that is too often for a rod to help. */
function begins(spans: readonly Span[], jointMm: number): Span[] {
  const own = spans.filter(({ low }, k) => k === 0 || low - spans[k - 1].low > 2 * SAW_MM);
  const isReadable = own.every(({ low }, k) => k === 0 || low - own[k - 1].low >= LEAST_APART_MM + jointMm);
  return isReadable ? own.map(({ low, high }, k) => ({ low, high: own[k + 1] ? own[k + 1].low - jointMm : high })) : [];
}

/** Every course once, those left out that the edge of the field cuts, the lowest first. */
function within(spans: readonly Span[], reach: Span): Span[] {
  const inside = spans
    .filter(({ low, high }) => low > reach.low - LEAST_CUT_MM && high < reach.high + LEAST_CUT_MM)
    .sort((a, b) => a.low - b.low || a.high - b.high);
  return inside.filter(({ low, high }, k) => k === 0 || low - inside[k - 1].low > 2 * SAW_MM || high - inside[k - 1].high > 2 * SAW_MM);
}

function reachOf(fields: readonly Pick<Field, 'layout'>[], axis: Axis, unturn: (p: Point) => Point): Span {
  let [low, high] = [Infinity, -Infinity];
  const take = (ring: readonly Point[]): void => {
    const span = spanOf(boxOf(ring.map(unturn)), axis);
    [low, high] = [Math.min(low, span.low), Math.max(high, span.high)];
  };
  for (const { layout } of fields) {
    forEachWhole(layout, (address) => take(tileRing(layout, address)));
    for (const { polygons } of layout.cutTiles) for (const [outer] of polygons) take(outer);
  }
  return { low, high };
}

/** The spans of the pieces of a layout: every one, or those of its courses, along them of one course alone; of a mosaic its sheets. */
function pieceSpans({ layout, laid }: Pick<Field, 'layout' | 'laid'>, axis: Axis, unturn: (p: Point) => Point, every: boolean): Span[] {
  const { repeat } = layout;
  const main = areMain(repeat);
  const isAlong = (axis === 'y') === rodFrame(repeat).runsUp;
  let first: { readonly across: number; readonly span: Span } | null = null;
  const found: Span[] = [];
  const take = (address: Address): void => {
    const { piece } = address;
    if (!every && (repeat.pieces[piece].part !== null || !main[piece])) return;
    const box = boxOf(ringOf(layout, address).map(unturn));
    const span = spanOf(box, axis);
    if (!every && isAlong && !repeat.sheet) {
      const across = spanOf(box, axis === 'x' ? 'y' : 'x').low;
      first ??= { across, span };
      if (Math.abs(across - first.across) > 2 * SAW_MM && !isInStep(first.span, span, laid.jointMm)) return;
    }
    found.push(span);
  };
  forEachWhole(layout, take);
  layout.cutTiles.forEach(take);
  return found;
}

/** Whether a piece of another course lies where one of this course would: a window may leave none there. */
function isInStep(first: Span, { low, high }: Span, jointMm: number): boolean {
  const sizeMm = first.high - first.low;
  const steps = (low - first.low) / (sizeMm + jointMm);
  return Math.abs(high - low - sizeMm) < 2 * SAW_MM && Math.abs(steps - Math.round(steps)) * (sizeMm + jointMm) < 2 * SAW_MM;
}

/** The outline of a piece if nothing cut it; of a chip that of its sheet. */
function ringOf(layout: Layout, address: Address): readonly Point[] {
  const { repeat, placement } = layout;
  if (!repeat.sheet) return tileRing(layout, address);
  const [dx, dy] = cellShift(repeat, address.i, address.j);
  const { turn } = placementMotion(placement);
  return boxRing(boxOf(repeat.pieces.flatMap(({ ring }) => ring))).map(([x, y]) => turn([x + dx, y + dy]));
}
