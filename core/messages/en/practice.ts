import type { Swap } from '../../cuts/dryLay.ts';
import type { Exercise, Slip, Verdict } from '../../cuts/practice.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** What is measured where a piece goes. */
export function describeExercise({ openingMm, answer, jointMm, gapMm, piece }: Exercise, tape: Tape): string {
  const show = (mm: number): string => formatLengthWithUnit(mm, tape);
  const [low, high] = answer.from === 'left' || answer.from === 'right' ? ['bottom', 'top'] : ['left', 'right'];
  const pair = ([first, last]: readonly [number, number]): string =>
    formatLength(first, tape) === formatLength(last, tape)
      ? show(first)
      : `${formatLength(first, tape)} at the ${low} and ${show(last)} at the ${high}`;
  return `${piece.label} keeps its ${answer.from} edge. From the tile before it to what it goes up to: ${pair(openingMm)}. Joint ${show(jointMm)}, gap ${pair(gapMm)}.`;
}

const SLIP_WORDS: Readonly<Record<Slip, string>> = {
  jointOn: 'The joint was not taken off',
  gapOn: 'The gap at the far side was not taken off',
  bothOn: 'Neither joint nor gap was taken off',
  mirrored: 'That is the mirror image: from the other edge',
  swapped: 'The two figures changed ends',
  fromCut: 'That is the part that falls away: measured from the cut edge',
  otherSide: 'That is another edge than the one that is kept',
  tooLarge: 'Too large',
  tooSmall: 'Too small',
};

/** What comes of a mark, and what it would have cost. */
export function describeVerdict(verdict: Verdict, tape: Tape): string {
  if (verdict.kind === 'right') return verdict.turned ? 'Right: this tile may lie either way round.' : 'Right.';
  const { slip, offMm, costs, minutes } = verdict;
  const off = slip === 'tooLarge' || slip === 'tooSmall' ? ` by ${formatLengthWithUnit(Math.abs(offMm), tape)}` : '';
  const cost = costs === 'cutAgain' ? `${minutes} min to cut it again; the tile is saved.` : `A tile and ${minutes} min.`;
  return `${SLIP_WORDS[slip]}${off}. It would have cost: ${cost.charAt(0).toLowerCase()}${cost.slice(1)}`;
}

/** What comes of two pieces that changed places. */
export function describeSwap(swap: Swap, a: string, b: string, tape: Tape): string {
  switch (swap.kind) {
    case 'harmless':
      return `${a} and ${b} are equal${swap.turnDeg === 0 ? '' : ` once ${a} is turned by ${swap.turnDeg}°`}: no harm done.`;
    case 'otherTile':
      return `${a} and ${b} are different tiles. Put them back.`;
    case 'otherHand':
      return `${a} and ${b} are left and right of each other. Put them back.`;
    case 'otherSize':
      return `${swap.larger} is ${formatLengthWithUnit(swap.byMm, tape)} too large for the place of ${swap.larger === a ? b : a}. Put them back.`;
    case 'otherShape':
      return `${a} and ${b} are as large, but cut in another way. Put them back.`;
  }
}
