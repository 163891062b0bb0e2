import { sheetWork } from '../../cuts/sheets/cutWithSheets.ts';
import type { SheetPart, SheetPlan } from '../../cuts/sheets/planSheets.ts';
import type { Tape } from '../../units/tape.ts';
import { counted } from './figures.ts';
import { minutesTold } from '../figures.ts';
import { describeMark } from './marks.ts';

const SHEETS = { one: 'Matte', other: 'Matten' };
const CHIPS = { one: 'Steinchen', other: 'Steinchen' };
const LOOSE = { one: 'loses Steinchen', other: 'lose Steinchen' };

/** What a surface takes in sheets, and what it takes to cut them, in a few sentences. */
export function describeSheets(plan: SheetPlan): string {
  const { wholeSheets, openedForParts, parts, chipsLeft, lowerBound } = plan;
  const whole = wholeSheets === 0 ? 'Keine Matte wird ganz verlegt' : `${counted(wholeSheets, SHEETS)} ganz verlegt`;
  if (parts.length === 0) return `${whole}; keine Matte wird geschnitten.`;
  const opened = `${counted(openedForParts, SHEETS)}${wholeSheets === 0 ? '' : ' dazu'}`;
  const total = wholeSheets + openedForParts;
  const proof =
    total === lowerBound
      ? 'für sich, und mit einem Stück aus jedem geknipsten Steinchen, geht es hier nicht mit weniger'
      : `für sich braucht diese Fläche mindestens ${lowerBound}`;
  return `${whole}, ${counted(parts.length, { one: 'Teil', other: 'Teile' })} aus ${opened}; ${proof}. ${counted(chipsLeft, CHIPS)} ${chipsLeft === 1 ? 'bleibt' : 'bleiben'} übrig. ${describeWork(plan)}`;
}

function describeWork(plan: SheetPlan): string {
  const { passes, bites, knives, nibbled, minutes } = sheetWork(plan);
  const works = [
    ...(passes > 0 ? [`${counted(passes, { one: 'Schnitt', other: 'Schnitte' })} quer durch eine Matte`] : []),
    ...(bites > 0 ? [`${counted(bites, SHEETS)} ausgeklinkt`] : []),
    ...(nibbled > 0 ? [`${counted(nibbled, CHIPS)} rund geknipst`] : []),
    ...(knives > 0 ? [`${counted(knives, SHEETS)} mit dem Messer getrennt`] : []),
  ];
  return `Schneiden: etwa ${counted(minutesTold(minutes), { one: 'Minute', other: 'Minuten' })}, ${works.join(', ')}.`;
}

/** What becomes of one cut sheet. Chips that are set one by one are cut one by one. */
export function describeSheetPart({ chips, through, loose, sheet, restOf, turnDeg, added, cut }: SheetPart, tape: Tape): string {
  const what = loose ? counted(chips, LOOSE) : `behält ${counted(chips, CHIPS)}`;
  const how = loose || cut.knife ? chipsThrough(chips, through) : describeCut(cut, tape);
  const from = restOf === null ? `aus der neuen Matte ${sheet}` : `aus dem Rest von ${restOf}${turnDeg === 180 ? ', umgedreht' : ''}`;
  const loosely = added.map((one) => `${counted(one.chipsFrom.length, CHIPS)} von ${one.restOf}`);
  return `${what}, ${how}; ${from}${loosely.length === 0 ? '' : `, mit ${loosely.join(' und ')} lose gesetzt`}`;
}

function chipsThrough(chips: number, through: number): string {
  if (through === 0) return 'zwischen Steinchen getrennt';
  if (through < chips) return `${through} davon durchgeschnitten`;
  return chips === 1 ? 'durchgeschnitten' : 'alle durchgeschnitten';
}

function describeCut({ passes, tool, bitten, nibbled }: SheetPart['cut'], tape: Tape): string {
  const done = tool === 'snapCutter' ? 'gebrochen' : 'gesägt';
  return [
    ...(passes.length > 0 ? [`${done} ${passes.map((pass) => describeMark(pass, tape)).join(', dann ')}`] : []),
    ...(bitten > 0 ? [`${counted(bitten, CHIPS)} ausgeklinkt`] : []),
    ...(nibbled > 0 ? [`${counted(nibbled, CHIPS)} rund geknipst`] : []),
  ].join(', ');
}
