import type { Product } from '../../tile/product.ts';
import { packTiles, roundsFor } from './packTiles.ts';
import type { OffCutRule } from './planKind.ts';
import { packedFor, type CutsOfSurface } from './planOffCuts.ts';

/** What looking longer for a plan of off-cuts has come to. */
export interface LookedLonger {
  /** Tiles that are opened over all surfaces, at first and by the best plan so far, and how many no plan could do without. */
  readonly openedAtFirst: number;
  readonly opened: number;
  readonly lowerBound: number;
  /** So many rounds were looked at, and after so many the best plan was found: as many make the same plan again. */
  readonly rounds: number;
  readonly foundAfter: number;
}

/**
 * Goes on improving the plan of every kind of tile, a round of each at a time, for `most` rounds. The first is told when as
 * many are done as the plan has now.
 */
export function* lookingLonger(
  surfaces: readonly CutsOfSurface[],
  products: readonly Product[],
  rule: OffCutRule,
  most: number,
): Generator<LookedLonger, LookedLonger> {
  const now = rule.offCutRounds ?? 0;
  const kinds = packedFor(surfaces, products, rule).map(({ pieces, cutRule }) => {
    const usual = roundsFor(pieces.length, now);
    const rounds = packTiles(pieces, cutRule, most);
    let step = rounds.next();
    for (let k = 0; k < usual && !step.done; k++) step = rounds.next();
    return { rounds, usual, atFirst: step.value.tiles.length, step };
  });
  let foundAfter = now;
  const told = (rounds: number): LookedLonger => {
    const sum = (of: (kind: (typeof kinds)[number]) => number): number => kinds.reduce((all, kind) => all + of(kind), 0);
    return {
      openedAtFirst: sum(({ atFirst }) => atFirst),
      opened: sum(({ step }) => step.value.tiles.length),
      lowerBound: sum(({ step }) => step.value.lowerBound),
      rounds,
      foundAfter,
    };
  };
  let round = Math.min(most, ...kinds.map(({ usual }) => usual));
  for (; round < most && kinds.some(({ step }) => !step.done); yield told(round)) {
    round++;
    for (const kind of kinds) {
      if (kind.step.done || round <= kind.usual) continue;
      const before = kind.step.value.tiles.length;
      kind.step = kind.rounds.next();
      if (kind.step.value.tiles.length < before) foundAfter = round;
    }
  }
  return told(round);
}
