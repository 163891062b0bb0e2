import { boxOf, type Box, type Ring } from '../geometry/ring.ts';
import type { Point } from '../geometry/point.ts';
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
  /** Where the line itself runs from and to, mm. */
  readonly spanMm: readonly [number, number];
}

/**
 * The lines nearest the middle of the field that pieces are laid to: one each way, and for a
 * shifted course a second one along it.
 */
export function settingOutLines(layout: Layout, outline: Ring, limits: Box): SettingOutLine[] {
  const alongAxis: Axis = layout.repeat.upright ? 'y' : 'x';
  const acrossAxis: Axis = layout.repeat.upright ? 'x' : 'y';
  const shift = courseShift(layout, alongAxis);
  const first = lineAt(layout, alongAxis, 1, 0, outline, limits);
  const second = shift === 0 ? [] : [lineAt(layout, alongAxis, 2, shift, outline, limits)];
  return [first, ...second, lineAt(layout, acrossAxis, 1, 0, outline, limits)];
}

/** How far the second course lies along the first, mm; 0 for straight joints. */
function courseShift({ repeat }: Layout, axis: Axis): number {
  const k = axis === 'x' ? 0 : 1;
  if (repeat.pieces.length > 1) return boxOf(repeat.pieces[1].ring)[axis === 'x' ? 'minX' : 'minY'];
  return cellShift(repeat, 0, 1)[k];
}

function lineAt(layout: Layout, axis: Axis, course: 1 | 2, shift: number, outline: Ring, limits: Box): SettingOutLine {
  const start = layout.placement.origin[axis === 'x' ? 0 : 1] + firstPieceSpan(layout.repeat, axis).low + shift;
  const period = pieceStep(layout, axis);
  const field = spanOf(limits, axis);
  const centre = (field.low + field.high) / 2;
  const atMm = start + Math.round((centre - start) / period) * period;
  return { axis, course, atMm, ...tapedFrom(outline, axis, atMm) };
}

/** A tape is held this far in from where a line meets a wall, mm. */
const IN_FROM_END_MM = 1;

/** The two tape measures at each end of a line: square to it, to the walls on either side. */
function tapedFrom(outline: Ring, axis: Axis, atMm: number): Pick<SettingOutLine, 'fromStartMm' | 'fromEndMm' | 'spanMm'> {
  const across = axis === 'x' ? outline : outline.map(([x, y]): Point => [y, x]);
  const { minX, maxX } = boxOf(across);
  const along = crossingsAt(
    across.map(([x, y]): Point => [y, x]),
    Math.min(maxX - 1e-6, Math.max(minX + 1e-6, atMm)),
  );
  const spanMm = [along[0], along[along.length - 1]] as const;
  const walls = [spanMm[0] + IN_FROM_END_MM, spanMm[1] - IN_FROM_END_MM].map((y) => {
    const met = crossingsAt(across, y);
    const before = met.filter((x) => x <= atMm + 1e-6);
    const after = met.filter((x) => x >= atMm - 1e-6);
    return { start: atMm - (before[before.length - 1] ?? minX), end: (after[0] ?? maxX) - atMm };
  });
  return { spanMm, fromStartMm: [walls[0].start, walls[1].start], fromEndMm: [walls[0].end, walls[1].end] };
}

/** Where a level line at `y` meets an outline, left to right. */
function crossingsAt(outline: Ring, y: number): number[] {
  return outline
    .flatMap(([x1, y1], k) => {
      const [x2, y2] = outline[(k + 1) % outline.length];
      return y1 <= y === y2 <= y ? [] : [x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)];
    })
    .sort((a, b) => a - b);
}

/** From one piece to the next in a direction, mm. */
function pieceStep({ repeat }: Layout, axis: Axis): number {
  const [a, b] = repeat.vectors;
  const alongAxis: Axis = repeat.upright ? 'y' : 'x';
  const k = axis === 'x' ? 0 : 1;
  return axis === alongAxis ? a[k] : b[k] / repeat.coursesPerCell;
}
