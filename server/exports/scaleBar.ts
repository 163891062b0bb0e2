import type { Say } from '@azulejo/core/messages/say';
import { POINTS_PER_MM, write, INK } from './paper.ts';

/** A hundred millimetres, in tens: a printer that fits pages to the paper is found out before anything is cut from them. */
export function drawScaleBar(pdf: PDFKit.PDFDocument, say: Say, x: number, y: number): void {
  const ten = 10 * POINTS_PER_MM;
  for (let k = 0; k < 10; k++) {
    pdf.rect(x + k * ten, y, ten, 5);
    if (k % 2 === 0) pdf.fill(INK);
    else pdf.lineWidth(0.4).strokeColor(INK).stroke();
  }
  write(pdf, say('paper/scaleBar'), 'text', 8, INK, x + 10 * ten + 8, y - 2, 220);
}
