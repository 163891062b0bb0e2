import { expect, test } from '@jest/globals';
import { demoJob } from '../../testing/demoJob.ts';
import { trials } from '../../testing/trials.ts';
import type { Job, Surface } from '../job/job.ts';
import { describeBehind, describeReasons } from '../messages/en/reasons.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import { planSurface } from '../plan.ts';
import { hasToo } from '../setout/tell/hasToo.ts';
import { traceSurface } from '../surface/traceSurface.ts';
import { roomToSearch } from '../samples/roomToSearch.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { candidatesOf } from './compareSetouts.ts';

const demo = demoJob('tidewater-bakehouse');
const surfaceOf = (job: Job, id: string): Surface => {
  const found = job.surfaces.find((surface) => surface.id === id);
  if (!found) throw new Error(`no surface ${id}`);
  return found;
};

test('starts of a figured mosaic are compared by the motifs that show whole', () => {
  const niche = surfaceOf(demo, 'niche-back');
  const [first] = candidatesOf(demo, niche);
  // Two sheets of 298 and a joint stand in 612, one above the other's foot in 318: both can be whole.
  expect(first.candidate.figures.motifs).toBe(2);
  expect(first.candidate.score).toBeCloseTo(planSurface(demo, niche).advice.best.score, 1);
});

test('a start that a longer search found, once it is laid, is the best there is, and nothing is held against it', () => {
  for (const seed of [12, 43, 47, 53]) {
    const job = roomToSearch(seed, 8);
    const [surface] = job.surfaces;
    const [first] = candidatesOf(job, surface);
    const laid = { ...surface, ...first.change };
    const { advice, traced } = planSurface({ ...job, surfaces: [laid] }, laid);
    expect(describeBehind(advice.reasons, thingNamesOf(traced), METRIC_TAPE)).toBeNull();
    expect(advice.isBest).toBe(true);
  }
});

test('no two starts begin with the same words, and what one that is behind lacks is told of the best one only', () => {
  const jobs = [...Array.from({ length: trials(20) }, (_, k) => roomToSearch(60 + k, 8)), demoJob('ferry-kiosk')];
  let [starts, behind] = [0, 0];
  for (const job of jobs)
    for (const surface of job.surfaces) {
      const names = thingNamesOf(traceSurface(surface.measured));
      const found = candidatesOf(job, surface);
      const firsts = found.map(({ reasons }) => describeReasons(reasons, names, METRIC_TAPE)[0]);
      starts += firsts.length;
      expect([surface.name, firsts]).toEqual([surface.name, [...new Set(firsts)]]);
      for (const { reasons, candidate } of found) {
        const words = describeBehind(reasons, names, METRIC_TAPE);
        if (words === null) continue;
        behind++;
        expect(words).not.toMatch(/the best start.*the best start/);
        // What the best one is said to have, this one has not.
        if (reasons.instead) expect([words, hasToo(reasons.instead, candidate)]).toEqual([words, false]);
      }
    }
  expect(starts).toBeGreaterThan(trials(40));
  expect(behind).toBeGreaterThan(trials(20));
});
