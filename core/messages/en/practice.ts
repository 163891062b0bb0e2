import type { Swap } from '../../cuts/dryLay.ts';
import type { Side } from '../../cuts/cutKind.ts';
import type { Exercise, Slip, Verdict } from '../../cuts/practice.ts';
import type { ShapedExercise, ShapedSlip, ShapedVerdict } from '../../cuts/practiceShaped.ts';
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

const TILE_AT: Readonly<Record<Side, string>> = {
  left: 'the tile at the left',
  right: 'the tile at the right',
  bottom: 'the tile below',
  top: 'the tile above',
};

/** What is measured where a piece with a notch or a hole goes. */
export function describeShaped({ piece, openings, jointMm, answer }: ShapedExercise, tape: Tape): string {
  const show = (mm: number): string => formatLengthWithUnit(mm, tape);
  const to = answer.type === 'circle' ? 'the middle of the pipe' : 'what it goes round';
  const [across, up] = openings.map(({ from, mm }) => `from ${TILE_AT[from]} ${show(mm)}`);
  const gaps = [...new Set(openings.map(({ gapMm }) => show(gapMm)))].join(' and ');
  const [gap, size] = answer.type === 'circle' ? ['', ` The hole is ${show(answer.diameterMm)} across.`] : [`, gap ${gaps}`, ''];
  return `${piece.label}, to ${to}: ${across}, ${up}. Joint ${show(jointMm)}${gap}.${size}`;
}

const SLIP_WORDS: Readonly<Record<Slip | ShapedSlip, string>> = {
  otherCorner: 'That is another corner than the one that goes',
  bit: 'That is another bit than the one that just clears it',
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
  const { slip, offMm } = verdict;
  const off = slip === 'tooLarge' || slip === 'tooSmall' ? ` by ${formatLengthWithUnit(Math.abs(offMm), tape)}` : '';
  return `${SLIP_WORDS[slip]}${off}. ${costOf(verdict)}`;
}

/** What comes of a notch or a hole, and what it would have cost. */
export const describeShapedVerdict = (verdict: ShapedVerdict): string =>
  verdict.kind === 'right' ? 'Right.' : `${SLIP_WORDS[verdict.slip]}. ${costOf(verdict)}`;

const costOf = ({ costs, minutes }: { readonly costs: 'cutAgain' | 'tile'; readonly minutes: number }): string =>
  costs === 'cutAgain'
    ? `It would have cost: ${minutes} min to cut it again; the tile is saved.`
    : `It would have cost: a tile and ${minutes} min.`;

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
