import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { demoPlan } from '../../testing/demoJob.ts';
import { dryLayOf, swapOf } from './dryLay.ts';
import { exercisesOf, judgeMark } from './practice.ts';

const wall = (directional = false): { plan: SurfacePlan; products: ReturnType<typeof jobOfOne>['products'] } => {
  const job = jobOfOne({
    size: [2314, 1300],
    tile: [297.5, 197.5],
    jointMm: 3,
    gapMm: 5,
    directional,
    surface: { setout: { x: { rule: 'jointCentred' }, y: { rule: 'free', offsetMm: 0 } } },
  });
  return { plan: planSurface(job, job.surfaces[0]), products: job.products };
};

describe('practice', () => {
  test('the worked wall: 257 from the tile to the wall, less joint 3 and gap 5, is 249', () => {
    const { plan } = wall();
    const ends = exercisesOf(plan, 'face').filter(({ answer }) => answer.from === 'left');
    expect(ends.length).toBeGreaterThan(3);
    for (const { openingMm, answer, gapMm } of ends) {
      expect(openingMm.map((mm) => mm.toFixed(3))).toEqual(['257.000', '257.000']);
      expect(gapMm.map((mm) => mm.toFixed(3))).toEqual(['5.000', '5.000']);
      expect(answer.mm.map((mm) => mm.toFixed(3))).toEqual(['249.000', '249.000']);
    }
  });

  test('each slip is known by its name, and by whether the tile can still be used', () => {
    const [exercise] = exercisesOf(wall(true).plan, 'face').filter(({ answer }) => answer.from === 'left');
    const judged = (mm: number, from: 'left' | 'right' | 'top' = 'left') => {
      const verdict = judgeMark(exercise, { from, mm: [mm, mm] }, 0.5);
      return verdict.kind === 'right' ? 'right' : `${verdict.slip} ${verdict.costs}`;
    };
    expect([249, 249.4, 252, 254, 257, 48.5, 240, 251].map((mm) => judged(mm))).toEqual([
      'right',
      'right',
      'jointOn cutAgain',
      'gapOn cutAgain',
      'bothOn cutAgain',
      'fromCut tile',
      'tooSmall tile',
      'tooLarge cutAgain',
    ]);
    expect(judged(249, 'right')).toBe('mirrored tile');
    expect(judged(249, 'top')).toBe('otherSide tile');
    // A plain tile is only turned round.
    const [plain] = exercisesOf(wall().plan, 'face').filter(({ answer }) => answer.from === 'left');
    expect(judgeMark(plain, { from: 'right', mm: [249, 249] }, 0.5)).toEqual({ kind: 'right', turned: true });
  });

  test('face down the same piece is marked from the other side, with the same opening', () => {
    const { plan } = wall(true);
    const [face, back] = (['face', 'back'] as const).map((side) => exercisesOf(plan, side));
    expect(back.length).toBe(face.length);
    face.forEach((one, k) => {
      const isUpright = one.answer.from === 'left' || one.answer.from === 'right';
      expect(back[k].answer.from === one.answer.from).toBe(!isUpright);
      expect(judgeMark(back[k], back[k].answer, 0.5).kind).toBe('right');
      if (isUpright) expect(judgeMark(back[k], one.answer, 0.5).kind).toBe('slip');
    });
  });
});

describe('the dry lay', () => {
  test('every piece has its turn once, course by course from the left', () => {
    const { plan } = wall();
    const order = dryLayOf(plan.fields, plan.labels, plan.toCut);
    expect(order.length).toBe(plan.totals.pieces);
    expect(new Set(order.map(({ label }) => label)).size).toBe(order.length);
    expect(order.slice(0, 3).map(({ label }) => label)).toEqual(['A1', 'A2', 'A3']);
  });

  test('a swap is harmless between equal pieces, and only between them', () => {
    const { plan, products } = wall();
    const order = dryLayOf(plan.fields, plan.labels, plan.toCut);
    const of = (label: string) => {
      const found = order.find((piece) => piece.label === label);
      if (!found) throw new Error(label);
      return found;
    };
    expect(swapOf(of('B2'), of('C3'), products)).toEqual({ kind: 'harmless', turnDeg: 0 });
    // The ends of a course are equal when one is turned.
    expect(swapOf(of('B1'), of('B8'), products)).toEqual({ kind: 'harmless', turnDeg: 180 });
    expect(
      swapOf(
        of('B1'),
        of('B8'),
        products.map((product) => ({ ...product, face: 'directional' as const })),
      ).kind,
    ).not.toBe('harmless');
    const swap = swapOf(of('B1'), of('B2'), products);
    expect(swap.kind === 'otherSize' && [swap.larger, Math.round(swap.byMm * 10) / 10]).toEqual(['B2', 48.5]);
    fc.assert(
      fc.property(fc.nat({ max: order.length - 1 }), fc.nat({ max: order.length - 1 }), (a, b) => {
        const [there, back] = [swapOf(order[a], order[b], products), swapOf(order[b], order[a], products)];
        expect(there.kind).toBe(back.kind);
        const areas = [order[a], order[b]].map(({ cut }) => cut?.areaMm2 ?? 297.5 * 197.5);
        if (there.kind === 'harmless') expect(Math.abs(areas[0] - areas[1])).toBeLessThan(300);
      }),
    );
  });
});

test('of a mosaic the sheets that are cut are laid dry, each once and by the name it has in the list', () => {
  for (const { fields, labels, toCut, groups } of demoPlan('tidewater-bakehouse').surfaces.filter(({ sheets }) => sheets.length > 0)) {
    const listed = groups.flatMap(({ pieces }) => pieces.map(({ label }) => label));
    expect(
      dryLayOf(fields, labels, toCut)
        .map(({ label }) => label)
        .sort(),
    ).toEqual(listed.sort());
  }
});
