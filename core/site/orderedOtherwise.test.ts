import { expect, test } from '@jest/globals';
import type { EntryOf } from './entry.ts';
import { orderedOtherwise } from './orderedOtherwise.ts';

const order = (...lines: [string, number][]): EntryOf<'order'> => ({
  id: '00000000-0000-4000-8000-000000000001',
  at: '2026-11-28T08:00:00Z',
  by: '',
  surfaceId: null,
  replaces: null,
  data: {
    kind: 'order',
    supplier: 'S',
    currency: 'EUR',
    total: 1,
    lines: lines.map(([name, count]) => ({ name, quantity: 1, unit: 'kg', packs: [{ count, size: 5, price: 1 }], cost: count })),
  },
});

test('two orders add up; what the plan wants more, less or no longer is told in packs', () => {
  const orders = [order(['Grout', 2], ['Tiles', 8]), order(['Grout', 1], ['Wedges', 1])];
  const now = [
    { key: 'grout', name: 'Grout', packs: 3 },
    { key: 'tiles/quay', name: 'Tiles', packs: 9 },
    { key: 'primer', name: 'Primer', packs: 1 },
  ];
  expect(orderedOtherwise(orders, now)).toEqual([
    { name: 'Tiles', ordered: 8, now: 9 },
    { name: 'Wedges', ordered: 1, now: 0 },
    { name: 'Primer', ordered: 0, now: 1 },
  ]);
});

test('a tile that is called otherwise since it was ordered is the same tile', () => {
  const placed = order(['Quay grey', 6]);
  const [line] = placed.data.lines;
  const keyed = { ...placed, data: { ...placed.data, lines: [{ ...line, key: 'tiles/quay' }] } };
  expect(orderedOtherwise([keyed], [{ key: 'tiles/quay', name: 'Quay light grey', packs: 6 }])).toEqual([]);
  expect(orderedOtherwise([keyed], [{ key: 'tiles/quay', name: 'Quay light grey', packs: 7 }])).toEqual([
    { name: 'Quay light grey', ordered: 6, now: 7 },
  ]);
});
