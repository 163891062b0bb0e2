import { expect, test } from '@jest/globals';
import { PLAIN_LAYING } from '../../job/startJob.ts';
import { madeUpTiles } from '../../madeUp/tiles.ts';
import { layPattern, type Laying } from '../../pattern/laying.ts';
import { layingOfKind } from '../../pattern/suitLaying.ts';
import { productAt } from './field.ts';
import type { Layout } from '../place/layout.ts';

const START: Laying = { ...PLAIN_LAYING, productId: 'quay-300', jointMm: 3, pattern: { kind: 'stack', lay: 'lying' } };
const BOX = { minX: 0, minY: 0, maxX: 6000, maxY: 6000 };

test('dots are mixed by a rule of their own, by turns, where the octagons stay one', () => {
  const laying = layingOfKind('octagonDot', START, madeUpTiles(), 2.5);
  const dot = madeUpTiles().find(({ id }) => id === laying?.parts['dot']);
  if (!laying || !dot) throw new Error('the made-up list holds octagons and dots: got none');
  const dots = { rule: { kind: 'checkers' as const }, others: ['red-dot'], byHand: { '1/4/4': 1 } };
  const laid = layPattern({ ...laying, partColours: { dot: dots } }, [...madeUpTiles(), { ...dot, id: 'red-dot', name: 'Red dot' }]);
  const layout = { repeat: laid.repeat } as Layout;
  const tileAt = (piece: number, i: number, j: number): string => productAt({ laid, layout, box: BOX }, { piece, i, j });
  expect(laid.repeat.pieces.map(({ part }) => part)).toEqual([null, 'dot']);
  for (const [i, j] of [
    [0, 0],
    [1, 0],
    [0, 1],
    [3, 5],
    [-2, 3],
  ]) {
    expect(tileAt(1, i, j)).toBe((i + j) % 2 === 0 ? dot.id : 'red-dot');
    expect(tileAt(0, i, j)).toBe(laying.productId);
  }
  expect(tileAt(1, 4, 4)).toBe('red-dot');
});
