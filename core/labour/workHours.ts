import { z } from 'zod';
import type { SurfaceFigures } from '../takeoff/figures.ts';
import type { Spoken } from '../takeoff/materialKind.ts';
import { saidFor, type MaterialRules } from '../takeoff/registry.ts';
import { TASKS, TASK_IDS, type CoatsOf, type TaskId, type TaskKind } from './tasks.ts';

/** How the hands of a job work. */
export const labourSchema = z.strictObject({
  paces: z
    .partialRecord(z.enum(TASK_IDS), z.number().min(0.01).max(1000))
    .optional()
    .describe('So much an hour by one pair of hands, where it is not the usual pace'),
  hoursPerDay: z.number().min(0.5).max(16).optional().describe('8 where left out'),
  helpers: z.int().min(0).max(20).optional().describe('Hands besides the first; none where left out'),
});

/** How the hands of a job work. */
export type Labour = z.infer<typeof labourSchema>;

/** Hours in a working day. */
export const HOURS_PER_DAY = 8;

/** One kind of work on one surface. */
export interface WorkHours {
  readonly task: TaskId;
  readonly surfaceId: string;
  /** How much there is, in the unit of the task. */
  readonly amount: number;
  /** So much an hour on this surface. */
  readonly pace: number;
  /** Who said the pace. */
  readonly from: Spoken['from'];
  readonly hours: number;
  /** How often it is gone over; once where left out. */
  readonly coats?: number;
}

/** Own paces of the person, by task. */
type OwnPaces = Readonly<Partial<Record<string, number>>>;

/** What the hours of work hang on besides the surfaces. */
export interface HoursRules extends MaterialRules {
  readonly labour?: Labour | undefined;
}

/** The coats of what is brushed on, as the sheets and the job say. */
function coatsOf(rules: MaterialRules): CoatsOf {
  const figure = (item: 'membrane' | 'tileSealer' | 'groutSealer'): number => saidFor(item, rules).figures['coats'].value;
  return {
    primer: saidFor('primer', rules).stated['coats']?.value ?? null,
    membrane: figure('membrane'),
    tileSealer: figure('tileSealer'),
    groutSealer: figure('groutSealer'),
  };
}

/** How fast a kind of work goes here, in its own unit an hour: as the job says, as the person is used to, or as is usual. */
export function paceInForce(
  { labour, habits = {} }: Pick<HoursRules, 'labour' | 'habits'>,
  task: TaskId,
): { readonly pace: number; readonly from: WorkHours['from'] } {
  const [own, habit] = [labour?.paces?.[task], (habits['pace'] as OwnPaces | undefined)?.[task]];
  if (own !== undefined) return { pace: own, from: 'job' };
  return habit !== undefined ? { pace: habit, from: 'habit' } : { pace: TASKS[task].pace, from: 'typical' };
}

/** The hours of all work on some surfaces, task by task. */
export function workHours(surfaces: readonly SurfaceFigures[], rules: HoursRules): WorkHours[] {
  const coats = coatsOf(rules);
  return TASK_IDS.flatMap((task) => {
    const kind: TaskKind = TASKS[task];
    const { pace: usual, from } = paceInForce(rules, task);
    return surfaces.flatMap((surface): WorkHours[] => {
      const times = kind.coats?.(surface, coats) ?? 1;
      const amount = kind.amount(surface, times);
      if (amount <= 0) return [];
      const hours = Math.max(amount / (usual / (kind.slower?.(surface) ?? 1)), kind.leastHours ?? 0);
      return [{ task, surfaceId: surface.surfaceId, amount, pace: amount / hours, from, hours, ...(times > 1 ? { coats: times } : {}) }];
    });
  });
}

/** Hours of all work together, or of one kind. */
export const hoursOf = (work: readonly WorkHours[], task?: TaskId): number =>
  work.reduce((sum, one) => sum + (task === undefined || one.task === task ? one.hours : 0), 0);

/** How fast powders are used up, m² an hour: laid, grouted, poured; the mean over all surfaces. */
export function mixPaces(work: readonly WorkHours[]): { readonly adhesive: number; readonly grout: number; readonly leveller: number } {
  const paceOf = (task: TaskId): number => {
    const own = work.filter((one) => one.task === task);
    const hours = hoursOf(own);
    return hours > 0 ? own.reduce((sum, { amount }) => sum + amount, 0) / hours : TASKS[task].pace;
  };
  return { adhesive: paceOf('lay'), grout: paceOf('grout'), leveller: paceOf('level') };
}
