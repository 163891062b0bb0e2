import { createEvents, type EventAttributes } from 'ics';
import type { Plan } from '@azulejo/core/plan';
import { isoDay } from '@azulejo/core/programme/calendar';
import { calendarId } from '@azulejo/core/programme/takeCalendar';
import type { JobSource } from './exportKind.ts';

/** The days of a job as iCalendar, an event for each stretch of work, in the time of where it is opened. */
export function writeCalendar({ job, plan, words }: JobSource, now = new Date()): string {
  const { programme } = plan();
  const calendar = job.programme?.startDay === undefined ? fromNextMonday(programme.calendar, now) : programme.calendar;
  const events = programme.tasks.flatMap((task) =>
    task.stretches.map(([from, to], k): EventAttributes => ({
      uid: calendarId(job.id, task.id, k),
      title: words.workName(task),
      description: words.describeHeld(task, programme),
      categories: [words.TASK_NAMES[task.task]],
      start: partsOf(calendar, from),
      startInputType: 'local',
      startOutputType: 'local',
      end: partsOf(calendar, to),
      endInputType: 'local',
      endOutputType: 'local',
      productId: 'azulejo',
      calName: job.name,
    })),
  );
  const { value, error } = createEvents(events);
  if (error) throw new Error(`the calendar could not be written: ${error.message}`);
  return value ?? '';
}

/** A job that nobody has dated begins on a Monday: in a calendar, on the next one there is. */
function fromNextMonday(calendar: Plan['programme']['calendar'], now: Date): Plan['programme']['calendar'] {
  const ahead = (8 - now.getDay()) % 7 || 7;
  const monday = new Date(now.getFullYear(), now.getMonth(), now.getDate() + ahead);
  const parts = [monday.getFullYear(), monday.getMonth() + 1, monday.getDate()].map((part) => String(part).padStart(2, '0'));
  return { ...calendar, startDay: parts.join('-') };
}

/** Year, month, day, hour, minute of a time in hours from the first midnight. */
function partsOf(calendar: Plan['programme']['calendar'], at: number): [number, number, number, number, number] {
  const minutes = Math.round(at * 60);
  const [year, month, day] = isoDay(calendar, Math.floor(minutes / 1440))
    .split('-')
    .map(Number);
  return [year, month, day, Math.floor((minutes % 1440) / 60), minutes % 60];
}
