import type { SheetPart, SheetPlan } from '../../cuts/sheets/planSheets.ts';
import type { SheetFault } from '../../tile/sheet/sheetFaults.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** What is wrong with a sheet, and what was expected. */
export function describeSheetFault(fault: SheetFault, tape: Tape): string {
  if (fault.kind === 'overlap') return `Chips ${fault.chips[0] + 1} and ${fault.chips[1] + 1} lie on each other. Move one, or take it off.`;
  const side = fault.side === 'across' ? 'on the right' : 'above';
  return fault.gapMm < 0
    ? `The sheet ${side} overlaps this one. Expected a longer way to it, so that a joint is left.`
    : `The sheet ${side} stays ${formatLengthWithUnit(fault.gapMm, tape)} away. Expected about the joint between chips; shorten the way to it.`;
}

const counted = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;

/** What a surface takes in sheets, in a sentence. */
export function describeSheets({ wholeSheets, openedForParts, parts, chipsLeft, lowerBound }: SheetPlan): string {
  const whole = wholeSheets === 0 ? 'No sheet is laid whole' : `${counted(wholeSheets, 'sheet')} laid whole`;
  const opened = `${counted(openedForParts, 'sheet')}${wholeSheets === 0 ? '' : ' more'}`;
  if (parts.length === 0) return `${whole}; no sheet is cut.`;
  const total = wholeSheets + openedForParts;
  const proof =
    total === lowerBound
      ? 'by itself, and with one piece from each bitten chip, this surface can not do with fewer'
      : `by itself this surface needs at least ${lowerBound}`;
  return `${whole}, ${counted(parts.length, 'part')} out of ${opened}; ${proof}. ${counted(chipsLeft, 'chip')} left over.`;
}

/** What becomes of one cut sheet. */
export function describeSheetPart({ chips, through, loose, sheet, restOf, turnDeg, added }: SheetPart): string {
  const what = loose ? `${counted(chips, 'loose chip')}` : `keeps ${counted(chips, 'chip')}`;
  const cut =
    through === 0
      ? 'cut between chips'
      : through < chips
        ? `${through} of them cut through`
        : chips === 1
          ? 'cut through'
          : 'all cut through';
  const from = restOf === null ? `new sheet ${sheet}` : `the rest of ${restOf}${turnDeg === 180 ? ' turned round' : ''}`;
  const loosely = added.map((one) => `${counted(one.chipsFrom.length, 'chip')} of ${one.restOf}`);
  return `${what}, ${cut}; from ${from}${loosely.length === 0 ? '' : `, with ${loosely.join(' and ')} set loose`}`;
}
