import type { CutGroup } from '@azulejo/core/cuts/groupCuts';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { drawScaleBar } from './scaleBar.ts';
import { boxOf, type Box, type Ring } from '@azulejo/core/geometry/ring';
import { productName } from '@azulejo/core/job/job';
import type { SurfaceSource } from './exportKind.ts';
import { drawArrow } from './paperDrawing.ts';
import { FAINT, INK, MARGIN, POINTS_PER_MM, startPaper, write, type Paper } from './paper.ts';

/** What a printer leaves white, mm; the paper is cut or overlapped there. */
const WHITE_MM = 12;

/** The heading of a page, and the scale bar below it, mm. */
const HEAD_MM = 24;

/** What two pages have in common, so that one can be glued over the other, mm. */
const OVERLAP_MM = 10;

/** So many pages at most for one surface; more are for a plotter. */
const MOST_PAGES = 200;

/** Cuts that no fence and no bit makes by itself: they are drawn round a paper. */
const wantsTemplate = ({ first: { marks } }: CutGroup): boolean =>
  marks.some(({ type }) => type === 'path' || type === 'bite' || type === 'chord' || type === 'window' || type === 'slot');

/** The piece that is asked for and those like it, or all that want a template. */
const groupsFor = ({ planned, label }: SurfaceSource): CutGroup[] =>
  label === undefined
    ? planned.groups.filter(wantsTemplate)
    : planned.groups.filter(({ pieces }) => pieces.some((piece) => piece.label === label));

/** Curved and awkward pieces in full size over A4 pages, each with a bar to check the scale and crosses to join pages by. */
export function writeTemplates(source: SurfaceSource): Promise<Buffer> {
  const { job, surface, words } = source;
  const { say } = words;
  const pages = groupsFor(source).flatMap(fewestPages);
  const paper = startPaper(say, `${job.name}: ${surface.name}, ${say('paper/templates')}`, pages[0]?.layout ?? 'portrait');
  const { pdf } = paper;
  const kept = pages.slice(0, MOST_PAGES);
  kept.forEach((page, k) => {
    if (k > 0) pdf.addPage({ size: 'A4', layout: page.layout, margin: MARGIN });
    drawPage(paper, source, page);
  });
  if (pages.length === 0) write(pdf, say('paper/noTemplate', { surface: surface.name }), 'text', 11, INK, 40, 40, 500);
  if (pages.length > MOST_PAGES) {
    pdf.addPage();
    write(pdf, say('paper/pagesLeftOut', { count: pages.length - MOST_PAGES }), 'text', 11, INK, 40, 40, 500);
  }
  return paper.finish();
}

type Layout = 'portrait' | 'landscape';

/** A sheet of A4 as it is held, mm. */
const A4_MM: Readonly<Record<Layout, readonly [number, number]>> = { portrait: [210, 297], landscape: [297, 210] };

/** Pages upright, or across where that takes fewer. */
function fewestPages(group: CutGroup): Page[] {
  const [upright, across] = [pagesOf(group, 'portrait'), pagesOf(group, 'landscape')];
  return across.length < upright.length ? across : upright;
}

/** One page of a template: which stretch of the tile it shows, mm. */
interface Page {
  readonly layout: Layout;
  readonly group: CutGroup;
  readonly window: Box;
  readonly column: number;
  readonly row: number;
  readonly columns: number;
  readonly rows: number;
}

function pagesOf(group: CutGroup, layout: Layout): Page[] {
  const { minX, minY, maxX, maxY } = boxOf(group.first.inTile[0]);
  const [wide, high] = [A4_MM[layout][0] - 2 * WHITE_MM, A4_MM[layout][1] - 2 * WHITE_MM - HEAD_MM];
  const [columns, rows] = [pagesFor(maxX - minX, wide), pagesFor(maxY - minY, high)];
  return Array.from({ length: columns * rows }, (_, k) => {
    const [column, row] = [k % columns, Math.floor(k / columns)];
    const [left, top] = [minX + column * (wide - OVERLAP_MM), maxY - row * (high - OVERLAP_MM)];
    return { group, layout, column, row, columns, rows, window: { minX: left, maxX: left + wide, minY: top - high, maxY: top } };
  });
}

