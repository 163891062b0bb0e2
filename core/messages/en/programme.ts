import type { MissedWindow, PlannedTask, Programme } from '../../programme/programme.ts';
import { isoDay } from '../../programme/calendar.ts';
import { hoursWords, TASK_NAMES } from './money.ts';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day in words: "Mon 30 Nov"; a job that is not dated counts its days. */
export function dayWords({ calendar }: Pick<Programme, 'calendar'>, day: number, isDated: boolean): string {
  const date = new Date(`${isoDay(calendar, day)}T00:00:00Z`);
  const weekday = WEEKDAYS[date.getUTCDay()];
  return isDated ? `${weekday} ${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]}` : `Day ${day + 1}, ${weekday}`;
}

/** A time of day: "14:30", to the quarter. */
export function clockWords(hours: number): string {
  const quarters = Math.round((hours % 24) * 4);
  return `${Math.floor(quarters / 4)}:${String((quarters % 4) * 15).padStart(2, '0')}`;
}

/** What a work is called, with its place. */
export const workName = ({ task, placeName }: Pick<PlannedTask, 'task' | 'placeName'>): string => `${TASK_NAMES[task]}, ${placeName}`;

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
      return other ? `When the hands are free after: ${workName(other).toLowerCase()}.` : 'When the hands are free.';
    case 'wait':
      return `Waits ${hoursWords(held.hours)} for: ${other ? TASK_NAMES[other.task].toLowerCase() : 'what is before it'}.`;
  }
}

/** A window that was missed. */
export function describeMissed({ id, afterId, hours, withinHours }: MissedWindow, { tasks }: Pick<Programme, 'tasks'>): string {
  const [task, before] = [id, afterId].map((one) => tasks.find((other) => other.id === one));
  if (!task || !before) return '';
  return `${workName(task)} comes ${hoursWords(hours)} after ${TASK_NAMES[before.task].toLowerCase()}, which wants it within ${hoursWords(withinHours)}: do that again, or move it.`;
}
