import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { standingAlong } from '@azulejo/core/surface/standing';
import { beyondStrips } from '@azulejo/core/cuts/strips/beyondStrips';
import { kindLetter } from '@azulejo/core/cuts/kindLetter';
import { boxOf, type Box, type Ring } from '@azulejo/core/geometry/ring';
import { forEachWayUp, narrowestTile } from '@azulejo/core/setout/fields/wayUp';
import { forEachPiece } from '@azulejo/core/setout/fields/eachPiece';
import { cellsInUse, sheetInSight, sheetRings } from '@azulejo/core/setout/place/sheetRings';
import { hasWayUp } from '@azulejo/core/tile/product';
import { edgeDimensions } from '@azulejo/core/setout/edges/edgeDimensions';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { INK, POINTS_PER_MM } from './paper.ts';
import { LabelSpace, type LabelPlace } from './labelSpace.ts';

const SCALES = [1, 2, 5, 7.5, 10, 12.5, 15, 20, 25, 30, 40, 50, 75, 100, 200, 500];

/** Where on the paper a drawing goes, points. */
export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** From the surface, mm, to the paper, points. */
type OnPaper = (p: readonly [number, number]) => [number, number];

/** The largest scale, as 1 to so many, at which a box fits a frame. */
export function scaleFor(box: Box, frame: Frame): number {
  const fits = (scale: number): boolean =>
    ((box.maxX - box.minX) / scale) * POINTS_PER_MM <= frame.width && ((box.maxY - box.minY) / scale) * POINTS_PER_MM <= frame.height;
  return SCALES.find(fits) ?? 1000;
}

/** Draws a setout to scale: pieces, hatched cuts with their labels, fixtures, lines, dimensions. Returns the scale. */
export function drawSetout(pdf: PDFKit.PDFDocument, source: SurfaceSource, frame: Frame): number {
  const { job, planned } = source;
  const box = boxOf([...planned.traced.outline, ...planned.toCut.flatMap(({ strip, polygon }) => (strip ? polygon.flat() : []))]);
  const scale = scaleFor(box, frame);
  const k = POINTS_PER_MM / scale;
  const left = frame.x + (frame.width - (box.maxX - box.minX) * k) / 2;
  const top = frame.y + (frame.height - (box.maxY - box.minY) * k) / 2;
  const at: OnPaper = ([x, y]) => [left + (x - box.minX) * k, top + (box.maxY - y) * k];
  const trace = (ring: Ring): PDFKit.PDFDocument => pdf.polygon(...ring.map(at));

  pdf.lineWidth(0.35).strokeColor('#5c6670');
  for (const field of planned.fields)
    forEachPiece(field, ({ piece, polygons, isCut }) => {
      if (isCut) return;
      for (const ring of polygons.flat()) trace(ring);
      if (piece.colour) pdf.fillAndStroke(piece.colour, '#5c6670');
      else pdf.stroke();
    });
  for (const { polygon } of planned.cuts.filter(({ of }) => of !== 'stone')) {
    for (const ring of polygon) trace(ring);
    pdf.fillAndStroke('#dfe5ea', '#3a444e', 'even-odd');
  }
  for (const { polygon } of planned.toCut.filter(({ strip }) => strip)) for (const ring of polygon) trace(ring).stroke();
  drawSheets(pdf, planned, at);
  drawWaysUp(pdf, job, planned, at, k);
  pdf.lineWidth(1.1).strokeColor('#111820');
  trace(planned.traced.outline).stroke();
  pdf.lineWidth(0.8).strokeColor('#111820');
  for (const { ring } of planned.traced.fixtures) trace(ring).stroke();
  drawStanding(pdf, planned, at);
  drawCarried(pdf, planned, at, k);
  drawLines(pdf, planned, at);
  writeLabels(new LabelSpace(pdf), source, at, k);
  return scale;
}

/** The edges of mosaic sheets within what is tiled. */
function drawSheets(pdf: PDFKit.PDFDocument, { fields, traced }: SurfaceSource['planned'], at: OnPaper): void {
  if (fields.every(({ layout }) => !layout.repeat.sheetEdges)) return;
  pdf.save();
  for (const ring of traced.region.flat()) pdf.polygon(...ring.map(at));
  pdf.clip('even-odd');
  for (const { layout } of fields)
    for (const [i, j] of cellsInUse(layout)) for (const ring of sheetRings(layout, i, j)) pdf.polygon(...ring.map(at));
  pdf.lineWidth(0.9).strokeColor('#111820').stroke();
  pdf.restore();
}

