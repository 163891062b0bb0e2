import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import { faceColour, forEachPiece } from '@azulejo/core/setout/fields/eachPiece';
import type { SurfaceSource } from './exportKind.ts';
import type { Frame } from './paperDrawing.ts';

/** Draws a surface as it will look, in the colours of its tiles and joints, as large as its frame allows. */
export function drawFinished(pdf: PDFKit.PDFDocument, { job, surface, planned }: SurfaceSource, frame: Frame): void {
  const box = boxOf(planned.traced.outline);
  const k = Math.min(frame.width / (box.maxX - box.minX), frame.height / (box.maxY - box.minY));
  const left = frame.x + (frame.width - (box.maxX - box.minX) * k) / 2;
  const bottom = frame.y + (frame.height + (box.maxY - box.minY) * k) / 2;
  const trace = (ring: Ring): PDFKit.PDFDocument =>
    pdf.polygon(...ring.map(([x, y]): [number, number] => [left + (x - box.minX) * k, bottom - (y - box.minY) * k]));
  const colours = new Map(job.products.map(({ id, colour }) => [id, colour]));

  for (const rings of planned.traced.floor) {
    for (const ring of rings) trace(ring);
    pdf.fill(surface.jointColour, 'even-odd');
  }
  for (const field of planned.fields)
    forEachPiece(field, (piece) => {
      for (const ring of piece.polygons.flat()) trace(ring);
      pdf.fill(faceColour(piece, colours), 'even-odd');
    });
  pdf.lineWidth(0.7).strokeColor('#3a444e');
  trace(planned.traced.outline).stroke();
  for (const { fixture, ring } of planned.traced.fixtures) if (!fixture.tiledUnder) trace(ring).fillAndStroke('#ffffff', '#3a444e');
}
