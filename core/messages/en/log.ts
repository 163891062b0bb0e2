import type { Job } from '../../job/job.ts';
import { productName } from '../../job/job.ts';
import type { TaskId } from '../../labour/tasks.ts';
import type { CHECKS, Entry, EntryKind } from '../../site/entry.ts';
import type { DoubtfulHours, LearntPace } from '../../site/learnt.ts';
import type { BreakageFact, LearntFigure, UseFact } from '../../site/learntUse.ts';
import type { MaterialId } from '../../takeoff/registry.ts';
import { itemName, packName } from './materialNames.ts';
import { hoursWords, paceUnit, TASK_NAMES } from './money.ts';
import { TIMER_NAMES } from './site.ts';
import type { HoursDue } from '../../site/hoursDue.ts';
import type { StillOpen } from '../../site/stillOpen.ts';
import { formatMoney } from '../../units/currency.ts';

/** What each kind of entry is called. */
export const ENTRY_NAMES: Readonly<Record<EntryKind, string>> = {
  order: 'Order',
  lot: 'Lot opened',
  mix: 'Mix',
  used: 'Packs used',
  breakage: 'Broken',
  hours: 'Hours',
  note: 'Note',
  photo: 'Photo',
  reading: 'Reading',
  snag: 'Snag',
  leftOver: 'Left over',
  taken: 'Taken from the shelf',
  change: 'Done otherwise',
  timer: 'Wait',
  closed: 'Job closed',
  withdrawn: 'Withdrawn',
};

/** What is checked on the way. */
export const CHECK_NAMES: Readonly<Record<(typeof CHECKS)[number], string>> = {
  level: 'Level of a course, off by mm',
  plumb: 'Plumb, off by mm',
  coverage: 'Coverage of a lifted tile, %',
  controlLine: 'To the control line, mm',
  diagonal: 'Diagonal of the square, mm',
};

/** How each check is made, in a minute. */
export const CHECK_HOW: Readonly<Record<(typeof CHECKS)[number], string>> = {
  level: 'Lay the long level over the last course. How far is its end off?',
  plumb: 'Hold the level upright against the tiles. How far is it off?',
  coverage: 'Lift a tile while the bed is wet. How much of its back is covered?',
  controlLine: 'Measure from the last course to the control line, at both ends. The larger of the two:',
  diagonal: 'Measure across the square check once more, along the joints that are laid now.',
};

/** An entry in a line. */
export function describeEntry(job: Job, { data }: Entry): string {
  switch (data.kind) {
    case 'order':
      return `${data.lines.length} lines at ${data.supplier}, ${formatMoney(data.total, data.currency)} ${data.currency}`;
    case 'lot':
      return `${productName(job, data.productId)}, lot ${data.code}, ${data.pieces} pieces`;
    case 'mix':
      return `${data.kg} kg of ${itemName(data.item as MaterialId).toLowerCase()}`;
    case 'used':
      return `${data.packs} ${packName(data.item as MaterialId, data.packs)} of ${itemName(data.item as MaterialId).toLowerCase()}`;
    case 'breakage':
      return `${data.pieces} of ${productName(job, data.productId)}${data.label === '' ? '' : `, ${data.label}`}${data.why === '' ? '' : `: ${data.why}`}`;
    case 'hours':
      return `${hoursWords(data.hours)} of ${(TASK_NAMES[data.task as TaskId] ?? data.task).toLowerCase()}`;
    case 'reading':
      return `${CHECK_NAMES[data.check]}: ${data.value}${data.wanted === null ? '' : `, wanted ${data.wanted}`}${data.text === '' ? '' : `. ${data.text}`}`;
    case 'snag':
      return `${data.text}${data.done ? ', done' : ''}`;
    case 'leftOver':
      return `${data.pieces} of ${data.name}, ${data.widthMm} x ${data.heightMm} mm`;
    case 'taken':
      return `${data.pieces} pieces of another job`;
    case 'timer':
      return `${TIMER_NAMES[data.timer]}: ${data.minutes} min`;
    case 'closed':
      return data.open === 0 ? 'nothing open' : `${data.open} still open`;
    case 'change':
    case 'note':
    case 'photo':
      return data.text;
    case 'withdrawn':
      return '';
  }
}

