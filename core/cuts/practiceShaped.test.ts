import { expect, test } from '@jest/globals';
import { planSurface } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { jobOfOne } from '../samples/testJob.ts';
import type { Fixture } from '../surface/fixture.ts';
import { judgeShaped, shapedExercisesOf, type ShapedExercise, type ShapedMark } from './practiceShaped.ts';

const fixture = (id: string, outline: Fixture['outline'], left: number, bottom: number): Fixture => ({
  id,
  name: id,
  kind: outline.kind === 'round' ? 'pipe' : 'cutOut',
  outline,
  from: [
    { edge: 'bottom', mm: bottom },
    { edge: 'left', mm: left },
  ],
  tiledUnder: false,
  clearanceMm: 4,
  cover: null,
});

/** Tiles of 300 x 200 from the lower left corner, 3 apart and 5 off the walls: a column of tiles begins every 303, a course every 203. */
const wall = (): SurfacePlan => {
  const job = jobOfOne({
    size: [2400, 1650],
    tile: [300, 200],
    jointMm: 3,
    gapMm: 5,
    surface: { setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
    measured: {
      // Its lower left corner lies 1100 along and 900 up: in the fourth tile of the fifth course, which begins at 914 and 817.
      fixtures: [
        fixture('duct', { kind: 'rectangle', widthMm: 900, heightMm: 600 }, 1100, 900),
        // In the second tile of the second course, which begins at 308 and 208: 117 along and 92 up.
        fixture('pipe', { kind: 'round', diameterMm: 30 }, 425, 300),
      ],
    },
  });
  return planSurface(job, job.surfaces[0]);
};

/** The notch at the lower left corner of the duct. */
const isLowerLeft = ({ answer }: ShapedExercise): boolean => answer.type === 'notch' && answer.sideX === 'right' && answer.sideY === 'top';

test('a notch and a hole are measured from the tiles beside them, joint and gap on', () => {
  const exercises = shapedExercisesOf(wall(), 'face');
  const notch = exercises.find(isLowerLeft);
  const hole = exercises.find(({ answer }) => answer.type === 'circle');
  // From the tile at the left, which ends at 911, to the duct at 1100 are 189; from the tile below, which ends at 814, 86.
  expect(notch?.openings.map(({ from, mm, gapMm }) => [from, Math.round(mm * 100) / 100, Math.round(gapMm * 100) / 100])).toEqual([
    ['left', 189, 4],
    ['bottom', 86, 4],
  ]);
  // 189 less joint 3 and gap 4 is 182 that stay of 300; 86 less 3 and 4 is 79 that stay of 200.
  expect(notch?.answer).toMatchObject({ sideX: 'right', sideY: 'top' });
  expect([notch?.answer.xMm, notch?.answer.yMm].map((mm) => mm?.toFixed(2))).toEqual(['118.00', '121.00']);
  expect(hole?.openings.map(({ from, mm }) => [from, Math.round(mm * 100) / 100])).toEqual([
    ['left', 120],
    ['bottom', 95],
  ]);
  // 30 and twice the clearance of 4 are 38, and there is a bit of that size.
  expect(hole?.answer).toMatchObject({ type: 'circle', coreMm: 38 });
});

test('each slip with a notch or a hole is known by its name, and by whether the tile can still be used', () => {
  const exercises = shapedExercisesOf(wall(), 'face');
  const judge = (type: ShapedMark['type'], change: object): string => {
    const exercise = exercises.find((one) => (type === 'notch' ? isLowerLeft(one) : one.answer.type === type));
    if (!exercise) throw new Error(type);
    const verdict = judgeShaped(exercise, { ...exercise.answer, ...change } as ShapedMark, 0.5);
    return verdict.kind === 'right' ? 'right' : `${verdict.slip} ${verdict.costs}`;
  };
  expect(
    [{}, { xMm: 118.4 }, { xMm: 115, yMm: 118 }, { xMm: 114, yMm: 117 }, { xMm: 111, yMm: 114 }].map((change) => judge('notch', change)),
  ).toEqual(['right', 'right', 'jointOn cutAgain', 'gapOn cutAgain', 'bothOn cutAgain']);
  expect(
    [{ sideX: 'left' }, { sideX: 'left', xMm: 90 }, { xMm: 121, yMm: 118 }, { xMm: 182, yMm: 79 }, { xMm: 130 }, { xMm: 100 }].map(
      (change) => judge('notch', change),
    ),
  ).toEqual(['mirrored tile', 'otherCorner tile', 'swapped tile', 'fromCut tile', 'tooLarge tile', 'tooSmall cutAgain']);
  expect(
    [{}, { xMm: 120, yMm: 95 }, { xMm: 183 }, { xMm: 92, yMm: 117 }, { coreMm: 40 }, { coreMm: 35 }].map((change) =>
      judge('circle', change),
    ),
  ).toEqual(['right', 'jointOn tile', 'mirrored tile', 'swapped tile', 'bit tile', 'bit cutAgain']);
});

test('face down the notch lies at the other side of the tile, and the opening stays as it is measured', () => {
  const plan = wall();
  const [face, back] = (['face', 'back'] as const).map((side) => shapedExercisesOf(plan, side));
  expect(back.map(({ openings }) => openings)).toEqual(face.map(({ openings }) => openings));
  const notchAt = (k: number, all: typeof face): unknown => (all[k].answer.type === 'notch' ? all[k].answer.sideX : all[k].answer.xMm);
  face.forEach((one, k) => {
    const expected = one.answer.type === 'notch' ? { left: 'right', right: 'left' }[one.answer.sideX] : 300 - one.answer.xMm;
    expect(notchAt(k, back)).toEqual(expected);
    expect(judgeShaped(back[k], one.answer, 0.5).kind).toBe('slip');
  });
});
