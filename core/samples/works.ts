import type { TaskId } from '../labour/tasks.ts';
import type { WorkHours } from '../labour/workHours.ts';
import type { Effort, WorkCalendar } from '../programme/calendar.ts';
import type { PlaceToWork } from '../programme/draftTasks.ts';
import { jobOfOne } from './testJob.ts';

const [surface] = jobOfOne({ size: [2400, 1200], tile: [300, 300], jointMm: 3 }).surfaces;

/** A place of one surface of the same name. For tests. */
export const placeNamed = (id: string): PlaceToWork => ({ id, name: id, surfaces: [{ ...surface, id }] });

/** So many hours of a work on a surface. For tests. */
export const workOn = (surfaceId: string, task: TaskId, hours: number): WorkHours => ({
  task,
  surfaceId,
  amount: hours,
  pace: 1,
  from: 'typical',
  hours,
});

/** Days from a Monday on, eight hours each from eight, one pair of hands. For tests. */
export const calendarWith = (parts: Partial<WorkCalendar> = {}): WorkCalendar => ({
  startDay: '2026-11-30',
  startHour: 8,
  hoursPerDay: 8,
  helpers: 0,
  daysOff: [0, 6],
  holidays: [],
  weekdays: {},
  days: {},
  ...parts,
});

/** So many hours of what one does, and of what several share. For tests. */
export const alone = (hours: number): Effort => ({ hours, isShared: false });
export const together = (hours: number): Effort => ({ hours, isShared: true });
