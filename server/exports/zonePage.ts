import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import { distance, scale, subtract, unit } from '@azulejo/core/geometry/point';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import { mixFor } from '@azulejo/core/takeoff/mixes/planMixes';
import type { SurfaceSource } from './exportKind.ts';
import { FAINT, INK, MARGIN, POINTS_PER_MM, write, writeHeader } from './paper.ts';
import { scaleFor, type Frame } from './paperDrawing.ts';

/** How wide the column beside the drawing is, points. */
const COLUMN = 230;

/** Where a zone is numbered, points. */
const BADGE = 9;

/** In what order a surface is laid: its zones drawn with their numbers and the way on, and what each takes. Nothing for one zone. */
export function writeZonePage(pdf: PDFKit.PDFDocument, source: SurfaceSource): void {
  const { planned, surface, mixes = [], tape, words } = source;
  const { say } = words;
  const { zones } = planned.zones;
  if (zones.length < 2) return;
  pdf.addPage();
  const top = writeHeader(pdf, source, say('paper/zones'));
  const width = pdf.page.width - 2 * MARGIN - COLUMN - 20;
  drawZones(pdf, planned, { x: MARGIN, y: top + 6, width, height: pdf.page.height - top - MARGIN - 20 });
  const adhesive = mixes.find(({ item, surfaces }) => item === 'adhesive' && surfaces.some(({ surfaceId }) => surfaceId === surface.id));
  let [x, y, wide] = [pdf.page.width - MARGIN - COLUMN, top, COLUMN];
  const line = (text: string, size = 9, colour = INK): void => {
    if (y + 2 * size > pdf.page.height - MARGIN - 10) {
      pdf.addPage();
      [x, wide, y] = [MARGIN, pdf.page.width - 2 * MARGIN, writeHeader(pdf, source, say('paper/zonesContinued'))];
    }
    y = write(pdf, text, 'text', size, colour, x, y, wide) + 3;
  };
  line(words.describeZones(planned.zones, thingNamesOf(planned.traced)));
  const ahead = adhesive ? words.describeAhead(adhesive, tape) : '';
  if (ahead !== '') line(ahead);
  y += 4;
  for (const zone of zones) {
    const share = adhesive ? mixFor(adhesive, surface.id, zone.areaMm2 / 1e6) : null;
    const mix = share ? `; ${say('paper/zoneMix', { mix: words.describeShare(share, tape) })}` : '';
    line(`${zone.number}.  ${words.describeZone(zone, tape)}${mix}`);
  }
  line(words.SAFETY.mixing, 7.5, FAINT);
}

function drawZones(pdf: PDFKit.PDFDocument, { traced, zones: { zones } }: SurfaceSource['planned'], frame: Frame): void {
  const box = boxOf(traced.outline);
  const k = POINTS_PER_MM / scaleFor(box, frame);
  const left = frame.x + (frame.width - (box.maxX - box.minX) * k) / 2;
  const above = frame.y + (frame.height - (box.maxY - box.minY) * k) / 2;
  const at = ([px, py]: readonly [number, number]): [number, number] => [left + (px - box.minX) * k, above + (box.maxY - py) * k];
  const trace = (ring: Ring): PDFKit.PDFDocument => pdf.polygon(...ring.map(at));
  pdf.lineWidth(0.9).strokeColor('#1d4f91');
  zones.forEach(({ polygons }, n) => {
    for (const ring of polygons.flat()) trace(ring);
    pdf.fillAndStroke(n % 2 === 0 ? '#eef3f9' : '#ffffff', '#1d4f91', 'even-odd');
  });
  pdf.lineWidth(1.1).strokeColor('#111820');
  trace(traced.outline).stroke();
  for (const { ring } of traced.fixtures) trace(ring).stroke();
  pdf.lineWidth(1.2).strokeColor('#1d4f91');
  for (const { labelAt, towards } of zones) if (towards) drawWay(pdf, at(labelAt), at(towards));
  for (const { labelAt, number } of zones) {
    const [cx, cy] = at(labelAt);
    pdf.circle(cx, cy, BADGE).fill('#1d4f91');
    const half = pdf.font('bold').fontSize(10).widthOfString(String(number)) / 2;
    write(pdf, String(number), 'bold', 10, '#ffffff', cx - half, cy - 6, 40);
  }
}

/** An arrow from where one kneels to where the work goes on. */
function drawWay(pdf: PDFKit.PDFDocument, from: readonly [number, number], to: readonly [number, number]): void {
  if (distance(from, to) < 2 * BADGE) return;
  const way = unit(subtract(to, from));
  const head = scale(way, -7);
  pdf.moveTo(...from).lineTo(...to);
  for (const side of [1, -1]) pdf.moveTo(...to).lineTo(to[0] + head[0] - side * head[1] * 0.6, to[1] + head[1] + side * head[0] * 0.6);
  pdf.stroke();
}
