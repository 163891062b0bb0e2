import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { nextInTurn, piecesInTurn } from './piecesInTurn.ts';

const job = demoJob('tidewater-bakehouse');
const planned = demoPlan('tidewater-bakehouse').surfaces.filter(({ cuts }) => cuts.length > 0);

test.each(planned.map((plan) => [plan.surfaceId, plan] as const))(
  '%s: every piece has its turn once, to be cut and to be laid',
  (id, plan) => {
    const surface = job.surfaces.find((one) => one.id === id);
    if (!surface) throw new Error(id);
    const labels = plan.toCut.map(({ label }) => label).sort();
    for (const doing of ['cut', 'laid'] as const)
      expect(
        piecesInTurn(plan, surface.pattern, job.cutting, doing)
          .map(({ label }) => label)
          .sort(),
      ).toEqual(labels);
    const zoneOf = (label: string): number => plan.zones.zones.find(({ cuts }) => cuts.includes(label))?.number ?? Infinity;
    const laid = piecesInTurn(plan, surface.pattern, job.cutting, 'laid').map(({ label }) => zoneOf(label));
    // Strips beside the surface lie in no zone: they are set last.
    expect(laid.every((zone, k) => k === 0 || zone >= laid[k - 1])).toBe(true);
  },
);

test('whatever is put off and asked for, each piece comes once, what is put off last, and what is asked for at once', () => {
  const pieces = fc.uniqueArray(fc.constantFrom<string>('a', 'b', 'c', 'd', 'e'), { minLength: 1 });
  fc.assert(
    fc.property(pieces, pieces, fc.option(fc.constantFrom<string>('a', 'b', 'c', 'z')), (labels, putOff, asked) => {
      let left = labels.map((label) => ({ label }));
      const came: string[] = [];
      for (let next = nextInTurn(left, { asked, putOff }); next; next = nextInTurn(left, { asked, putOff })) {
        const { label } = next;
        came.push(label);
        left = left.filter((one) => one.label !== label);
      }
      expect([...came].sort()).toEqual([...labels].sort());
      if (asked !== null && labels.includes(asked)) expect(came[0]).toBe(asked);
      const rest = came.filter((label) => label !== asked);
      const late = rest.findIndex((label) => putOff.includes(label));
      if (late >= 0) expect(rest.slice(late).every((label) => putOff.includes(label))).toBe(true);
    }),
  );
});
