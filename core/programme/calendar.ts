import { ROUNDED_OFTEN, ROUNDING } from '../tolerances.ts';

/** Days that are counted from the start of the programme, midnight to midnight, and hours within them. */
export interface WorkCalendar {
  /** The first day, ISO: 2026-11-30. */
  readonly startDay: string;
  /** When work begins, hours after midnight. */
  readonly startHour: number;
  readonly hoursPerDay: number;
  /** Days of the week without work: 0 for Sunday. */
  readonly daysOff: readonly number[];
  /** Days without work, ISO. */
  readonly holidays: readonly string[];
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

/** More days in a row than anybody is off. */
const MOST_OFF = 400;

/** Whether there is work on a day. */
export function isWorkday(calendar: WorkCalendar, day: number): boolean {
  const weekday = (((dayOf(calendar.startDay) + day + 4) % 7) + 7) % 7;
  return !calendar.daysOff.includes(weekday) && !calendar.holidays.includes(isoDay(calendar, day));
}

/** The first time at or after one at which there is work; hours from the first midnight. */
export function nextWorkTime(calendar: WorkCalendar, at: number): number {
  let time = Math.max(0, at);
  for (let tries = 0; tries < MOST_OFF; tries++) {
    const day = dayAt(time);
    const [begins, ends] = [24 * day + calendar.startHour, 24 * day + calendar.startHour + calendar.hoursPerDay];
    if (isWorkday(calendar, day) && time < ends - ROUNDING) return Math.max(time, begins);
    time = 24 * (day + 1);
  }
  return time;
}

/** A stretch of work within one day, hours from the first midnight. */
export type WorkingHours = readonly [from: number, to: number];

/** Nobody comes back for what a quarter of an hour ends. */
const STAYED_ON = 0.25;

/** Nobody begins, for less than this before the end of a day, what goes on the next, hours. */
const WORTH_BEGINNING = 0.5;

const endOfDay = ({ startHour, hoursPerDay }: WorkCalendar, time: number): number => 24 * dayAt(time) + startHour + hoursPerDay;

/** Whether so many hours of work would be begun at a time for hardly anything of them. */
function isHardlyBegun(calendar: WorkCalendar, time: number, hours: number): boolean {
  const left = endOfDay(calendar, time) - time;
  return left < WORTH_BEGINNING - ROUNDING && hours > left + STAYED_ON + ROUNDING;
}

/** The first time at or after one at which so many hours of work are begun. */
export function beginWork(calendar: WorkCalendar, at: number, hours: number): number {
  const time = nextWorkTime(calendar, at);
  return isHardlyBegun(calendar, time, hours) ? nextWorkTime(calendar, endOfDay(calendar, time)) : time;
}

/** The stretches that so many hours of work take from a time on, day by day; begun at once where something would dry before the next day. */
export function workFrom(calendar: WorkCalendar, at: number, hours: number, atOnce = false): WorkingHours[] {
  const stretches: WorkingHours[] = [];
  let [time, left] = [atOnce ? nextWorkTime(calendar, at) : beginWork(calendar, at, hours), hours];
  while (left > ROUNDED_OFTEN && stretches.length < 5000) {
    const ends = endOfDay(calendar, time);
    const to = time + left <= ends + STAYED_ON + ROUNDING ? time + left : ends;
    stretches.push([time, to]);
    left -= to - time;
    time = nextWorkTime(calendar, to);
  }
  return stretches;
}

/** The latest time at which so many hours of work can begin that are to be done by a time; hours from the first midnight. */
export function workBack(calendar: WorkCalendar, by: number, hours: number): number {
  if (by === Infinity) return Infinity;
  let [time, left] = [by, hours];
  for (let tries = 0; tries < MOST_OFF; tries++) {
    const day = Math.floor(time / 24 - ROUNDING);
    const begins = 24 * day + calendar.startHour;
    const at = Math.min(time, begins + calendar.hoursPerDay);
    if (isWorkday(calendar, day) && at > begins) {
      if (at - begins >= left - ROUNDING) return at - left;
      left -= at - begins;
    }
    time = 24 * day;
  }
  return time;
}
