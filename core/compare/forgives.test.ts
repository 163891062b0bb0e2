import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { describeForgiveness } from '../messages/en/forgives.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import { plan } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import type { SetoutChoice } from '../setout/choice/setoutChoice.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import type { Job } from '../job/job.ts';
import { forgives, movedWalls, OFF_MM, type Forgiveness } from './forgives.ts';

/** A wall of tiles of 300 by 200 with joints of 3 and gaps of 5, laid from a rule in each direction. */
function wall(widthMm: number, setout: SetoutChoice, heightMm = 790): Job {
  const job = jobOfOne({ size: [widthMm, heightMm], tile: [300, 200], jointMm: 3 });
  return { ...job, surfaces: [{ ...job.surfaces[0], kind: 'wall', setout }] };
}
const offLeft: SetoutChoice = { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } };

function told(job: Job): Forgiveness & { readonly words: string } {
  const [{ advice, traced }] = plan(job).surfaces;
  const found = forgives(advice.chosen, movedWalls(job, job.surfaces[0]));
  return { ...found, words: describeForgiveness(found, thingNamesOf(traced), METRIC_TAPE) };
}

test('full tiles that just fit become a strip where the wall is further out, and that wall is to be measured once more', () => {
  // Three tiles and two joints are 906, with gaps 916: a gap of 6 at the right. In height 780 are three courses, joints and 171.
  const found = told(wall(917, offLeft));
  expect(found.now?.mm).toBeCloseTo(171, 6);
  expect(found.turns).toBe(true);
  // 5 mm more are a joint of 3 and a strip of 2.
  expect(found.worst).toMatchObject({ wall: 'left', isFurther: true, at: { id: 'right' } });
  expect(found.worst?.mm).toBeCloseTo(2, 6);
  expect(found.words).toBe(
    'Should the left edge stand 4 mm further out, a strip of 2 mm is cut at the right edge: measure to it once more.',
  );
});

test('a start whose cuts have room to spare says how narrow they may become', () => {
  // 1106 less 10 are 1096: three tiles and joints are 909, 187 stay at the right; 171 at the top, 167 at the worst.
  const found = told(wall(1106, offLeft));
  expect(found.now?.mm).toBeCloseTo(171, 6);
  expect(found.worst?.mm).toBeCloseTo(167, 6);
  expect(found.words).toBe('Where a wall stands 4 mm off the narrowest piece is still 167 mm.');
});

test('the worst is the worst of the surface as it would be measured with each wall moved by hand, laid by the same rules', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 700, max: 1500 }),
      fc.integer({ min: 600, max: 1200 }),
      fc.constantFrom('fullFromStart', 'jointCentred', 'pieceCentred', 'fullFromEnd'),
      (width, height, rule) => {
        const setout: SetoutChoice = { x: { rule }, y: { rule } };
        const found = told(wall(width, setout, height));
        const narrowest = ([dx, dy]: readonly [number, number]): number => {
          const [{ edges }] = plan(wall(width + dx, setout, height + dy)).surfaces;
          return Math.min(...edges.flatMap(({ cuts }) => cuts.map(({ thinnestMm }) => thinnestMm)));
        };
        // A room that is longer is the same whichever of its walls stands further out.
        const byHand = Math.min(
          ...(
            [
              [OFF_MM, 0],
              [-OFF_MM, 0],
              [0, OFF_MM],
              [0, -OFF_MM],
            ] as const
          ).map(narrowest),
        );
        if (Number.isFinite(byHand)) expect(found.worst?.mm).toBeCloseTo(byHand, 2);
        else expect(found.worst).toBeNull();
      },
    ),
    { numRuns: 15 },
  );
});
