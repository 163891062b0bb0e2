import { productName } from '@azulejo/core/job/job';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { seenFromBack, type MarkedSide } from '@azulejo/core/cuts/backView';
import { caresOf, CUT_CARES, HARDLY_DONE } from '@azulejo/core/cuts/cutMethod';
import { nearCuts } from '@azulejo/core/cuts/nearCuts';
import { fenceSettings, tripsFor, type CutTrip } from '@azulejo/core/cuts/cutOrder';
import { sharedHoles, type SharedHole } from '@azulejo/core/cuts/sharedHoles';
import type { PhraseCode, Say } from '@azulejo/core/messages/say';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { drawPieceOutline } from './paperDrawing.ts';
import { FAINT, INK, MARGIN, write, writeHeader } from './paper.ts';
import type { PdfFont } from './pdfFonts.ts';

const ROW_GAP = 6;
const OUTLINE = 30;
const COLUMNS = [
  { title: 'paper/colOff', width: 30 },
  { title: null, width: 44 },
  { title: 'paper/colCut', width: 70 },
  { title: 'paper/colSize', width: 100 },
  { title: 'paper/colMarks', width: 226 },
  { title: 'paper/colTool', width: 72 },
  { title: 'paper/colPieces', width: 232 },
] as const satisfies readonly { readonly title: PhraseCode | null; readonly width: number }[];

/** The sheets of mosaics: which are cut, and what each part is taken from. */
export function writeSheetPages(pdf: PDFKit.PDFDocument, source: SurfaceSource): void {
  const { job, planned, tape, words } = source;
  for (const sheets of planned.sheets) {
    pdf.addPage();
    const width = pdf.page.width - 2 * MARGIN;
    let y = writeHeader(pdf, source, words.say('paper/sheets'));
    y = write(pdf, productName(job, sheets.productId), 'bold', 11, INK, MARGIN, y, width) + 4;
    y = write(pdf, words.describeSheets(sheets), 'text', 9, INK, MARGIN, y, width) + 8;
    for (const part of sheets.parts) {
      if (y > pdf.page.height - MARGIN - 24) {
        pdf.addPage();
        y = writeHeader(pdf, source, words.say('paper/sheets'));
      }
      write(pdf, part.label, 'bold', 9, INK, MARGIN, y, 40);
      y = write(pdf, words.describeSheetPart(part, tape), 'text', 9, INK, MARGIN + 44, y, width - 44) + 4;
    }
  }
}

/** The list of cuts as they are made, from the page that is open. */
export function writeCutPages(pdf: PDFKit.PDFDocument, source: SurfaceSource, side: MarkedSide): void {
  const { job, surface, planned, tape, words } = source;
  const { say } = words;
  const trips = tripsFor(planned, surface.pattern, job.cutting);
  let y = startCutPage(pdf, source, side);
  y = writeAhead(pdf, source, trips, y);
  y = writeTitles(pdf, say, y);
  const bottom = pdf.page.height - MARGIN - 14;
  const turn = (): number => {
    pdf.addPage();
    return writeTitles(pdf, say, startCutPage(pdf, source, side));
  };
  if (trips.length === 0) write(pdf, say('cuts/allWhole'), 'text', 9, INK, MARGIN, y, 400);
  const holes = sharedHoles(planned.traced, planned.toCut);
  trips.forEach((trip, k) => {
    if (trips.length > 1) {
      // A trip's heading never stands alone at the foot of a page.
      if (y + 20 + OUTLINE + ROW_GAP > bottom) y = turn();
      const count = trip.settings.reduce((sum, { pieces }) => sum + pieces.length, 0);
      y = write(pdf, `${words.tripName(trip, k + 1)}: ${say('cuts/pieces', { count })}`, 'bold', 10, INK, MARGIN, y + 3, 300) + 5;
    }
    const runs = nearCuts(trip.settings);
    const begins = new Map(runs.flatMap((run) => (run.rangeMm ? [[run.settings[0], run] as const] : [])));
    for (const setting of trip.settings) {
      const { group, pieces } = setting;
      const run = begins.get(setting);
      if (run) {
        if (y + 16 + OUTLINE + ROW_GAP > bottom) y = turn();
        y = write(pdf, words.describeNear(run, tape), 'bold', 9, INK, MARGIN, y, 400) + 4;
      }
      const { first } = group;
      const seen = side === 'back' ? { ...first, ...seenFromBack(first) } : first;
      const cells = cellsOf(source, seen, pieces, holes);
      pdf.font('text').fontSize(9);
      const height = Math.max(OUTLINE, ...cells.map((text, c) => pdf.heightOfString(text, { width: COLUMNS[c].width - 8 }))) + ROW_GAP;
      if (y + height > bottom) y = turn();
      writeRow(pdf, cells, y);
      drawPieceOutline(pdf, seen, { x: MARGIN + COLUMNS[0].width, y: y - 1, width: OUTLINE, height: OUTLINE });
      y += height;
    }
  });
}

