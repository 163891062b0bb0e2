import { oncePer } from '../oncePer.ts';
import { ROUNDED_OFTEN, ROUNDING } from '../tolerances.ts';
import { workdayFrom, type Workday, type WorkdayChoice } from './workday.ts';

/** Days that are counted from the start of the programme, midnight to midnight, and hours within them. */
export interface WorkCalendar {
  /** The first day, ISO: 2026-11-30. */
  readonly startDay: string;
  /** When work usually begins, hours after midnight. */
  readonly startHour: number;
  readonly hoursPerDay: number;
  /** Hands besides the first, as a rule. */
  readonly helpers: number;
  /** Days of the week without work: 0 for Sunday. */
  readonly daysOff: readonly number[];
  /** Days without work, ISO. */
  readonly holidays: readonly string[];
  /** Days of the week that are not as the others, by "0" for Sunday. */
  readonly weekdays: Readonly<Partial<Record<string, WorkdayChoice>>>;
  /** Days that are not as others of their name, by their date, ISO. */
  readonly days: Readonly<Partial<Record<string, WorkdayChoice>>>;
}

/** The day that a time lies in; hours from the first midnight. */
export const dayAt = (hours: number): number => Math.floor(hours / 24 + ROUNDING);

const DAY_MS = 86_400_000;
const dayOf = (iso: string): number => Date.parse(`${iso}T00:00:00Z`) / DAY_MS;

/** A day so many after the first, ISO. */
export const isoDay = ({ startDay }: Pick<WorkCalendar, 'startDay'>, day: number): string =>
  new Date((dayOf(startDay) + day) * DAY_MS).toISOString().slice(0, 10);

/** How many days after the first a day is; below zero before it. */
export const dayNumber = ({ startDay }: Pick<WorkCalendar, 'startDay'>, iso: string): number => dayOf(iso) - dayOf(startDay);

/** The day of the week of a day, 0 for Sunday. */
export const weekdayOf = ({ startDay }: Pick<WorkCalendar, 'startDay'>, day: number): number => (((dayOf(startDay) + day + 4) % 7) + 7) % 7;

/** More days in a row than anybody is off. */
const MOST_OFF = 400;

/** The days of a calendar that were asked about: each is asked about often. */
const workdaysKnown = oncePer<WorkCalendar, Map<number, Workday | null>>(() => new Map());

/** Who works on a day from when to when; null where nobody does. A day off on which hours are said is worked. */
export function workdayOf(calendar: WorkCalendar, day: number): Workday | null {
  const known = workdaysKnown(calendar);
  const before = known.get(day);
  if (before !== undefined) return before;
  const workday = lookUp(calendar, day);
  known.set(day, workday);
  return workday;
}

/** Whether a day has no work for its day of the week, as long as no hours are said of that very day. */
export const isOff = ({ daysOff }: Pick<WorkCalendar, 'daysOff'>, weekday: number, own: WorkdayChoice | undefined): boolean =>
  daysOff.includes(weekday) && own?.from === undefined && own?.to === undefined;

function lookUp(calendar: WorkCalendar, day: number): Workday | null {
  const [iso, weekday] = [isoDay(calendar, day), weekdayOf(calendar, day)];
  const own = Object.hasOwn(calendar.days, iso) ? calendar.days[iso] : undefined;
  if (calendar.holidays.includes(iso) || isOff(calendar, weekday, own)) return null;
  const workday = workdayFrom([own, calendar.weekdays[weekday]], calendar);
  return workday.to > workday.from ? workday : null;
}

/** Whether there is work on a day. */
export const isWorkday = (calendar: WorkCalendar, day: number): boolean => workdayOf(calendar, day) !== null;

/** A stretch of a day with the same hands all through, hours from the first midnight. */
interface Hands {
  readonly from: number;
  readonly to: number;
  readonly hands: number;
}

/** The hands that a work has on a day, stretch by stretch: all that are there where several share it, else one. */
function handsOn(calendar: WorkCalendar, day: number, isShared: boolean): Hands[] {
  const workday = workdayOf(calendar, day);
  if (!workday) return [];
  const { from, to, helpers, helpersFrom, helpersTo } = workday;
  const stretch = (begins: number, ends: number, hands: number): Hands => ({ from: 24 * day + begins, to: 24 * day + ends, hands });
  if (!isShared || helpers === 0 || helpersTo <= helpersFrom) return [stretch(from, to, 1)];
  const all = [stretch(from, helpersFrom, 1), stretch(helpersFrom, helpersTo, 1 + helpers), stretch(helpersTo, to, 1)];
  return all.filter((one) => one.to - one.from > ROUNDING);
}

/** A working day of the week as it is in the mean: its hours, and those of all hands together. */
export function usualDay(calendar: WorkCalendar): { readonly hours: number; readonly handHours: number } {
  const week = Array.from({ length: 7 }, (_, day) => handsOn({ ...calendar, holidays: [], days: {} }, day, true)).filter(
    ({ length }) => length > 0,
  );
  if (week.length === 0) return { hours: calendar.hoursPerDay, handHours: calendar.hoursPerDay };
  const mean = (of: (hands: Hands) => number): number => week.flat().reduce((sum, one) => sum + of(one), 0) / week.length;
  return { hours: mean(({ from, to }) => to - from), handHours: mean(({ from, to, hands }) => hands * (to - from)) };
}

