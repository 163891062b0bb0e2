import PDFDocument from 'pdfkit';
import { productName, productOf, tapeOf } from '@azulejo/core/job/job';
import { edgeName, kindName } from '@azulejo/core/messages/en/names';
import { describeLedger, describeLines } from '@azulejo/core/messages/en/lines';
import { pieceBefore } from '@azulejo/core/messages/en/offCuts';
import { describeMark } from '@azulejo/core/messages/en/marks';
import { describePattern } from '@azulejo/core/messages/en/patterns';
import { describeReasons } from '@azulejo/core/messages/en/reasons';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import { describeSheetPart, describeSheets } from '@azulejo/core/messages/en/sheets';
import { SAFETY } from '@azulejo/core/messages/en/safety';

import { actualSize } from '@azulejo/core/tile/product';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { fontRuns, registerFonts, type PdfFont } from './pdfFonts.ts';
import { writeRodPages } from './rodPages.ts';
import { drawPieceOutline, drawSetout } from './paperDrawing.ts';

const MARGIN = 34;
const INK = '#111820';
const FAINT = '#5c6670';
const ROW_GAP = 6;
const OUTLINE = 30;
const COLUMNS = [
  { title: 'Off', width: 30 },
  { title: '', width: 44 },
  { title: 'Cut', width: 70 },
  { title: 'Size', width: 100 },
  { title: 'Marks', width: 234 },
  { title: 'Tool', width: 60 },
  { title: 'Pieces', width: 236 },
] as const;

/** The setout and cut paper of one surface, A4 across: the scaled drawing, then the grouped cuts. */
export function writeCutPaper(source: SurfaceSource): Promise<Buffer> {
  const pdf = new PDFDocument({
    size: 'A4',
    layout: 'landscape',
    margin: MARGIN,
    bufferPages: true,
    info: { Title: `${source.job.name}: ${source.surface.name}` },
  });
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', () => resolve(Buffer.concat(chunks)));
    pdf.on('error', reject);
  });
  registerFonts(pdf);
  writeSetoutPage(pdf, source);
  writeRodPages(source.planned.layout, {
    pdf,
    startPage: () => {
      pdf.addPage();
      return writeHeader(pdf, source, 'gauge rod across the courses, full size: print without scaling');
    },
    write: (text, size, x, y, width) => void write(pdf, text, 'bold', size, INK, x, y, width),
    tape: tapeOf(source.job, source.surface),
  });
  writeSheetPages(pdf, source);
  if (source.planned.groups.length > 0) writeCutPages(pdf, source);
  numberPages(pdf);
  pdf.end();
  return done;
}

function write(
  pdf: PDFKit.PDFDocument,
  text: string,
  font: PdfFont,
  size: number,
  colour: string,
  x: number,
  y: number,
  width: number,
): number {
  const runs = fontRuns(text, font);
  pdf.fontSize(size).fillColor(colour);
  runs.forEach((run, k) => {
    const continued = k < runs.length - 1;
    pdf.font(run.font);
    if (k === 0) pdf.text(run.text, x, y, { width, continued });
    else pdf.text(run.text, { width, continued });
  });
  return runs.length === 0 ? y : pdf.y;
}

function writeHeader(pdf: PDFKit.PDFDocument, { job, surface }: SurfaceSource, what: string): number {
  const tape = tapeOf(job, surface);
  const product = productOf(job, surface);
  const { widthMm, heightMm } = actualSize(product);
  const size = `${formatLength(widthMm, tape)} x ${formatLengthWithUnit(heightMm, tape)}`;
  const width = pdf.page.width - 2 * MARGIN;
  const y = write(pdf, `${surface.name}: ${what}`, 'bold', 17, INK, MARGIN, MARGIN - 6, width);
  const line = [
    job.name,
    job.client,
    `${product.name}, ${size}, joint ${formatLengthWithUnit(surface.jointMm, tape)}`,
    describePattern(surface.pattern),
  ];
  return write(pdf, line.filter((part) => part !== '').join('   |   '), 'text', 9, FAINT, MARGIN, y, width) + 8;
}

