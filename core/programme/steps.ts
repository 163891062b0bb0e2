import { TASKS, TASK_IDS, type TaskId } from '../labour/tasks.ts';

/** How long one kind of work has to rest before the next goes on, and within what time it has to come. */
export interface Rest {
  readonly after: TaskId;
  readonly before: TaskId;
  /** Hours between the end of one and the start of the other, typical; the data sheet decides. */
  readonly hours: number;
  /** The other has to begin within so many hours; null for no limit. */
  readonly withinHours: number | null;
  /** Whether cold and heat shift it: what dries or sets. */
  readonly sets: boolean;
}

const rest = (after: TaskId, before: TaskId, hours: number, withinHours: number | null = null, sets = true): Rest => ({
  after,
  before,
  hours,
  withinHours,
  sets,
});

/** What follows what on one surface, with the usual waits: all of it typical, and the data sheet on the bag decides. */
export const RESTS: readonly Rest[] = [
  rest('board', 'prime', 0, null, false),
  rest('board', 'waterproof', 0, null, false),
  rest('board', 'setOut', 0, null, false),
  rest('prime', 'level', 2, 24),
  rest('prime', 'bed', 2, 24),
  rest('prime', 'waterproof', 2, 24),
  rest('prime', 'setOut', 2, 24),
  rest('level', 'waterproof', 24),
  rest('level', 'setOut', 24),
  rest('bed', 'waterproof', 48),
  rest('bed', 'setOut', 48),
  rest('waterproof', 'setOut', 12),
  rest('setOut', 'cut', 0, null, false),
  rest('cut', 'lay', 0, null, false),
  rest('setOut', 'lay', 0, null, false),
  rest('lay', 'trim', 0, null, false),
  rest('lay', 'sealTile', 24),
  rest('lay', 'grout', 24),
  rest('lay', 'strips', 12),
  rest('lay', 'skirting', 24),
  rest('strips', 'grout', 12),
  rest('trim', 'grout', 0, null, false),
  rest('sealTile', 'grout', 2),
  rest('grout', 'haze', 24),
  rest('grout', 'sealant', 24),
  rest('haze', 'sealant', 2),
  rest('grout', 'sealGrout', 72),
  rest('skirting', 'sealant', 0, null, false),
  rest('sealant', 'protect', 24),
  rest('grout', 'protect', 24),
];

/** The order in which work of equal right is taken up. */
export const RANK: ReadonlyMap<TaskId, number> = new Map(TASK_IDS.map((task, k) => [task, k]));

/** Work that two pairs of hands do in half the time; the rest needs one. */
export const isShared = (task: TaskId): boolean => TASKS[task].unit !== 'surface' && task !== 'cut';

/** How much longer what sets takes at a temperature: half as long again for about ten degrees less than 20, a third less for ten more; a hint. */
export const settingShift = (temperatureC: number): number => Math.min(2.5, Math.max(0.6, 2 ** ((20 - temperatureC) / 17)));
