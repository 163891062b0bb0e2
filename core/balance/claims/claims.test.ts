import { describe, expect, test } from '@jest/globals';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { plannedOnce } from '../../../testing/plannedOnce.ts';
import { trials } from '../../../testing/trials.ts';
import type { Job } from '../../job/job.ts';
import type { Plan } from '../../plan.ts';
import type { Reasons } from '../../setout/tell/explainSetout.ts';
import * as floors from '../../stories/floorJobs.ts';
import * as sets from '../../stories/setJobs.ts';
import * as walls from '../../stories/wallJobs.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../../units/tape.ts';
import { wholeJob } from '../wholeJob.ts';
import { sharesOf, type Claim } from './claim.ts';
import { claimsOf } from './claimsOf.ts';

const allClaims = (job: Job, planned: Plan): Claim[] => [METRIC_TAPE, IMPERIAL_TAPE].flatMap((tape) => claimsOf(job, planned, tape));

/** Everything is true, nothing is blamed on another that is so here too, hardly anything is needless or longer than a breath. */
function expectSound(claims: readonly Claim[]): void {
  const { shares, wrong } = sharesOf(claims);
  expect(wrong.filter((one) => !/\d+ words:/.test(one))).toEqual([]);
  expect(shares.needless).toBeLessThan(0.02);
  expect(shares.long).toBeLessThan(0.05);
}

test.each(DEMO_JOBS)('what %s claims is so', (name) => expectSound(allClaims(demoJob(name), demoPlan(name))));

const STORIES = Object.entries({ ...walls, ...floors, ...sets }).filter(
  (entry): entry is [string, () => Job] => typeof entry[1] === 'function',
);

test.each(STORIES)('what is claimed in the story %s is so', (_, jobOf) => {
  const job = jobOf();
  expectSound(allClaims(job, plannedOnce(job)));
});

test('what random jobs claim is so', () => {
  const claims: Claim[] = [];
  for (let seed = 1; seed <= trials(30); seed++) {
    const job = wholeJob(seed);
    if (job) claims.push(...allClaims(job, plannedOnce(job)));
  }
  expect(claims.length).toBeGreaterThan(trials(600));
  expectSound(claims);
});

describe('a claim that is wrong is found to be', () => {
  const job = demoJob('tidewater-bakehouse');
  const whole = demoPlan('tidewater-bakehouse');
  /** The claims of the plan where its first surface says something else. */
  const saying = (change: (reasons: Reasons) => Partial<Reasons>): Claim[] => {
    const [first, ...rest] = whole.surfaces;
    const reasons = { ...first.advice.reasons, ...change(first.advice.reasons) };
    return claimsOf(job, { ...whole, surfaces: [{ ...first, advice: { ...first.advice, reasons } }, ...rest] }, METRIC_TAPE);
  };
  const faultsOf = (claims: readonly Claim[]): string[] => claims.flatMap(({ fault, surface }) => (fault ? [`${surface} ${fault}`] : []));
  const shop = job.surfaces[0].name;

  test('full tiles along an edge that is cut; pieces wider than any; a narrowest one that is not there', () => {
    const { edges, traced } = whole.surfaces[0];
    const [edge] = edges.filter(({ id, cuts }) => cuts.length > 0 && traced.edges.filter((one) => one.id === id).length === 1);
    const along = { id: edge.id, kind: 'edge', role: edge.role, seen: edge.seen } as const;
    expect(faultsOf(saying(() => ({ gain: { says: 'full', along, rest: null } })))).toEqual([`${shop} untrue`]);
    expect(faultsOf(saying(() => ({ gain: { says: 'pieces', size: { along, cutMm: [2000, 2000] } } })))).toEqual([`${shop} untrue`]);
    expect(faultsOf(saying(() => ({ gain: { says: 'narrowest', size: { along, cutMm: [300, 300] } } })))).toEqual([`${shop} untrue`]);
  });
  test('another start is blamed for what this one does as well; a bare count is told', () => {
    const shared = saying(({ rival, than }) => ({ than: than && { ...than, ...whole.surfaces[0].advice.chosen }, rival }));
    expect(faultsOf(shared)).toEqual([`${shop} misleading`]);
    const { cutPieces } = whole.surfaces[0].advice.chosen.figures;
    expect(faultsOf(saying(() => ({ gain: { says: 'work', cutPieces, less: false } })))).toEqual([`${shop} needless`]);
  });
  test('a finding whose figure is another one', () => {
    const at = whole.findings.findIndex(({ code }) => code === 'advice/finishes-proud');
    const findings = whole.findings.map((finding, k) => (k === at ? { ...finding, figures: { ...finding.figures, offMm: 9 } } : finding));
    expect(faultsOf(claimsOf(job, { ...whole, findings }, METRIC_TAPE))).toEqual([`${shop} untrue`]);
  });
});