function writeSetoutPage(pdf: PDFKit.PDFDocument, source: SurfaceSource): void {
  const { job, surface, planned } = source;
  const tape = tapeOf(job, surface);
  const top = writeHeader(pdf, source, 'setout');
  const side = 200;
  const frame = {
    x: MARGIN + 26,
    y: top + 14,
    width: pdf.page.width - 2 * MARGIN - side - 66,
    height: pdf.page.height - top - MARGIN - 36,
  };
  const scale = drawSetout(pdf, source, frame);
  let [x, width, y] = [pdf.page.width - MARGIN - side, side, top];
  const paragraph = (text: string, font: PdfFont = 'text', size = 9, colour = INK): void => {
    const height = pdf.font(font).fontSize(size).heightOfString(text, { width });
    // What the column has no room for goes on over the whole of another page.
    if (y + height > pdf.page.height - MARGIN - 10) {
      pdf.addPage();
      [x, width, y] = [MARGIN, pdf.page.width - 2 * MARGIN, writeHeader(pdf, source, 'setout, continued')];
    }
    y = write(pdf, text, font, size, colour, x, y, width) + 4;
  };
  paragraph(`Scale 1:${scale}`, 'bold', 11);
  paragraph('Why here', 'bold', 10);
  for (const reason of describeReasons(planned.advice.reasons, thingNamesOf(planned.traced), tape)) paragraph(reason);
  paragraph('Lines to strike', 'bold', 10, '#b8402b');
  for (const line of describeLines(planned.struck, thingNamesOf(planned.traced), tape)) paragraph(line);
  if (planned.ledger) for (const line of describeLedger(planned.ledger, tape)) paragraph(line);
  paragraph('Along the edges', 'bold', 10);
  for (const { id, smallestCutMm, largestCutMm } of planned.edges.filter((edge) => !edge.isReveal)) {
    const cuts =
      smallestCutMm === null || largestCutMm === null
        ? 'full pieces'
        : formatLength(smallestCutMm, tape) === formatLength(largestCutMm, tape)
          ? formatLengthWithUnit(smallestCutMm, tape)
          : `${formatLength(smallestCutMm, tape)} to ${formatLengthWithUnit(largestCutMm, tape)}`;
    paragraph(`${edgeName(planned.traced.names[id] ?? id)}: ${cuts}`);
  }
  const { totals } = planned;
  paragraph('Pieces', 'bold', 10);
  paragraph(`${totals.whole} whole, ${totals.cut} cut, ${totals.opened} ${openedUnit(planned)} opened, ${totals.boxes} boxes`);
  if (planned.figures.tiles.length > 1) {
    for (const { productId, opened } of planned.figures.tiles) paragraph(`${productName(job, productId)}: ${opened}`);
  }
  paragraph(
    'Cut pieces are tinted and labelled: r rip, t taper, L notch, U slot, o hole, c half-hole, ~ curve, + several.',
    'text',
    7.5,
    FAINT,
  );
}

/** What is opened: sheets where mosaics alone are laid. */
const openedUnit = ({ figures }: SurfaceSource['planned']): string =>
  figures.tiles.every(({ piecesPerTile }) => piecesPerTile > 1) ? 'sheets' : 'tiles';

/** The sheets of mosaics: which are cut, and what each part is taken from. */
function writeSheetPages(pdf: PDFKit.PDFDocument, source: SurfaceSource): void {
  const { job, planned } = source;
  for (const sheets of planned.sheets) {
    pdf.addPage();
    const width = pdf.page.width - 2 * MARGIN;
    let y = writeHeader(pdf, source, 'sheets');
    y = write(pdf, productName(job, sheets.productId), 'bold', 11, INK, MARGIN, y, width) + 4;
    y = write(pdf, describeSheets(sheets), 'text', 9, INK, MARGIN, y, width) + 8;
    for (const part of sheets.parts) {
      if (y > pdf.page.height - MARGIN - 24) {
        pdf.addPage();
        y = writeHeader(pdf, source, 'sheets');
      }
      write(pdf, part.label, 'bold', 9, INK, MARGIN, y, 40);
      y = write(pdf, describeSheetPart(part), 'text', 9, INK, MARGIN + 44, y, width - 44) + 4;
    }
  }
}

