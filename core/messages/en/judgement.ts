import type { Judgement } from '../../surface/reconcile/judgeReadings.ts';
import type { MeasuredWalls } from '../../surface/reconcile/observations.ts';
import { readingTitle } from '../../surface/reconcile/wallTitle.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** More suspects than this say nothing. */
const MOST_NAMED = 3;

/** What the readings say together, in one sentence. */
export function describeJudgement({ verdict, suspects, largestResidualMm, hides }: Judgement, shape: MeasuredWalls, tape: Tape): string {
  const names = suspects.map((reading) => readingTitle(shape, reading)).join(', ');
  const off = formatLengthWithUnit(Math.abs(suspects[0]?.slipMm ?? 0), tape);
  switch (verdict) {
    case 'unchecked':
      return 'Nothing checks these walls yet. One diagonal fixes four walls; every further one is a check.';
    case 'agree':
      return `The readings agree, to ${formatLengthWithUnit(largestResidualMm, tape)} at worst.${unseen(hides, shape, tape)}`;
    case 'one-off':
      return `Measure ${names} again: it disagrees with the others by ${off}.`;
    case 'unclear':
      return suspects.length > MOST_NAMED
        ? `Something was misread by about ${off}, and no reading stands out. Measure one of them again, or add a diagonal.`
        : `Something was misread by about ${off}; it may be ${names}. Measure those again, or add a diagonal.`;
  }
}

/** A slip of more than this is as good as not checked at all, mm. */
const NOT_CHECKED_MM = 200;

/** What they could not tell, and what would. */
function unseen(hides: Judgement['hides'], shape: MeasuredWalls, tape: Tape): string {
  if (!hides) return '';
  const name = readingTitle(shape, hides.reading);
  return hides.slipMm > NOT_CHECKED_MM
    ? ` Nothing checks ${name}: measure it twice, or add a diagonal.`
    : ` In ${name} a slip of up to ${formatLengthWithUnit(Math.ceil(hides.slipMm), tape)} would not show: measure it twice, or add a diagonal.`;
}
