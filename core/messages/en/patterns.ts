import type { Pattern, PatternId } from '../../pattern/registry.ts';

/** What the kinds of pattern are called. */
export const PATTERN_NAMES: Readonly<Record<PatternId, string>> = {
  stack: 'Stack',
  runningBond: 'Running bond',
  randomStagger: 'Random stagger',
  herringbone: 'Herringbone',
  basketWeave: 'Basket weave',
};

/** Where a kind of pattern suits, in a sentence. */
export const PATTERN_SUITS: Readonly<Record<PatternId, string>> = {
  stack: 'Calm and modern; shows every difference in size, so it wants even tiles.',
  runningBond: 'Forgives small differences; long pieces shifted by a third at most.',
  randomStagger: 'For planks: end joints stand apart and make no stairs and no H.',
  herringbone: 'Lively and strong; many cuts at the walls, so it wants a patient saw.',
  basketWeave: 'Strips that make up a square; looks woven on small floors and old buildings.',
};

/** What a pattern is called, with what was chosen for it. */
export function describePattern(pattern: Pattern): string {
  switch (pattern.kind) {
    case 'stack':
      return `Stack, ${pattern.lay}`;
    case 'runningBond':
      return `Running bond, ${shareName(pattern.offset)} offset, ${pattern.step}, ${pattern.lay}`;
    case 'randomStagger':
      return `Random stagger ${pattern.seed}, ends ${Math.round(pattern.apart * 100)} % apart, ${pattern.lay}`;
    case 'herringbone':
      return `${pattern.strips === 2 ? 'Double herringbone' : 'Herringbone'}, ${pattern.lay}`;
    case 'basketWeave':
      return `Basket weave of ${pattern.strips} strips, ${pattern.lay}`;
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
