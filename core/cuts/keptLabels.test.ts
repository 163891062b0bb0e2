import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { jobSchema, type Job } from '../job/job.ts';
import { planSurface } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { PATTERNS } from '../pattern/registry.ts';
import { standing } from '../samples/standing.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { keepLabels } from './keptLabels.ts';
import { trials } from '../../testing/trials.ts';

/** An L whose low leg reaches left by so much of the corner. */
const room = (leftMm: number, pattern: Job['surfaces'][number]['pattern'], counted?: Job['surfaces'][number]['counted']): Job => {
  const job = jobOfOne({
    size: [2600, 1900],
    tile: [300, 150],
    jointMm: 3,
    surface: { pattern, counted, setout: { x: { rule: 'free', offsetMm: 40 }, y: { rule: 'free', offsetMm: 60 } } },
    measured: {
      fixtures: [standing('tray', { kind: 'rectangle', widthMm: leftMm, heightMm: 800 }, 0, 0)],
    },
  });
  return job;
};

const planned = (job: Job): SurfacePlan => planSurface(job, job.surfaces[0]);
/** Where each cut piece lies, by its label. */
const places = ({ cuts }: SurfacePlan): Map<string, string> =>
  new Map(
    cuts.map(({ label, polygon }) => [
      label,
      polygon[0]
        .map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`)
        .sort()
        .join(),
    ]),
  );

describe('labels that are kept', () => {
  test('a wall that moves elsewhere leaves every piece its label, whichever way it moves', () => {
    const kinds = [PATTERNS.stack.defaults, PATTERNS.runningBond.defaults, PATTERNS.herringbone.defaults];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.integer({ min: 100, max: 1500 }),
        fc.integer({ min: 100, max: 1500 }),
        (pattern, was, is) => {
          const before = planned(room(was, pattern));
          const counted = keepLabels(before.fields, before.labels, pattern.kind);
          const job = room(is, pattern, counted);
          expect(jobSchema.safeParse(job).success).toBe(true);
          const after = planned(job);
          const [old, now] = [places(before), places(after)];
          const labelAt = new Map([...now].map(([label, place]) => [place, label]));
          let same = 0;
          for (const [label, place] of old) {
            const found = labelAt.get(place);
            if (found === undefined) continue;
            same++;
            expect(found).toBe(label);
          }
          expect(same).toBeGreaterThan(8);
          expect(new Set(after.cuts.map(({ label }) => label)).size).toBe(after.cuts.length);
        },
      ),
      { numRuns: trials(24) },
    );
  });

  test('without a kept count the same move takes labels from their pieces', () => {
    const { defaults } = PATTERNS.stack;
    const [before, after] = [planned(room(1500, defaults)), planned(room(200, defaults))];
    const labelAt = new Map([...places(after)].map(([label, place]) => [place, label]));
    const moved = [...places(before)].filter(([label, place]) => labelAt.has(place) && labelAt.get(place) !== label);
    expect(moved.length).toBeGreaterThan(0);
  });

  test('what is laid before the first that was counted has a dash', () => {
    const { defaults } = PATTERNS.stack;
    const before = planned(room(1500, defaults));
    const after = planned(room(0.5, defaults, keepLabels(before.fields, before.labels, 'stack')));
    const added = after.cuts.map(({ label }) => label).filter((label) => label.includes('-'));
    expect(added).toContain('A-1');
    // Another pattern is counted anew.
    const other = planned(room(0.5, PATTERNS.herringbone.defaults, keepLabels(before.fields, before.labels, 'stack')));
    expect(other.cuts.some(({ label }) => label.includes('-'))).toBe(false);
  });
});
