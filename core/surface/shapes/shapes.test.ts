import { expect, test } from '@jest/globals';
import { ringArea } from '../../geometry/ring.ts';
import { checkMeasured } from '../checkMeasured.ts';
import { startMeasured } from '../../job/startJob.ts';
import { traceSurface } from '../traceSurface.ts';
import { checkShape, outlineOf, type Shape } from './registry.ts';

/** Areas reckoned by hand from the parts each shape is made of. */
const REACHED_BY_HAND: readonly (readonly [Shape, number])[] = [
  [{ kind: 'rectangle', widthMm: 2314, heightMm: 1215 }, 2314 * 1215],
  [
    { kind: 'lShape', widthMm: 3612, heightMm: 2984, missingWidthMm: 1207, missingHeightMm: 988, missing: 'bottom-left' },
    3612 * 2984 - 1207 * 988,
  ],
  [
    { kind: 'uShape', widthMm: 3000, heightMm: 2100, rightHeightMm: 1700, leftArmMm: 610, rightArmMm: 580, baseMm: 640 },
    3000 * 640 + 610 * 1460 + 580 * 1060,
  ],
  [{ kind: 'tShape', widthMm: 4200, barMm: 1500, stemWidthMm: 1400, stemMm: 1800, stemFromLeftMm: 900 }, 4200 * 1500 + 1400 * 1800],
  [
    { kind: 'alcove', widthMm: 3600, heightMm: 2700, alcoveWidthMm: 1400, alcoveDepthMm: 450, alcoveFromLeftMm: 1100 },
    3600 * 2700 + 1400 * 450,
  ],
  [
    { kind: 'counterRun', backMm: 2400, backDepthMm: 620, sideMm: 1800, sideDepthMm: 600, cornerCutMm: 200, corner: 'right' },
    2400 * 620 + 600 * 1180 + (200 * 200) / 2,
  ],
];

test.each(REACHED_BY_HAND)('%j has the area of its parts', (shape, areaMm2) => {
  expect(checkShape(shape)).toEqual([]);
  expect(ringArea(outlineOf(shape).ring)).toBeCloseTo(areaMm2, 6);
});

test('the missing corner of an L is where it is said to be, and its inner edges face that way', () => {
  const sides = (missing: 'top-right' | 'top-left' | 'bottom-right' | 'bottom-left') => {
    const { edgeIds, ring } = outlineOf({ kind: 'lShape', widthMm: 9, heightMm: 7, missingWidthMm: 4, missingHeightMm: 3, missing });
    const inner = edgeIds.filter((id) => id.startsWith('inner-'));
    const lost = [
      [9, 7],
      [0, 7],
      [9, 0],
      [0, 0],
    ].find(([x, y]) => !ring.some((p) => p[0] === x && p[1] === y));
    return [inner.sort().join(), String(lost)];
  };
  expect(sides('top-right')).toEqual(['inner-right,inner-top', '9,7']);
  expect(sides('top-left')).toEqual(['inner-left,inner-top', '0,7']);
  expect(sides('bottom-right')).toEqual(['inner-bottom,inner-right', '9,0']);
  expect(sides('bottom-left')).toEqual(['inner-bottom,inner-left', '0,0']);
});

test('a counter with a round end has the area of its rectangle and half a disc, less its gaps', () => {
  const shape: Shape = {
    kind: 'walls',
    headingDeg: 0,
    spread: false,
    checks: [],
    walls: [1800, 640, 1800, 640].map((lengthMm, k) => ({
      id: `w${k}`,
      name: '',
      lengthMm,
      twice: false,
      turnDeg: 90,
      turnMeasured: false,
      curve: k === 1 ? { by: 'rise', riseMm: 320, bulges: 'out' } : null,
    })),
  };
  const whole = 1800 * 640 + (Math.PI * 320 ** 2) / 2;
  expect(Math.abs(ringArea(outlineOf(shape).ring) - whole)).toBeLessThan(15);
  const measured = { ...startMeasured(shape), edgeGapsMm: { w0: 4, w1: 4, w2: 4, w3: 4 } };
  const { region, curves } = traceSurface(measured);
  const inner = 1796 * 632 + (Math.PI * 316 ** 2) / 2;
  expect(Math.abs(ringArea(region[0][0]) - inner)).toBeLessThan(15);
  expect(curves[0].radiusMm).toBeCloseTo(316, 6);
  expect(curves[0].centre[0]).toBeCloseTo(1800, 6);
});

