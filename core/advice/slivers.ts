import { PATTERNS } from '../pattern/registry.ts';
import type { AdviceContext } from './finding.ts';

/** Whether the start in force is the best of those that were tried, and whether narrow pieces are worth a word at all. */
export function slivers({ advice, figures }: Pick<AdviceContext['plan'], 'advice' | 'figures'>): {
  readonly isBest: boolean;
  readonly areWorthAWord: boolean;
} {
  const { isBest } = advice;
  return { isBest, areWorthAWord: !isBest || (PATTERNS[figures.pattern].startDecidesEnds && !figures.isTurned) };
}
