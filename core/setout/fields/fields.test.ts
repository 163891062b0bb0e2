import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sharedArea } from '../../geometry/clip.ts';
import { polygonsArea, type Polygon } from '../../geometry/ring.ts';
import { checkJob } from '../../job/checkJob.ts';
import type { Job, Surface } from '../../job/job.ts';
import { planSurface } from '../../plan.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import { PLAIN_LAYING } from '../../job/startJob.ts';
import { madeUpTiles } from '../../madeUp/tiles.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import type { EdgeRole } from '../../surface/edge.ts';
import type { Inset } from '../choice/inset.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { trials } from '../../../testing/trials.ts';

const jobOf = (surface: Partial<Surface>, size: [number, number] = [3000, 2400]): Job => {
  const job = jobOfOne({ size, tile: [300, 300], jointMm: 3, surface });
  return { ...job, products: [...job.products, ...madeUpTiles()] };
};
const planned = (job: Job): SurfacePlan => {
  expect(checkJob(job)).toEqual([]);
  return planSurface(job, job.surfaces[0]);
};
/** Every piece of a field as it lies. */
const piecesOf = ({ layout }: SurfacePlan['fields'][number]): Polygon[] => {
  const whole: Polygon[] = [];
  forEachWhole(layout, (address) => whole.push([tileRing(layout, address)]));
  return [...whole, ...layout.cutTiles.flatMap(({ polygons }) => polygons)];
};
const rug: Inset = {
  ...PLAIN_LAYING,
  id: 'rug',
  name: 'Rug',
  outline: { kind: 'rectangle', widthMm: 1300, heightMm: 900 },
  from: [
    { edge: 'left', mm: 700 },
    { edge: 'bottom', mm: 600 },
  ],
  productId: 'honey-hex',
  jointMm: 3,
  pattern: { kind: 'hexagon', lay: 'upright' },
  setout: { x: { rule: 'best' }, y: { rule: 'best' } },
  border: null,
};
const BORDER = { productId: 'net-trim', run: 'along', corners: 'mitred', fromEdgeMm: 0 } as const;

/** No piece lies on a piece of another field, and all of them on the region. */
function expectApart(plan: SurfacePlan): void {
  const fields = plan.fields.map(piecesOf);
  fields.forEach((own, k) => {
    const laidMm2 = polygonsArea(own);
    expect(Math.abs(sharedArea(own, plan.traced.region) - laidMm2)).toBeLessThan(1 + laidMm2 * 1e-6);
    for (const other of fields.slice(0, k)) expect(sharedArea(own, other)).toBeLessThan(1);
  });
}

describe('a border', () => {
  test.each(['mitred', 'butted'] as const)('%s: fills the frame but for its joints, and the field keeps a joint away', (corners) => {
    const plan = planned(jobOf({ border: { ...BORDER, corners } }));
    expectApart(plan);
    const border = plan.fields.filter(({ kind }) => kind === 'border').flatMap(piecesOf);
    const [w, h, d] = [2990, 2390, 49.5];
    const frame = w * h - (w - 2 * d) * (h - 2 * d);
    // Pieces of 149.5 with joints of 3 between them along two metres and a half of each side, and a joint in each corner.
    expect(polygonsArea(border) / frame).toBeGreaterThan(0.97);
    expect(polygonsArea(border) / frame).toBeLessThan(0.985);
    const within = piecesOf(plan.fields[0]).flat(2);
    const clear = Math.min(...within.flatMap(([x, y]) => [x - 5, y - 5, w + 5 - x, h + 5 - y]));
    expect(clear).toBeCloseTo(d + 3, 1);
  });
  test('away from the edge the field runs on round it, a joint on either side', () => {
    const plan = planned(jobOf({ border: { ...BORDER, fromEdgeMm: 400 } }));
    expectApart(plan);
    expect(piecesOf(plan.fields[0]).some((polygon) => polygon[0].every(([x]) => x < 402))).toBe(true);
    expect(plan.fields[0].layout.repeat).toBe(plan.fields[0].laid.repeat);
  });
  test('whatever the corners, the doorway and the roles: laid apart, and the doorway alone a threshold', () => {
    const roles = fc.constantFrom<EdgeRole>('wall', 'focal', 'hidden', 'exposed');
    fc.assert(
      fc.property(
        fc.constantFrom('mitred' as const, 'butted' as const),
        fc.constantFrom('bottom', 'right', 'top', 'left'),
        fc.integer({ min: 100, max: 1400 }),
        fc.record({ bottom: roles, right: roles, top: roles, left: roles }),
        (corners, edge, fromStartMm, own) => {
          const doorways = [{ id: 'door', edge, fromStartMm, widthMm: 800, depthMm: 70 }];
          const job = jobOf({ border: { ...BORDER, corners } });
          const [surface] = job.surfaces;
          const plan = planned({ ...job, surfaces: [{ ...surface, measured: { ...surface.measured, roles: own, doorways } }] });
          expectApart(plan);
          // Behind the border no cut shows; what is seen first, and what is hidden, is so behind it too.
          const behind = (role: EdgeRole): EdgeRole => (role === 'focal' || role === 'hidden' ? role : 'wall');
          for (const { id, role } of plan.edges.filter(({ isReveal }) => !isReveal))
            expect([id, role]).toEqual([id, id === 'door' ? 'threshold' : behind(own[id as keyof typeof own])]);
          expect(plan.fields.filter(({ kind }) => kind === 'border').length).toBeGreaterThanOrEqual(4);
          // The frame runs along every side but the opening.
          const frame = plan.fields.filter(({ kind }) => kind === 'border').flatMap(piecesOf);
          expect(polygonsArea(frame)).toBeGreaterThan(0.9 * 49.5 * (2 * (2990 + 2390) - 800 - 4 * 49.5));
        },
      ),
      { numRuns: trials(25) },
    );
  });
  test('a surface too small for it is refused by name', () => {
    expect(checkJob(jobOf({ border: { ...BORDER, productId: 'slip-600' } }, [1100, 900])).map(({ code }) => code)).toEqual([
      'border/no-room',
    ]);
    expect(checkJob(jobOf({ border: { ...BORDER, productId: 'honey-hex' } })).map(({ code }) => code)).toEqual(['border/not-rectangular']);
  });
});

