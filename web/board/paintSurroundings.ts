import { distance, quarterTurn, scale, subtract, unit, type Point } from '@azulejo/core/geometry/point';
import { boxOf } from '@azulejo/core/geometry/ring';
import type { Drawing } from '@azulejo/core/plan';
import { edgeDimensions } from '@azulejo/core/setout/edgeDimensions';
import type { Edge } from '@azulejo/core/surface/edge';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import { traceRing, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

const DIMENSION_PX = 17;

/** Room for the line of an edge, its rail and its mark, pixels. */
const CLEAR_PX = 18;

/** Fixtures smaller than this on screen go without a name, pixels. */
const NAMED_PX = 20;

/** Fixtures wider than this carry their name inside, pixels. */
const NAME_INSIDE_PX = 52;

/** Fixtures: cut out ones as the ground that shows, tiled-under ones as a dashed outline. */
export function paintFixtures(brush: Brush, { traced }: Drawing): void {
  const { context, palette } = brush;
  for (const { fixture, ring } of traced.fixtures) {
    context.beginPath();
    traceRing(brush, ring);
    if (!fixture.tiledUnder) {
      context.fillStyle = palette.fixture;
      context.fill();
    }
    context.setLineDash(fixture.tiledUnder ? [6, 4] : []);
    context.strokeStyle = palette.outline;
    context.lineWidth = 1.5;
    context.stroke();
    context.setLineDash([]);
  }
}

/** The names of fixtures: inside where there is room, else beside them, away from where they are measured. */
export function paintFixtureNames(brush: Brush, { traced }: Drawing): void {
  const { context, palette, view } = brush;
  for (const { fixture, ring } of traced.fixtures) {
    const box = boxOf(ring);
    const [wide, high] = [(box.maxX - box.minX) * view.scale, (box.maxY - box.minY) * view.scale];
    if (Math.max(wide, high) < NAMED_PX) continue;
    context.font = '600 13px "Barlow", sans-serif';
    const fits = wide > context.measureText(fixture.name).width + 8;
    const [x, y] = toScreen(view, [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
    const out = (fixture.fromY === 'top' ? 1 : -1) * (high / 2 + 10);
    writeOn(brush, fixture.name, x, fits || wide > NAME_INSIDE_PX ? y : y + out, palette.fixtureText, !fits);
  }
}

function writeOn({ context, palette }: Brush, text: string, x: number, y: number, colour: string, withHalo: boolean): void {
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  if (withHalo) {
    context.lineWidth = 4;
    context.strokeStyle = palette.labelHalo;
    context.strokeText(text, x, y);
    context.fillStyle = palette.label;
  } else context.fillStyle = colour;
  context.fillText(text, x, y);
}

/** The outline, each edge drawn by its role. */
export function paintEdges(brush: Brush, { traced }: Drawing, chosenEdge: string | null): void {
  for (const edge of traced.edges) paintEdge(brush, edge, edge.id === chosenEdge);
}

/** Wall: a heavy line. Focal: heavy with a rail outside. Hidden: dashed. Exposed: a bright profile. Threshold: two thin lines. */
function paintEdge(brush: Brush, edge: Edge, chosen: boolean): void {
  const { context, palette } = brush;
  const style = {
    wall: { width: 4, dash: [], colour: palette.outline, rail: false },
    focal: { width: 4, dash: [], colour: palette.outline, rail: true },
    hidden: { width: 3, dash: [7, 5], colour: palette.outline, rail: false },
    exposed: { width: 5, dash: [], colour: palette.profile, rail: false },
    threshold: { width: 1.5, dash: [], colour: palette.outline, rail: true },
  }[edge.role];
  context.lineCap = 'butt';
  context.setLineDash(style.dash);
  strokeLine(brush, edge, style.width / 2, style.width, style.colour);
  context.setLineDash([]);
  if (style.rail) strokeLine(brush, edge, style.width + 3, 1.5, style.colour);
  if (chosen) strokeLine(brush, edge, 12, 4, palette.chosen);
}

function strokeLine({ context, view }: Brush, { from, to }: Edge, outPx: number, width: number, colour: string): void {
  const out = scale(quarterTurn(unit(subtract(to, from))), -outPx / view.scale);
  const [x1, y1] = toScreen(view, [from[0] + out[0], from[1] + out[1]]);
  const [x2, y2] = toScreen(view, [to[0] + out[0], to[1] + out[1]]);
  context.beginPath();
  context.moveTo(x1, y1);
  context.lineTo(x2, y2);
  context.lineWidth = width;
  context.strokeStyle = colour;
  context.stroke();
}

/** The lines to strike, as chalk. */
export function paintChalkLines(brush: Brush, { lines, traced }: Drawing): void {
  const { context, palette, view } = brush;
  const box = traced.body;
  context.setLineDash([12, 5]);
  context.strokeStyle = palette.chalk;
  for (const { axis, atMm, course } of lines) {
    const ends =
      axis === 'x'
        ? ([
            [atMm, box.minY],
            [atMm, box.maxY],
          ] as const)
        : ([
            [box.minX, atMm],
            [box.maxX, atMm],
          ] as const);
    const [[x1, y1], [x2, y2]] = ends.map((end) => toScreen(view, end));
    context.lineWidth = course === 1 ? 2.5 : 1.5;
    context.beginPath();
    context.moveTo(x1, y1);
    context.lineTo(x2, y2);
    context.stroke();
  }
  context.setLineDash([]);
}

/** End cuts along each edge. */
export function paintEndCuts(brush: Brush, drawing: Drawing, tape: Tape): void {
  const { view } = brush;
  for (const { at, outward, mm } of edgeDimensions(drawing)) {
    const [x, y] = toScreen(view, at);
    writeFigure(brush, formatLength(mm, tape), [x, y], outward);
  }
}

/** Lengths of all edges, as they were measured. */
export function paintEdgeLengths(brush: Brush, { traced }: Drawing, tape: Tape): void {
  for (const { from, to } of traced.edges) {
    const lengthMm = distance(from, to);
    if (lengthMm * brush.view.scale < 34) continue;
    const out = quarterTurn(unit(subtract(to, from)));
    const [x, y] = toScreen(brush.view, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]);
    writeFigure(brush, formatLength(lengthMm, tape), [x, y], [-out[0], -out[1]]);
  }
}

/** Writes a figure clear of the edge it stands at. */
function writeFigure({ context, palette }: Brush, text: string, edge: Point, outward: Point): void {
  context.font = `600 ${DIMENSION_PX}px "Barlow Condensed", sans-serif`;
  const x = edge[0] + outward[0] * (CLEAR_PX + context.measureText(text).width / 2);
  const y = edge[1] - outward[1] * (CLEAR_PX + DIMENSION_PX / 2);
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.lineWidth = 5;
  context.lineJoin = 'round';
  context.strokeStyle = palette.ground;
  context.strokeText(text, x, y);
  context.fillStyle = palette.dimension;
  context.fillText(text, x, y);
}
