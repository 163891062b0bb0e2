import type { ADVICE_WORDS } from '../messages/en/advice.ts';
import type { Finding } from './finding.ts';

/**
 * Findings from the worst on: what makes every figure wrong, what fails behind the tiles, what people trip over or can't lay,
 * what cracks or comes loose, what can't be bought again, what is seen, what is good to know. Trade judgement.
 */
const WORST_FIRST: readonly (keyof typeof ADVICE_WORDS)[] = [
  'advice/measure-again',
  'advice/reading-disagrees',
  'advice/readings-unclear',
  'advice/meeting-differs',
  'advice/door-in-the-air',
  'advice/wet-open',
  'advice/ready-mixed',
  'advice/finishes-proud',
  'advice/caged-in',
  'advice/no-way-in',
  'advice/missed-window',
  'advice/mix-too-large',
  'advice/not-flat',
  'advice/fill-thin',
  'advice/fill-thick',
  'advice/not-primed',
  'advice/heavy-load',
  'advice/thin-coverage',
  'advice/bed-thin',
  'advice/bed-thick',
  'advice/no-perimeter-joint',
  'advice/hard-corner',
  'advice/mixed-substrates',
  'advice/tight-pipe',
  'advice/mixed-lots',
  'advice/short-lot',
  'advice/under-kerf',
  'advice/nominal-size',
  'advice/nominal-sheet',
  'advice/narrow-joint',
  'advice/uneven-pieces',
  'advice/clip-width',
  'advice/long-offset',
  'advice/sanded-glass',
  'advice/unsanded-wide',
  'advice/dark-mortar',
  'advice/glass-strips',
  'advice/sliver',
  'advice/thin-beside',
  'advice/stands-off',
  'advice/cut-motif',
  'advice/sheet-seam',
  'advice/weave-joint',
  'advice/part-joint',
  'advice/uneven-sheets',
  'advice/finishes-low',
  'advice/bay-too-long',
  'advice/bay-too-large',
  'advice/bay-across',
  'advice/soft-ground',
  'advice/membrane-mortar',
  'advice/glass-bed',
  'advice/glass-room',
  'advice/seal-first',
  'advice/both-hands',
  'advice/fragile-ear',
  'advice/thin-bridge',
  'advice/split-round',
  'advice/shaved',
  'advice/no-bit',
  'advice/soaked-sheets',
  'advice/deep-boxes',
  'advice/left-to-joint',
  'advice/motif-off-middle',
];

const RANK: ReadonlyMap<string, number> = new Map(WORST_FIRST.map((code, k) => [code, k]));

/** Findings with the worst first: warnings before notes; what is untrue of a stored job before all else. */
export const worstFirst = <T extends Pick<Finding, 'code' | 'severity'>>(findings: readonly T[]): T[] => {
  const rankOf = ({ code, severity }: T): number => (severity === 'note' ? RANK.size : 0) + (RANK.get(code) ?? -1);
  return [...findings].sort((a, b) => rankOf(a) - rankOf(b));
};
