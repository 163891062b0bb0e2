import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isOver, nextTick, pieceKey, TICK_STATES, ticksInForce, type Tick } from './tick.ts';

const anyTick = fc.record<Tick>({
  id: fc.uuid(),
  surfaceId: fc.constantFrom('wall', 'floor'),
  label: fc.constantFrom('A1', 'A2'),
  state: fc.constantFrom(...TICK_STATES),
  turn: fc.integer({ min: 1, max: 4 }),
});

test('ticks come to the same in any order, twice without harm', () => {
  fc.assert(
    fc.property(fc.array(anyTick, { maxLength: 12 }), fc.infiniteStream(fc.nat()), (ticks, chance) => {
      const shuffled = [...ticks, ...ticks.slice(0, 4)]
        .map((tick) => ({ tick, by: chance.next().value }))
        .sort((a, b) => a.by - b.by)
        .map(({ tick }) => tick);
      const sorted = (all: Map<string, Tick>): [string, Tick][] => [...all].sort(([a], [b]) => a.localeCompare(b));
      expect(sorted(ticksInForce(shuffled))).toEqual(sorted(ticksInForce(ticks)));
    }),
  );
});

test('who knew more of a piece is in force; beside each other, the one further along', () => {
  const piece = { surfaceId: 'wall', label: 'A1' };
  const cut = nextTick('b0000000-0000-4000-8000-000000000000', piece, 'cut', new Map());
  const taken = nextTick('a0000000-0000-4000-8000-000000000000', piece, 'open', new Map([[pieceKey(piece), cut]]));
  expect([cut.turn, taken.turn]).toEqual([1, 2]);
  expect(ticksInForce([taken, cut]).get('wall/A1')?.state).toBe('open');
  const beside = nextTick('a1000000-0000-4000-8000-000000000000', piece, 'laid', new Map());
  expect([isOver(beside, cut), isOver(cut, beside)]).toEqual([true, false]);
});
