import { entriesOf } from '@azulejo/core/site/entry';
import type { JobSource } from './exportKind.ts';
import { startJobPaper, writeHeading, writeText, type JobPaper } from './jobPaper.ts';
import { FAINT, INK, MARGIN, write } from './paper.ts';

/** The note that stays with the client. */
export function writeHandover(source: JobSource, today = new Date()): Promise<Buffer> {
  const { job, plan, log, words } = source;
  const paper = startJobPaper(source, words.say('paper/handover'), words.dateWords(today));
  for (const { heading, lines } of words.describeHandover(job, plan(), log)) {
    writeHeading(paper, heading);
    for (const line of lines) writeText(paper, line);
  }
  paper.y += 8;
  writeText(paper, words.say('paper/sheetsDecide'), 8.5, FAINT);
  return paper.finish();
}

/** Pictures of snags, points. */
const PICTURE = { width: 190, height: 130 };

/** What is still to be done, and what was: each with its place and picture, and a box to tick. */
export function writeSnags(source: JobSource, today = new Date()): Promise<Buffer> {
  const { job, log, words } = source;
  const { say, dateWords } = words;
  const paper = startJobPaper(source, say('paper/snags'), dateWords(today));
  const snags = entriesOf(log, 'snag');
  if (snags.length === 0) writeText(paper, say('paper/noSnags'));
  for (const { at, surfaceId, data } of snags) {
    const picture = pictureOf(data.image);
    paper.room((picture ? PICTURE.height : 0) + 44);
    const place = job.surfaces.find(({ id }) => id === surfaceId)?.name;
    const top = paper.y;
    paper.pdf
      .lineWidth(1)
      .strokeColor(INK)
      .rect(MARGIN, top + 2, 10, 10)
      .stroke();
    if (data.done)
      paper.pdf
        .moveTo(MARGIN + 2, top + 7)
        .lineTo(MARGIN + 4.5, top + 10)
        .lineTo(MARGIN + 9, top + 3.5)
        .stroke();
    paper.y = write(paper.pdf, data.text, 'bold', 11, INK, MARGIN + 18, top, paper.width - 18) + 1;
    const about = [place ?? say('paper/wholeJob'), dateWords(new Date(at)), ...(data.done ? [say('paper/done')] : [])].join('   |   ');
    paper.y = write(paper.pdf, about, 'text', 9, FAINT, MARGIN + 18, paper.y, paper.width - 18) + 4;
    if (picture && drawn(paper, picture)) paper.y += PICTURE.height + 6;
    paper.y += 8;
  }
  return paper.finish();
}

/** Draws a picture; one that is damaged is left out, the rest of the list stands. */
function drawn(paper: JobPaper, picture: Buffer): boolean {
  try {
    paper.pdf.image(picture, MARGIN + 18, paper.y, { fit: [PICTURE.width, PICTURE.height] });
    return true;
  } catch {
    return false;
  }
}

/** A picture as papers take it: JPEG or PNG; null for none, or one that can't be drawn. */
function pictureOf(address: string | undefined): Buffer | null {
  const [, data] = /^data:image\/(?:jpeg|png);base64,(.+)$/.exec(address ?? '') ?? [];
  return data ? Buffer.from(data, 'base64') : null;
}
