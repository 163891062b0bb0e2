import type { TaskId } from '../labour/tasks.ts';
import type { WorkHours } from '../labour/workHours.ts';
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
