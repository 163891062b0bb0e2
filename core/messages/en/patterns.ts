import type { Pattern, PatternId } from '../../pattern/registry.ts';

/** What the kinds of pattern are called. */
export const PATTERN_NAMES: Readonly<Record<PatternId, string>> = { stack: 'Stack', runningBond: 'Running bond' };

/** What a pattern is called, with what was chosen for it. */
export function describePattern(pattern: Pattern): string {
  switch (pattern.kind) {
    case 'stack':
      return `Stack, ${pattern.lay}`;
    case 'runningBond':
      return `Running bond, ${shareName(pattern.offset)} offset, ${pattern.step}, ${pattern.lay}`;
  }
}

const SHARES: readonly (readonly [number, string])[] = [
  [1 / 2, 'half'],
  [1 / 3, 'third'],
  [1 / 4, 'quarter'],
  [2 / 3, 'two-thirds'],
  [3 / 4, 'three-quarter'],
];

/** A share of a piece in words: half, third, or as percent. */
export function shareName(share: number): string {
  const known = SHARES.find(([value]) => Math.abs(value - share) < 0.002);
  return known ? known[1] : `${Math.round(share * 1000) / 10} %`;
}