const measured = (shape: Shape) => checkMeasured(startMeasured(shape)).map(({ code, path }) => [code, ...path].join(' '));
const wallsOf = (lengths: readonly number[], turns: readonly number[], over: Partial<Extract<Shape, { kind: 'walls' }>> = {}): Shape => ({
  kind: 'walls',
  headingDeg: 0,
  spread: false,
  checks: [],
  walls: lengths.map((lengthMm, k) => ({
    id: `w${k}`,
    name: '',
    lengthMm,
    twice: false,
    turnDeg: turns[k],
    turnMeasured: false,
    curve: null,
  })),
  ...over,
});
const SQUARE = [90, 90, 90, 90];
const diagonal = (from: number, to: number, mm: number) => ({ id: `c${from}${to}`, from: `w${from}`, to: `w${to}`, mm, twice: false });

test.each<[string, Shape, string[]]>([
  ['walls that close', wallsOf([3000, 2000, 3000, 2000], SQUARE), []],
  ['walls left open', wallsOf([3000, 2000, 3009, 2000], SQUARE), ['shape/open shape walls 3 lengthMm']],
  ['the same, spread', wallsOf([3000, 2000, 3009, 2000], SQUARE, { spread: true }), []],
  ['too open to spread', wallsOf([3000, 2000, 2000, 2000], SQUARE, { spread: true }), ['shape/too-open shape walls 3 lengthMm']],
  ['a wall longer than the rest', wallsOf([9000, 2000, 3000, 2000], SQUARE), ['shape/wall-too-long shape walls 0 lengthMm']],
  [
    'a diagonal that reaches nowhere',
    wallsOf([3000, 2000, 3000, 2000], SQUARE, { checks: [diagonal(0, 2, 5200)] }),
    ['shape/no-triangle shape checks 0 mm'],
  ],
  [
    'a reading a hundred times off',
    wallsOf([3000, 2000, 3000, 2000], SQUARE, { checks: [diagonal(0, 2, 36.1)] }),
    ['shape/no-triangle shape checks 0 mm'],
  ],
  [
    'lengths that only a bent corner can meet',
    wallsOf([3000, 2000, 3000, 20], [90, 90, 91, 89], { checks: [diagonal(0, 1, 3000)] }),
    ['shape/turn-far-off shape walls 0 turnDeg'],
  ],
  ['a bow tie', wallsOf([2000, 2828.427, 2000, 2828.427], [135, -90, -90 - 45 + 0, 90]), ['shape/open shape walls 3 lengthMm']],
  [
    'an outline that crosses itself',
    wallsOf([3000, 2000, 1000, 3000, 2000, 1000], [90, 90, 90, -90, -90, -90]),
    ['shape/crosses-itself shape walls 3 lengthMm'],
  ],
  ['clockwise', wallsOf([3000, 2000, 3000, 2000], [-90, -90, -90, -90]), ['shape/wrong-way-round shape walls 0 turnDeg']],
  [
    'an arc too tight for its chord',
    { ...wallsOf([3000, 2000, 3000, 2000], SQUARE), walls: arcOn(1, { by: 'radius', radiusMm: 900, bulges: 'out' }) } as Shape,
    ['curve/radius-too-small shape walls 1 curve radiusMm'],
  ],
  [
    'an offset beyond the corner',
    { ...wallsOf([3000, 2000, 3000, 2000], SQUARE), walls: arcOn(1, { by: 'offsets', offsets: [{ alongMm: 2100, outMm: 40 }] }) } as Shape,
    ['curve/offset-outside shape walls 1 curve offsets 0 alongMm'],
  ],
  [
    'an L with more missing than there is',
    { kind: 'lShape', widthMm: 3000, heightMm: 2000, missingWidthMm: 3000, missingHeightMm: 500, missing: 'top-left' },
    ['shape/part-too-long shape missingWidthMm'],
  ],
])('%s', (_, shape, expected) => expect(measured(shape)).toEqual(expected));

function arcOn(at: number, curve: object): object[] {
  const { walls } = wallsOf([3000, 2000, 3000, 2000], SQUARE) as Extract<Shape, { kind: 'walls' }>;
  return walls.map((wall, k) => (k === at ? { ...wall, curve } : wall));
}
