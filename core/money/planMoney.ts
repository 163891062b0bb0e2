import { dayAt } from '../programme/calendar.ts';
import { z } from 'zod';
import type { Tool } from '../cuts/cutTool.ts';
import type { TaskId } from '../labour/tasks.ts';
import { hoursOf, type HoursRules, type WorkHours } from '../labour/workHours.ts';
import type { Programme } from '../programme/programme.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';
import { totalOf, type Material } from './priceMaterials.ts';
import { quoteJob, type Quote } from './quote.ts';
import { rateSetSchema, USUAL_RATES, type RateSet } from './rates.ts';
import { toolLines, toolsSchema, type ToolLine, type ToolsSet } from './tools.ts';

/** How a job is charged. */
export const chargingSchema = z.strictObject({
  rateSets: z.array(rateSetSchema).min(1).max(12).optional().describe('The usual ones where left out'),
  rateSetId: z.string().max(40).optional().describe('The set that is quoted; the first where left out'),
  tools: toolsSchema.optional(),
  validDays: z.int().min(1).max(365).optional().describe('Days that a quote stands; 30 where left out'),
  includes: z.string().trim().max(2000).optional().describe('What the client is told is included, besides what the plan says'),
  excludes: z.string().trim().max(2000).optional().describe('What is not'),
});

/** How a job is charged. */
export type Charging = z.infer<typeof chargingSchema>;

/** What a job costs: materials, hours, tools, and the quote at each set of rates. */
export interface Money {
  readonly currency: string;
  /** Materials, before tax. */
  readonly total: number;
  readonly work: readonly WorkHours[];
  readonly hours: number;
  /** Days on which there is work, as they are planned. */
  readonly days: number;
  readonly tools: readonly ToolLine[];
  /** The quote that stands. */
  readonly quote: Quote;
  /** The same job at every set of rates, that of the quote included. */
  readonly atEachRate: readonly Quote[];
}

/** What money is planned from. */
export interface MoneyRules extends HoursRules {
  readonly currency: string;
  readonly charging?: Charging | undefined;
}

/** The sets of rates of a job. */
export const ratesOf = ({ charging }: Pick<MoneyRules, 'charging'>): readonly RateSet[] => charging?.rateSets ?? USUAL_RATES;

/** The set that is quoted. */
export const rateInForce = (rules: Pick<MoneyRules, 'charging'>): RateSet => {
  const sets = ratesOf(rules);
  return sets.find(({ id }) => id === rules.charging?.rateSetId) ?? sets[0];
};

/** How a job is worked: its hours, its days, and how often its cuts name each tool. */
export interface Worked {
  readonly work: readonly WorkHours[];
  readonly programme: Pick<Programme, 'tasks'>;
  readonly cuts: Readonly<Partial<Record<Tool, number>>>;
}

/** Days on which there is work, or work of some kinds. */
export function daysOf({ tasks }: Pick<Programme, 'tasks'>, kinds?: readonly TaskId[]): number {
  const own = tasks.filter(({ task }) => kinds === undefined || kinds.includes(task));
  return new Set(own.flatMap(({ stretches }) => stretches.map(([from]) => dayAt(from)))).size;
}

/** Hours, tools and quotes of a planned job. */
export function planMoney(
  rules: MoneyRules,
  materials: readonly Material[],
  surfaces: readonly SurfaceFigures[],
  { work, programme, cuts }: Worked,
): Money {
  const total = totalOf(materials, rules.currency);
  const hours = hoursOf(work);
  const days = daysOf(programme);
  const tools = toolLines({ cuts, surfaces }, rules.charging?.tools as ToolsSet | undefined, (tasks) => daysOf(programme, tasks));
  const quoted = { materialsCost: total, tools, work, surfaces };
  const atEachRate = ratesOf(rules).map((rates) => quoteJob(quoted, rates, rules.currency));
  const { id } = rateInForce(rules);
  return {
    currency: rules.currency,
    total,
    work,
    hours,
    days,
    tools,
    quote: atEachRate.find((quote) => quote.rateSetId === id) ?? atEachRate[0],
    atEachRate,
  };
}
