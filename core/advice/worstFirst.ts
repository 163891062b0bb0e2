import type { ADVICE_WORDS } from '../messages/en/advice.ts';
import type { Finding } from './finding.ts';

/**
 * How bad a finding is, 1 the worst: what makes every figure wrong; what fails behind the tiles; what people trip over, or
 * hands can't do; what cracks or comes loose; what can't be bought again, or is off by the size of the tile; what lines and
 * joints suffer from; what is seen; what is good to know. Trade judgement.
 */
const HARM: Readonly<Record<keyof typeof ADVICE_WORDS, 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8>> = {
  'advice/measure-again': 1,
  'advice/reading-disagrees': 1,
  'advice/readings-unclear': 1,
  'advice/meeting-differs': 1,
  'advice/door-in-the-air': 1,
  'advice/wet-open': 2,
  'advice/ready-mixed': 2,
  'advice/finishes-proud': 3,
  'advice/caged-in': 3,
  'advice/no-way-in': 3,
  'advice/missed-window': 3,
  'advice/mix-too-large': 3,
  'advice/not-flat': 4,
  'advice/fill-thin': 4,
  'advice/fill-thick': 4,
  'advice/not-primed': 4,
  'advice/heavy-load': 4,
  'advice/thin-coverage': 4,
  'advice/bed-thin': 4,
  'advice/bed-thick': 4,
  'advice/no-perimeter-joint': 4,
  'advice/hard-corner': 4,
  'advice/mixed-substrates': 4,
  'advice/tight-pipe': 4,
  'advice/mixed-lots': 5,
  'advice/short-lot': 5,
  'advice/under-kerf': 5,
  'advice/nominal-size': 5,
  'advice/nominal-sheet': 5,
  'advice/narrow-joint': 6,
  'advice/uneven-pieces': 6,
  'advice/clip-width': 6,
  'advice/long-offset': 6,
  'advice/sanded-glass': 6,
  'advice/unsanded-wide': 6,
  'advice/dark-mortar': 6,
  'advice/glass-strips': 7,
  'advice/sliver': 7,
  'advice/thin-beside': 7,
  'advice/stands-off': 7,
  'advice/cut-motif': 7,
  'advice/sheet-seam': 7,
  'advice/weave-joint': 7,
  'advice/part-joint': 7,
  'advice/uneven-sheets': 7,
  'advice/finishes-low': 7,
  'advice/bay-too-long': 8,
  'advice/bay-too-large': 8,
  'advice/bay-across': 8,
  'advice/soft-ground': 8,
  'advice/membrane-mortar': 8,
  'advice/glass-bed': 8,
  'advice/glass-room': 8,
  'advice/seal-first': 8,
  'advice/both-hands': 8,
  'advice/fragile-ear': 8,
  'advice/thin-bridge': 8,
  'advice/split-round': 8,
  'advice/shaved': 8,
  'advice/no-bit': 8,
  'advice/soaked-sheets': 8,
  'advice/deep-boxes': 8,
  'advice/left-to-joint': 8,
  'advice/motif-off-middle': 8,
};

/** What is untrue of a stored job has no harm of its own: it comes before all else. */
const harmOf = (code: string): number => (HARM as Readonly<Record<string, number>>)[code] ?? 0;

/** Notes come after every warning. */
const NOTE = 100;

/** Findings with the worst first: warnings before notes; those alike as they were found. */
export const worstFirst = <T extends Pick<Finding, 'code' | 'severity'>>(findings: readonly T[]): T[] => {
  const rankOf = ({ code, severity }: T): number => (severity === 'note' ? NOTE : 0) + harmOf(code);
  return [...findings].sort((a, b) => rankOf(a) - rankOf(b));
};