/** Arrows on tiles that come out smaller than this would be specks, points; nor are they longer than that. */
const LEAST_WITH_ARROW = 9;
const LONGEST_ARROW = 14;

/** Which way up whole tiles lie, where their face or the arrow on their back tells. */
function drawWaysUp(
  pdf: PDFKit.PDFDocument,
  { products }: SurfaceSource['job'],
  { fields }: SurfaceSource['planned'],
  at: OnPaper,
  k: number,
): void {
  const directional = new Set(products.filter(hasWayUp).map(({ id }) => id));
  for (const field of fields) {
    const side = narrowestTile(field) * k;
    if (side < LEAST_WITH_ARROW || field.layout.repeat.sheet) continue;
    forEachWayUp(
      field,
      (productId) => directional.has(productId),
      (middle, topDeg) => drawArrow(pdf, at(middle), Math.min(LONGEST_ARROW, side / 2), topDeg),
    );
  }
}

/** What stands along edges before the field begins. */
function drawStanding(pdf: PDFKit.PDFDocument, { traced }: SurfaceSource['planned'], at: OnPaper): void {
  for (const ring of standingAlong(traced))
    pdf
      .polygon(...ring.map(at))
      .fillColor('#c3ccd4')
      .fill();
}

/** Movement joints that are carried through, as wide as they are, with their middle in dash and dot. */
function drawCarried(pdf: PDFKit.PDFDocument, { struck }: SurfaceSource['planned'], at: OnPaper, k: number): void {
  for (const { joint, ends } of struck.lines) {
    if (!joint) continue;
    const [from, to] = ends.map(at);
    const stroke = (): PDFKit.PDFDocument =>
      pdf
        .moveTo(...from)
        .lineTo(...to)
        .stroke();
    pdf.lineWidth(Math.max(LEAST_JOINT, joint.widthMm * k)).strokeColor('#c3ccd4');
    stroke();
    pdf.lineWidth(0.9).strokeColor(INK).dash(7, { space: 2 });
    stroke();
    pdf.undash();
  }
}

/** A movement joint is drawn no thinner, points. */
const LEAST_JOINT = 2;

function drawLines(pdf: PDFKit.PDFDocument, planned: SurfaceSource['planned'], at: OnPaper): void {
  pdf.lineWidth(1.3).strokeColor('#b8402b').dash(6, { space: 3 });
  for (const { use, ends } of planned.struck.lines) {
    if (use === 'carried') continue;
    const [from, to] = ends.map(at);
    pdf
      .lineWidth(use === 'control' ? 0.6 : 1.3)
      .moveTo(...from)
      .lineTo(...to)
      .stroke();
  }
  pdf.undash();
  for (const tape of tapesOf(planned)) {
    const [foot, end] = [tape.foot, tape.at].map(at);
    pdf
      .lineWidth(0.4)
      .moveTo(...foot)
      .lineTo(...end)
      .stroke();
  }
}

/** The tapes that put the lines in their places, as they are told beside the drawing; what is alike at both ends, once. */
const tapesOf = ({ struck }: SurfaceSource['planned']) =>
  struck.lines
    .filter(({ use }) => use !== 'control')
    .flatMap(({ tapes: [a, b] }) => (a.by === 'square' && b.by === 'square' && Math.abs(a.mm - b.mm) < 0.05 ? [a] : [a, b]))
    .flatMap((tape) => (tape.by === 'square' ? [tape] : []));

