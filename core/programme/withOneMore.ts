import type { DayRules } from './calendarOf.ts';
import type { WorkdayChoice } from './workday.ts';

/** The same days with one more pair of hands on each, from when the others come; all day where there are none. */
export function withOneMore<Said extends Omit<DayRules, 'today'>>(said: Said): Said {
  const { programme = {}, labour = {} } = said;
  const more = (days: Readonly<Record<string, WorkdayChoice>> = {}): Record<string, WorkdayChoice> =>
    Object.fromEntries(
      Object.entries(days).map(([day, own]) => [day, own.helpers === undefined ? own : { ...own, helpers: own.helpers + 1 }]),
    );
  return {
    ...said,
    labour: { ...labour, helpers: (labour.helpers ?? 0) + 1 },
    programme: { ...programme, weekdays: more(programme.weekdays), days: more(programme.days) },
  };
}
