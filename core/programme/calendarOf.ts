import { HOURS_PER_DAY, type Labour } from '../labour/workHours.ts';
import type { WorkCalendar } from './calendar.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';

/** When work begins where nothing is said, hours after midnight. */
export const USUAL_START = 8;

/** Days of the week without work where nothing is said. */
export const WEEKEND: readonly number[] = [0, 6];

/** What the days of a job go by. */
export interface DayRules {
  readonly programme?: ProgrammeChoice | undefined;
  readonly labour?: Labour | undefined;
  /** The day it is looked at, ISO. */
  readonly today: string;
}

/** The days of a job and the hands on each, as the person said them. */
export const calendarOf = ({ programme = {}, labour = {}, today }: DayRules): WorkCalendar => ({
  startDay: programme.startDay ?? today,
  startHour: programme.startHour ?? USUAL_START,
  hoursPerDay: labour.hoursPerDay ?? HOURS_PER_DAY,
  helpers: labour.helpers ?? 0,
  daysOff: programme.daysOff ?? WEEKEND,
  holidays: programme.holidays ?? [],
  weekdays: programme.weekdays ?? {},
  days: programme.days ?? {},
});
