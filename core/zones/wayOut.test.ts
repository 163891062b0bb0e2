import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FloorPart } from './floorParts.ts';
import { backToTheDoor, stepsOut } from './wayOut.ts';

/** A floor of rows and columns, with some of its parts left out, and ways that are wide enough or not. */
interface Floor {
  readonly parts: FloorPart[];
  readonly doors: ReadonlySet<number>;
}

function floorOf(rows: number, columns: number, missing: ReadonlySet<string>, narrow: ReadonlySet<string>, door: number): Floor {
  const keys: string[] = [];
  for (let row = 0; row < rows; row++) for (let column = 0; column < columns; column++) keys.push(`${row}/${column}`);
  const there = keys.filter((key) => !missing.has(key));
  const at = new Map(there.map((key, k) => [key, k]));
  const parts = there.map((id): FloorPart => {
    const [row, column] = id.split('/').map(Number);
    const besides = [`${row + 1}/${column}`, `${row - 1}/${column}`, `${row}/${column + 1}`, `${row}/${column - 1}`];
    const passes = besides.flatMap((other) => {
      const to = at.get(other);
      const isWide = !narrow.has([id, other].sort().join('|'));
      return to === undefined ? [] : [{ to, mm: isWide ? 900 : 200, isWide, at: [0, 0] as const }];
    });
    return { id, row, column, polygons: [], areaMm2: 1e6, passes };
  });
  return { parts, doors: new Set(parts.length > 0 ? [door % parts.length] : []) };
}

const floors = fc
  .record({
    rows: fc.integer({ min: 1, max: 5 }),
    columns: fc.integer({ min: 1, max: 5 }),
    missing: fc.array(fc.tuple(fc.nat(4), fc.nat(4)), { maxLength: 6 }),
    door: fc.nat(30),
  })
  .map(({ rows, columns, missing, door }) => floorOf(rows, columns, new Set(missing.map(([r, c]) => `${r}/${c}`)), new Set(), door));

/** The parts that are reached from the doors over wide ways while only `free` may be stepped on; found the slow way. */
function reached({ parts, doors }: Floor, free: ReadonlySet<number>): Set<number> {
  const seen = new Set([...doors].filter((k) => free.has(k)));
  for (let grown = true; grown;) {
    grown = false;
    for (const k of [...seen])
      for (const { to, isWide } of parts[k].passes)
        if (isWide && free.has(to) && !seen.has(to)) {
          seen.add(to);
          grown = true;
        }
  }
  return seen;
}

describe('backwards to the door', () => {
  test('every part that has a way out at all keeps it until its turn, in any floor', () => {
    fc.assert(
      fc.property(floors, fc.boolean(), (floor, acrossRows) => {
        const order = backToTheDoor(floor.parts, floor.doors, acrossRows);
        expect([...order].sort((a, b) => a - b)).toEqual(floor.parts.map((_, k) => k));
        const ever = reached(floor, new Set(order));
        const steps = stepsOut(floor.parts, floor.doors, order);
        order.forEach((k, turn) => expect([k, steps[turn] !== null]).toEqual([k, ever.has(k)]));
      }),
    );
  });

  test('the part at the door is laid last, and the next step of each leads towards it', () => {
    fc.assert(
      fc.property(floors, (floor) => {
        const order = backToTheDoor(floor.parts, floor.doors, true);
        const [door] = floor.doors;
        const ever = reached(floor, new Set(order));
        if (door === undefined) return;
        expect(order.filter((k) => ever.has(k)).at(-1)).toBe(door);
        // Walked step by step, whoever laid a part comes to the door.
        const steps = new Map(order.map((k, turn) => [k, stepsOut(floor.parts, floor.doors, order)[turn]]));
        for (const k of ever) {
          let at = k;
          for (let walked = 0; at !== door; walked++) {
            const next = steps.get(at);
            expect(walked).toBeLessThan(floor.parts.length);
            if (typeof next !== 'number') throw new Error(`no step from ${at}`);
            at = next;
          }
        }
      }),
    );
  });

  test('rows are finished one after the other, along the wall with the door or away from it', () => {
    const { parts, doors } = floorOf(3, 4, new Set(), new Set(), 0);
    const rowsOf = (acrossRows: boolean, of: 'row' | 'column'): number[] =>
      backToTheDoor(parts, doors, acrossRows).map((k) => parts[k][of]);
    expect(rowsOf(true, 'row')).toEqual([2, 2, 2, 2, 1, 1, 1, 1, 0, 0, 0, 0]);
    expect(rowsOf(false, 'column')).toEqual([3, 3, 3, 2, 2, 2, 1, 1, 1, 0, 0, 0]);
  });
});

describe('the proof of an order', () => {
  test('in any order it tells just those parts that nobody gets out of when their turn comes', () => {
    fc.assert(
      fc.property(floors, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (floor, draws) => {
        const keys = floor.parts.map(() => draws.next().value as number);
        const order = floor.parts.map((_, k) => k).sort((a, b) => keys[a] - keys[b]);
        const steps = stepsOut(floor.parts, floor.doors, order);
        order.forEach((k, turn) => {
          // Whoever lays it stands in it; all that is not laid yet may be stepped on.
          const free = new Set(order.slice(turn));
          expect([k, steps[turn] !== null]).toEqual([k, reached(floor, free).has(k)]);
        });
      }),
    );
  });

  test('a gap that nobody fits through is no way', () => {
    const narrow = floorOf(1, 3, new Set(), new Set(['0/0|0/1']), 2);
    expect(stepsOut(narrow.parts, narrow.doors, [0, 1, 2])).toEqual([null, 2, 'out']);
    const wide = floorOf(1, 3, new Set(), new Set(), 2);
    expect(stepsOut(wide.parts, wide.doors, [0, 1, 2])).toEqual([1, 2, 'out']);
    // Laid from the door on, the others are caged in.
    expect(stepsOut(wide.parts, wide.doors, [2, 1, 0])).toEqual(['out', null, null]);
  });

  test('with two doors one leaves by either', () => {
    const { parts } = floorOf(1, 4, new Set(), new Set(), 0);
    const both = new Set([0, 3]);
    expect(stepsOut(parts, both, backToTheDoor(parts, both, false)).every((step) => step !== null)).toBe(true);
    expect(backToTheDoor(parts, both, false).slice(0, 2).sort()).toEqual([1, 2]);
  });
});
