import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { intersect } from '../geometry/clip.ts';
import { circleRing } from '../geometry/circleRing.ts';
import { polygonsArea } from '../geometry/ring.ts';
import { planSurface } from '../plan.ts';
import { standing } from '../samples/standing.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { sharedHoles } from './sharedHoles.ts';

test('pieces round one pipe name each other, wherever it comes through: those that would lie under a ring a little wider', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 350, max: 1900 }),
      fc.integer({ min: 350, max: 1300 }),
      fc.integer({ min: 40, max: 160 }),
      (x, y, size) => {
        const pipe = standing('pipe', { kind: 'round', diameterMm: size }, x, y);
        const job = jobOfOne({
          size: [2400, 1700],
          tile: [300, 200],
          jointMm: 3,
          surface: { setout: { x: { rule: 'free', offsetMm: 40 }, y: { rule: 'free', offsetMm: 60 } } },
          measured: { fixtures: [pipe] },
        });
        const { traced, cuts } = planSurface(job, job.surfaces[0]);
        const shared = sharedHoles(traced, cuts);
        const circle = traced.fixtures[0].clearCircle;
        if (!circle) throw new Error('a pipe is round');
        // Another route: what a ring of half a millimetre more bites into really meets the hole.
        const wider = circleRing(circle.centre, circle.radiusMm + 0.5);
        const bitten = cuts.filter(({ polygon }) => polygonsArea(intersect([polygon], [[wider]])) > 4).map(({ label }) => label);
        const named = [...shared.keys()];
        if (bitten.length < 2) return;
        expect(named.sort()).toEqual(expect.arrayContaining(bitten.sort()));
        for (const [label, [{ name, others }]] of shared) expect([name, [label, ...others].sort()]).toEqual(['pipe', named]);
      },
    ),
    { numRuns: 25 },
  );
});
