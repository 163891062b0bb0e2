import { POINTS_PER_MM, write, INK } from './paper.ts';

/** A hundred millimetres, in tens: a printer that fits pages to the paper is found out before anything is cut from them. */
export function drawScaleBar(pdf: PDFKit.PDFDocument, x: number, y: number): void {
  const ten = 10 * POINTS_PER_MM;
  for (let k = 0; k < 10; k++) {
    pdf.rect(x + k * ten, y, ten, 5);
    if (k % 2 === 0) pdf.fill(INK);
    else pdf.lineWidth(0.4).strokeColor(INK).stroke();
  }
  write(pdf, '100 mm: lay a tape on it. Print at 100 %, not fitted to the page.', 'text', 8, INK, x + 10 * ten + 8, y - 2, 220);
}
