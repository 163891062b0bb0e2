import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../../plan.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import { isInside, boxOf } from '../../geometry/ring.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import type { Surface } from '../../job/job.ts';
import type { Pin } from '../choice/pins.ts';
import { BEST_SETOUT } from '../choice/setoutChoice.ts';
import { trials } from '../../../testing/trials.ts';

type Way = 'level' | 'upright';

/** A wall with its pins, and a band of its own tile across a share of it. */
function planned(size: readonly [number, number], tile: readonly [number, number], pins: Pin[], band: Way | null = null): SurfacePlan {
  const job = jobOfOne({ size, tile, jointMm: 3, surface: { setout: { x: { rule: 'best' }, y: { rule: 'best' }, pins } } });
  const [surface] = job.surfaces;
  const atMm = band === 'level' ? size[1] * 0.2 : size[0] * 0.2;
  const bands = band ? [{ id: 'b', productId: surface.productId, run: 'along' as const, way: band, atMm }] : [];
  return planSurface(job, { ...surface, bands });
}
const rooms = fc.record({
  size: fc.tuple(fc.integer({ min: 1500, max: 3000 }), fc.integer({ min: 1200, max: 2600 })),
  tile: fc.tuple(fc.integer({ min: 120, max: 420 }), fc.integer({ min: 120, max: 420 })),
  at: fc.tuple(fc.double({ min: 0.25, max: 0.75, noNaN: true }), fc.double({ min: 0.25, max: 0.75, noNaN: true })),
});

test('a joint is where it is pinned, a crossing too, and the piece at a pin is full', () => {
  fc.assert(
    fc.property(
      rooms,
      fc.constantFrom('jointUp' as const, 'jointAlong' as const, 'crossing' as const, 'fullPiece' as const),
      fc.constantFrom(null, 'level' as const, 'upright' as const),
      ({ size, tile, at: [u, v] }, kind, band) => {
        const at: [number, number] = [u * size[0], v * size[1]];
        const { fields, advice } = planned(size, tile, [{ kind, at }], band);
        // A band may come to lie where the pin is.
        fc.pre(band === null || [u, v][band === 'level' ? 1 : 0] > 0.55);
        expect(advice.missedPins).toEqual([0]);
        const boxes: ReturnType<typeof boxOf>[] = [];
        let full = false;
        for (const { kind: field, layout } of fields) {
          if (field === 'band') continue;
          forEachWhole(layout, (address) => {
            const ring = tileRing(layout, address);
            boxes.push(boxOf(ring));
            if (isInside(at, [[ring]])) full = true;
          });
        }
        const off = (mm: number, low: number, high: number): number => Math.min(Math.abs(mm - (low - 1.5)), Math.abs(mm - (high + 1.5)));
        const offX = Math.min(...boxes.map(({ minX, maxX }) => off(at[0], minX, maxX)));
        const offY = Math.min(...boxes.map(({ minY, maxY }) => off(at[1], minY, maxY)));
        if (kind === 'jointUp' || kind === 'crossing') expect(offX).toBeLessThan(1.6);
        if (kind === 'jointAlong' || kind === 'crossing') expect(offY).toBeLessThan(1.6);
        if (kind === 'fullPiece') expect(full).toBe(true);
      },
    ),
    { numRuns: trials(40) },
  );
});

test('no piece along a pinned edge is narrower where that can be', () => {
  const { edges, advice } = planned([2314, 1500], [297.5, 297.5], [{ kind: 'noCutUnder', edge: 'left', mm: 260 }]);
  expect(advice.missedPins).toEqual([0]);
  const left = edges.find(({ id }) => id === 'left');
  expect(left?.smallestCutMm ?? Infinity).toBeGreaterThanOrEqual(259.9);
});

test('of pins that can not all be kept, each that is missed is told with the one that excludes it, or that no start keeps it', () => {
  const kept: Pin = { kind: 'jointAlong', at: [700, 400] };
  const one: Pin = { kind: 'jointUp', at: [700, 400] };
  const other: Pin = { kind: 'jointUp', at: [850, 400] };
  const { advice } = planned([2314, 1500], [297.5, 297.5], [kept, one, other]);
  expect(advice.missedPins.some((mm) => mm > 0)).toBe(true);
  expect(advice.hindered).toHaveLength(1);
  const [{ pin, by }] = advice.hindered;
  expect([pin, by].sort()).toEqual([1, 2]);

  // Four joints across in one step of 300.5: one can be kept, and each of the others says which that is.
  const four = [0, 60, 120, 200].map((off): Pin => ({ kind: 'jointUp', at: [700 + off, 400] }));
  const crowded = planned([2314, 1500], [297.5, 297.5], four).advice;
  const [keptPin] = [0, 1, 2, 3].filter((k) => crowded.missedPins[k] === 0);
  expect(crowded.hindered).toEqual([0, 1, 2, 3].filter((k) => k !== keptPin).map((k) => ({ pin: k, by: keptPin })));

  // Nothing is laid in the gap along a wall.
  const never = planned([2314, 1500], [297.5, 297.5], [{ kind: 'fullPiece', at: [1, 1] }]).advice;
  expect(never.hindered).toEqual([{ pin: 0, by: 'itself' }]);
});

test('in the middle of a rug that is let in, no piece of the field is full', () => {
  const pin: Pin = { kind: 'fullPiece', at: [1150, 750] };
  const job = jobOfOne({
    size: [2314, 1500],
    tile: [297.5, 297.5],
    jointMm: 3,
    surface: { setout: { x: { rule: 'best' }, y: { rule: 'best' }, pins: [pin] } },
  });
  const [surface] = job.surfaces;
  const { turnDeg, mirrored, colours, partColours, parts, jointMm, pattern, productId } = surface;
  const laying = {
    turnDeg,
    mirrored,
    colours,
    partColours,
    parts,
    jointMm,
    pattern,
    productId,
    border: null,
    jointColour: surface.jointColour,
  };
  const rug: Surface['insets'][number] = {
    ...laying,
    id: 'rug',
    name: 'Rug',
    setout: BEST_SETOUT,
    outline: { kind: 'rectangle', widthMm: 900, heightMm: 700 },
    from: [
      { edge: 'left', mm: 700 },
      { edge: 'bottom', mm: 400 },
    ],
  };
  const missed = (insets: Surface['insets']): readonly number[] => planSurface(job, { ...surface, insets }).advice.missedPins;
  expect(missed([])).toEqual([0]);
  expect(missed([rug])[0]).toBeGreaterThan(0);
});
