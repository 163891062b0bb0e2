import type { TaskId } from '../../labour/tasks.ts';
import { TASKS } from '../../labour/tasks.ts';
import type { QuoteRow } from '../../job/quoteRows.ts';
import type { QuoteLineKind } from '../../money/quote.ts';
import type { QuotePart } from '../../money/splitQuote.ts';
import type { ToolId, ToolLine, TOOL_WAYS } from '../../money/tools.ts';
import { formatMoney } from '../../units/currency.ts';

/** What each kind of work is called. */
export const TASK_NAMES: Readonly<Record<TaskId, string>> = {
  openBoxes: 'Opening the boxes',
  prime: 'Priming',
  level: 'Levelling',
  bed: 'Laying the bed',
  board: 'Boarding',
  waterproof: 'Waterproofing',
  setOut: 'Setting out',
  cut: 'Cutting',
  ledger: 'Fixing the ledger',
  lay: 'Laying',
  ledgerOff: 'Taking the ledger off',
  ledgerHoles: 'Closing the holes of the ledger',
  ledgerSeal: 'Sealing again where the ledger was',
  bottomRow: 'Bottom row',
  edging: 'Tiled edges',
  trim: 'Trims and profiles',
  strips: 'Strips of tile',
  skirting: 'Skirting',
  scrape: 'Scraping out the joints',
  sealTile: 'Sealing tiles',
  grout: 'Grouting and washing',
  sealant: 'Sealant',
  sealGrout: 'Sealing joints',
  refitBoxes: 'Refitting the boxes',
  haze: 'Taking the haze off',
  protect: 'Covering',
};

const PACE_UNITS: Readonly<Record<(typeof TASKS)[TaskId]['unit'], string>> = {
  m2: 'm² an hour',
  m: 'm an hour',
  surface: 'surfaces an hour',
  minutes: 'minutes planned an hour',
};

/** The unit of a pace. */
export const paceUnit = (task: TaskId): string => PACE_UNITS[TASKS[task].unit];

/** What each tool is called. */
export const TOOL_NAMES: Readonly<Record<ToolId, string>> = {
  snapCutter: 'Snap cutter',
  wetSaw: 'Wet saw',
  grinder: 'Grinder with a diamond disc',
  coreBits: 'Core bits',
  nippers: 'Nippers',
  mixer: 'Mixing drill',
  suctionCups: 'Suction cups',
  clipPliers: 'Pliers for clips',
};

/** How a tool comes to the job. */
export const WAY_NAMES: Readonly<Record<(typeof TOOL_WAYS)[number], string>> = {
  have: 'There',
  buy: 'Buy',
  hire: 'Hire',
  borrow: 'Borrow',
};

/** What hiring and buying a tool come to. */
export function adviseTool({ days, buy, perDay, breakEvenDays }: ToolLine, currency: string): string {
  const hired = formatMoney(perDay * days, currency);
  const bought = formatMoney(buy, currency);
  const dayWord = days === 1 ? '1 day' : `${days} days`;
  if (!Number.isFinite(breakEvenDays)) return `Bought for ${bought} ${currency}.`;
  const even = Math.ceil(breakEvenDays);
  return days < breakEvenDays
    ? `Hired for ${dayWord}: ${hired} ${currency}. Buying pays from ${even} days on.`
    : `Hired for ${dayWord}: ${hired} ${currency}, more than the ${bought} it costs to buy.`;
}

/** What the parts of a quoted total are called. */
export const QUOTE_PART_NAMES: Readonly<Record<QuotePart, string>> = {
  materials: 'Materials',
  work: 'Work',
  tools: 'Tools',
  travel: 'Travel',
  overhead: 'Overhead',
  discount: 'Discount',
  tax: 'Tax',
};

const LINE_NAMES: Readonly<Record<QuoteLineKind, string>> = {
  materials: 'Materials',
  tools: 'Tools',
  labour: 'Work',
  minimum: 'Up to the minimum charge',
  travel: 'Travel',
  overhead: 'Overhead',
};

/** What a row of a quote is called. */
export const quoteRowName = ({ kind, place }: Pick<QuoteRow, 'kind' | 'place'>): string =>
  place === null ? LINE_NAMES[kind] : `${LINE_NAMES[kind]}: ${place}`;

/** Hours to the quarter: "6.25 h". */
export const hoursWords = (hours: number): string => `${Math.round(hours * 4) / 4} h`;