function writeCutPages(pdf: PDFKit.PDFDocument, source: SurfaceSource): void {
  const { job, surface, planned } = source;
  const tape = tapeOf(job, surface);
  pdf.addPage();
  let y = startCutPage(pdf, source);
  for (const { first, pieces } of planned.groups) {
    const cells = [
      `${pieces.length}`,
      '',
      kindName(first.kind),
      `${formatLength(first.sizeMm.widthMm, tape)} x ${formatLengthWithUnit(first.sizeMm.heightMm, tape)}`,
      [...first.marks.map((mark) => describeMark(mark, tape)), ...(first.edgeShows ? ['cut edge shows: dress it'] : [])].join('; '),
      first.tool,
      pieces.map(({ label }) => `${label}${sourceOf(source, label)}`).join('  '),
    ];
    pdf.font('text').fontSize(9);
    const height = Math.max(OUTLINE, ...cells.map((text, k) => pdf.heightOfString(text, { width: COLUMNS[k].width - 8 }))) + ROW_GAP;
    if (y + height > pdf.page.height - MARGIN - 14) {
      pdf.addPage();
      y = startCutPage(pdf, source);
    }
    writeRow(pdf, cells, y);
    drawPieceOutline(pdf, first, {
      x: MARGIN + COLUMNS[0].width,
      y: y - 1,
      width: OUTLINE,
      height: OUTLINE,
    });
    y += height;
  }
}

/** Where a piece comes from: a tile that is opened, by number, and the piece that is cut from it before. */
function sourceOf({ job, surface, planned }: SurfaceSource, label: string): string {
  const source = planned.offCuts.sources.get(label);
  if (!source) return '';
  return source.offCutOf === null ? ` (${source.tile})` : ` (${source.tile}, after ${pieceBefore(source, job, surface.id)})`;
}

function startCutPage(pdf: PDFKit.PDFDocument, source: SurfaceSource): number {
  const width = pdf.page.width - 2 * MARGIN;
  let y = writeHeader(pdf, source, 'cuts');
  y = write(pdf, SAFETY.cutting, 'text', 8, FAINT, MARGIN, y, width) + 4;
  y =
    write(
      pdf,
      'Marks are for tiles that lie face up. Behind a piece stands the tile it is cut from, counted as they are opened over the job.',
      'text',
      8,
      FAINT,
      MARGIN,
      y,
      width,
    ) + 6;
  writeRow(
    pdf,
    COLUMNS.map(({ title }) => title),
    y,
    'bold',
  );
  return y + 9 + 2 * ROW_GAP;
}

function writeRow(pdf: PDFKit.PDFDocument, cells: readonly string[], y: number, font: PdfFont = 'text'): void {
  let x = MARGIN;
  cells.forEach((text, k) => {
    write(pdf, text, k === 0 ? 'bold' : font, 9, INK, x, y, COLUMNS[k].width - 8);
    x += COLUMNS[k].width;
  });
  pdf
    .moveTo(MARGIN, y - 2.5)
    .lineTo(pdf.page.width - MARGIN, y - 2.5)
    .lineWidth(0.3)
    .strokeColor('#c3cad0')
    .stroke();
}

function numberPages(pdf: PDFKit.PDFDocument): void {
  const { count } = pdf.bufferedPageRange();
  for (let k = 0; k < count; k++) {
    pdf.switchToPage(k);
    pdf.page.margins.bottom = 0;
    pdf
      .font('text')
      .fontSize(8)
      .fillColor(FAINT)
      .text(`${k + 1} of ${count}`, pdf.page.width - MARGIN - 60, pdf.page.height - 24, { width: 60, align: 'right', lineBreak: false });
  }
}
