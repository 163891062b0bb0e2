import { issue, type Issue } from '../result.ts';
import { dayNumber, isOff, weekdayOf } from './calendar.ts';
import { calendarOf, type DayRules } from './calendarOf.ts';
import { workdayFrom, type WorkdayChoice } from './workday.ts';

/** Any Monday: days that are asked about are counted from it. */
const ANY_MONDAY = '2001-01-01';

/** Who works when can't be: a day that ends before it begins, a helper when nobody is there. Paths within the job. */
export function checkWorkdays({ programme, labour }: Omit<DayRules, 'today'>): Issue[] {
  const { weekdays = {}, days = {} } = programme ?? {};
  const calendar = calendarOf({ programme: { ...programme, startDay: ANY_MONDAY }, labour, today: ANY_MONDAY });
  const check = (table: 'weekdays' | 'days', day: string, own: WorkdayChoice, weekday: number): Issue[] => {
    const found = (code: Issue['code'], figure: keyof WorkdayChoice, figures: Issue['figures'] = {}): Issue[] => [
      issue(code, ['programme', table, day, figure], { day, ...figures }),
    ];
    const isHoliday = table === 'days' && calendar.holidays.includes(day);
    if (isHoliday || isOff(calendar, weekday, table === 'days' ? own : undefined))
      return (own.helpers ?? 0) > 0 ? found('workday/helper-on-day-off', 'helpers') : [];
    const { from, to, helpers, helpersFrom, helpersTo } = workdayFrom([own, weekdays[`${weekday}` as '0']], calendar);
    if (to <= from) return found('workday/ends-before-it-begins', own.to === undefined ? 'from' : 'to', { fromHour: from, toHour: to });
    const saysWhen = own.helpersFrom !== undefined || own.helpersTo !== undefined;
    if (helpers > 0 && saysWhen && helpersTo <= helpersFrom)
      return found('workday/helper-when-nobody-is-there', own.helpersTo === undefined ? 'helpersFrom' : 'helpersTo', {
        fromHour: from,
        toHour: to,
      });
    return [];
  };
  return [
    ...Object.entries(weekdays).flatMap(([day, own]) => check('weekdays', day, own, Number(day))),
    ...Object.entries(days).flatMap(([day, own]) => check('days', day, own, weekdayOf(calendar, dayNumber(calendar, day)))),
  ];
}
