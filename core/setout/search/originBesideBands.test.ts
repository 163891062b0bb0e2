import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boxOf } from '../../geometry/ring.ts';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import type { Fixture } from '../../surface/fixture.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { FIXED_RULES, type FixedRule } from '../choice/setoutChoice.ts';

const JOINT_MM = 3;

/** A wall of straight courses with bands across one direction, set out by one rule in that direction. */
function wall(
  size: readonly [number, number],
  tile: readonly [number, number],
  level: boolean,
  atMm: readonly number[],
  rule: FixedRule,
  measured: Parameters<typeof jobOfOne>[0]['measured'] = {},
) {
  const bands = atMm.map((at, k) => ({
    id: `b${k}`,
    productId: 'tile',
    run: 'along' as const,
    way: level ? ('level' as const) : ('upright' as const),
    atMm: at,
  }));
  const other = { rule: 'fullFromStart' } as const;
  const setout = level ? { x: other, y: { rule } } : { x: { rule }, y: other };
  const job = jobOfOne({
    size,
    tile,
    jointMm: JOINT_MM,
    gapMm: 0,
    surface: { pattern: { kind: 'stack', lay: 'lying' }, bands, setout },
    measured,
  });
  return drawSurface(job, { ...job.surfaces[0], bands: bands.map((band) => ({ ...band, productId: job.surfaces[0].productId })) });
}

test('a rule puts its piece where it says, whatever bands move the courses beyond them', () => {
  const length = (min: number, max: number) => fc.integer({ min: 2 * min, max: 2 * max }).map((half) => half / 2);
  // Neither on the centre line nor so near to an end that no piece has room there.
  const share = fc.oneof(...[0.2, 0.65].map((min) => fc.double({ min, max: min + 0.15, noNaN: true })));
  fc.assert(
    fc.property(
      fc.tuple(length(1800, 2600), length(1800, 2600)),
      fc.tuple(length(80, 120), length(50, 110)),
      fc.boolean(),
      fc.array(share, { minLength: 1, maxLength: 2 }),
      fc.constantFrom(...FIXED_RULES),
      (size, tile, level, shares, rule) => {
        const k = level ? 1 : 0;
        const whole = size[k];
        const drawn = wall(
          size,
          tile,
          level,
          shares.map((at) => at * whole),
          rule,
        );
        const spans = drawn.fields
          .filter(({ kind }) => kind !== 'band')
          .flatMap(({ layout }) => {
            const found: (readonly [number, number])[] = [];
            forEachWhole(layout, (address) => {
              const { minX, minY, maxX, maxY } = boxOf(tileRing(layout, address));
              found.push(k === 0 ? [minX, maxX] : [minY, maxY]);
            });
            return found;
          });
        const near = (mm: number, to: number): boolean => Math.abs(mm - to) < 0.06;
        const middle = whole / 2;
        if (rule === 'fullFromStart') expect(spans.some(([low]) => near(low, 0))).toBe(true);
        if (rule === 'fullFromEnd') expect(spans.some(([, high]) => near(high, whole))).toBe(true);
        if (rule === 'pieceCentred') expect(spans.some(([low, high]) => near((low + high) / 2, middle))).toBe(true);
        if (rule === 'jointCentred') expect(spans.some(([low]) => near(low - JOINT_MM / 2, middle))).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});

test('a wall that a window takes whole has no band to look past', () => {
  const window: Fixture = {
    id: 'window',
    name: 'Window',
    kind: 'window',
    outline: { kind: 'rectangle', widthMm: 1000, heightMm: 800 },
    cover: null,
    from: [
      { edge: 'left', mm: 0 },
      { edge: 'bottom', mm: 0 },
    ],
    tiledUnder: false,
    clearanceMm: 2,
  };
  for (const rule of FIXED_RULES) expect(wall([1000, 800], [100, 60], true, [400], rule, { fixtures: [window] }).edges).not.toEqual([]);
});
