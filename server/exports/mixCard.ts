import { zoneMixes } from '@azulejo/core/takeoff/mixes/zoneMixes';
import type { JobSource } from './exportKind.ts';
import { startJobPaper, writeText } from './jobPaper.ts';
import { FAINT, INK, MARGIN, write } from './paper.ts';

/** A card to hang by the mixer: each mix in figures that are read from where one stands. */
export function writeMixCard(source: JobSource): Promise<Buffer> {
  const { job, plan, words } = source;
  const { mixes, surfaces } = plan();
  const tape = words.read(job.tape);
  const paper = startJobPaper(source, words.say('paper/mixes'), `${job.mixing?.temperatureC ?? 20} °C`);
  if (mixes.length === 0) writeText(paper, words.say('paper/nothingMixed'));
  for (const mix of mixes) {
    const stirred = zoneMixes(mix, surfaces);
    paper.room(130);
    paper.y = write(paper.pdf, words.mixName(mix), 'bold', 14, INK, MARGIN, paper.y, paper.width) + 1;
    paper.y = write(paper.pdf, words.describeStirred(mix, stirred, tape), 'bold', 30, INK, MARGIN, paper.y, paper.width) + 2;
    for (const line of words.explainMix(mix, stirred, tape)) writeText(paper, line, 12.5);
    for (const { surfaceId, zones } of stirred) {
      const name = job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId;
      writeText(paper, `${name}: ${words.describeZoneMixes(zones, tape).join('; ')}`, 10.5);
    }
    paper.y += 12;
  }
  writeText(paper, words.SAFETY.mixing, 9, FAINT);
  return paper.finish();
}
