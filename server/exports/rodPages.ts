import { gaugeRod, type RodMark } from '@azulejo/core/setout/lines/gaugeRod';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { Say } from '@azulejo/core/messages/say';
import type { Tape } from '@azulejo/core/units/tape';
import type { Field } from '@azulejo/core/setout/fields/field';
import { POINTS_PER_MM } from './paper.ts';
import { drawScaleBar } from './scaleBar.ts';

/** A strip of the rod on paper, and the room beside it for figures, mm. */
const STRIP_MM = 12;
const COLUMN_MM = 33;

/** A strip ends this far from the edge of the page, mm. */
const MARGIN_MM = 14;

/** Further than this a rod is a lath with marks set by tape: so many strips at most. */
const MOST_STRIPS = 16;

/** Writes a text at a place; the page's own way of writing. */
type Write = (text: string, size: number, x: number, y: number, width: number) => void;

/** What a rod page needs of the paper. */
interface Paper {
  readonly pdf: PDFKit.PDFDocument;
  /** Begins a page and tells where its heading ends, points. */
  readonly startPage: () => number;
  readonly write: Write;
  readonly tape: Tape;
  readonly say: Say;
}

/** Room for the bar that a tape is held against, mm. */
const CHECK_ROOM_MM = 10;

/** Room under a strip for what it is glued to, mm. */
const GLUE_MM = 7;

/** Draws the gauge rod that is held upright full size, in strips to be cut out and glued end to end; every joint is filled. */
export function writeRodPages(fields: readonly Field[], { pdf, startPage, write, tape, say }: Paper): void {
  const marks = gaugeRod(fields, 'y');
  if (marks.length < 2) return;
  const total = marks[marks.length - 1].toMm;
  const page = (): number => {
    const from = startPage();
    drawScaleBar(pdf, say, MARGIN_MM * POINTS_PER_MM, from + 2 * POINTS_PER_MM);
    return from + CHECK_ROOM_MM * POINTS_PER_MM;
  };
  let top = page();
  const perStrip = (): number => Math.floor(((pdf.page.height - top) / POINTS_PER_MM - MARGIN_MM - GLUE_MM) / 10) * 10;
  const perPage = Math.floor((pdf.page.width / POINTS_PER_MM - 2 * MARGIN_MM + COLUMN_MM - STRIP_MM) / COLUMN_MM);
  const length = perStrip();
  const strips = Math.min(MOST_STRIPS, Math.ceil(total / length));
  for (let strip = 0; strip < strips; strip++) {
    if (strip > 0 && strip % perPage === 0) top = page();
    const x = (MARGIN_MM + (strip % perPage) * COLUMN_MM) * POINTS_PER_MM;
    const own = Math.min(length, total - strip * length);
    drawStrip(pdf, marks, strip * length, own, x, top, write, tape);
    write(say('paper/rodStrip', { number: strip + 1, of: strips }), 7, x, top + own * POINTS_PER_MM + 3, (COLUMN_MM - 2) * POINTS_PER_MM);
  }
}

function drawStrip(
  pdf: PDFKit.PDFDocument,
  marks: readonly RodMark[],
  fromMm: number,
  lengthMm: number,
  x: number,
  top: number,
  write: Write,
  tape: Tape,
): void {
  const at = (mm: number): number => top + (mm - fromMm) * POINTS_PER_MM;
  const width = STRIP_MM * POINTS_PER_MM;
  pdf
    .lineWidth(0.5)
    .strokeColor('#111820')
    .rect(x, top, width, lengthMm * POINTS_PER_MM)
    .stroke();
  marks.forEach(({ fromMm: low, toMm: high }, k) => {
    const next = marks[k + 1]?.fromMm ?? high;
    const [jointFrom, jointTo] = [Math.max(high, fromMm), Math.min(next, fromMm + lengthMm)];
    if (jointTo > jointFrom) pdf.rect(x, at(jointFrom), width, (jointTo - jointFrom) * POINTS_PER_MM).fill('#b8402b');
    const middle = (low + high) / 2;
    if (middle >= fromMm && middle < fromMm + lengthMm) write(String(k + 1), 9, x + 3, at(middle) - 5, width);
    if (high >= fromMm && high < fromMm + lengthMm)
      write(formatLength(high, tape), 8, x + width + 3, at(high) - 5, (COLUMN_MM - STRIP_MM) * POINTS_PER_MM - 6);
  });
}
