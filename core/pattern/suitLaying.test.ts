import { describe, expect, test } from '@jest/globals';
import { PLAIN_LAYING } from '../job/startJob.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import { checkLaying } from './checkLaying.ts';
import { colourAt, ONE_COLOUR, type Colours } from './colours.ts';
import { layPattern, moduleOf, type Laying } from './laying.ts';
import { innerJointOf, PATTERNS, type PatternId } from './registry.ts';
import { layingOfKind, layingOfTile } from './suitLaying.ts';

const START: Laying = { ...PLAIN_LAYING, productId: 'quay-300', jointMm: 3, pattern: { kind: 'stack', lay: 'lying' } };

test.each(Object.keys(PATTERNS) as PatternId[])('%s: the list to start from holds tiles for it, and they pass', (kind) => {
  const laying = layingOfKind(kind, START, madeUpTiles(), 2.5);
  expect(laying?.pattern.kind).toBe(kind);
  expect(laying && checkLaying(laying, madeUpTiles())).toEqual([]);
  const inner = laying && innerJointOf(laying.pattern, moduleOf(laying, madeUpTiles()));
  if (typeof inner === 'number') expect(Math.abs(inner - (laying?.jointMm ?? 0))).toBeLessThanOrEqual(6);
});

test.each(madeUpTiles().map((product) => [product.name, product] as const))('%s: can be laid somehow', (_, product) => {
  const laying = layingOfTile(product, START, madeUpTiles(), 2.5);
  expect(laying?.productId).toBe(product.id);
  expect(laying && checkLaying(laying, madeUpTiles())).toEqual([]);
});

test('a chosen tile is kept where the new pattern can lay it', () => {
  expect(layingOfKind('herringbone', { ...START, productId: 'loaf-brick' }, madeUpTiles(), 2.5)?.productId).toBe('loaf-brick');
  expect(layingOfKind('hexagon', { ...START, productId: 'picket-hex' }, madeUpTiles(), 2.5)?.productId).toBe('picket-hex');
});

const BOX = { minX: 0, minY: 0, maxX: 6000, maxY: 6000 };
const mix = (rule: Colours['rule'], others = ['b']): Colours => ({ ...ONE_COLOUR, rule, others });
const spread = (colours: Colours, kind: PatternId = 'stack'): number[][] => {
  const laying = layingOfKind(kind, START, madeUpTiles(), 2.5);
  const { repeat } = layPattern(laying ?? START, madeUpTiles());
  return Array.from({ length: 20 }, (_, j) => Array.from({ length: 20 }, (__, i) => colourAt(colours, repeat, { piece: 0, i, j }, BOX)));
};

test('checkers: no tile lies beside its like, two colours on squares and three on hexagons', () => {
  const squares = spread(mix({ kind: 'checkers' }));
  const hexagons = spread(mix({ kind: 'checkers' }, ['b', 'c']), 'hexagon');
  for (let j = 0; j < 19; j++)
    for (let i = 0; i < 19; i++) {
      expect(squares[j][i]).not.toBe(squares[j][i + 1]);
      expect(squares[j][i]).not.toBe(squares[j + 1][i]);
      // A hexagon meets the next in its course, and two of the course above.
      expect(new Set([hexagons[j][i], hexagons[j][i + 1], hexagons[j + 1][i]]).size).toBe(3);
    }
});

test('rows follow their counts; shares are kept; a seed brings its draw back; a tile given by hand stays', () => {
  const rows = spread(mix({ kind: 'rows', rows: [3, 1] }));
  expect(rows.slice(0, 8).map(([first]) => first)).toEqual([0, 0, 0, 1, 0, 0, 0, 1]);
  const random = mix({ kind: 'random', shares: [80, 20], seed: 5 });
  const share = spread(random)
    .flat()
    .filter((tile) => tile === 1).length;
  expect(share / 400).toBeGreaterThan(0.13);
  expect(share / 400).toBeLessThan(0.27);
  expect(spread(random)).toEqual(spread(random));
  expect(spread(mix({ kind: 'random', shares: [80, 20], seed: 6 }))).not.toEqual(spread(random));
  expect(spread({ ...random, byHand: { '0/3/4': 1, '0/5/4': 0 } })[4].slice(3, 6)[0]).toBe(1);
});

test('a gradient is all of the first tile at one end, all of the last at the other, and never turns back on the way', () => {
  const tiles = spread(mix({ kind: 'gradient', towardsDeg: 0, seed: 1 }, ['b', 'c']));
  const column = (i: number): number => tiles.reduce((sum, row) => sum + row[i], 0) / 20;
  expect(column(0)).toBeLessThan(0.3);
  expect(column(19)).toBeGreaterThan(1.7);
  expect(column(10)).toBeGreaterThan(column(3));
});

describe('the dots of octagons are mixed by a rule of their own', () => {
  const laying = layingOfKind('octagonDot', START, madeUpTiles(), 2.5);
  if (!laying) throw new Error('the made-up list holds octagons and dots: got none');
  const dots = { ...ONE_COLOUR, rule: { kind: 'checkers' as const }, others: ['red-dot'] };
  const dot = madeUpTiles().find(({ id }) => id === laying.parts['dot']);
  const products = [...madeUpTiles(), { ...(dot ?? madeUpTiles()[0]), id: 'red-dot', name: 'Red dot' }];
  const mixed = { ...laying, partColours: { dot: dots } };

  test('a tile of another size is refused where it was mixed in, and another kind of pattern forgets them', () => {
    expect(checkLaying(mixed, products)).toEqual([]);
    const wrong = { ...laying, partColours: { dot: { ...dots, others: [START.productId] } } };
    expect(checkLaying(wrong, products)[0]).toMatchObject({ code: 'colours/other-size', path: ['partColours', 'dot', 'others', 0] });
    expect(layingOfKind('stack', mixed, products, 2.5)?.partColours).toEqual({});
    expect(layingOfTile(products.find(({ id }) => id === laying.productId) ?? products[0], mixed, products, 2.5)?.partColours).toEqual({
      dot: dots,
    });
  });
});
