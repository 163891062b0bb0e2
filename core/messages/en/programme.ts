import type { TaskId } from '../../labour/tasks.ts';
import type { CalendarTaken } from '../../programme/takeCalendar.ts';
import type { MissedWindow, PlannedTask, Programme } from '../../programme/programme.ts';
import { dayAt, isoDay } from '../../programme/calendar.ts';
import type { Workday } from '../../programme/workday.ts';
import { writeClock } from '../../units/clock.ts';
import { lowerFirst } from './casing.ts';
import { hoursWords, TASK_NAMES } from './money.ts';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Days of the week in full, from Sunday on. */
export const WEEKDAY_NAMES = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;

/** A date in words: "Mon 30 Nov". */
export function dateWords(iso: string): string {
  const date = new Date(`${iso}T00:00:00Z`);
  return `${WEEKDAYS[date.getUTCDay()]} ${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]}`;
}

/** A day of the week by its number, or a date: "Tuesdays", "Tue 1 Dec". */
export const daysMeant = (day: string): string => (day.length === 1 ? `${WEEKDAY_NAMES[Number(day)]}s` : dateWords(day));

/** A day in words: "Mon 30 Nov"; a job that is not dated counts its days. */
export function dayWords({ calendar }: Pick<Programme, 'calendar'>, day: number, isDated: boolean): string {
  const words = dateWords(isoDay(calendar, day));
  return isDated ? words : `Day ${day + 1}, ${words.slice(0, 3)}`;
}

/** A time of day: "14:30", to the quarter. */
export const clockWords = (hours: number): string => writeClock(Math.round((hours % 24) * 4) / 4);

/** From when to when there is work on a day: "8:00 to 16:00"; "no work". */
export const workdayHours = (day: Workday | null): string => (day ? `${writeClock(day.from)} to ${writeClock(day.to)}` : 'no work');

/** Who is there on a day of work: "alone", "1 helper", "2 helpers 12:00 to 16:00". */
export function workdayHands({ from, to, helpers, helpersFrom, helpersTo }: Workday): string {
  if (helpers === 0) return 'alone';
  const count = `${helpers} ${helpers === 1 ? 'helper' : 'helpers'}`;
  return helpersFrom === from && helpersTo === to ? count : `${count} ${writeClock(helpersFrom)} to ${writeClock(helpersTo)}`;
}

/** What one more pair of hands would change: when it is done then, and how many working days fewer there are. */
export function oneMoreWords(now: Programme, then: Programme, isDated: boolean): string {
  const fewer = daysWorked(now) - daysWorked(then);
  if (dayAt(then.ends) >= dayAt(now.ends) && fewer <= 0) return 'One more pair of hands would not end it sooner: the waits decide.';
  const days = fewer <= 0 ? '' : `, ${fewer === 1 ? 'one day' : `${fewer} days`} of work fewer`;
  return `With one more pair of hands every day: done on ${dayWords(then, dayAt(then.ends), isDated)}${days}.`;
}

/** On how many days there is work. */
const daysWorked = ({ tasks }: Programme): number => new Set(tasks.flatMap(({ stretches }) => stretches.map(([from]) => dayAt(from)))).size;

/** What a work is called, and which coat or day of it. */
export const taskName = ({ task, part }: Pick<PlannedTask, 'task' | 'part'>): string =>
  part === null ? TASK_NAMES[task] : `${TASK_NAMES[task]}, ${part.kind === 'coat' ? 'coat' : 'part'} ${part.number} of ${part.of}`;

/** What a work is called, with its place. */
export const workName = ({ placeName, ...task }: Pick<PlannedTask, 'task' | 'placeName' | 'part'>): string =>
  `${taskName(task)}, ${placeName}`;

/** Why a work starts when it does. */
export function describeHeld(task: PlannedTask, { tasks }: Pick<Programme, 'tasks'>): string {
  const { held } = task;
  const other = 'id' in held ? tasks.find(({ id }) => id === held.id) : undefined;
  switch (held.by) {
    case 'start':
      return 'The first thing that is done.';
    case 'moved':
      return 'Moved here by hand.';
    case 'hands':
      return other ? `When the hands are free after: ${lowerFirst(workName(other))}.` : 'When the hands are free.';
    case 'wait':
      return `Waits ${hoursWords(held.hours)} for: ${other ? lowerFirst(taskName(other)) : 'what is before it'}.`;
  }
}

/** What is said of a window that was missed: the work and its place, what it comes after, and by how much. */
export const missedWords = (task: TaskId, place: string, before: TaskId, hours: number, withinHours: number): string =>
  `${workName({ task, part: null, placeName: place })} comes ${hoursWords(Math.round(hours))} after ${TASK_NAMES[before].toLowerCase()}, which allows ${hoursWords(withinHours)}: do that again, or move it.`;

/** A window that was missed. */
export function describeMissed({ id, afterId, hours, withinHours }: MissedWindow, { tasks }: Pick<Programme, 'tasks'>): string {
  const [task, before] = [id, afterId].map((one) => tasks.find((other) => other.id === one));
  return task && before ? missedWords(task.task, task.placeName, before.task, hours, withinHours) : '';
}

/** What a calendar that came back asked for. */
export function describeTaken(
  { notBefore, tooEarly, laterDays, asTheyWere, foreign }: CalendarTaken,
  { tasks }: Pick<Programme, 'tasks'>,
): string {
  const nameOf = (id: string): string => {
    const task = tasks.find((one) => one.id === id);
    return task ? workName(task) : id;
  };
  const moved = Object.keys(notBefore).map(nameOf);
  return [
    moved.length === 0 ? `No work is later than before; ${asTheyWere} are where they were.` : `Later than before: ${moved.join('; ')}.`,
    ...(tooEarly.length > 0 ? [`Can't be so early, for what they wait for: ${tooEarly.map(nameOf).join('; ')}.`] : []),
    ...(laterDays.length > 0
      ? [`Only the first day of a work can be moved, the others follow it: ${laterDays.map(nameOf).join('; ')}.`]
      : []),
    ...(foreign > 0 ? [`${foreign === 1 ? 'One entry is' : `${foreign} entries are`} none of this job's and left alone.`] : []),
  ].join(' ');
}
