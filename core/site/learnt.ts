import type { TaskId } from '../labour/tasks.ts';
import type { WorkHours } from '../labour/workHours.ts';
import { isBelieved, medianOf } from './believed.ts';
import { entriesOf, type Entry } from './entry.ts';

/** Planned against done, for one kind of work. */
export interface TaskFact {
  readonly task: TaskId;
  readonly plannedHours: number;
  readonly loggedHours: number;
}

/** Hours of each kind of work, planned and written down; only kinds that have either. */
export function taskFacts(work: readonly WorkHours[], entries: readonly Entry[]): TaskFact[] {
  const facts = new Map<string, { planned: number; logged: number }>();
  const of = (task: string): { planned: number; logged: number } => {
    const own = facts.get(task) ?? { planned: 0, logged: 0 };
    facts.set(task, own);
    return own;
  };
  for (const { task, hours } of work) of(task).planned += hours;
  for (const { data } of entriesOf(entries, 'hours')) of(data.task).logged += data.hours;
  return [...facts].map(([task, { planned, logged }]) => ({ task: task as TaskId, plannedHours: planned, loggedHours: logged }));
}

/** A pace that a job taught. */
export interface LearntPace {
  readonly task: TaskId;
  readonly pace: number;
  readonly before: number;
  /** Surfaces that are laid and have hours of it written down that can be believed. */
  readonly surfaces: number;
}

/** Hours that are too far from the plan to teach anything: to be looked at again. */
export interface DoubtfulHours {
  readonly task: TaskId;
  readonly surfaceId: string;
  readonly plannedHours: number;
  readonly loggedHours: number;
}

/** What the hours of a job teach. */
export interface LearntHours {
  readonly paces: readonly LearntPace[];
  readonly doubtful: readonly DoubtfulHours[];
}

/**
 * Own paces from surfaces that are done: the pace in force times what was planned over what it took, each surface by
 * itself, their median. Hours that name no surface teach nothing, and neither do those that no pace explains: they are told.
 */
export function learntPaces(
  work: readonly WorkHours[],
  entries: readonly Entry[],
  laid: ReadonlySet<string>,
  paceOf: (task: TaskId) => number,
): LearntHours {
  const logged = new Map<string, number>();
  for (const { surfaceId, data } of entriesOf(entries, 'hours'))
    if (surfaceId !== null) logged.set(`${data.task} ${surfaceId}`, (logged.get(`${data.task} ${surfaceId}`) ?? 0) + data.hours);
  const ratios = new Map<TaskId, number[]>();
  const doubtful: DoubtfulHours[] = [];
  for (const { task, surfaceId, hours } of work) {
    const took = logged.get(`${task} ${surfaceId}`) ?? 0;
    if (!laid.has(surfaceId) || took <= 0) continue;
    if (isBelieved(hours / took)) ratios.set(task, [...(ratios.get(task) ?? []), hours / took]);
    else doubtful.push({ task, surfaceId, plannedHours: hours, loggedHours: took });
  }
  const paces = [...ratios].map(([task, own]) => {
    const before = paceOf(task);
    return { task, pace: Math.round(before * medianOf(own) * 100) / 100, before, surfaces: own.length };
  });
  return { paces, doubtful };
}