const pagesFor = (size: number, page: number): number => Math.max(1, Math.ceil((size - OVERLAP_MM) / (page - OVERLAP_MM)));

function drawPage({ pdf }: Paper, { job, surface, words }: SurfaceSource, { group, window, column, row, columns, rows }: Page): void {
  const { first, pieces } = group;
  const [left, top] = [WHITE_MM * POINTS_PER_MM, (WHITE_MM + HEAD_MM) * POINTS_PER_MM];
  const width = (window.maxX - window.minX) * POINTS_PER_MM;
  const height = (window.maxY - window.minY) * POINTS_PER_MM;
  const labels = pieces.map(({ label }) => label);
  const { say } = words;
  const sheet =
    columns * rows === 1
      ? ''
      : say('paper/templateSheet', { page: row * columns + column + 1, of: columns * rows, row: row + 1, column: column + 1 });
  write(
    pdf,
    `${labels.slice(0, 8).join(', ')}${labels.length > 8 ? ` ${say('paper/andMore', { count: labels.length - 8 })}` : ''}`,
    'bold',
    15,
    INK,
    left,
    left - 12,
    width,
  );
  write(
    pdf,
    `${surface.name}, ${productName(job, first.productId)}. ${say('paper/templateOf', { kind: words.kindName(first.kind), wayUp: first.hasWayUp, sheet })}.`,
    'text',
    8,
    FAINT,
    left,
    left + 8,
    width,
  );
  drawScaleBar(pdf, say, left, left + 32);
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    left + (x - window.minX) * POINTS_PER_MM,
    top + (window.maxY - y) * POINTS_PER_MM,
  ];
  pdf.save().rect(left, top, width, height).clip();
  drawPiece(pdf, first, at);
  pdf.restore();
  pdf.lineWidth(0.3).strokeColor('#8494a1').rect(left, top, width, height).stroke();
  if (columns * rows > 1) drawCrosses(pdf, window, at);
}

/** The tile, and the piece in it: what falls away is shaded. */
function drawPiece(
  pdf: PDFKit.PDFDocument,
  { tile, inTile, hasWayUp, label }: CutPiece,
  at: (p: readonly [number, number]) => [number, number],
): void {
  const trace = (ring: Ring): PDFKit.PDFDocument => pdf.polygon(...ring.map(at));
  trace(tile);
  for (const ring of inTile) trace(ring);
  pdf.fill('#e4e8ec', 'even-odd');
  pdf.lineWidth(0.5).strokeColor('#8494a1').dash(4, { space: 3 });
  trace(tile).stroke();
  pdf.undash().lineWidth(1).strokeColor(INK);
  for (const ring of inTile) trace(ring).stroke();
  const box = boxOf(inTile[0]);
  const [x, y] = at([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
  write(pdf, label, 'bold', 12, FAINT, x - 40, y - 7, 80);
  if (hasWayUp) drawArrow(pdf, [x - 52, y - 4], 24);
}

/** Crosses along the rim of a page, the same on the page that meets it there: laid on each other, the pages fit. */
function drawCrosses(
  pdf: PDFKit.PDFDocument,
  { minX, maxX, minY, maxY }: Box,
  at: (p: readonly [number, number]) => [number, number],
): void {
  pdf.lineWidth(0.4).strokeColor('#b8402b');
  for (let x = Math.ceil(minX / CROSS_MM) * CROSS_MM; x <= maxX; x += CROSS_MM)
    for (let y = Math.ceil(minY / CROSS_MM) * CROSS_MM; y <= maxY; y += CROSS_MM) {
      if (x - minX > RIM_MM && maxX - x > RIM_MM && y - minY > RIM_MM && maxY - y > RIM_MM) continue;
      const [cx, cy] = at([x, y]);
      pdf
        .moveTo(cx - 4, cy)
        .lineTo(cx + 4, cy)
        .moveTo(cx, cy - 4)
        .lineTo(cx, cy + 4)
        .stroke();
    }
}

/** Further apart than what two pages have in common, none might fall on it, mm. */
const CROSS_MM = OVERLAP_MM;
const RIM_MM = OVERLAP_MM;
