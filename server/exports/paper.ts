import PDFDocument from 'pdfkit';
import { productOf } from '@azulejo/core/job/job';
import type { Say } from '@azulejo/core/messages/say';
import { actualSize } from '@azulejo/core/tile/product';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { SurfaceSource } from './exportKind.ts';
import { fontRuns, registerFonts, type PdfFont } from './pdfFonts.ts';

/** Points in one millimetre of paper. */
export const POINTS_PER_MM = 72 / 25.4;

/** From the edge of the page to what is written, points. */
export const MARGIN = 34;
export const INK = '#111820';
export const FAINT = '#5c6670';

/** A document that is being written, A4. */
export interface Paper {
  readonly pdf: PDFKit.PDFDocument;
  /** Closes the document and gives it whole, its pages numbered unless told otherwise. */
  readonly finish: (how?: { readonly numbered: boolean }) => Promise<Buffer>;
}

/** Opens a document. */
export function startPaper(say: Say, title: string, layout: 'landscape' | 'portrait'): Paper {
  const pdf = new PDFDocument({ size: 'A4', layout, margin: MARGIN, bufferPages: true, info: { Title: title } });
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', () => resolve(Buffer.concat(chunks)));
    pdf.on('error', reject);
  });
  registerFonts(pdf);
  return {
    pdf,
    finish: ({ numbered } = { numbered: true }) => {
      if (numbered) numberPages(pdf, say);
      pdf.end();
      return done;
    },
  };
}

/** Writes a text and tells where it ends, points. */
export function write(
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

/** Writes what a page is about and tells where that ends, points. */
export function writeHeader(pdf: PDFKit.PDFDocument, { job, surface, tape, words }: SurfaceSource, what: string): number {
  const product = productOf(job, surface);
  const { widthMm, heightMm } = actualSize(product);
  const size = `${formatLength(widthMm, tape)} x ${formatLengthWithUnit(heightMm, tape)}`;
  const width = pdf.page.width - 2 * MARGIN;
  const y = write(pdf, `${surface.name}: ${what}`, 'bold', 17, INK, MARGIN, MARGIN - 6, width);
  const line = [
    job.name,
    job.client,
    `${product.name}, ${size}, ${words.say('paper/joint', { width: formatLengthWithUnit(surface.jointMm, tape) })}`,
    words.describePattern(surface.pattern),
  ];
  return write(pdf, line.filter((part) => part !== '').join('   |   '), 'text', 9, FAINT, MARGIN, y, width) + 8;
}

/** So far from the end of the page its number and what stands beside it are written, points. */
const FOOT = 24;

/** Writes one line below the margin of a page, at its left. */
export function writeAtFoot(pdf: PDFKit.PDFDocument, text: string): void {
  const { bottom } = pdf.page.margins;
  pdf.page.margins.bottom = 0;
  pdf
    .font('text')
    .fontSize(7.5)
    .fillColor(FAINT)
    .text(text, MARGIN, pdf.page.height - FOOT, { lineBreak: false });
  pdf.page.margins.bottom = bottom;
}

function numberPages(pdf: PDFKit.PDFDocument, say: Say): void {
  const { count } = pdf.bufferedPageRange();
  for (let k = 0; k < count; k++) {
    pdf.switchToPage(k);
    pdf.page.margins.bottom = 0;
    pdf
      .font('text')
      .fontSize(8)
      .fillColor(FAINT)
      .text(say('paper/pageOf', { number: k + 1, of: count }), pdf.page.width - MARGIN - 60, pdf.page.height - FOOT, {
        width: 60,
        align: 'right',
        lineBreak: false,
      });
  }
}
