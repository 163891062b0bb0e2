import type { PatternId } from '../pattern/registry.ts';
import type { AdviceContext } from './finding.ts';

/** Patterns in which a start decides how narrow the pieces at an edge are; in others some are narrow wherever it begins. */
const COURSED: ReadonlySet<PatternId> = new Set(['stack', 'runningBond', 'randomStagger', 'turnedSquares', 'sheet']);

/** Whether the start in force is the best of those that were tried, and whether narrow pieces are worth a word at all. */
export function slivers({ advice, figures }: Pick<AdviceContext['plan'], 'advice' | 'figures'>): {
  readonly isBest: boolean;
  readonly areWorthAWord: boolean;
} {
  const { isBest } = advice;
  return { isBest, areWorthAWord: !isBest || (COURSED.has(figures.pattern) && !figures.isTurned) };
}
