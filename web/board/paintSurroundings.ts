import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { beyondStrips } from '@azulejo/core/cuts/strips/beyondStrips';
import { add, distance, quarterTurn, scale, subtract, unit, type Point } from '@azulejo/core/geometry/point';
import type { Drawing } from '@azulejo/core/plan/planned';
import { edgeDimensions } from '@azulejo/core/setout/edges/edgeDimensions';
import type { StruckLine } from '@azulejo/core/setout/lines/struckLine';
import type { Edge } from '@azulejo/core/surface/edge';
import { standingAlong } from '@azulejo/core/surface/standing';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import type { Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

const DIMENSION_PX = 17;
const FIGURE_FONT = `600 ${DIMENSION_PX}px "Barlow Condensed", sans-serif`;

/** An edge that is longer than its straight line by more than this is written as a curve, mm. */
const BENT_MM = 0.25;

/** So much stays free between two figures, pixels; of two that would be nearer the first stays. */
const APART_PX = 6;

/** Room for the line of an edge, its rail and its mark, pixels. */
const CLEAR_PX = 18;

/** The outline, each edge drawn by its role; the stretches of a curve in one stroke. */
export function paintEdges(brush: Brush, { traced }: Drawing, chosenEdge: string | null): void {
  for (const run of runsOfEdges(traced.edges)) paintEdge(brush, run, run[0].id === chosenEdge);
}

/**
 * Wall: a heavy line. Focal: heavy with a rail outside. Hidden: dashed. Worktop or tray: fine teeth.
 * Exposed: a bright profile. Threshold: two thin lines. Continues: dash and dot.
 */
function paintEdge(brush: Brush, run: readonly Edge[], chosen: boolean): void {
  const { context, palette } = brush;
  const style = {
    wall: { width: 4, dash: [], colour: palette.outline, rail: false },
    focal: { width: 4, dash: [], colour: palette.outline, rail: true },
    hidden: { width: 3, dash: [7, 5], colour: palette.outline, rail: false },
    worktop: { width: 6, dash: [2, 2], colour: palette.outline, rail: false },
    continues: { width: 1.5, dash: [12, 4, 2, 4], colour: palette.chosen, rail: false },
    exposed: { width: 5, dash: [], colour: palette.profile, rail: false },
    threshold: { width: 1.5, dash: [], colour: palette.outline, rail: true },
  }[run[0].role];
  context.lineCap = 'butt';
  context.setLineDash(style.dash);
  strokeRun(brush, run, style.width / 2, style.width, style.colour);
  context.setLineDash([]);
  if (style.rail) strokeRun(brush, run, style.width + 3, 1.5, style.colour);
  if (chosen) strokeRun(brush, run, 12, 4, palette.chosen);
}

function strokeRun({ context, view }: Brush, run: readonly Edge[], outPx: number, width: number, colour: string): void {
  context.beginPath();
  run.forEach(({ from, to }, k) => {
    const out = scale(quarterTurn(unit(subtract(to, from))), -outPx / view.scale);
    if (k === 0) context.moveTo(...toScreen(view, add(from, out)));
    context.lineTo(...toScreen(view, add(to, out)));
  });
  context.lineWidth = width;
  context.lineJoin = 'round';
  context.strokeStyle = colour;
  context.stroke();
}

/** What stands along edges before the field begins: the tile of the face that runs through, a bullnose. */
export function paintStanding({ context, palette, view }: Brush, { traced }: Drawing): void {
  context.fillStyle = palette.outline;
  context.globalAlpha = STANDING_ALPHA;
  for (const ring of standingAlong(traced)) {
    context.beginPath();
    for (const corner of ring) context.lineTo(...toScreen(view, corner));
    context.fill();
  }
  context.globalAlpha = 1;
}

/** It is there, and none of this surface. */
const STANDING_ALPHA = 0.22;

/** Movement joints that are carried through: clear of tile, as wide as they are, with their middle in dash and dot. */
export function paintCarried({ context, palette, view }: Brush, { struck }: Drawing): void {
  for (const { joint, ends } of struck.lines) {
    if (!joint) continue;
    const [[x1, y1], [x2, y2]] = ends.map((end) => toScreen(view, end));
    const stroke = (width: number, colour: string, dash: number[]): void => {
      context.setLineDash(dash);
      context.lineWidth = width;
      context.strokeStyle = colour;
      context.beginPath();
      context.moveTo(x1, y1);
      context.lineTo(x2, y2);
      context.stroke();
    };
    context.lineCap = 'butt';
    stroke(Math.max(CARRIED_PX, joint.widthMm * view.scale), joint.fill === 'profile' ? palette.profile : palette.ground, []);
    stroke(1.5, palette.outline, [14, 4, 3, 4]);
  }
  context.setLineDash([]);
}

/** A joint that is carried through is drawn no thinner, px. */
const CARRIED_PX = 4;

/** The lines to strike, as chalk. */
export function paintChalkLines(brush: Brush, { struck }: Drawing): void {
  const { context, palette, view } = brush;
  context.setLineDash([12, 5]);
  context.strokeStyle = palette.chalk;
  for (const { use, ends } of struck.lines) {
    if (use === 'carried') continue;
    const [[x1, y1], [x2, y2]] = ends.map((end) => toScreen(view, end));
    context.lineWidth = { first: 2.5, second: 1.5, control: 1 }[use];
    context.beginPath();
    context.moveTo(x1, y1);
    context.lineTo(x2, y2);
    context.stroke();
  }
  context.setLineDash([]);
}

/** The tapes that put lines in their places, with their figures. */
export function paintTapes(brush: Brush, lines: readonly StruckLine[], tape: Tape): void {
  const { context, palette, view } = brush;
  context.strokeStyle = palette.dimension;
  context.lineWidth = 1.5;
  context.font = FIGURE_FONT;
  const written: Figure[] = [];
  for (const { tapes } of lines) {
    for (const measure of tapes) {
      const [x, y] = toScreen(view, measure.at);
      const foot = measure.by === 'square' ? toScreen(view, measure.foot) : [x, y];
      context.beginPath();
      context.moveTo(foot[0], foot[1]);
      context.lineTo(x, y);
      context.stroke();
      const text = formatLength(measure.mm, tape);
      // Near its line: tapes of several lines are hooked to one wall.
      const places = TAPE_SHARES.map((share): Figure => {
        return { text, wide: context.measureText(text).width + 10, x: foot[0] + share * (x - foot[0]), y: foot[1] + share * (y - foot[1]) };
      });
      const figure = places.find((place) => written.every((other) => isClearOf(place, other))) ?? places[0];
      written.push(figure);
      writeOver(brush, figure);
    }
  }
}

/** Where the first tile goes, and which way the work goes from there. */
export function paintStart({ context, palette, view }: Brush, { struck }: Drawing): void {
  if (!struck.start) return;
  const [x, y] = toScreen(view, struck.start.at);
  context.fillStyle = palette.chalk;
  context.strokeStyle = palette.chalk;
  context.beginPath();
  context.arc(x, y, 7, 0, 2 * Math.PI);
  context.fill();
  for (const [dx, dy] of struck.start.ways) {
    const [ex, ey] = [x + dx * START_PX, y - dy * START_PX];
    context.lineWidth = 3;
    context.beginPath();
    context.moveTo(x, y);
    context.lineTo(ex, ey);
    context.moveTo(ex - dx * 10 - dy * 6, ey + dy * 10 - dx * 6);
    context.lineTo(ex, ey);
    context.lineTo(ex - dx * 10 + dy * 6, ey + dy * 10 + dx * 6);
    context.stroke();
  }
}

/** Length of the arrows that tell which way the work goes, px. */
const START_PX = 46;

/** How far along a tape its figure stands, from what it is hooked to: the first where no other stands. */
const TAPE_SHARES = [0.8, 0.6, 0.4, 0.2] as const;

/** Whether a figure leaves another free. */
const isClearOf = (a: Figure, b: Figure): boolean =>
  Math.abs(a.x - b.x) >= (a.wide + b.wide) / 2 + APART_PX || Math.abs(a.y - b.y) >= DIMENSION_PX + 4;

/** A figure over the drawing, on a ground of its own. */
function writeOver({ context, palette }: Brush, { text, wide, x, y }: Figure): void {
  context.font = FIGURE_FONT;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillStyle = palette.dimensionGround;
  context.fillRect(x - wide / 2, y - DIMENSION_PX / 2 - 2, wide, DIMENSION_PX + 4);
  context.fillStyle = palette.dimension;
  context.fillText(text, x, y);
}

/** Where something is pinned: a needle with its head. */
export function paintPins({ context, palette, view }: Brush, { pins }: Drawing): void {
  for (const pin of pins) {
    if (pin.kind === 'noCutUnder') continue;
    const [x, y] = toScreen(view, pin.at);
    context.strokeStyle = palette.outline;
    context.lineWidth = 1.5;
    context.beginPath();
    context.moveTo(x, y);
    context.lineTo(x + 7, y - 15);
    context.stroke();
    context.beginPath();
    context.arc(x + 8, y - 18, 5.5, 0, 2 * Math.PI);
    context.fillStyle = palette.chalk;
    context.fill();
    context.stroke();
  }
}

/** End cuts along each edge, as far as there is room. */
export function paintEndCuts(brush: Brush, drawing: Drawing, toCut: readonly CutPiece[], tape: Tape): void {
  const written: Figure[] = [];
  const strips = toCut.filter(({ strip }) => strip);
  for (const { at, outward, mm } of edgeDimensions(drawing)) {
    const figure = figureAt(brush, formatLength(mm, tape), toScreen(brush.view, beyondStrips(strips, at, outward)), outward);
    if (!written.every((other) => isClearOf(figure, other)) || drawing.traced.edges.some((edge) => runsThrough(brush, edge, figure)))
      continue;
    written.push(figure);
    writeFigure(brush, figure);
  }
}

/** Lengths of all edges; the stretches of a curve are written once, as the length along it. */
export function paintEdgeLengths(brush: Brush, { traced }: Drawing, tape: Tape): void {
  for (const stretches of runsOfEdges(traced.edges)) {
    const lengthMm = stretches.reduce((sum, { from, to }) => sum + distance(from, to), 0);
    if (lengthMm * brush.view.scale < 34) continue;
    const [start, end] = [stretches[0].from, stretches[stretches.length - 1].to];
    const straightMm = distance(start, end);
    const curved = lengthMm - straightMm > BENT_MM;
    const { from, to } = stretches[Math.floor(stretches.length / 2)];
    const out = quarterTurn(unit(subtract(to, from)));
    const at = toScreen(brush.view, curved ? from : [(start[0] + end[0]) / 2, (start[1] + end[1]) / 2]);
    const text = curved ? `⌒ ${formatLength(lengthMm, tape)}` : formatLength(straightMm, tape);
    writeFigure(brush, figureAt(brush, text, at, [-out[0], -out[1]]));
  }
}

/** Stretches of one edge that follow each other, together. */
function runsOfEdges(edges: readonly Edge[]): Edge[][] {
  const runs: Edge[][] = [];
  for (const edge of edges) {
    const last = runs.at(-1);
    if (last?.[0].id === edge.id) last.push(edge);
    else runs.push([edge]);
  }
  return runs;
}

/** A figure and where its middle stands, pixels. */
interface Figure {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}

/** Where a figure stands clear of the edge it belongs to. */
function figureAt({ context }: Brush, text: string, edge: Point, outward: Point): Figure {
  context.font = FIGURE_FONT;
  const wide = context.measureText(text).width;
  return { text, wide, x: edge[0] + outward[0] * (CLEAR_PX + wide / 2), y: edge[1] - outward[1] * (CLEAR_PX + DIMENSION_PX / 2) };
}

/** Whether an edge is drawn across a figure. */
function runsThrough({ view }: Brush, { from, to }: Edge, { x, y, wide }: Figure): boolean {
  const [a, b] = [toScreen(view, from), toScreen(view, to)];
  let [enters, leaves] = [0, 1];
  for (const [k, middle, half] of [
    [0, x, wide / 2],
    [1, y, DIMENSION_PX / 2],
  ] as const) {
    const [start, way] = [a[k] - middle, b[k] - a[k]];
    if (way === 0 && Math.abs(start) > half) return false;
    if (way === 0) continue;
    const ends = [(-half - start) / way, (half - start) / way];
    enters = Math.max(enters, Math.min(...ends));
    leaves = Math.min(leaves, Math.max(...ends));
  }
  return enters <= leaves;
}

function writeFigure({ context, palette }: Brush, { text, x, y }: Figure): void {
  context.font = FIGURE_FONT;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.lineWidth = 5;
  context.lineJoin = 'round';
  context.strokeStyle = palette.ground;
  context.strokeText(text, x, y);
  context.fillStyle = palette.dimension;
  context.fillText(text, x, y);
}
