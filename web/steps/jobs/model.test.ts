import { describe, expect, test } from '@jest/globals';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import { glanceOf, type Glance } from '@azulejo/core/formats/glance';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { groupJobs, isDone, jobRow } from './model.ts';

const entry = (surfaceCount: number, laidCount: number, id = 'job'): JobEntry => ({
  id,
  name: id,
  client: '',
  surfaceCount,
  laidCount,
  version: 1,
  updatedAt: '2027-03-01T08:00:00Z',
  toMeasureAgain: 0,
  latest: Array.from({ length: Math.min(5, surfaceCount) }, (_, k) => ({
    id: `s${k}`,
    name: `Surface ${k}`,
    laid: k >= surfaceCount - laidCount,
    shape: { kind: 'rectangle', widthMm: 1000, heightMm: 1000 } as JobEntry['latest'][number]['shape'],
  })),
});

test.each([
  [0, 0, 'No surface yet', null],
  [1, 0, '1 surface', null],
  [1, 1, '1 surface, all laid', null],
  [7, 0, '7 surfaces', null],
  [7, 3, '3 of 7 surfaces laid', 300 / 7],
  [7, 7, '7 surfaces, all laid', null],
])('of %i surfaces %i laid: %s', (all, laid, words, percent) => {
  const row = jobRow(entry(all, laid), null);
  expect([row.progress, row.laidPercent, row.isDone]).toEqual([words, percent, all > 0 && all === laid]);
  expect(row.next?.id).toBe(all > laid ? 's0' : undefined);
  expect([row.worst, row.others]).toEqual([null, '']);
});

test('jobs in hand come before those that are done, each once, and a job without surfaces is in hand', () => {
  const jobs = [entry(3, 3, 'done'), entry(0, 0, 'new'), entry(3, 1, 'half'), entry(1, 1, 'one')];
  expect(groupJobs(jobs).map(({ name, jobs: own }) => [name, own.map(({ id }) => id)])).toEqual([
    ['In hand', ['new', 'half']],
    ['All laid', ['done', 'one']],
  ]);
  expect(groupJobs([])).toEqual([]);
  expect(groupJobs([jobs[0]]).map(({ name }) => name)).toEqual(['All laid']);
});

describe.each(DEMO_JOBS)('a glance at %s', (name) => {
  const job = demoJob(name);
  const glance = glanceOf(job, demoPlan(name), []);
  const row = jobRow(entry(job.surfaces.length, job.surfaces.filter(({ laid }) => laid).length), glance);

  test('tells the worst of all surfaces first, and how many more need a look', () => {
    expect(row.worst === null).toBe(glance.attention.length === 0);
    if (row.worst) expect(glance.attention).toContain(row.worst);
    const count = /^(\d+|One) more/.exec(row.others)?.[1];
    expect(count === 'One' ? 1 : Number(count ?? 0)).toBe(Math.max(0, glance.attention.length - 1));
    expect(isDone({ surfaceCount: job.surfaces.length, laidCount: 0 })).toBe(false);
  });
});

test('of two surfaces with something the one with the worse is named, whichever comes first', () => {
  const at = (surfaceId: string, code: Glance['attention'][number]['first']['code']): Glance['attention'][number] => ({
    surfaceId,
    name: surfaceId,
    unplanned: false,
    warnings: 1,
    first: { code, severity: 'warning', path: [], figures: {} },
    tape: demoJob('ferry-kiosk').tape,
  });
  const [seen, wet] = [at('seen', 'advice/sliver'), at('wet', 'advice/wet-open')];
  for (const attention of [
    [seen, wet],
    [wet, seen],
  ])
    expect(jobRow(entry(2, 0), { attention, sketches: [] }).worst?.surfaceId).toBe('wet');
});
