import { boxOf, type Ring } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import type { Edge } from '../../surface/edge.ts';
import { sideOf, type SurfaceSide } from '../../surface/sides.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Layout } from '../place/layout.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { firstPieceSpan, spanOf, type Axis } from '../weigh/axisPlacement.ts';

/** A line to strike, square to its axis, where the near sides of pieces come to lie. */
export interface SettingOutLine {
  /** The direction it is measured in; a line measured in x runs up the drawing. */
  readonly axis: Axis;
  /** Which course it starts: 1, or 2 for the shifted course. */
  readonly course: 1 | 2;
  /** Its position on the surface, mm. */
  readonly atMm: number;
  /** From the left or bottom wall, square to the line, at that wall's low and high end, mm. */
  readonly fromStartMm: readonly [number, number];
  /** From the right or top wall likewise, mm. */
  readonly fromEndMm: readonly [number, number];
  /** Where the line itself runs from and to, mm. */
  readonly spanMm: readonly [number, number];
}

/** What lines are struck on. */
type LinedSurface = Pick<Traced, 'edges' | 'sides' | 'outline' | 'limits'>;

/**
 * The lines nearest the middle of the field that pieces are laid to: one each way, and for a
 * shifted course a second one along it.
 */
export function settingOutLines(layout: Layout, surface: LinedSurface): SettingOutLine[] {
  const alongAxis: Axis = layout.repeat.upright ? 'y' : 'x';
  const acrossAxis: Axis = layout.repeat.upright ? 'x' : 'y';
  const shift = courseShift(layout, alongAxis);
  const first = lineAt(layout, alongAxis, 1, 0, surface);
  const second = shift === 0 ? [] : [lineAt(layout, alongAxis, 2, shift, surface)];
  return [first, ...second, lineAt(layout, acrossAxis, 1, 0, surface)];
}

/** How far the second course lies along the first, mm; 0 for straight joints. */
function courseShift({ repeat }: Layout, axis: Axis): number {
  const k = axis === 'x' ? 0 : 1;
  const second = repeat.pieces.find(({ course, part }) => course === 1 && part === null);
  const first = boxOf(repeat.pieces[0].ring);
  if (second) return boxOf(second.ring)[axis === 'x' ? 'minX' : 'minY'] - first[axis === 'x' ? 'minX' : 'minY'];
  return repeat.pieces.length === 1 ? cellShift(repeat, 0, 1)[k] : 0;
}

function lineAt(layout: Layout, axis: Axis, course: 1 | 2, shift: number, surface: LinedSurface): SettingOutLine {
  const start = layout.placement.origin[axis === 'x' ? 0 : 1] + firstPieceSpan(layout.repeat, axis).low + shift;
  const period = pieceStep(layout, axis);
  const field = spanOf(surface.limits, axis);
  const centre = (field.low + field.high) / 2;
  const atMm = start + Math.round((centre - start) / period) * period;
  return { axis, course, atMm, ...tapedFrom(surface, axis, atMm) };
}

/** An edge whose corners lie this near its straight line is straight enough to hook a tape to, mm. */
const STRAIGHT_MM = 15;

/** The two tape measures from each side: square to the line, at the two ends of the wall that faces it. */
function tapedFrom(
  { edges, sides, outline }: LinedSurface,
  axis: Axis,
  atMm: number,
): Pick<SettingOutLine, 'fromStartMm' | 'fromEndMm' | 'spanMm'> {
  const flip = ([x, y]: Point): Point => (axis === 'x' ? [x, y] : [y, x]);
  const across = outline.map(flip);
  const { minX, maxX } = boxOf(across);
  const met = crossingsAt(
    across.map(([x, y]): Point => [y, x]),
    Math.min(maxX - 1e-6, Math.max(minX + 1e-6, atMm)),
  );
  const spanMm = [met[0], met[met.length - 1]] as const;
  const [start, end]: readonly [SurfaceSide, SurfaceSide] = axis === 'x' ? ['left', 'right'] : ['bottom', 'top'];
  const wall = (side: SurfaceSide, extreme: number): readonly [number, number] => {
    const before = side === start ? 1 : -1;
    // Walls that face the line from that side, and are struck past: an inner wall beyond it is none of them.
    const facing = [...new Set(edges.filter((edge) => !edge.isReveal && sideOf(edge) === side).map(({ id }) => id))].flatMap((id) => {
      const own = edges.filter((edge) => edge.id === id);
      const taped = tapedSide(own, flip);
      const beside = taped?.every((at) => (atMm - at) * before >= 0) ? overlap(own, flip, spanMm) : 0;
      return taped && beside > 0 ? [{ id, taped, beside }] : [];
    });
    const main = facing.find(({ id }) => id === sides[side]);
    const [longest] = [...facing].sort((a, b) => b.beside - a.beside);
    return (main ?? longest)?.taped ?? [extreme, extreme];
  };
  const [first, last] = [wall(start, minX), wall(end, maxX)];
  return { spanMm, fromStartMm: [atMm - first[0], atMm - first[1]], fromEndMm: [last[0] - atMm, last[1] - atMm] };
}

/** The length of a line that a wall runs beside, mm. */
function overlap(stretches: readonly Edge[], flip: (p: Point) => Point, [low, high]: readonly [number, number]): number {
  const ys = stretches.flatMap(({ from, to }) => [flip(from)[1], flip(to)[1]]);
  return Math.max(0, Math.min(high, Math.max(...ys)) - Math.max(low, Math.min(...ys)));
}

/** How far off a side lies at its low and its high end; null where it is curved or there is none. */
function tapedSide(stretches: readonly Edge[], flip: (p: Point) => Point): readonly [number, number] | null {
  if (stretches.length === 0) return null;
  const points = stretches.flatMap(({ from, to }) => [from, to]).map(flip);
  const [low, high] = [points[0], points[points.length - 1]].sort((a, b) => a[1] - b[1]);
  const run = high[1] - low[1];
  if (run < 1) return null;
  const at = (y: number): number => low[0] + ((y - low[1]) / run) * (high[0] - low[0]);
  if (points.some(([x, y]) => Math.abs(x - at(y)) > STRAIGHT_MM)) return null;
  return [low[0], high[0]];
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
