import { productName } from '@azulejo/core/job/job';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { writeCutPages, writeSheetPages } from './cutPages.ts';
import { INK, MARGIN, startPaper, write, writeAtFoot, writeHeader } from './paper.ts';
import type { PdfFont } from './pdfFonts.ts';
import { writeRodPages } from './rodPages.ts';
import { drawSetout } from './paperDrawing.ts';
import { writeZonePage } from './zonePage.ts';

const titleOf = ({ job, surface }: SurfaceSource): string => `${job.name}: ${surface.name}`;

/** The setout and cut paper of one surface, A4 across: the scaled drawing, the zones in which it is laid, then the grouped cuts. */
export function writeCutPaper(source: SurfaceSource): Promise<Buffer> {
  const { pdf, finish } = startPaper(source.words.say, titleOf(source), 'landscape');
  writeSetoutPage(pdf, source);
  writeRodPages(source.planned.fields, {
    pdf,
    startPage: () => {
      pdf.addPage();
      return writeHeader(pdf, source, source.words.say('paper/rod'));
    },
    write: (text, size, x, y, width) => void write(pdf, text, 'bold', size, INK, x, y, width),
    tape: source.tape,
    say: source.words.say,
  });
  writeZonePage(pdf, source);
  writeSheetPages(pdf, source);
  if (source.planned.groups.length > 0) {
    pdf.addPage();
    writeCutPages(pdf, source, 'face');
  }
  return finish();
}

/** The cuts alone, marked on tiles that lie face down. */
export function writeBackPaper(source: SurfaceSource): Promise<Buffer> {
  const { pdf, finish } = startPaper(source.words.say, titleOf(source), 'landscape');
  writeCutPages(pdf, source, 'back');
  return finish();
}

function writeSetoutPage(pdf: PDFKit.PDFDocument, source: SurfaceSource): void {
  const { job, planned, tape, words } = source;
  const { say } = words;
  const names = thingNamesOf(planned.traced);
  const top = writeHeader(pdf, source, say('paper/setout'));
  const side = 200;
  const frame = {
    x: MARGIN + 26,
    y: top + 14,
    width: pdf.page.width - 2 * MARGIN - side - 66,
    height: pdf.page.height - top - MARGIN - 36,
  };
  const scale = drawSetout(pdf, source, frame);
  writeAtFoot(pdf, say('paper/legend'));
  const said: Paragraph[] = [];
  const paragraph = (text: string, font: PdfFont = 'text', size = 9, colour = INK): void => void said.push({ text, font, size, colour });
  paragraph(say('paper/scale', { of: scale }), 'bold', 11);
  paragraph(say('paper/whyHere'), 'bold', 10);
  for (const reason of words.describeSetout(planned.advice.reasons, names, tape)) paragraph(reason);
  const missed = planned.pins.flatMap((pin, k) => {
    const miss = words.describeMiss(planned.advice.missedPins[k] ?? 0, tape);
    if (miss === '') return [];
    const hindrance = planned.advice.hindered.find((one) => one.pin === k);
    const why = hindrance ? ` ${words.describeHindrance(hindrance, planned.pins, names, tape)}` : '';
    return [`${words.describePin(pin, names, tape)}. ${miss}${why}`];
  });
  if (missed.length > 0) paragraph(say('paper/notKept'), 'bold', 10, '#b8402b');
  for (const line of missed) paragraph(line);
  paragraph(say('paper/lines'), 'bold', 10, '#b8402b');
  for (const line of words.describeLines(planned.struck, names, tape)) paragraph(line);
  if (planned.ledger) for (const line of [...words.describeLedger(planned.ledger, tape), words.SAFETY.drilling]) paragraph(line);
  paragraph(say('paper/alongEdges'), 'bold', 10);
  for (const { id, smallestCutMm, largestCutMm } of planned.edges.filter((edge) => !edge.isReveal)) {
    const cuts =
      smallestCutMm === null || largestCutMm === null
        ? say('paper/fullPieces')
        : formatLength(smallestCutMm, tape) === formatLength(largestCutMm, tape)
          ? formatLengthWithUnit(smallestCutMm, tape)
          : say('paper/range', { low: formatLength(smallestCutMm, tape), high: formatLengthWithUnit(largestCutMm, tape) });
    paragraph(`${words.edgeName(planned.traced.names[id] ?? id)}: ${cuts}`);
  }
  const { totals } = planned;
  paragraph(say('paper/piecesHead'), 'bold', 10);
  // Boxes of surfaces that share a tile don't add up to those of the order.
  const alone = job.surfaces.length > 1;
  paragraph(say('paper/pieces', { ...totals, unit: words.openedUnit(planned.figures, totals.opened), alone }));
  if (planned.figures.tiles.length > 1) {
    paragraph(
      `${planned.figures.tiles.map(({ productId, hand, opened }) => `${productName(job, productId)}${hand ? `, ${say('paper/handOf', { hand })}` : ''}: ${opened}`).join('; ')}.`,
    );
  }
  writeColumn(pdf, source, said, { x: pdf.page.width - MARGIN - side, width: side, top });
}

/** What stands beside a drawing, one below the other. */
interface Paragraph {
  readonly text: string;
  readonly font: PdfFont;
  readonly size: number;
  readonly colour: string;
}

/** Letters may be so much smaller where that saves a page. */
const SMALLER = [1, 0.94, 0.88];

/** Writes paragraphs down a column; what it has no room for goes on over the whole of another page. */
function writeColumn(
  pdf: PDFKit.PDFDocument,
  source: SurfaceSource,
  said: readonly Paragraph[],
  column: { readonly x: number; readonly width: number; readonly top: number },
): void {
  const bottom = pdf.page.height - MARGIN - 10;
  const highOf = ({ text, font, size }: Paragraph, width: number, by: number): number =>
    pdf
      .font(font)
      .fontSize(size * by)
      .heightOfString(text, { width }) +
    4 * by;
  const fits = (by: number): boolean => column.top + said.reduce((sum, one) => sum + highOf(one, column.width, by), 0) <= bottom + 4;
  const by = SMALLER.find(fits) ?? 1;
  let [x, width, y] = [column.x, column.width, column.top];
  for (const one of said) {
    if (y + highOf(one, width, by) - 4 > bottom) {
      pdf.addPage();
      [x, width, y] = [MARGIN, pdf.page.width - 2 * MARGIN, writeHeader(pdf, source, source.words.say('paper/setoutContinued'))];
    }
    y = write(pdf, one.text, one.font, one.size * by, one.colour, x, y, width) + 4 * by;
  }
}
