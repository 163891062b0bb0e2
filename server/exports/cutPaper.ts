import { productName, tapeOf } from '@azulejo/core/job/job';
import { edgeName } from '@azulejo/core/messages/en/names';
import { describeHindrance, describeMiss, describePin } from '@azulejo/core/messages/en/pins';
import { describeLedger, describeLines } from '@azulejo/core/messages/en/lines';
import { openedUnit } from '@azulejo/core/messages/en/offCuts';
import { describeSetout } from '@azulejo/core/messages/en/reasons';
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
  const { pdf, finish } = startPaper(titleOf(source), 'landscape');
  writeSetoutPage(pdf, source);
  writeRodPages(source.planned.fields, {
    pdf,
    startPage: () => {
      pdf.addPage();
      return writeHeader(pdf, source, 'gauge rod across the courses, full size: print without scaling');
    },
    write: (text, size, x, y, width) => void write(pdf, text, 'bold', size, INK, x, y, width),
    tape: tapeOf(source.job, source.surface),
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
  const { pdf, finish } = startPaper(titleOf(source), 'landscape');
  writeCutPages(pdf, source, 'back');
  return finish();
}

/** What the letters beside the labels say, under the drawing. */
const LEGEND = 'Cut pieces are tinted and labelled: r rip, t taper, L notch, U slot, o hole, c half-hole, ~ curve, + several.';

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
  writeAtFoot(pdf, LEGEND);
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
  for (const reason of describeSetout(planned.advice.reasons, thingNamesOf(planned.traced), tape)) paragraph(reason);
  const missed = planned.pins.flatMap((pin, k) => {
    const miss = describeMiss(planned.advice.missedPins[k] ?? 0, tape);
    if (miss === '') return [];
    const names = thingNamesOf(planned.traced);
    const hindrance = planned.advice.hindered.find((one) => one.pin === k);
    const why = hindrance ? ` ${describeHindrance(hindrance, planned.pins, names, tape)}` : '';
    return [`${describePin(pin, names, tape)}. ${miss}${why}`];
  });
  if (missed.length > 0) paragraph('Asked for and not kept', 'bold', 10, '#b8402b');
  for (const line of missed) paragraph(line);
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
  // Boxes of surfaces that share a tile don't add up to those of the order.
  const alone = job.surfaces.length > 1 ? '; for this surface alone' : '';
  paragraph(
    `${totals.whole} whole, ${totals.cut} cut, ${totals.opened} ${openedUnit(planned.figures, totals.opened)} opened${alone}, ${totals.boxes} ${totals.boxes === 1 ? 'box' : 'boxes'}`,
  );
  if (planned.figures.tiles.length > 1) {
    paragraph(
      `${planned.figures.tiles.map(({ productId, hand, opened }) => `${productName(job, productId)}${hand ? `, ${hand} hand` : ''}: ${opened}`).join('; ')}.`,
    );
  }
}
