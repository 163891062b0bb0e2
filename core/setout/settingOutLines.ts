import { boxOf, type Box } from '../geometry/ring.ts';
import { cellShift, type Layout } from './layout.ts';
import { firstPieceSpan, spanOf, type Axis } from './axisPlacement.ts';

/** A line to strike, square to its axis, where the near sides of pieces come to lie. */
export interface SettingOutLine {
  /** The direction it is measured in; a line measured in x runs up the drawing. */
  readonly axis: Axis;
  /** Which course it starts: 1, or 2 for the shifted course. */
  readonly course: 1 | 2;
  /** Its position on the surface, mm. */
  readonly atMm: number;
  /** From the left or bottom edge of the surface, at the line's two ends, mm. */
  readonly fromStartMm: readonly [number, number];
  /** From the right or top edge, mm. */
  readonly fromEndMm: readonly [number, number];
}

/**
 * The lines nearest the middle of the field that pieces are laid to: one each way, and for a
 * shifted course a second one along it.
 */
export function settingOutLines(layout: Layout, body: Box, limits: Box): SettingOutLine[] {
  const alongAxis: Axis = layout.repeat.upright ? 'y' : 'x';
  const acrossAxis: Axis = layout.repeat.upright ? 'x' : 'y';
  const shift = courseShift(layout, alongAxis);
  const first = lineAt(layout, alongAxis, 1, 0, body, limits);
  const second = shift === 0 ? [] : [lineAt(layout, alongAxis, 2, shift, body, limits)];
  return [first, ...second, lineAt(layout, acrossAxis, 1, 0, body, limits)];
}

/** How far the second course lies along the first, mm; 0 for straight joints. */
function courseShift({ repeat }: Layout, axis: Axis): number {
  const k = axis === 'x' ? 0 : 1;
  if (repeat.pieces.length > 1) return boxOf(repeat.pieces[1].ring)[axis === 'x' ? 'minX' : 'minY'];
  return cellShift(repeat, 0, 1)[k];
}

function lineAt(layout: Layout, axis: Axis, course: 1 | 2, shift: number, body: Box, limits: Box): SettingOutLine {
  const start = layout.placement.origin[axis === 'x' ? 0 : 1] + firstPieceSpan(layout.repeat, axis).low + shift;
  const period = pieceStep(layout, axis);
  const field = spanOf(limits, axis);
  const centre = (field.low + field.high) / 2;
  const atMm = start + Math.round((centre - start) / period) * period;
  const { low, high } = spanOf(body, axis);
  return { axis, course, atMm, fromStartMm: [atMm - low, atMm - low], fromEndMm: [high - atMm, high - atMm] };
}

/** From one piece to the next in a direction, mm. */
function pieceStep({ repeat }: Layout, axis: Axis): number {
  const [a, b] = repeat.vectors;
  const alongAxis: Axis = repeat.upright ? 'y' : 'x';
  const k = axis === 'x' ? 0 : 1;
  return axis === alongAxis ? a[k] : b[k] / repeat.coursesPerCell;
}