describe('a band', () => {
  const band = { id: 'b', productId: 'net-trim', run: 'along', way: 'level', atMm: 1000 } as const;
  const still = { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } as const;
  test('goes into the nearest joint, so that no course is cut for it, and the courses beyond move on by it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 350, max: 1900 }), fc.constantFrom('level' as const, 'upright' as const), (atMm, way) => {
        const plain = planned(jobOf({ setout: still }));
        const plan = planned(jobOf({ setout: still, bands: [{ ...band, atMm, way }] }));
        expectApart(plan);
        expect(plan.fields.map(({ kind }) => kind)).toEqual(['main', 'beyondBand', 'band']);
        const [main, beyond, own] = plan.fields;
        const k = way === 'level' ? 1 : 0;
        const span = (field: typeof main): [number, number] => {
          const at = piecesOf(field)
            .flat(2)
            .map((p) => p[k]);
          return [Math.min(...at), Math.max(...at)];
        };
        expect(span(own)[0] - span(main)[1]).toBeCloseTo(3, 3);
        expect(span(beyond)[0] - span(own)[1]).toBeCloseTo(3, 3);
        expect((span(main)[1] - 5 + 3) % 303).toBeCloseTo(0, 3);
        expect(beyond.layout.placement.origin[k] - main.layout.placement.origin[k]).toBeCloseTo(52.5, 6);
        expect(plan.totals.pieces).toBeGreaterThan(plain.totals.pieces);
      }),
      { numRuns: trials(12) },
    );
  });
});

describe('an inset', () => {
  test('has a tiling of its own, a joint away from the field on every side; both tiles are ordered', () => {
    const plan = planned(jobOf({ insets: [rug] }));
    expectApart(plan);
    const own = plan.fields.find(({ id }) => id === 'rug');
    expect(own && polygonsArea(piecesOf(own)) / (1300 * 900)).toBeGreaterThan(0.95);
    const hole = 1306 * 906;
    expect(plan.extent.areaMm2 - polygonsArea(piecesOf(plan.fields[0]))).toBeGreaterThan(hole);
    expect(plan.figures.tiles.map(({ productId }) => productId).sort()).toEqual(['honey-hex', 't']);
    expect(plan.extent.tiledAreaMm2).toBeCloseTo(
      plan.fields.reduce((sum, field) => sum + polygonsArea(piecesOf(field)), 0),
      -1,
    );
  });
  test('may be round or an L, and may have a border; out of the field or over another it is refused', () => {
    expectApart(planned(jobOf({ insets: [{ ...rug, outline: { kind: 'round', diameterMm: 1000 } }] })));
    const inL: Inset['outline'] = {
      kind: 'shape',
      shape: { kind: 'lShape', widthMm: 1300, heightMm: 900, missing: 'top-right', missingWidthMm: 500, missingHeightMm: 300 },
    };
    for (const border of [null, BORDER]) expectApart(planned(jobOf({ insets: [{ ...rug, outline: inL, border }] })));
    const bordered = planned(jobOf({ insets: [{ ...rug, border: BORDER }] }));
    expectApart(bordered);
    expect(bordered.fields.filter(({ kind }) => kind === 'border')).toHaveLength(4);
    const far = { ...rug, from: [{ edge: 'left', mm: 9000 }, rug.from[1]] } as Inset;
    expect(checkJob(jobOf({ insets: [far] })).map(({ code }) => code)).toEqual(['inset/outside']);
    expect(checkJob(jobOf({ insets: [rug, { ...rug, id: 'two', name: 'Two' }] })).map(({ code }) => code)).toEqual(['inset/overlap']);
  });
});

test('mixed tiles are counted each by itself, whole and cut', () => {
  const job = jobOf({ productId: 'salt-square', colours: { rule: { kind: 'checkers' }, others: ['rye-square'], byHand: {} } });
  const plan = planned(job);
  const labels = plan.cuts.map(({ label }) => label);
  expect(new Set(labels).size).toBe(labels.length);
  expect(plan.figures.tiles.map(({ productId }) => productId)).toEqual(['salt-square', 'rye-square']);
  const [salt, rye] = plan.figures.tiles;
  expect(salt.whole + rye.whole).toBe(plan.fields[0].layout.wholeCount);
  expect(Math.abs(salt.whole - rye.whole)).toBeLessThanOrEqual(20);
  expect(salt.straightCuts + salt.shapedCuts + rye.straightCuts + rye.shapedCuts).toBe(plan.cuts.length);
});
