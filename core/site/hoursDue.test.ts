import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { WorkHours } from '../labour/workHours.ts';
import type { Entry } from './entry.ts';
import { hoursDue, shareDone, type StateOf, type TickedSurface } from './hoursDue.ts';
import type { TickState } from './tick.ts';
import { zoneTick } from './zoneTicks.ts';

/** 90 minutes at the saw for three cuts, half of them for the last; a square metre in the first zone, three in the second. */
const FLOOR: TickedSurface = {
  surfaceId: 'floor',
  toCut: [
    { label: 'C1', minutes: 15 },
    { label: 'C2', minutes: 30 },
    { label: 'C3', minutes: 45 },
    { label: 'SK-1', minutes: 0, strip: {} },
    { label: 'SK-2', minutes: 0, strip: {} },
  ],
  zones: {
    zones: [
      { id: 'a', areaMm2: 1e6, cuts: ['C1', 'C2'] },
      { id: 'b', areaMm2: 3e6, cuts: [] },
    ],
  },
};
const of = (task: WorkHours['task'], hours: number): WorkHours => ({
  task,
  surfaceId: 'floor',
  amount: 1,
  pace: 1,
  from: 'typical',
  hours,
});
const WORK = [of('setOut', 1), of('cut', 1.5), of('lay', 8), of('strips', 1)];
const ticked =
  (...states: readonly (readonly [string, TickState])[]): StateOf =>
  (on, label) =>
    (on === 'floor' ? new Map(states).get(label) : undefined) ?? 'open';
const written = (task: string, hours: number, upTo?: number, surfaceId: string | null = 'floor'): Entry => ({
  id: `00000000-0000-4000-8000-00000000000${hours}`,
  at: '2026-12-02T10:00:00Z',
  by: '',
  surfaceId,
  replaces: null,
  data: { kind: 'hours', task, hours, ...(upTo === undefined ? {} : { upTo }) },
});

test('cuts count by their minutes, laying by its zones, strips by the piece', () => {
  const stateOf = ticked(['C2', 'cut'], ['C1', 'laid'], [zoneTick('b'), 'laid'], ['SK-2', 'laid']);
  expect(shareDone(FLOOR, stateOf)).toEqual({ cut: 0.5, lay: 0.75, strips: 0.5 });
  expect(hoursDue(WORK, [FLOOR], stateOf, [])).toEqual([
    { surfaceId: 'floor', task: 'cut', upTo: 0.5, hours: 0.75 },
    { surfaceId: 'floor', task: 'lay', upTo: 0.75, hours: 6 },
    { surfaceId: 'floor', task: 'strips', upTo: 0.5, hours: 0.5 },
  ]);
  expect(shareDone({ ...FLOOR, toCut: [], zones: { zones: [] } }, stateOf)).toEqual({ cut: 0, lay: 0, strips: 0 });
});

test('what is written down is not asked for again, however long it took; what is ticked since is', () => {
  const both = ticked(['C1', 'laid'], ['C2', 'laid']);
  // Slower or faster than the plan: the first zone is done with.
  for (const hours of [1, 5]) expect(hoursDue([of('lay', 8)], [FLOOR], both, [written('lay', hours, 0.25)])).toEqual([]);
  const all = ticked(['C1', 'laid'], ['C2', 'laid'], [zoneTick('b'), 'laid']);
  expect(hoursDue([of('lay', 8)], [FLOOR], all, [written('lay', 5, 0.25)])).toEqual([
    { surfaceId: 'floor', task: 'lay', upTo: 1, hours: 6 },
  ]);
  // An entry that does not say how far it goes counts as the plan would; another surface's, or another work's, not at all.
  expect(hoursDue([of('lay', 8)], [FLOOR], all, [written('lay', 4)])[0].hours).toBe(4);
  expect(
    hoursDue([of('lay', 8)], [FLOOR], all, [written('lay', 4, 1, 'wall'), written('lay', 4, 1, null), written('cut', 1, 1)])[0].hours,
  ).toBe(8);
});

test('whatever is ticked and written, nothing is asked for twice: kept as it is proposed, nothing is left', () => {
  const anyState = fc.constantFrom<TickState>('open', 'cut', 'laid');
  const labels = [...FLOOR.toCut.map(({ label }) => label), zoneTick('a'), zoneTick('b')];
  fc.assert(
    fc.property(fc.tuple(...labels.map(() => anyState)), fc.double({ min: 0, max: 1, noNaN: true }), (states, before) => {
      const stateOf = ticked(...labels.map((label, k) => [label, states[k]] as const));
      const entries = [written('lay', 3, before)];
      const due = hoursDue(WORK, [FLOOR], stateOf, entries);
      for (const { hours, upTo } of due) {
        expect(hours).toBeGreaterThanOrEqual(0.25);
        expect(upTo).toBeLessThanOrEqual(1);
      }
      const kept = due.map(({ task, hours, upTo }) => written(task, hours, upTo));
      expect(hoursDue(WORK, [FLOOR], stateOf, [...entries, ...kept])).toEqual([]);
    }),
  );
});