/** Dimensions first, then what stands in the field, then the pieces: what finds no room is left to the list of cuts. */
function writeLabels(space: LabelSpace, { planned, tape }: SurfaceSource, at: OnPaper, k: number): void {
  for (const { at: place, outward, mm } of edgeDimensions(planned)) {
    const [x, y] = at(beyondStrips(planned.toCut, place, outward));
    const steps = [0, 1, 2, 3].map((step): LabelPlace => ({
      at: [x + outward[0] * (16 + 26 * step), y - outward[1] * (10 + 11 * step)],
    }));
    space.write(formatLength(mm, tape), 10, '#1d4f91', steps);
  }
  for (const { foot, at: end, mm } of tapesOf(planned)) {
    const places = [0.8, 0.6, 0.4, 0.2].map((share): LabelPlace => {
      const [x, y] = at([foot[0] + share * (end[0] - foot[0]), foot[1] + share * (end[1] - foot[1])]);
      return { at: [x, y] };
    });
    space.write(formatLength(mm, tape), 8, '#b8402b', places, true);
  }
  for (const { ring, fixture } of planned.traced.fixtures) {
    const { minX, maxX, minY, maxY } = boxOf(ring);
    const [x, middle] = at([(minX + maxX) / 2, (minY + maxY) / 2]);
    const [right, top] = at([maxX, maxY]);
    const [left, bottom] = at([minX, minY]);
    const half = space.widthOf(fixture.name, 8) / 2;
    const beside = [top - 6, bottom + 6].map((y): LabelPlace => ({ at: [x, y] }));
    const ends = [right + half + 3, left - half - 3].map((place): LabelPlace => ({ at: [place, middle] }));
    space.write(fixture.name, 8, '#111820', [...(2 * half < right - left ? [{ at: [x, middle] as const }] : []), ...beside, ...ends]);
    if (!fixture.tiledUnder) space.keepClear({ left, right, top, bottom });
  }
  for (const { field, i, j, label } of planned.sheets.flatMap(({ parts }) => parts)) {
    const { minX, maxX, minY, maxY } = sheetInSight(planned.fields[field].layout, i, j, planned.traced.region);
    const [x, y] = at([(minX + maxX) / 2, (minY + maxY) / 2]);
    const isRoomy = (maxX - minX) * k > space.widthOf(label, 8) && (maxY - minY) * k > 9;
    if (isRoomy)
      space.write(
        label,
        8,
        '#1d4f91',
        [0, -9, 9].map((off): LabelPlace => ({ at: [x, y + off] })),
        true,
      );
  }
  for (const piece of planned.toCut.filter(({ of }) => of !== 'sheet')) {
    const { label, polygon, labelAt } = piece;
    const { minX, maxX, minY, maxY } = boxOf(polygon[0]);
    const [wide, high] = [(maxX - minX) * k, (maxY - minY) * k];
    const text = `${label}${kindLetter(piece)}`;
    const room = space.widthOf(text, 6.5);
    const fits = { along: wide >= room && high >= 7, upward: high >= room && wide >= 7 };
    const [x, y] = at(labelAt);
    const near = [0, -7, 7].map((off): LabelPlace => ({ at: [x, y + off] }));
    const upright = [0, -7, 7].map((off): LabelPlace => ({ at: [x + off, y], upward: true }));
    space.write(text, 6.5, '#111820', fits.along ? near : fits.upward ? upright : []);
  }
}

/** Draws a piece within the outline of its tile, for the list of cuts. */
export function drawPieceOutline(
  pdf: PDFKit.PDFDocument,
  { inTile, tile, hasWayUp: isDirectional }: Pick<CutPiece, 'inTile' | 'tile' | 'hasWayUp'>,
  frame: Frame,
): void {
  const { minX, minY, maxX, maxY } = boxOf(tile);
  const k = Math.min(frame.width / (maxX - minX), frame.height / (maxY - minY));
  const top = frame.y + (frame.height - (maxY - minY) * k) / 2;
  const at = ([x, y]: readonly [number, number]): [number, number] => [frame.x + (x - minX) * k, top + (maxY - y) * k];
  pdf
    .lineWidth(0.4)
    .strokeColor('#8494a1')
    .dash(2, { space: 1.5 })
    .polygon(...tile.map(at))
    .stroke()
    .undash();
  for (const ring of inTile) pdf.polygon(...ring.map(at));
  pdf.lineWidth(0.9).fillAndStroke('#dfe5ea', '#111820', 'even-odd');
  if (!isDirectional) return;
  const piece = boxOf(inTile[0]);
  const long = Math.min(LONGEST_ARROW, 0.6 * (piece.maxY - piece.minY) * k);
  drawArrow(pdf, at([(piece.minX + piece.maxX) / 2, (piece.minY + piece.maxY) / 2]), long);
}

/** An arrow about its middle: which way the top of a face is, degrees against the clock from the right. */
export function drawArrow(pdf: PDFKit.PDFDocument, [x, y]: readonly [number, number], long: number, topDeg = 90): void {
  const up = (topDeg * Math.PI) / 180;
  const at = (along: number, aside: number): [number, number] => [
    x + along * Math.cos(up) + aside * Math.sin(up),
    y - along * Math.sin(up) + aside * Math.cos(up),
  ];
  const [tip, head] = [long / 2, 2 + long / 12];
  pdf
    .lineWidth(0.8)
    .strokeColor(INK)
    .moveTo(...at(-tip, 0))
    .lineTo(...at(tip, 0))
    .moveTo(...at(tip - head, -head))
    .lineTo(...at(tip, 0))
    .lineTo(...at(tip - head, head))
    .stroke();
}
