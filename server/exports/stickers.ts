import { tripsFor } from '@azulejo/core/cuts/cutOrder';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { drawPieceOutline, type Frame } from './paperDrawing.ts';
import { FAINT, INK, POINTS_PER_MM, startPaper, write } from './paper.ts';

const COLUMNS = 3;
const ROWS = 8;
const PADDING = 3.5 * POINTS_PER_MM;

/** A sticker for every cut piece, three by eight on an A4 page without margins, in the order in which they are cut. */
export function writeStickers(source: SurfaceSource): Promise<Buffer> {
  const { job, surface, planned, words } = source;
  const { pdf, finish } = startPaper(words.say, `${job.name}: ${surface.name}, ${words.say('paper/labels')}`, 'portrait');
  const pieces = tripsFor(planned, surface.pattern, job.cutting).flatMap((trip) => trip.settings.flatMap((setting) => setting.pieces));
  if (pieces.length === 0) write(pdf, words.say('paper/nothingToLabel', { surface: surface.name }), 'text', 11, INK, 40, 40, 500);
  const [width, height] = [pdf.page.width / COLUMNS, pdf.page.height / ROWS];
  pieces.forEach((piece, k) => {
    const place = k % (COLUMNS * ROWS);
    if (k > 0 && place === 0) pdf.addPage();
    pdf.page.margins.bottom = 0;
    const [x, y] = [(place % COLUMNS) * width, Math.floor(place / COLUMNS) * height];
    drawSticker(pdf, source, piece, { x: x + PADDING, y: y + PADDING, width: width - 2 * PADDING, height: height - 2 * PADDING });
  });
  return finish({ numbered: false });
}

function drawSticker(
  pdf: PDFKit.PDFDocument,
  { surface, planned, tape, words }: SurfaceSource,
  piece: CutPiece,
  { x, y, width, height }: Frame,
): void {
  const picture = 0.3 * width;
  const text = width - picture - 8;
  // A long label is written smaller, so that it stays on one line.
  pdf.font('bold');
  const size = [30, 24, 18, 14, 11].find((one) => pdf.fontSize(one).widthOfString(piece.label) <= text) ?? 9;
  write(pdf, piece.label, 'bold', size, INK, x, y, text);
  const tile = planned.offCuts.sources.get(piece.label)?.tile;
  const lines = [
    `${formatLength(piece.sizeMm.widthMm, tape)} x ${formatLengthWithUnit(piece.sizeMm.heightMm, tape)}`,
    `${words.kindName(piece.kind)}${tile === undefined ? '' : `, ${words.say('paper/tile', { number: tile })}`}`,
  ];
  lines.forEach((line, k) => write(pdf, line, 'text', 8.5, INK, x, y + 36 + 11 * k, text));
  pdf.font('text').fontSize(7);
  write(pdf, shortened(pdf, surface.name, text), 'text', 7, FAINT, x, y + height - 9, text);
  drawPieceOutline(pdf, piece, { x: x + width - picture, y: y + 8, width: picture, height: height - 20 });
}

/** A text cut short where it would not go on one line. */
function shortened(pdf: PDFKit.PDFDocument, text: string, width: number): string {
  let short = text;
  while (short.length > 1 && pdf.widthOfString(short) > width) short = `${short.slice(0, -2).trimEnd()}…`;
  return short;
}
