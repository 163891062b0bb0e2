import { fontRuns } from './pdfFonts.ts';

/** Where a label may stand: its middle, and whether it runs upward. Points, y down. */
export interface LabelPlace {
  readonly at: readonly [number, number];
  readonly upward?: boolean;
}

/** How large a label is, points. */
const HEIGHT_OF_SIZE = 1.05;

/** A stretch of the page, points, y down. */
export interface TextStretch {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Writes labels on a page so that none lies on another. */
export class LabelSpace {
  private readonly pdf: PDFKit.PDFDocument;
  private readonly taken: TextStretch[] = [];

  constructor(pdf: PDFKit.PDFDocument) {
    this.pdf = pdf;
  }

  /** Keeps a stretch of the page clear of labels. */
  keepClear(stretch: TextStretch): void {
    this.taken.push(stretch);
  }

  /** How wide a label is, points. */
  widthOf(text: string, size: number): number {
    this.pdf.fontSize(size);
    return fontRuns(text, 'figure').reduce((sum, run) => sum + this.pdf.font(run.font).widthOfString(run.text), 0);
  }

  /** Writes a label at the first of the places where there is room, on a white plate where it stands on tiles or lines; not at all where there is none. */
  write(text: string, size: number, colour: string, places: readonly LabelPlace[], hasPlate = false): boolean {
    const width = this.widthOf(text, size);
    const height = size * HEIGHT_OF_SIZE;
    for (const place of places) {
      const [x, y] = place.at;
      const [across, down] = place.upward ? [height, width] : [width, height];
      const box = { left: x - across / 2, right: x + across / 2, top: y - down / 2, bottom: y + down / 2 };
      if (this.taken.some((other) => overlap(box, other))) continue;
      this.taken.push(box);
      if (hasPlate) this.pdf.rect(box.left - 1, box.top, across + 2, down).fill('#ffffff');
      this.draw(text, place, width, size, colour);
      return true;
    }
    return false;
  }

  private draw(text: string, { at: [x, y], upward = false }: LabelPlace, width: number, size: number, colour: string): void {
    const { pdf } = this;
    pdf.save();
    if (upward) pdf.rotate(-90, { origin: [x, y] });
    pdf.fontSize(size).fillColor(colour);
    let left = x - width / 2;
    for (const run of fontRuns(text, 'figure')) {
      pdf.font(run.font).text(run.text, left, y - size * 0.62, { lineBreak: false });
      left += pdf.widthOfString(run.text);
    }
    pdf.restore();
  }
}

const overlap = (a: TextStretch, b: TextStretch): boolean => a.left < b.right && a.right > b.left && a.top < b.bottom && a.bottom > b.top;
