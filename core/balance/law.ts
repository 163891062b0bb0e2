import type { Job } from '../job/job.ts';
import type { Plan } from '../plan.ts';

/** Something that holds between parts of every plan. Gives what is out of balance, each a sentence; nothing where all is well. */
export type Law = (job: Job, plan: Plan) => readonly string[];

/** A number that is told where two should be one, as far as reckoning allows. */
export function differs(what: string, one: number, other: number, within = 1e-6): string[] {
  return Math.abs(one - other) <= within * Math.max(1, Math.abs(one), Math.abs(other)) ? [] : [`${what}: ${one} and ${other}`];
}

/** The sum of what is asked of each. */
export const sumOf = <T>(items: readonly T[], of: (item: T) => number): number => items.reduce((sum, item) => sum + of(item), 0);

/** What lists hold unlike each other, as sorted texts. */
export function unlike(what: string, one: readonly string[], other: readonly string[]): string[] {
  const [a, b] = [[...one].sort(), [...other].sort()];
  if (a.length === b.length && a.every((item, k) => item === b[k])) return [];
  const extra = a.filter((item) => !b.includes(item)).slice(0, 3);
  const missing = b.filter((item) => !a.includes(item)).slice(0, 3);
  return [`${what}: ${a.length} and ${b.length}; only in the first ${extra.join(', ')}; only in the second ${missing.join(', ')}`];
}
