import { WEEKEND } from './calendarOf.ts';
import { weekdayOf } from './calendar.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';
import type { WorkdayChoice } from './workday.ts';

/** A day of the week by its number, "0" for Sunday, or one day by its date, ISO. */
export type DayMeant = string;

const tableOf = (day: DayMeant): 'weekdays' | 'days' => (day.length === 1 ? 'weekdays' : 'days');

/** What was said of a day by itself; undefined where it is as the others. */
export const saidOf = (programme: ProgrammeChoice, day: DayMeant): WorkdayChoice | undefined =>
  (programme[tableOf(day)] as Record<string, WorkdayChoice> | undefined)?.[day];

/** A day with something said of it; null takes back all that was said. */
export function sayOfDay(programme: ProgrammeChoice, day: DayMeant, part: WorkdayChoice | null): Partial<ProgrammeChoice> {
  const table = tableOf(day);
  const others = Object.fromEntries(Object.entries(programme[table] ?? {}).filter(([other]) => other !== day));
  return { [table]: part === null ? others : { ...others, [day]: { ...saidOf(programme, day), ...part } } };
}

/** Whether there is work on a day: of a week it is off every time; of a date once, and worked where its like are off. */
export function setWorked(programme: ProgrammeChoice, day: DayMeant, isWorked: boolean, usualFrom: number): Partial<ProgrammeChoice> {
  if (tableOf(day) === 'weekdays') {
    const others = (programme.daysOff ?? WEEKEND).filter((off) => off !== Number(day));
    // Who would have helped is not asked for.
    return isWorked ? { daysOff: others } : { ...sayOfDay(programme, day, null), daysOff: [...others, Number(day)].sort() };
  }
  const holidays = (programme.holidays ?? []).filter((other) => other !== day);
  const isOffAsARule = (programme.daysOff ?? WEEKEND).includes(weekdayOf({ startDay: day }, 0));
  if (isWorked) return { holidays, ...(isOffAsARule ? sayOfDay(programme, day, { from: usualFrom }) : {}) };
  return { ...sayOfDay(programme, day, null), holidays: isOffAsARule ? holidays : [...holidays, day] };
}
