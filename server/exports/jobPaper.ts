import type { JobSource } from './exportKind.ts';
import { FAINT, INK, MARGIN, startPaper, write, type Paper } from './paper.ts';

/** A page of a whole job that is being written from top to bottom. */
export interface JobPaper extends Paper {
  /** Where the next line goes, points from the top. */
  y: number;
  readonly width: number;
  /** Begins another page where there is no room for so many points. */
  readonly room: (height: number) => void;
}

/** Opens a paper of a job, A4 upright, with its title and whom it is for. */
export function startJobPaper({ job, words }: Pick<JobSource, 'job' | 'words'>, what: string, ...lines: readonly string[]): JobPaper {
  const { pdf, finish } = startPaper(words.say, `${job.name}: ${what}`, 'portrait');
  const width = pdf.page.width - 2 * MARGIN;
  const paper: JobPaper = {
    pdf,
    finish,
    width,
    y: 0,
    room: (height) => {
      if (paper.y + height <= pdf.page.height - MARGIN - 14) return;
      pdf.addPage();
      paper.y = MARGIN;
    },
  };
  paper.y = write(pdf, what, 'bold', 22, INK, MARGIN, MARGIN - 4, width);
  const about = [job.name, job.client, ...lines].filter((line) => line !== '').join('   |   ');
  paper.y = write(pdf, about, 'text', 10, FAINT, MARGIN, paper.y + 2, width) + 10;
  return paper;
}

/** Writes a heading that never stands alone at the foot of a page. */
export function writeHeading(paper: JobPaper, text: string, needs = 40): void {
  paper.y += 6;
  paper.room(needs);
  paper.y = write(paper.pdf, text, 'bold', 12.5, INK, MARGIN, paper.y, paper.width) + 3;
}

/** Writes a paragraph. */
export function writeText(paper: JobPaper, text: string, size = 10, colour = INK): void {
  const height = paper.pdf.font('text').fontSize(size).heightOfString(text, { width: paper.width });
  paper.room(height);
  paper.y = write(paper.pdf, text, 'text', size, colour, MARGIN, paper.y, paper.width) + 2;
}

/** One column of a table. */
export interface Column {
  readonly title: string;
  readonly width: number;
  readonly right?: boolean;
}

/** Writes a table; a row is never parted, and its titles stand on every page. Pdfkit's own tables know one font a cell, names need several. */
export function writeTable(
  paper: JobPaper,
  columns: readonly Column[],
  rows: readonly (readonly string[])[],
  isBold: (row: number) => boolean = () => false,
): void {
  const { pdf } = paper;
  const starts = columns.map((_, k) => MARGIN + columns.slice(0, k).reduce((sum, { width }) => sum + width, 0));
  const cell = (text: string, k: number, bold: boolean, colour: string): number => {
    const { width, right } = columns[k];
    pdf
      .font(bold ? 'bold' : 'text')
      .fontSize(9.5)
      .fillColor(colour);
    const own = width - (right ? 16 : 8);
    const off = right ? Math.max(0, own - pdf.widthOfString(text)) : 0;
    return write(pdf, text, bold ? 'bold' : 'text', 9.5, colour, starts[k] + off, paper.y, own - off + 1);
  };
  const titles = (): void => {
    paper.y = Math.max(...columns.map(({ title }, k) => cell(title, k, false, FAINT))) + 2;
  };
  if (columns.some(({ title }) => title !== '')) {
    paper.room(40);
    titles();
  }
  rows.forEach((row, at) => {
    const font = isBold(at) ? 'bold' : 'text';
    const high = Math.max(
      ...row.map((text, k) =>
        pdf
          .font(font)
          .fontSize(9.5)
          .heightOfString(text, { width: columns[k].width - 7 }),
      ),
    );
    const before = paper.y;
    paper.room(high + 6);
    if (paper.y < before) titles();
    pdf
      .lineWidth(0.4)
      .strokeColor('#c3ccd3')
      .moveTo(MARGIN, paper.y)
      .lineTo(MARGIN + paper.width, paper.y)
      .stroke();
    paper.y += 3;
    paper.y = Math.max(...row.map((text, k) => cell(text, k, isBold(at), INK))) + 3;
  });
}