/** The first time at or after one at which there is work; hours from the first midnight. */
export function nextWorkTime(calendar: WorkCalendar, at: number): number {
  let time = Math.max(0, at);
  for (let tries = 0; tries < MOST_OFF; tries++) {
    const day = dayAt(time);
    const workday = workdayOf(calendar, day);
    if (workday && time < 24 * day + workday.to - ROUNDING) return Math.max(time, 24 * day + workday.from);
    time = 24 * (day + 1);
  }
  return time;
}

/** A stretch of work within one day, hours from the first midnight. */
export type WorkingHours = readonly [from: number, to: number];

/** How long some stretches are together, hours. */
export const hoursIn = (stretches: readonly WorkingHours[]): number => stretches.reduce((sum, [from, to]) => sum + to - from, 0);

/** What there is to do: hours of one pair of hands, and whether several share it. */
export interface Effort {
  readonly hours: number;
  readonly isShared: boolean;
}

/** To the quarter of an hour. */
export const inQuarters = (hours: number): number => Math.ceil(4 * hours - ROUNDED_OFTEN) / 4;

/** Nobody comes back for what a quarter of an hour ends. */
const STAYED_ON = 0.25;

/** Nobody begins, for less than this before the end of a day, what goes on the next, hours. */
const WORTH_BEGINNING = 0.5;

/** How far a work comes on the day of a time: until when, and how many of its hours are done then. */
function workThatDay(calendar: WorkCalendar, time: number, { hours, isShared }: Effort): { readonly to: number; readonly done: number } {
  const ahead = handsOn(calendar, dayAt(time), isShared).filter(({ to }) => to > time + ROUNDING);
  if (ahead.length === 0) return { to: time + hours, done: hours };
  let [at, done] = [time, 0];
  for (const [k, { from, to, hands }] of ahead.entries()) {
    at = Math.max(at, from);
    const stayedOn = k === ahead.length - 1 ? STAYED_ON : 0;
    const ends = at + (hours - done) / hands;
    if (ends <= to + stayedOn + ROUNDING) return { to: ends, done: hours };
    done += (to - at) * hands;
    at = to;
  }
  return { to: at, done };
}

/** The end of the day that a time lies in, as far as there is work on it. */
const endOfDay = (calendar: WorkCalendar, time: number): number => 24 * dayAt(time) + (workdayOf(calendar, dayAt(time))?.to ?? 24);

/** Whether a work would be begun at a time for hardly anything of it. */
const isHardlyBegun = (calendar: WorkCalendar, time: number, effort: Effort): boolean =>
  endOfDay(calendar, time) - time < WORTH_BEGINNING - ROUNDING && workThatDay(calendar, time, effort).done < effort.hours - ROUNDING;

/** The first time at or after one at which a work is begun. */
export function beginWork(calendar: WorkCalendar, at: number, effort: Effort): number {
  const time = nextWorkTime(calendar, at);
  return isHardlyBegun(calendar, time, effort) ? nextWorkTime(calendar, endOfDay(calendar, time)) : time;
}

/** The stretches that a work takes from a time on, day by day; begun at once where something would dry before the next day. */
export function workFrom(calendar: WorkCalendar, at: number, effort: Effort, atOnce = false): WorkingHours[] {
  const stretches: WorkingHours[] = [];
  let [time, left] = [atOnce ? nextWorkTime(calendar, at) : beginWork(calendar, at, effort), effort.hours];
  while (left > ROUNDED_OFTEN && stretches.length < 5000) {
    const { to, done } = workThatDay(calendar, time, { ...effort, hours: left });
    stretches.push([time, to]);
    left -= done;
    time = nextWorkTime(calendar, to);
  }
  return effort.isShared ? endedByQuarters(stretches) : stretches;
}

/** What several share ends by the quarter of an hour like any other work. */
function endedByQuarters(stretches: readonly WorkingHours[]): WorkingHours[] {
  const hours = hoursIn(stretches);
  const last = stretches.length - 1;
  return stretches.map(([from, to], k) => [from, k === last ? to + inQuarters(hours) - hours : to]);
}

/** The latest time at which a work can begin that is to be done by a time; hours from the first midnight. */
export function workBack(calendar: WorkCalendar, by: number, { hours, isShared }: Effort): number {
  if (by === Infinity) return Infinity;
  let [time, left] = [by, hours];
  for (let tries = 0; tries < MOST_OFF; tries++) {
    const day = Math.floor(time / 24 - ROUNDING);
    for (const { from, to, hands } of handsOn(calendar, day, isShared).reverse()) {
      const at = Math.min(time, to);
      if (at <= from) continue;
      if ((at - from) * hands >= left - ROUNDING) return at - left / hands;
      left -= (at - from) * hands;
    }
    time = 24 * day;
  }
  return time;
}

/** The hours of all hands that share a work within a stretch of it. */
export const handHours = (calendar: WorkCalendar, [from, to]: WorkingHours): number => {
  const there = handsOn(calendar, dayAt(from), true);
  const within = there.reduce((sum, one) => sum + one.hands * Math.max(0, Math.min(to, one.to) - Math.max(from, one.from)), 0);
  // What is stayed on for.
  return within + Math.max(0, to - (there.at(-1)?.to ?? to)) * (there.at(-1)?.hands ?? 1);
};
