import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { kindLetter } from '@azulejo/core/cuts/kindLetter';
import type { Point } from '@azulejo/core/geometry/point';
import { boxOf, type Box, type Ring } from '@azulejo/core/geometry/ring';
import { tapeOf } from '@azulejo/core/job/job';
import { forEachWhole, tileRing } from '@azulejo/core/setout/layout';
import { edgeDimensions } from '@azulejo/core/setout/edgeDimensions';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { fontRuns } from './pdfFonts.ts';

/** Points on the sheet in one millimetre of paper. */
const POINTS_PER_MM = 72 / 25.4;

const SCALES = [1, 2, 5, 7.5, 10, 12.5, 15, 20, 25, 30, 40, 50, 75, 100, 200, 500];

/** Where on the sheet a drawing goes, points. */
export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The largest scale, as 1 to so many, at which a box fits a frame. */
export function scaleFor(box: Box, frame: Frame): number {
  const fits = (scale: number): boolean =>
    ((box.maxX - box.minX) / scale) * POINTS_PER_MM <= frame.width && ((box.maxY - box.minY) / scale) * POINTS_PER_MM <= frame.height;
  return SCALES.find(fits) ?? 1000;
}

/** Draws a setout to scale: pieces, hatched cuts with their labels, fixtures, lines, dimensions. Returns the scale. */
export function drawSetout(pdf: PDFKit.PDFDocument, { job, surface, planned }: SurfaceSource, frame: Frame): number {
  const box = boxOf(planned.traced.outline);
  const scale = scaleFor(box, frame);
  const k = POINTS_PER_MM / scale;
  const left = frame.x + (frame.width - (box.maxX - box.minX) * k) / 2;
  const top = frame.y + (frame.height - (box.maxY - box.minY) * k) / 2;
  const at = ([x, y]: readonly [number, number]): [number, number] => [left + (x - box.minX) * k, top + (box.maxY - y) * k];
  const trace = (ring: Ring): PDFKit.PDFDocument => pdf.polygon(...ring.map(at));

  pdf.lineWidth(0.35).strokeColor('#5c6670');
  for (const { layout } of planned.fields) {
    forEachWhole(layout, (address) => {
      const { colour } = layout.repeat.pieces[address.piece];
      if (colour) trace(tileRing(layout, address)).fillAndStroke(colour, '#5c6670');
      else trace(tileRing(layout, address)).stroke();
    });
  }
  for (const { polygon } of planned.cuts.filter(({ of }) => of !== 'stone')) {
    for (const ring of polygon) trace(ring);
    pdf.fillAndStroke('#dfe5ea', '#3a444e', 'even-odd');
  }
  pdf.lineWidth(1.1).strokeColor('#111820');
  trace(planned.traced.outline).stroke();
  for (const { ring, fixture } of planned.traced.fixtures) {
    pdf.lineWidth(0.8).strokeColor('#111820');
    trace(ring).stroke();
    const { minX, maxX, minY, maxY } = boxOf(ring);
    const fits = pdf.font('figure').fontSize(8).widthOfString(fixture.name) < (maxX - minX) * k;
    const [x, y] = at([(minX + maxX) / 2, fits ? (minY + maxY) / 2 : maxY]);
    writeCentred(pdf, fixture.name, [x, fits ? y : y - 6], 8, '#111820');
  }
  drawLines(pdf, planned, at);
  for (const { label, kind, polygon, labelAt } of planned.cuts) {
    const piece = boxOf(polygon[0]);
    if (Math.min(piece.maxX - piece.minX, piece.maxY - piece.minY) * k < 8) continue;
    writeCentred(pdf, `${label}${kindLetter(kind)}`, at(labelAt), 6.5, '#111820');
  }
  const tape = tapeOf(job, surface);
  for (const { at: place, outward, mm } of edgeDimensions(planned)) {
    const [x, y] = at(place);
    writeCentred(pdf, formatLength(mm, tape), [x + outward[0] * 16, y - outward[1] * 10], 10, '#1d4f91');
  }
  return scale;
}

function drawLines(
  pdf: PDFKit.PDFDocument,
  planned: SurfaceSource['planned'],
  at: (p: readonly [number, number]) => [number, number],
): void {
  pdf.lineWidth(1.3).strokeColor('#b8402b').dash(6, { space: 3 });
  const struck = [
    ...planned.lines.map(({ axis, atMm, spanMm }) => spanMm.map((end): Point => (axis === 'x' ? [atMm, end] : [end, atMm]))),
    ...planned.slants.map(({ ends }) => ends.map((end) => end.at)),
  ];
  for (const ends of struck) {
    const [from, to] = ends.map(at);
    pdf
      .moveTo(...from)
      .lineTo(...to)
      .stroke();
  }
  pdf.undash();
}

function writeCentred(pdf: PDFKit.PDFDocument, text: string, [x, y]: readonly [number, number], size: number, colour: string): void {
  const runs = fontRuns(text, 'figure');
  pdf.fontSize(size).fillColor(colour);
  const widths = runs.map((run) => pdf.font(run.font).widthOfString(run.text));
  let left = x - widths.reduce((sum, width) => sum + width, 0) / 2;
  runs.forEach((run, k) => {
    pdf.font(run.font).text(run.text, left, y - size * 0.62, { lineBreak: false });
    left += widths[k];
  });
}

/** Draws a piece within the outline of its tile, for the list of cuts. */
export function drawPieceOutline(pdf: PDFKit.PDFDocument, { inTile, tile }: CutPiece, frame: Frame): void {
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
}
