import { add, quarterTurn, scale, subtract, unit, type Point } from '@azulejo/core/geometry/point';
import type { Drawing } from '@azulejo/core/plan/planned';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import { tracePolygons, traceRing, writeOver, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** What measuring shows over the drawing. */
export interface MeasureOverlay {
  readonly part: 'shape' | 'edges' | 'fixtures' | 'levels' | 'around';
  readonly corners: readonly { readonly letter: string; readonly at: Point; readonly movable: boolean }[];
  /** Diagonals with what was read; suspect ones stand out. */
  readonly checks: readonly { readonly from: Point; readonly to: Point; readonly mm: number; readonly suspect: boolean }[];
  readonly suspectEdges: ReadonlySet<string>;
  readonly levels: LevelOverlay | null;
}

/** The ground as read: bands of equal height, and the readings. */
export interface LevelOverlay {
  readonly bands: readonly { readonly share: number; readonly rings: readonly (readonly Point[])[] }[];
  readonly pads: readonly { readonly id: string; readonly at: Point; readonly heightMm: number }[];
}

/** Paints what belongs under the figures: levels, diagonals, suspects, corners. */
export function paintMeasures(brush: Brush, drawing: Drawing, overlay: MeasureOverlay, tape: Tape): void {
  if (overlay.part === 'levels' && overlay.levels) paintLevels(brush, drawing, overlay.levels, tape);
  if (overlay.part !== 'shape') return;
  for (const check of overlay.checks) paintCheck(brush, check, tape);
  for (const edge of drawing.traced.edges) if (overlay.suspectEdges.has(edge.id)) paintSuspect(brush, edge.from, edge.to);
  for (const corner of overlay.corners) paintCorner(brush, drawing, corner);
}

function paintLevels(brush: Brush, { traced }: Drawing, { bands, pads }: LevelOverlay, tape: Tape): void {
  const { context, palette } = brush;
  context.save();
  context.beginPath();
  tracePolygons(brush, traced.field);
  context.clip('evenodd');
  for (const { share, rings } of bands) {
    context.beginPath();
    for (const ring of rings) traceRing(brush, ring);
    context.fillStyle = mix(palette.levelLow, palette.levelHigh, share);
    context.fill('evenodd');
    context.strokeStyle = palette.levelLine;
    context.lineWidth = 0.8;
    context.stroke();
  }
  context.restore();
  for (const { id, at, heightMm } of pads) {
    const [x, y] = toScreen(brush.view, at);
    context.beginPath();
    context.arc(x, y, 3.5, 0, 2 * Math.PI);
    context.fillStyle = palette.label;
    context.fill();
    writeOver(brush, `${id}: ${formatLength(heightMm, tape)}`, x, y - 13);
  }
}

/** A colour between two of the form #rrggbb. */
function mix(low: string, high: string, share: number): string {
  const part = (colour: string, k: number): number => parseInt(colour.slice(1 + 2 * k, 3 + 2 * k), 16);
  const between = [0, 1, 2].map((k) => Math.round(part(low, k) + share * (part(high, k) - part(low, k))));
  return `rgb(${between.join(',')})`;
}

/** Where along a diagonal its figure stands, so that two that cross do not cover each other. */
const FIGURE_SHARE = 0.4;

function paintCheck(brush: Brush, { from, to, mm, suspect }: MeasureOverlay['checks'][number], tape: Tape): void {
  const { context, view, palette } = brush;
  const [x1, y1] = toScreen(view, from);
  const [x2, y2] = toScreen(view, to);
  context.setLineDash([9, 5]);
  context.strokeStyle = suspect ? palette.chalk : palette.chosen;
  context.lineWidth = suspect ? 3 : 1.5;
  context.beginPath();
  context.moveTo(x1, y1);
  context.lineTo(x2, y2);
  context.stroke();
  context.setLineDash([]);
  writeOver(brush, formatLength(mm, tape), x1 + FIGURE_SHARE * (x2 - x1), y1 + FIGURE_SHARE * (y2 - y1));
}

function paintSuspect({ context, view, palette }: Brush, from: Point, to: Point): void {
  const out = scale(quarterTurn(unit(subtract(to, from))), -7 / view.scale);
  const [x1, y1] = toScreen(view, add(from, out));
  const [x2, y2] = toScreen(view, add(to, out));
  context.strokeStyle = palette.chalk;
  context.lineWidth = 4;
  context.beginPath();
  context.moveTo(x1, y1);
  context.lineTo(x2, y2);
  context.stroke();
}

/** The letter of a corner, inside it; a grip where it can be dragged. */
function paintCorner(brush: Brush, { traced }: Drawing, { letter, at, movable }: MeasureOverlay['corners'][number]): void {
  const { context, view, palette } = brush;
  const [x, y] = toScreen(view, at);
  const { minX, maxX, minY, maxY } = traced.body;
  const inward = [(minX + maxX) / 2 - at[0], (minY + maxY) / 2 - at[1]];
  const size = Math.hypot(...inward) || 1;
  if (movable) {
    context.beginPath();
    context.arc(x, y, 6, 0, 2 * Math.PI);
    context.fillStyle = palette.fixture;
    context.fill();
    context.strokeStyle = palette.chosen;
    context.lineWidth = 2.5;
    context.stroke();
  }
  writeOver(brush, letter, x + (22 * inward[0]) / size, y - (22 * inward[1]) / size);
}
