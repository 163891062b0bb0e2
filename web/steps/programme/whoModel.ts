import type { Job } from '@azulejo/core/job/job';
import { dateWords, WEEKDAY_NAMES, workdayHands, workdayHours } from '@azulejo/core/messages/en/programme';
import { weekdayOf, workdayOf, type WorkCalendar } from '@azulejo/core/programme/calendar';
import { calendarOf } from '@azulejo/core/programme/calendarOf';
import { saidOf, type DayMeant } from '@azulejo/core/programme/setWorkday';
import type { Workday } from '@azulejo/core/programme/workday';

/** A day of the week, or one day, as it is worked. */
export interface DayShown {
  readonly day: DayMeant;
  readonly name: string;
  /** From when to when; null where there is no work. */
  readonly workday: Workday | null;
  /** "8:00 to 16:00", and "alone". */
  readonly hours: string;
  readonly hands: string;
  /** Whether something was said of it by itself. */
  readonly isOwn: boolean;
}

/** Monday first, as a week of work has it. */
const WEEK = [1, 2, 3, 4, 5, 6, 0];

const ANY_SUNDAY = '2000-12-31';

/** What a person said of the days of a job. */
type SaidDays = Pick<Job, 'programme' | 'labour'>;

/** The calendar in which a day, or a week from a Sunday on, is the first. */
const calendarFrom = ({ programme = {}, labour }: SaidDays, startDay: string): WorkCalendar =>
  calendarOf({ programme: { ...programme, startDay }, labour, today: startDay });

function shown({ programme = {} }: SaidDays, day: DayMeant, name: string, workday: Workday | null): DayShown {
  return {
    day,
    name,
    workday,
    hours: workdayHours(workday),
    hands: workday ? workdayHands(workday) : '',
    isOwn: saidOf(programme, day) !== undefined,
  };
}

/** The days of the week, Monday first. */
export const weekShown = (job: SaidDays): readonly DayShown[] => WEEK.map((weekday) => dayShown(job, `${weekday}`));

/** A day of the week by its number, or one day by its date. */
export function dayShown(job: SaidDays, day: DayMeant): DayShown {
  if (day.length > 1) return shown(job, day, dateWords(day), workdayOf(calendarFrom(job, day), 0));
  // Of any week: what is said of single days does not count.
  const calendar = { ...calendarFrom(job, ANY_SUNDAY), days: {}, holidays: [] };
  return shown(job, day, WEEKDAY_NAMES[Number(day)], workdayOf(calendar, Number(day)));
}

/** What a day is like when nothing is said of it by itself: "Tuesdays" for one of them, "other days" for all of them. */
export function likeOthers(day: DayMeant): string {
  return day.length > 1 ? `other ${WEEKDAY_NAMES[weekdayOf({ startDay: day }, 0)]}s` : 'other days';
}
