import { Memory } from '@azulejo/core/memory';
import { compareSetouts } from '@azulejo/core/compare/compareSetouts';
import { prepareSurface } from '@azulejo/core/plan/prepare/prepareSurface';
import type { Job } from '@azulejo/core/job/job';
import { trialJob } from '@azulejo/core/samples/trialJob';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { AS_DRAWN } from '@azulejo/core/setout/choice/turns';
import { choosing, QUICK } from '@azulejo/core/setout/search/chooseSetout';
import { BEST_SETOUT } from '@azulejo/core/setout/choice/setoutChoice';
import { median, timeOf } from './timing.ts';

/** What judging starts of one room costs, beside laying one. */
export interface SearchRow {
  readonly room: string;
  readonly pieces: number;
  /** Ten thousand trials, ms. */
  readonly trialsMs: number;
  /** Laying one start and measuring its edges, ms. */
  readonly layMs: number;
  /** How many trials take as long as laying one start. */
  readonly ratio: number;
  /** The start that a plan takes, ms. */
  readonly quickMs: number;
  /** To the first good answer of the comparison, and to its end, ms. */
  readonly firstMs: number;
  readonly endMs: number;
}

const TRIALS = 10_000;

function spent(steps: Generator): void {
  while (!steps.next().done);
}

function benchRoom(room: string, job: Job): SearchRow {
  const [surface] = job.surfaces;
  const { placer } = prepareSurface(job, surface, new Memory());
  const trials = placer.trialsAt(0);
  const candidate = placer.candidateAt([31, 47], AS_DRAWN);
  const { fields } = placer.lay(candidate);
  const pieces = fields.reduce((sum, { layout }) => sum + layout.wholeCount + layout.cutTiles.length, 0);
  for (let k = 0; k < 2000; k++) trials.judge(k * 1.37, k * 0.73);
  const trialsMs = timeOf(() => {
    for (let k = 0; k < TRIALS; k++) trials.judge(k * 1.37, k * 0.73);
  });
  const layMs = median(9, () => placer.lay(candidate));
  const quickMs = median(5, () => spent(choosing(placer, BEST_SETOUT, QUICK)));
  let firstMs = 0;
  const endMs = timeOf(() => {
    const start = performance.now();
    const steps = compareSetouts(job, surface, new Memory());
    for (let step = steps.next(); !step.done; step = steps.next()) {
      if (firstMs === 0 && step.value.best) firstMs = performance.now() - start;
    }
    if (firstMs === 0) firstMs = performance.now() - start;
  });
  return { room, pieces, trialsMs, layMs, ratio: (layMs / trialsMs) * TRIALS, quickMs, firstMs, endMs };
}

/** A plain room, a half bond of fifteen hundred pieces, and hexagons in an irregular room with fixtures. */
export const benchSearch = (): SearchRow[] => [
  benchRoom('rectangular room, straight joints', jobOfOne({ size: [4310, 3470], tile: [298, 298], jointMm: 3 })),
  benchRoom(
    'rectangular room, half bond',
    jobOfOne({
      size: [4310, 3470],
      tile: [148, 73],
      jointMm: 2,
      surface: { pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
    }),
  ),
  benchRoom('irregular room, hexagons, fixtures', trialJob({ kind: 'hexagon', lay: 'upright' }, 4)),
];