/** What stands in each column for some equal pieces. */
function cellsOf(
  source: SurfaceSource,
  seen: CutPiece,
  pieces: readonly CutPiece[],
  holes: ReadonlyMap<string, readonly SharedHole[]>,
): string[] {
  const { tape, words } = source;
  return [
    `${pieces.length}`,
    '',
    words.cutName(seen),
    `${formatLength(seen.sizeMm.widthMm, tape)} x ${formatLengthWithUnit(seen.sizeMm.heightMm, tape)}`,
    [
      [
        ...seen.marks.map((mark) => words.describeMark(mark, tape)),
        ...(seen.strip ? words.describeFinish(seen.strip) : []),
        ...(seen.edgeShows ? [words.say('paper/dressIt')] : []),
      ].join('; '),
      ...hardCaresOf(source, pieces[0]),
    ].join('. '),
    words.toolName(seen.tool),
    pieces.map(({ label }) => `${label}${sourceOf(source, label)}`).join('  ') + sharingOf(source, holes, pieces),
  ];
}

/** What a hand can hardly do of a cut, and what to do instead. */
function hardCaresOf({ job, words }: SurfaceSource, piece: CutPiece): string[] {
  const product = job.products.find(({ id }) => id === piece.productId);
  return product ? words.describeCares(caresOf(piece, product).filter((care) => HARDLY_DONE.has(care))) : [];
}

/** With whom pieces share a hole. */
function sharingOf({ words }: SurfaceSource, holes: ReadonlyMap<string, readonly SharedHole[]>, pieces: readonly CutPiece[]): string {
  const shared = pieces.flatMap(({ label }) => (holes.get(label) ?? []).map((hole) => words.describeSharedHole(hole)));
  return shared.length === 0 ? '' : `. ${[...new Set(shared)].join(' ')}`;
}

/** What there is to cut and what to mind at it. */
function writeAhead(pdf: PDFKit.PDFDocument, { job, planned, words }: SurfaceSource, trips: readonly CutTrip[], top: number): number {
  if (trips.length === 0) return top;
  const width = pdf.page.width - 2 * MARGIN;
  const minded = new Set(
    planned.groups.flatMap(({ first }) => {
      const product = job.products.find(({ id }) => id === first.productId);
      return product ? caresOf(first, product) : [];
    }),
  );
  const y = write(pdf, words.describeCutting(planned.toCut, trips, fenceSettings(trips)), 'text', 9, INK, MARGIN, top, width) + 3;
  const cares = words.describeCares(CUT_CARES.filter((care) => minded.has(care)));
  return cares.length === 0 ? y + 3 : write(pdf, cares.join(' '), 'text', 8, FAINT, MARGIN, y, width) + 6;
}

/** Where a piece comes from: a tile that is opened, by number, and the piece that is cut from it before. */
function sourceOf({ job, surface, planned, words }: SurfaceSource, label: string): string {
  const source = planned.offCuts.sources.get(label);
  if (!source) return '';
  if (source.offCutOf === null) return `\u00a0(${source.tile})`;
  return `\u00a0(${words.say('paper/tileAfter', { tile: source.tile, before: words.pieceBefore(source, job, surface.id) })})`;
}

function startCutPage(pdf: PDFKit.PDFDocument, source: SurfaceSource, side: MarkedSide): number {
  const { say, SAFETY } = source.words;
  const width = pdf.page.width - 2 * MARGIN;
  let y = writeHeader(pdf, source, say(side === 'face' ? 'paper/cutsFaceUp' : 'paper/cutsFaceDown'));
  y = write(pdf, SAFETY.cutting, 'text', 8, FAINT, MARGIN, y, width) + 4;
  return (
    write(
      pdf,
      `${say(side === 'face' ? 'paper/markedFaceUp' : 'paper/markedFaceDown')} ${say('paper/tileNumbers')}`,
      'text',
      8,
      FAINT,
      MARGIN,
      y,
      width,
    ) + 6
  );
}

function writeTitles(pdf: PDFKit.PDFDocument, say: Say, y: number): number {
  writeRow(
    pdf,
    COLUMNS.map(({ title }) => (title === null ? '' : say(title))),
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
