import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boxOf } from '@azulejo/core/geometry/ring';
import { facesOfSet, SETS, type SetForm } from '@azulejo/core/surface/sets/registry';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { demoJob } from '../../../testing/demoJob.ts';
import { ringsOf, suggestedName, type Entered } from './model.ts';
import { walkTo } from './walk.ts';

const NOTHING: Entered = { way: 'one', kind: 'floor', shape: null, cutOuts: [], walked: null, set: SETS.stairFlight.defaults };
const sizeOf = (ring: Parameters<typeof boxOf>[0]): number[] => {
  const { minX, maxX, minY, maxY } = boxOf(ring);
  return [maxX - minX, maxY - minY].map((mm) => Math.round(mm));
};

describe('what is drawn while it is entered', () => {
  test('nothing before the first wall; a walk stays open; two lengths are a closed outline', () => {
    expect(ringsOf(NOTHING)).toEqual([]);
    const walked = walkTo([
      { lengthMm: 4200, turnDeg: 90 },
      { lengthMm: 3100, turnDeg: 90 },
    ]);
    expect(ringsOf({ ...NOTHING, walked }).map(({ closed, ring }) => [closed, sizeOf(ring)])).toEqual([[false, [4200, 3100]]]);
    // What was walked is no part of a drawing.
    expect(ringsOf({ ...NOTHING, walked, way: 'draw' })).toEqual([]);
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 20_000 }), fc.integer({ min: 50, max: 20_000 }), (widthMm, heightMm) => {
        const [only, ...others] = ringsOf({ ...NOTHING, walked, shape: { kind: 'rectangle', widthMm, heightMm } });
        expect([others.length, only.closed, sizeOf(only.ring)]).toEqual([0, true, [widthMm, heightMm]]);
        expect(only.edgeIds).toHaveLength(only.ring.length);
      }),
    );
  });

  test('what a drawing cuts out stands in it, by its name', () => {
    const { measured } = demoJob('tidewater-bakehouse').surfaces.find(({ measured: { fixtures } }) => fixtures.length > 0) ?? {};
    if (!measured) throw new Error('the demo has nothing that stands on a surface');
    const [outline, ...cutOuts] = ringsOf({ ...NOTHING, way: 'file', shape: measured.shape, cutOuts: measured.fixtures });
    expect(cutOuts.map(({ name, closed }) => [name, closed])).toEqual(measured.fixtures.map(({ name }) => [name, true]));
    const [wide, high] = sizeOf(outline.ring);
    for (const { ring } of cutOuts) expect(sizeOf(ring).map((mm, k) => mm <= [wide, high][k])).toEqual([true, true]);
  });

  test.each(Object.entries(SETS))('each face of %s once, named, none over another', (_, { defaults }) => {
    const set = defaults as SetForm;
    const rings = ringsOf({ ...NOTHING, way: 'set', set });
    const { faces } = facesOfSet(set);
    expect(rings).toHaveLength(faces.length);
    expect(new Set(rings.map(({ name }) => name)).size).toBe(faces.length);
    expect(rings.every(({ closed, name }) => closed && name !== '')).toBe(true);
    const boxes = rings.map(({ ring }) => boxOf(ring));
    const over = boxes.flatMap((a, k) =>
      boxes
        .slice(k + 1)
        .filter((b) => Math.min(a.maxX, b.maxX) - Math.max(a.minX, b.minX) > 1 && Math.min(a.maxY, b.maxY) - Math.max(a.minY, b.minY) > 1),
    );
    expect(over).toEqual([]);
  });
});

test('it is called after its kind and how many there are, a set after what it is', () => {
  const { surfaces } = jobOfOne({ size: [1000, 1000], tile: [100, 100], jointMm: 2 });
  for (const kind of SURFACE_KINDS)
    expect(suggestedName({ ...NOTHING, kind }, { surfaces })).toMatch(kind === surfaces[0].kind ? / 2$/ : / 1$/);
  const names = Object.values(SETS).map(({ defaults }) =>
    suggestedName({ ...NOTHING, way: 'set', set: defaults as SetForm }, { surfaces }),
  );
  expect(new Set(names).size).toBe(names.length);
  expect(names.some((name) => /\d/.test(name))).toBe(false);
});
