import { z } from 'zod';

const clock = z.number().min(0).max(24);

/** Who works from when to when on a day that is not as the others: what is left out is as on the others. */
export const workdaySchema = z.strictObject({
  from: clock.optional().describe('When work begins, hours after midnight'),
  to: clock.optional().describe('When it ends'),
  helpers: z.int().min(0).max(20).optional().describe('Hands besides the first'),
  helpersFrom: clock.optional().describe('When they come; with the first hand where left out'),
  helpersTo: clock.optional().describe('When they leave; with the first hand where left out'),
});

/** Who works on a day that is not as the others, as it was said. */
export type WorkdayChoice = z.infer<typeof workdaySchema>;

/** A day of work: from when to when, and who helps between which hours; hours after midnight. */
export interface Workday {
  readonly from: number;
  readonly to: number;
  readonly helpers: number;
  readonly helpersFrom: number;
  readonly helpersTo: number;
}

/** A day of work as what was said of it and of its like has it; the first that says something counts. */
export function workdayFrom(
  said: readonly (WorkdayChoice | undefined)[],
  usual: { readonly startHour: number; readonly hoursPerDay: number; readonly helpers: number },
): Workday {
  const first = (figure: keyof WorkdayChoice): number | undefined => said.find((one) => one?.[figure] !== undefined)?.[figure];
  const from = first('from') ?? usual.startHour;
  const to = first('to') ?? from + usual.hoursPerDay;
  const [helpersFrom, helpersTo] = [first('helpersFrom') ?? from, first('helpersTo') ?? to];
  // Nobody helps where nobody is to be helped.
  return {
    from,
    to,
    helpers: first('helpers') ?? usual.helpers,
    helpersFrom: Math.max(from, helpersFrom),
    helpersTo: Math.min(to, helpersTo),
  };
}