/** What was used against the plan, in a sentence: a job under way has used a part. */
export function describeUse({ item, unit, planned, used }: UseFact, isLaid: boolean): string {
  if (!isLaid) return `${itemName(item)}: ${round(used)} ${unit} used so far of ${round(planned)} ${unit} planned in all.`;
  const share = Math.round(100 * (used / planned - 1));
  const off = share === 0 ? 'as planned' : `${Math.abs(share)} % ${share > 0 ? 'more' : 'less'} than planned`;
  return `${itemName(item)}: ${round(used)} ${unit} used of ${round(planned)} ${unit}, ${off}.`;
}

/** What breaking taught, and how sure that is. */
export function describeBreakage({ kind, cuts, broken, before, percent }: BreakageFact): string {
  const what = kind === 'straight' ? 'straight cuts' : 'notches, holes and curves';
  const sure = cuts < 20 ? 'few, so it moves little' : cuts < 80 ? 'some, so it goes half-way' : 'enough to go by';
  return `${broken} of ${cuts} ${what} broke: reckon with ${percent} % instead of ${before} % (${cuts} cuts are ${sure}).`;
}

const FIGURE_OF: Readonly<Record<LearntFigure['figure'], string>> = {
  kgPerLitre: 'a litre',
  backKgPerM2: 'a square metre of backs',
  kgPerM2: 'a square metre',
};

/** What a litre, or a square metre, really took. */
export const describeFigure = ({ item, figure, value, before }: LearntFigure): string =>
  `${itemName(item)}: ${FIGURE_OF[figure]} took ${value} kg instead of ${before} kg.`;

/** Hours that are too far from the plan to learn from. */
export const describeDoubtful = ({ task, plannedHours, loggedHours }: DoubtfulHours, surface: string): string =>
  `${TASK_NAMES[task]}, ${surface}: ${hoursWords(loggedHours)} written down where ${hoursWords(plannedHours)} are planned. Nothing is learnt from that; look at it again, it may belong to another surface.`;

/** Which part of a work lies by what is ticked. */
export const describeDue = ({ task, upTo }: HoursDue, surface: string): string =>
  `${TASK_NAMES[task]}, ${surface}: ${upTo > 0.995 ? 'all of it' : `${Math.max(1, Math.round(100 * upTo))} %`} is ticked.`;

/** So many surfaces are named in a sentence. */
const NAMED = 4;

/** Something that is still open on a job; `nameOf` names its surfaces. */
export function describeOpen(one: StillOpen, nameOf: (surfaceId: string) => string): string {
  switch (one.open) {
    case 'notBegun': {
      const names = one.surfaceIds.slice(0, NAMED).map(nameOf);
      const more = one.surfaceIds.length - names.length;
      return `Nothing lies of ${names.join(', ')}${more > 0 ? ` and ${more} more` : ''}.`;
    }
    case 'surface': {
      const surface = nameOf(one.surfaceId);
      if (one.zonesLeft === 0) return `${surface}: every zone lies, the surface is not closed.`;
      return `${surface} is not laid: ${one.zonesLeft} of ${one.of} zones to go.`;
    }
    case 'wait':
      return `${TIMER_NAMES[one.timer]}: ${minutesWords(one.minutes)} to go.`;
    case 'snags':
      return `${one.count} ${one.count === 1 ? 'snag' : 'snags'} not done.`;
    case 'hours':
      return `${TASK_NAMES[one.task]}, ${nameOf(one.surfaceId)}: about ${hoursWords(one.hours)} not written down.`;
  }
}

const minutesWords = (minutes: number): string => (minutes < 90 ? `${Math.ceil(minutes)} min` : hoursWords(minutes / 60));

const round = (amount: number): number => Math.round(amount * 10) / 10;

/** What a job taught of a pace, and how sure that is. */
export function describeLearnt({ task, pace, before, surfaces }: LearntPace): string {
  const slower = pace < before ? 'slower' : 'faster';
  const share = Math.round(Math.abs(pace / before - 1) * 100);
  const sure = surfaces === 1 ? 'from one surface, so only a hint' : `from ${surfaces} surfaces`;
  return share === 0
    ? `${TASK_NAMES[task]} went as planned, ${sure}.`
    : `${TASK_NAMES[task]} went ${share} % ${slower} than planned: ${pace} ${paceUnit(task)} instead of ${before}, ${sure}.`;
}
