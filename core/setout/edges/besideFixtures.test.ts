import { expect, test } from '@jest/globals';
import { plan } from '../../plan.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import type { SetoutChoice } from '../choice/setoutChoice.ts';
import type { Fixture } from '../../surface/fixture.ts';
import { besideFixtures } from './besideFixtures.ts';

const tray: Fixture = {
  id: 'tray',
  kind: 'tray',
  name: 'Tray',
  outline: { kind: 'rectangle', widthMm: 900, heightMm: 800 },
  from: [
    { edge: 'left', mm: 0 },
    { edge: 'bottom', mm: 0 },
  ],
  tiledUnder: false,
  clearanceMm: 5,
  cover: null,
};

const sidesWith = (setout: SetoutChoice, over: Partial<Fixture> = {}) => {
  const job = jobOfOne({
    size: [2640, 1985],
    tile: [298, 298],
    jointMm: 2,
    measured: { fixtures: [{ ...tray, ...over }] },
    surface: { kind: 'floor', setout },
  });
  return besideFixtures(plan(job).surfaces[0]);
};
const free = (x: number, y: number): SetoutChoice => ({ x: { rule: 'free', offsetMm: x }, y: { rule: 'free', offsetMm: y } });

test('a tray in a corner has tiles along two of its sides, and the pieces that meet them', () => {
  // The tray and its clearance end at 905 and 805; full pieces start 100 and 250 further: 98 and 248 are left, joints taken off.
  const sides = sidesWith(free(905 - 5 + 100, 805 - 5 + 250));
  expect(sides.map(({ side, cutsMm }) => [side, cutsMm.map((mm) => Math.round(mm * 10) / 10)])).toEqual([
    ['top', [248]],
    ['right', [98]],
  ]);
});

test('a full piece off a side leaves no cut there, from any side of something in the middle', () => {
  const from: Fixture['from'] = [
    { edge: 'left', mm: 700 },
    { edge: 'bottom', mm: 600 },
  ];
  const sides = sidesWith(free(11, 17), { from });
  expect(sides.map(({ side }) => side).sort()).toEqual(['bottom', 'left', 'right', 'top']);
  for (const { side, fullPiece } of sides) {
    const setout: SetoutChoice = { ...free(11, 17), [fullPiece.axis]: { rule: 'free' as const, offsetMm: fullPiece.offsetMm } };
    const after = sidesWith(setout, { from }).find((other) => other.side === side);
    expect([side, after?.cutsMm]).toEqual([side, []]);
  }
});

test('a cover that hides the cut makes its sides nobody’s business', () => {
  expect(sidesWith(free(0, 0), { cover: { widthMm: 930, heightMm: 830 } })).toEqual([]);
});
