import { expect, test } from '@jest/globals';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import type { Fixture } from '../../surface/fixture.ts';
import { PATTERNS } from '../../pattern/registry.ts';
import { makeSheet } from '../../pattern/makeSheet.ts';
import { jobOfOne, type WantedJob } from '../../samples/testJob.ts';
import { gaugeRod } from './gaugeRod.ts';

const rodOf = (wanted: WantedJob, axis: 'x' | 'y' = 'y') => {
  const job = jobOfOne(wanted);
  return gaugeRod(drawSurface(job, job.surfaces[0]).fields, axis);
};
const window: Fixture = {
  id: 'w',
  name: 'Window',
  kind: 'window',
  outline: { kind: 'rectangle', widthMm: 890, heightMm: 610 },
  from: [
    { edge: 'left', mm: 55 },
    { edge: 'bottom', mm: 700 },
  ],
  tiledUnder: false,
  clearanceMm: 0,
  cover: null,
};

test('a course of which a window leaves no whole piece is on the rod all the same', () => {
  // Courses of 200 and 3 from the base of a wall 1000 wide; beside the window no piece of 300 is whole.
  const rod = rodOf({
    size: [1000, 2400],
    tile: [300, 200],
    jointMm: 3,
    gapMm: 0,
    surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
    measured: { fixtures: [window] },
  });
  expect(rod.map(({ fromMm }) => Math.round(fromMm))).toEqual([0, 203, 406, 609, 812, 1015, 1218, 1421, 1624, 1827, 2030]);
  for (const [k, { fromMm }] of rod.entries()) if (k > 0) expect(fromMm - rod[k - 1].toMm).toBeCloseTo(3, 6);
});

test('the course that the base cuts and the one that the top cuts are not on it', () => {
  const rod = rodOf({
    size: [1000, 1000],
    tile: [300, 200],
    jointMm: 3,
    gapMm: 0,
    surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'free', offsetMm: 103 } } },
  });
  // Courses begin at 103, 306, 509 and 712; what begins at 915 has no room.
  expect(rod.map(({ fromMm, toMm }) => [Math.round(fromMm), Math.round(toMm)])).toEqual([
    [0, 200],
    [203, 403],
    [406, 606],
    [609, 809],
  ]);
});

test('a mosaic is marked by its sheets, not by its chips', () => {
  const chip = { widthMm: 48, heightMm: 48, jointMm: 2, shape: { kind: 'rectangle' } as const };
  const sheet = makeSheet({ kind: 'stack', lay: 'lying' }, chip, { widthMm: 298, heightMm: 298 }, ['#335577']);
  if (!sheet) throw new Error('chips of 48 make a sheet');
  const job = jobOfOne({ size: [1500, 1210], tile: [298, 298], jointMm: 2, gapMm: 0 });
  const [surface] = job.surfaces;
  const start = { rule: 'fullFromStart' as const };
  const own = { ...surface, pattern: { kind: 'sheet' as const }, setout: { x: start, y: start } };
  const drawing = drawSurface({ ...job, products: [{ ...job.products[0], shape: sheet }] }, own);
  const rod = gaugeRod(drawing.fields, 'y');
  expect(rod.map(({ fromMm, toMm }) => [Math.round(fromMm), Math.round(toMm)])).toEqual([
    [0, 298],
    [300, 598],
    [600, 898],
    [900, 1198],
  ]);
});

test('where pieces of several sizes reach past each other, every place where some begin is marked, and no joint is wider than the joint', () => {
  const patterns = ['windmill', 'pinwheel', 'modularSet', 'corridor', 'basketWeave', 'herringbone'] as const;
  let marked = 0;
  for (const kind of patterns)
    for (const axis of ['x', 'y'] as const) {
      const rod = rodOf({ size: [2400, 2400], tile: [300, 150], jointMm: 3, surface: { pattern: PATTERNS[kind].defaults } }, axis);
      for (const [k, { fromMm, toMm }] of rod.entries()) {
        expect(toMm - fromMm).toBeGreaterThan(10);
        if (k > 0) expect(fromMm - rod[k - 1].toMm).toBeCloseTo(3, 1);
      }
      marked += rod.length;
    }
  expect(marked).toBeGreaterThan(60);
});

test('the rod of a pattern that is turned lies as it does: square to courses at 45 degrees, level where they run up', () => {
  const courses = (turnDeg: number, axis: 'x' | 'y'): number[] =>
    rodOf(
      {
        size: [2400, 2400],
        tile: [300, 100],
        jointMm: 3,
        surface: { turnDeg, pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
      },
      axis,
    ).map(({ fromMm }) => Math.round(fromMm));
  // Courses of 100 and 3, held up; turned a quarter they run up themselves, and the rod is held level.
  expect(courses(0, 'y').slice(0, 4)).toEqual([0, 103, 206, 309]);
  expect(courses(90, 'x').slice(0, 4)).toEqual([0, 103, 206, 309]);
  expect(courses(90, 'y').slice(0, 3)).toEqual([0, 303, 606]);
  // At half a right angle: across one way, along the other, whichever is called level there.
  const [a, b] = [courses(45, 'x'), courses(45, 'y')].map((marks) => marks.slice(0, 3).join(' '));
  expect([a, b].sort()).toEqual(['0 103 206', '0 303 606']);
});

test('a course that a window parts is on the rod from end to end: others in step with it go on there', () => {
  const pattern = { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } as const;
  const rod = rodOf(
    {
      size: [2400, 2400],
      tile: [300, 100],
      jointMm: 3,
      gapMm: 0,
      surface: { pattern, setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
      measured: {
        fixtures: [
          {
            ...window,
            from: [
              { edge: 'left', mm: 700 },
              { edge: 'bottom', mm: 0 },
            ],
          },
        ],
      },
    },
    'x',
  );
  expect(rod.length).toBeGreaterThan(5);
  for (const [k, { fromMm }] of rod.entries()) if (k > 0) expect(fromMm - rod[k - 1].toMm).toBeCloseTo(3, 6);
});
