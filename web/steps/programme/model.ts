import { lowerFirst } from '@azulejo/core/messages/en/casing';
import { hoursWords } from '@azulejo/core/messages/en/money';
import { clockWords, dayWords, describeHeld, workdayHands, workName } from '@azulejo/core/messages/en/programme';
import { dayAt, isoDay, isWorkday, workdayOf } from '@azulejo/core/programme/calendar';
import type { PlannedTask, Programme } from '@azulejo/core/programme/programme';

/** Idle days in a row from here on are drawn as one column. */
const LONG_GAP = 10;

/** So many days are drawn at least, and one more than there is work. */
const LEAST_DAYS = 5;

/** A bar that is shorter can't be taken hold of, in columns. */
const NARROWEST = 1 / 14;

/** A column of the drawing of days: a day, or a long stretch without work. */
export interface DayColumn {
  readonly day: number;
  readonly words: string;
  /** Whether there is no work that day. */
  readonly off: boolean;
  /** Days that it stands for; 1 for a day. */
  readonly days: number;
}

/** A work in the drawing of days; its place is named once, before the first of its works. */
export interface DayRow {
  readonly task: PlannedTask;
  readonly title: string | null;
  readonly words: string;
  /** Its stretches, in columns from the first. */
  readonly bars: readonly { readonly left: number; readonly width: number }[];
}

/** The works as bars over days. */
export interface DayBarsModel {
  readonly columns: readonly DayColumn[];
  readonly rows: readonly DayRow[];
}

/** The works as bars over days; long stretches without work are drawn as one column. */
export function dayBars(programme: Programme, isDated: boolean): DayBarsModel {
  const columns = columnsOf(programme, isDated);
  const places = [...new Set(programme.tasks.map(({ placeId }) => placeId))];
  return {
    columns,
    rows: places.flatMap((placeId) => {
      const own = programme.tasks.filter((task) => task.placeId === placeId).sort((a, b) => a.start - b.start);
      return own.map((task, k) => ({
        task,
        title: k === 0 ? task.placeName : null,
        words: `${workName(task)}: ${hoursWords(task.hours)} from ${dayWords(programme, dayAt(task.start), isDated)} ${clockWords(task.start)}. ${describeHeld(task, programme)}`,
        bars: task.stretches.map(([from, to]) => {
          const left = columnAt(columns, programme, from);
          return { left, width: Math.max(NARROWEST, columnAt(columns, programme, to, true) - left) };
        }),
      }));
    }),
  };
}

function columnsOf(programme: Programme, isDated: boolean): DayColumn[] {
  const busy = [...new Set(programme.tasks.flatMap(({ stretches }) => stretches.map(([from]) => dayAt(from))))].sort((a, b) => a - b);
  const columns: DayColumn[] = [];
  let next = 0;
  const upTo = (day: number): void => {
    for (; next <= day; next++)
      columns.push({ day: next, words: dayWords(programme, next, isDated), off: !isWorkday(programme.calendar, next), days: 1 });
  };
  const last = Math.max(LEAST_DAYS, Math.ceil(programme.ends / 24) + 1) - 1;
  for (const day of [...busy, last]) {
    if (day - next > LONG_GAP) {
      upTo(next);
      const days = day - 1 - next;
      columns.push({ day: next, words: `${days} days`, off: true, days });
      next += days;
    }
    upTo(day);
  }
  return columns;
}

/** The column a day is drawn in; a day of a stretch that is left out, at its place. */
export function columnOf(columns: readonly DayColumn[], day: number): number {
  const at = columns.findIndex((column) => day < column.day + column.days);
  return at < 0 ? columns.length : at;
}

/** The day that lies so many columns from another. */
export const dayFrom = (columns: readonly DayColumn[], day: number, by: number): number =>
  columns[Math.min(columns.length - 1, Math.max(0, columnOf(columns, day) + by))].day;

/** Where a time lies in the drawing, in columns; an end belongs to the day before it. */
function columnAt(columns: readonly DayColumn[], { calendar }: Programme, at: number, isEnd = false): number {
  const day = isEnd ? Math.max(0, Math.ceil(at / 24) - 1) : dayAt(at);
  const { from, to } = workdayOf(calendar, day) ?? { from: calendar.startHour, to: calendar.startHour + calendar.hoursPerDay };
  const share = (at - 24 * day - from) / (to - from);
  return columnOf(columns, day) + Math.min(1, Math.max(0, share));
}

/** A day of the list, with what is done on it. */
export interface ListedDay {
  readonly day: number;
  /** The same as a date, ISO. */
  readonly date: string;
  readonly title: string;
  /** Who helps; null where one is alone. */
  readonly who: string | null;
  readonly works: readonly { readonly key: string; readonly text: string }[];
}

/** What is done each day, for the list and for paper. */
export function daysListed(programme: Programme, isDated: boolean): readonly ListedDay[] {
  const days = new Map<number, { key: string; text: string }[]>();
  for (const task of programme.tasks)
    for (const [from, to] of task.stretches) {
      const works = days.get(dayAt(from)) ?? [];
      works.push({ key: `${task.id} ${from}`, text: `${clockWords(from)} to ${clockWords(to)} ${workName(task)}` });
      days.set(dayAt(from), works);
    }
  return [...days]
    .sort((a, b) => a[0] - b[0])
    .map(([day, works]) => {
      const workday = workdayOf(programme.calendar, day);
      const who = workday && workday.helpers > 0 ? workdayHands(workday) : null;
      return { day, date: isoDay(programme.calendar, day), title: dayWords(programme, day, isDated), who, works };
    });
}

/** When it is done, and what the end hangs on. */
export interface EndModel {
  readonly endDay: string;
  readonly loadDay: string;
  /** "The end hangs on 3 waits, among them: grout Hall; lay Hall." Empty where it hangs on none. */
  readonly hangsOn: string;
}

/** Waits that are named, of those the end hangs on. */
const NAMED_WAITS = 2;

/** When a job is done, when it bears its full load, and what the end hangs on. */
export function endModel(programme: Programme, isDated: boolean): EndModel {
  const waits = programme.tasks.filter(({ critical, held }) => critical && held.by === 'wait');
  const named = waits.slice(0, NAMED_WAITS).map((task) => lowerFirst(workName(task)));
  const count = waits.length === 1 ? 'one wait' : `${waits.length} waits`;
  return {
    endDay: dayWords(programme, dayAt(programme.ends), isDated),
    loadDay: dayWords(programme, dayAt(programme.fullLoad), isDated),
    hangsOn: waits.length === 0 ? '' : `The end hangs on ${count}${waits.length > NAMED_WAITS ? ', among them' : ''}: ${named.join('; ')}.`,
  };
}

/** A year typed wrongly puts the work where nobody looks for it: so many years from now are believed. */
const YEARS_OFF = 2;
const YEAR_MS = 365.25 * 86_400_000;

/** What is wrong with a first day, looked at today; null for nothing. */
export const firstDayTrouble = (date: Date, today: Date): string | null =>
  Math.abs(date.getTime() - today.getTime()) / YEAR_MS > YEARS_OFF
    ? `${date.getFullYear()} is more than ${YEARS_OFF} years off. Expected the day on which the work begins.`
    : null;

const pad = (part: number): string => String(part).padStart(2, '0');

/** A day of a date picker as it is kept: 2027-03-31, whatever the hour and the zone. */
export const isoOf = (date: Date): string => `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`;
