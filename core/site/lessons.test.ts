import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { MATERIALS } from '../takeoff/registry.ts';
import { learnFrom, type Lessons, type Taught } from './lessons.ts';

const NONE: Lessons = { paces: {}, ratios: {} };
const lay = (jobId: string, pace: number): Taught => ({
  jobId,
  paces: [{ task: 'lay', pace, before: 1.2, surfaces: 1 }],
  figures: [],
  breakages: [],
  uses: [],
});
const used = (jobId: string, ratio: number): Taught => ({
  jobId,
  paces: [],
  figures: [],
  breakages: [],
  uses: [{ item: 'adhesive', unit: 'kg', planned: 40, used: 40 * ratio, isSkimmed: false }],
});
const after = (...taught: readonly Taught[]) =>
  taught.reduce((so, one) => learnFrom(so.lessons, so.habits, one), { lessons: NONE, habits: {} } as ReturnType<typeof learnFrom>);

test('of several jobs the middle pace is reckoned with, in whatever order they came; the same job again teaches once', () => {
  const paces = fc.array(fc.double({ min: 0.2, max: 5, noNaN: true }), { minLength: 1, maxLength: 7 });
  fc.assert(
    fc.property(paces, fc.nat(), (values, seed) => {
      const jobs = values.map((pace, k) => lay(`job ${k}`, pace));
      const turned = [...jobs.slice(seed % jobs.length), ...jobs.slice(0, seed % jobs.length)];
      const { habits, lessons } = after(...jobs, ...turned);
      const sorted = [...values].sort((a, b) => a - b);
      const middle = (sorted[(sorted.length - 1) >> 1] + sorted[sorted.length >> 1]) / 2;
      expect(habits['pace']?.lay).toBeCloseTo(middle, 1);
      expect(Object.keys(lessons.paces.lay)).toHaveLength(values.length);
    }),
  );
});

test('how far use strays is learnt from two jobs on, between what is usual and what was seen', () => {
  expect(after(used('a', 1.4)).habits).toEqual({});
  const calm = after(used('a', 1), used('b', 1)).habits['adhesive']?.spread ?? NaN;
  const wild = after(used('a', 0.6), used('b', 1.8)).habits['adhesive']?.spread ?? NaN;
  expect(calm).toBeLessThan(MATERIALS.adhesive.spread);
  expect(wild).toBeGreaterThan(MATERIALS.adhesive.spread);
});

test('figures and breakage stand beside what was known before, and nothing else is touched', () => {
  const taught: Taught = {
    jobId: 'a',
    paces: [],
    figures: [{ item: 'grout', figure: 'kgPerLitre', value: 12, before: 10 }],
    breakages: [{ kind: 'straight', cuts: 40, broken: 2, before: 3, percent: 4 }],
    uses: [],
  };
  const known = { grout: { density: 1.6 }, adhesive: { spread: 0.1 } };
  expect(learnFrom(NONE, known, taught)).toEqual({
    lessons: NONE,
    habits: { grout: { density: 1.6, kgPerLitre: 12 }, adhesive: { spread: 0.1 }, breakage: { straight: 4 } },
  });
});

test('what was planned as nothing teaches nothing', () =>
  expect(after({ ...used('a', 1), uses: [{ item: 'adhesive', unit: 'kg', planned: 0, used: 3, isSkimmed: false }] })).toEqual({
    lessons: NONE,
    habits: {},
  }));
