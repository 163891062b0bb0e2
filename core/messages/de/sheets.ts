import type { SheetPart, SheetPlan } from '../../cuts/sheets/planSheets.ts';
import { counted } from './figures.ts';

const SHEETS = { one: 'Matte', other: 'Matten' };
const CHIPS = { one: 'Steinchen', other: 'Steinchen' };
const LOOSE = { one: 'loses Steinchen', other: 'lose Steinchen' };

/** What a surface takes in sheets, in a sentence. */
export function describeSheets({ wholeSheets, openedForParts, parts, chipsLeft, lowerBound }: SheetPlan): string {
  const whole = wholeSheets === 0 ? 'Keine Matte wird ganz verlegt' : `${counted(wholeSheets, SHEETS)} ganz verlegt`;
  if (parts.length === 0) return `${whole}; keine Matte wird geschnitten.`;
  const opened = `${counted(openedForParts, SHEETS)}${wholeSheets === 0 ? '' : ' dazu'}`;
  const total = wholeSheets + openedForParts;
  const proof =
    total === lowerBound
      ? 'für sich, und mit einem Stück aus jedem geknipsten Steinchen, geht es hier nicht mit weniger'
      : `für sich braucht diese Fläche mindestens ${lowerBound}`;
  return `${whole}, ${counted(parts.length, { one: 'Teil', other: 'Teile' })} aus ${opened}; ${proof}. ${counted(chipsLeft, CHIPS)} ${chipsLeft === 1 ? 'bleibt' : 'bleiben'} übrig.`;
}

/** What becomes of one cut sheet. */
export function describeSheetPart({ chips, through, loose, sheet, restOf, turnDeg, added }: SheetPart): string {
  const what = loose ? counted(chips, LOOSE) : `behält ${counted(chips, CHIPS)}`;
  const cut =
    through === 0
      ? 'zwischen Steinchen getrennt'
      : through < chips
        ? `${through} davon durchgeschnitten`
        : chips === 1
          ? 'durchgeschnitten'
          : 'alle durchgeschnitten';
  const from = restOf === null ? `aus der neuen Matte ${sheet}` : `aus dem Rest von ${restOf}${turnDeg === 180 ? ', umgedreht' : ''}`;
  const loosely = added.map((one) => `${counted(one.chipsFrom.length, CHIPS)} von ${one.restOf}`);
  return `${what}, ${cut}; ${from}${loosely.length === 0 ? '' : `, mit ${loosely.join(' und ')} lose gesetzt`}`;
}
