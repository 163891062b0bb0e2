import { expect, test } from '@jest/globals';
import { demoJob } from '../testing/demoJob.ts';
import { Memory, type Shelf } from './memory.ts';
import { oncePer } from './oncePer.ts';
import { plan, planSurface } from './plan.ts';

const WORDS: Shelf<string> = { most: 2 };
const FIGURES: Shelf<number> = { most: 2 };

test('what was kept is given again; what was not used for longest makes room, and shelves are apart', () => {
  const memory = new Memory();
  let worked = 0;
  const ask = (content: string): string => memory.recall(WORDS, content, () => `${content} ${++worked}`);
  expect([ask('a'), ask('b'), ask('a')]).toEqual(['a 1', 'b 2', 'a 1']);
  // A third takes the place of the one that was asked for before the other.
  expect([ask('c'), ask('a'), ask('b')]).toEqual(['c 3', 'a 1', 'b 4']);
  expect(memory.recall(FIGURES, 'a', () => 7)).toBe(7);
  expect(new Memory().find(WORDS, 'a')).toBeUndefined();
});

test('what is kept about an object is asked for by the very same things, and by as many of them', () => {
  const memory = new Memory();
  const [about, one, like] = [{}, { mm: 1 }, { mm: 1 }];
  let worked = 0;
  const ask = (of: object, ...asked: readonly unknown[]): number => memory.recallAbout(FIGURES, of, asked, () => ++worked);
  expect([ask(about, one), ask(about, one), ask(about, like), ask(about, one, 2), ask({}, one)]).toEqual([1, 1, 2, 3, 4]);
  // Two are kept of each object, the latest.
  expect([ask(about, like), ask(about, one)]).toEqual([2, 5]);
});

test('what hangs on some data is worked out once for it, nothing and undefined too', () => {
  let worked = 0;
  const nothing = oncePer<object, undefined>(() => void ++worked);
  const of = {};
  nothing(of);
  nothing(of);
  expect(worked).toBe(1);
});

test('a plan made with a memory of other jobs is the plan made with none', () => {
  const memory = new Memory();
  const job = demoJob('tidewater-bakehouse');
  // Two walls that meet, and share their tiles.
  const few = { ...job, surfaces: job.surfaces.filter(({ id }) => /^shower-wall-[23]$/.test(id)) };
  const [first, ...rest] = few.surfaces;
  const wider = { ...few, surfaces: [{ ...first, jointMm: first.jointMm + 0.5 }, ...rest] };
  const [plain, changed] = [plan(few), plan(wider)];
  for (const [one, anew] of [
    [few, plain],
    [wider, changed],
    [few, plain],
  ] as const)
    expect(plan(one, memory)).toEqual(anew);
  expect(planSurface(wider, wider.surfaces[0], memory)).toEqual(planSurface(wider, wider.surfaces[0]));
});
