import type { Job } from '@azulejo/core/job/job';
import { describeStirred, describeZoneMixes, explainMix, mixName } from '@azulejo/core/messages/en/mixes';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { Plan } from '@azulejo/core/plan';
import { zoneMixes } from '@azulejo/core/takeoff/mixes/zoneMixes';
import { startJobPaper, writeText } from './jobPaper.ts';
import { FAINT, INK, MARGIN, write } from './paper.ts';

/** A card to hang by the mixer: each mix in figures that are read from where one stands. */
export function writeMixCard(job: Job, { mixes, surfaces }: Plan): Promise<Buffer> {
  const paper = startJobPaper(job, 'Mixes', `${job.mixing?.temperatureC ?? 20} °C`);
  if (mixes.length === 0) writeText(paper, 'Nothing in this job is mixed from powder.');
  for (const mix of mixes) {
    const stirred = zoneMixes(mix, surfaces);
    paper.room(130);
    paper.y = write(paper.pdf, mixName(mix), 'bold', 14, INK, MARGIN, paper.y, paper.width) + 1;
    paper.y = write(paper.pdf, describeStirred(mix, stirred, job.tape), 'bold', 30, INK, MARGIN, paper.y, paper.width) + 2;
    for (const line of explainMix(mix, stirred, job.tape)) writeText(paper, line, 12.5);
    for (const { surfaceId, zones } of stirred) {
      const name = job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId;
      writeText(paper, `${name}: ${describeZoneMixes(zones, job.tape).join('; ')}`, 10.5);
    }
    paper.y += 12;
  }
  writeText(paper, SAFETY.mixing, 9, FAINT);
  return paper.finish();
}
