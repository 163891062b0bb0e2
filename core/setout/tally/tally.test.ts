import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { LineOwner } from '../edges/boundary.ts';
import { KEPT_MM } from '../choice/pins.ts';
import { CARES, type Care } from '../choice/ways.ts';
import { clearTally, emptyTally, keptFigures, type EdgeTally, type SetoutFigures } from './figures.ts';
import { costsOf, meanShare, pinCost, scoreOf } from './scoreFigures.ts';
import { tallyCut } from './tallyCut.ts';

const SIDES = { left: 'left', right: 'right', bottom: 'bottom', top: 'top' };
const ownerOf = (id: string, seen = 1, lengthMm = 3000): LineOwner => ({ id, kind: 'edge', seen, lengthMm }) as LineOwner;

/** One cut after the other along an edge: share of a 300 mm piece, with a straight end. */
function edgeOf(owner: LineOwner, shares: readonly number[], eachMm = 300): EdgeTally {
  const tally = emptyTally(owner);
  for (const share of shares) tallyCut(tally, share, share * 300, 300, eachMm, true);
  return tally;
}
const figuresOf = (edges: readonly EdgeTally[], over: Partial<SetoutFigures> = {}): SetoutFigures => ({
  interlocks: false,
  edges,
  rounds: [],
  middles: [],
  runOffs: [],
  missedPins: [],
  cutPieces: 0,
  hardPieces: 0,
  minutes: 0,
  ears: 0,
  legs: 0,
  motifs: 0,
  opened: 0,
  ...over,
});
const SIDES_IN_ORDER = ['left', 'right', 'bottom', 'top'];
const ALL_ALIKE = Object.fromEntries(CARES.map((care) => [care, 1])) as Readonly<Record<Care, number>>;
const shares = fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 1, maxLength: 10 });

describe('what an edge is counted by', () => {
  test('is empty again for the next trial, whatever was laid along it', () => {
    fc.assert(
      fc.property(shares, (all) => {
        const owner = ownerOf('left');
        const tally = edgeOf(owner, all);
        tally.openMm2 += 7;
        expect(tally).not.toEqual(emptyTally(owner));
        clearTally(tally);
        expect(tally).toEqual(emptyTally(owner));
      }),
    );
  });

  test('does not depend on the order of its pieces; narrowest, widest and share are those of the pieces', () => {
    fc.assert(
      fc.property(shares, (all) => {
        const owner = ownerOf('left', 1, all.length * 300);
        const [tally, back] = [edgeOf(owner, all), edgeOf(owner, [...all].reverse())];
        for (const key of ['cutMm', 'smallMm', 'sliverMm', 'shareMm', 'thinnestMm', 'widestMm'] as const)
          expect(tally[key]).toBeCloseTo(back[key], 6);
        expect(tally.cutMm).toBeCloseTo(all.length * 300, 6);
        expect(tally.thinnestMm).toBeCloseTo(Math.min(...all) * 300, 9);
        expect(tally.widestMm).toBeCloseTo(Math.max(...all) * 300, 6);
        expect(meanShare(tally)).toBeCloseTo(all.reduce((sum, share) => sum + share, 0) / all.length, 9);
      }),
    );
  });

  test('a piece counts the more the smaller it is: once at half, half as much again at a quarter, four fifths where it is whole', () => {
    const small = (share: number): number => edgeOf(ownerOf('left'), [share]).smallMm / 300;
    expect([small(0.5), small(0.25), small(1)]).toEqual([1, 1.5, 0.8]);
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 0.01, max: 1, noNaN: true }), (a, b) => {
        if (a < b - 1e-9) expect(small(a)).toBeGreaterThan(small(b));
      }),
    );
    // What only fills in counts for three tenths, and is no cut of the pattern.
    const dot = emptyTally(ownerOf('left'));
    tallyCut(dot, 0.5, 15, 30, 300, false);
    expect(dot).toMatchObject({ cutMm: 300, mainCutMm: 0, halfMm: 0, thinnestMainMm: Infinity, smallMm: 90 });
  });

  test('what is kept of a trial does not change with the next', () => {
    const figures = figuresOf([edgeOf(ownerOf('left'), [0.4])], { missedPins: [3], rounds: [{ fixtureId: 'a', falls: 'piece' }] });
    const kept = keptFigures(figures);
    const before = JSON.stringify(kept);
    for (const tally of figures.edges) clearTally(tally);
    figures.missedPins[0] = 0;
    figures.rounds[0].falls = 'clear';
    expect(JSON.stringify(kept)).toBe(before);
  });
});

