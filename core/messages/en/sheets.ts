import { sheetWork } from '../../cuts/sheets/cutWithSheets.ts';
import type { SheetPart, SheetPlan } from '../../cuts/sheets/planSheets.ts';
import type { SheetFault } from '../../tile/sheet/sheetFaults.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { minutesTold } from '../figures.ts';
import { describeMark } from './marks.ts';

/** What is wrong with a sheet, and what was expected. */
export function describeSheetFault(fault: SheetFault, tape: Tape): string {
  if (fault.kind === 'overlap') return `Chips ${fault.chips[0] + 1} and ${fault.chips[1] + 1} lie on each other. Move one, or take it off.`;
  const side = fault.side === 'across' ? 'on the right' : 'above';
  return fault.gapMm < 0
    ? `The sheet ${side} overlaps this one. Expected a longer way to it, so that a joint is left.`
    : `The sheet ${side} stays ${formatLengthWithUnit(fault.gapMm, tape)} away. Expected about the joint between chips; shorten the way to it.`;
}

const counted = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;

/** What a surface takes in sheets, and what it takes to cut them, in a few sentences. */
export function describeSheets(plan: SheetPlan): string {
  const { wholeSheets, openedForParts, parts, chipsLeft, lowerBound } = plan;
  const whole = wholeSheets === 0 ? 'No sheet is laid whole' : `${counted(wholeSheets, 'sheet')} laid whole`;
  const opened = `${counted(openedForParts, 'sheet')}${wholeSheets === 0 ? '' : ' more'}`;
  if (parts.length === 0) return `${whole}; no sheet is cut.`;
  const total = wholeSheets + openedForParts;
  const proof =
    total === lowerBound
      ? 'by itself, and with one piece from each bitten chip, this surface can not do with fewer'
      : `by itself this surface needs at least ${lowerBound}`;
  return `${whole}, ${counted(parts.length, 'part')} out of ${opened}; ${proof}. ${counted(chipsLeft, 'chip')} left over. ${describeWork(plan)}`;
}

function describeWork(plan: SheetPlan): string {
  const { passes, bites, knives, nibbled, minutes } = sheetWork(plan);
  const works = [
    ...(passes > 0 ? [`${passes} ${passes === 1 ? 'pass' : 'passes'} right across a sheet`] : []),
    ...(bites > 0 ? [`${counted(bites, 'sheet')} bitten out`] : []),
    ...(nibbled > 0 ? [`${counted(nibbled, 'chip')} nibbled to a round`] : []),
    ...(knives > 0 ? [`${counted(knives, 'sheet')} parted with a knife`] : []),
  ];
  return `Cut in about ${counted(minutesTold(minutes), 'minute')}: ${works.join(', ')}.`;
}

/** What becomes of one cut sheet. Chips that are set one by one are cut one by one. */
export function describeSheetPart({ chips, through, loose, sheet, restOf, turnDeg, added, cut }: SheetPart, tape: Tape): string {
  const what = loose ? `${counted(chips, 'loose chip')}` : `keeps ${counted(chips, 'chip')}`;
  const how = loose || cut.knife ? chipsThrough(chips, through) : describeCut(cut, tape);
  const from = restOf === null ? `new sheet ${sheet}` : `the rest of ${restOf}${turnDeg === 180 ? ' turned round' : ''}`;
  const loosely = added.map((one) => `${counted(one.chipsFrom.length, 'chip')} of ${one.restOf}`);
  return `${what}, ${how}; from ${from}${loosely.length === 0 ? '' : `, with ${loosely.join(' and ')} set loose`}`;
}

function chipsThrough(chips: number, through: number): string {
  if (through === 0) return 'cut between chips';
  if (through < chips) return `${through} of them cut through`;
  return chips === 1 ? 'cut through' : 'all cut through';
}

function describeCut({ passes, tool, bitten, nibbled }: SheetPart['cut'], tape: Tape): string {
  const done = tool === 'snapCutter' ? 'snapped' : 'sawn';
  return [
    ...(passes.length > 0 ? [`${done} ${passes.map((pass) => describeMark(pass, tape)).join(', then ')}`] : []),
    ...(bitten > 0 ? [`${counted(bitten, 'chip')} bitten out`] : []),
    ...(nibbled > 0 ? [`${counted(nibbled, 'chip')} nibbled to the round`] : []),
  ].join(', ');
}
