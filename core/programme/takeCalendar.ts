import { dayNumber, isoDay, dayAt } from './calendar.ts';
import type { Programme } from './programme.ts';

/** What a stretch of a work is called in a calendar, so that it is known when it comes back. */
export const calendarId = (jobId: string, taskId: string, stretch: number): string =>
  `${jobId}/${taskId}/${stretch}@azulejo`.replace(/\s/g, '_');

/** An entry of a calendar file: its name and its day, ISO. */
export interface CalendarEntry {
  readonly uid: string;
  readonly day: string;
}

/** What a calendar that comes back asks for. */
export interface CalendarTaken {
  /** Works that are wanted later than they lie, by the day they are wanted on. */
  readonly notBefore: Readonly<Record<string, string>>;
  /** Works that are wanted earlier than they can be. */
  readonly tooEarly: readonly string[];
  /** Works whose later days were moved: they follow from the first. */
  readonly laterDays: readonly string[];
  readonly asTheyWere: number;
  /** Entries that are none of this job's. */
  readonly foreign: number;
}

/** Compares a calendar with the days as they are planned: the first stretch of each work says where it was put. */
export function takeCalendar(jobId: string, { tasks, calendar }: Programme, entries: readonly CalendarEntry[]): CalendarTaken {
  const own = new Map(tasks.flatMap((task) => task.stretches.map((_, k) => [calendarId(jobId, task.id, k), { task, k }] as const)));
  const notBefore: Record<string, string> = {};
  const tooEarly: string[] = [];
  const laterDays = new Set<string>();
  let [asTheyWere, foreign] = [0, 0];
  for (const { uid, day } of entries) {
    const found = own.get(uid);
    const wanted = dayNumber(calendar, day);
    if (!found) foreign++;
    else if (found.k > 0) {
      if (wanted !== dayAt(found.task.stretches[found.k][0])) laterDays.add(found.task.id);
    } else {
      const planned = dayAt(found.task.start);
      if (wanted > planned) notBefore[found.task.id] = isoDay(calendar, wanted);
      else if (wanted < planned) tooEarly.push(found.task.id);
      else asTheyWere++;
    }
  }
  return { notBefore, tooEarly, laterDays: [...laterDays], asTheyWere, foreign };
}
