import { expect, test } from '@jest/globals';
import { simulateDrift, spreadOf } from './drift.ts';

test('the band of simulated runs is that of the formula', () => {
  for (const [spread, seed] of [
    [0.2, 1],
    [0.5, 7],
    [1.1, 23],
  ]) {
    const { courses } = simulateDrift(spread, 4 * spread, 30, seed);
    for (const { bandMm, formulaMm } of courses) expect(Math.abs(bandMm / formulaMm - 1)).toBeLessThan(0.08);
  }
});

test('a control line comes before a run is off by more than is allowed, and the same seed gives the same runs', () => {
  const { controlEvery, courses } = simulateDrift(0.15, 0.6, 40);
  expect(courses[controlEvery - 1].formulaMm).toBeLessThanOrEqual(1);
  expect(courses[controlEvery].formulaMm).toBeGreaterThan(1);
  expect(simulateDrift(0.15, 0.6, 40)).toEqual(simulateDrift(0.15, 0.6, 40));
  expect(simulateDrift(0, 0, 12).controlEvery).toBe(12);
});

test('the spread is that of the pieces that were measured', () => {
  expect(spreadOf([297])).toBeNull();
  const spread = spreadOf([297, 298, 299]);
  expect(spread?.spreadMm).toBeCloseTo(1, 9);
  expect(spread?.rangeMm).toBe(2);
});