describe('what speaks against a setout', () => {
  const cost = (edges: readonly EdgeTally[], over: Partial<SetoutFigures> = {}) => costsOf(figuresOf(edges, over), SIDES);

  test('nothing where nothing is cut; each care is moved by what it is named after, and by nothing else', () => {
    const whole = SIDES_IN_ORDER.map((id) => emptyTally(ownerOf(id)));
    const nothing = cost(whole);
    for (const care of CARES) expect(Math.abs(nothing[care])).toBe(0);
    const moved = (over: Partial<SetoutFigures>): Care[] => {
      const now = cost(whole, over);
      return CARES.filter((care) => Math.abs(now[care] - nothing[care]) > 1e-12);
    };
    expect(moved({ ears: 1 })).toEqual(['ears']);
    expect(moved({ minutes: 60 })).toEqual(['work']);
    expect(moved({ opened: 5 })).toEqual(['pieces']);
    expect(moved({ motifs: 1 })).toEqual(['motifs']);
    expect(moved({ rounds: [{ fixtureId: 'a', falls: 'joint' }] })).toEqual(['rounds']);
    expect(moved({ middles: [{ fixtureId: 'a', axis: 'x', weight: 1, offMm: 10, mostMm: 150 }] })).toEqual(['middle']);
    expect(moved({ runOffs: [{ owner: ownerOf('left'), mm: 9 }] })).toEqual(['square']);
  });

  test('opposite ends alike are in balance however small; apart they are the worse the more they differ', () => {
    const ends = (left: number, right: number): number =>
      cost([edgeOf(ownerOf('left'), Array(10).fill(left)), edgeOf(ownerOf('right'), Array(10).fill(right))]).balance;
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 0.9, noNaN: true }), fc.double({ min: 0, max: 0.09, noNaN: true }), (share, off) => {
        expect(ends(share, share)).toBeCloseTo(0, 9);
        expect(ends(share, share + off)).toBeCloseTo(ends(share + off, share), 9);
        if (off > 1e-6) expect(ends(share, share + 1.1 * off)).toBeGreaterThan(ends(share, share + off));
      }),
    );
    // A side that is looked at more than the other is not held against it.
    const seen = cost([edgeOf(ownerOf('left', 2), Array(10).fill(0.3)), edgeOf(ownerOf('right', 1), Array(10).fill(0.9))]);
    expect(seen.balance).toBe(0);
  });

  test('a sliver is worse than a cut, and worse yet where it is looked at; where nobody looks nothing counts', () => {
    const [half, sliver] = [0.5, 0.06].map((share) => (seen: number) => cost([edgeOf(ownerOf('left', seen), [share])]));
    expect(sliver(1).slivers).toBeGreaterThan(0);
    expect(half(1).slivers).toBe(0);
    expect(sliver(1).ends).toBeGreaterThan(half(1).ends);
    expect(sliver(2).slivers).toBeCloseTo(2 * sliver(1).slivers, 9);
    for (const care of CARES) expect(Math.abs(sliver(0)[care])).toBe(0);
  });

  test('a hole is the harder the fewer joints help', () => {
    const falls = (['clear', 'crossing', 'joint', 'piece'] as const).map(
      (how) => cost([], { rounds: [{ fixtureId: 'a', falls: how }] }).rounds,
    );
    expect(falls).toEqual([...falls].sort((a, b) => a - b));
    expect(new Set(falls).size).toBe(4);
  });

  test('one care that weighs more moves the score by just what it costs', () => {
    const costs = cost([edgeOf(ownerOf('left'), [0.06, 0.4])], { minutes: 30, ears: 2 });
    for (const care of CARES)
      expect(scoreOf(costs, { ...ALL_ALIKE, [care]: 3 }) - scoreOf(costs, ALL_ALIKE)).toBeCloseTo(2 * costs[care], 9);
  });

  test('a pin that is missed outweighs all the rest, the less it is missed the better; a kept one costs nothing', () => {
    const pins = (...missedPins: number[]): number => pinCost(figuresOf([], { missedPins }));
    expect(pins(0, KEPT_MM)).toBe(0);
    expect(pins(KEPT_MM + 1)).toBeGreaterThan(100);
    expect(pins(20)).toBeGreaterThan(pins(10));
    expect(pins(10, 10)).toBeCloseTo(2 * pins(10), 9);
  });
});
