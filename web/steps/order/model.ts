import type { Job } from '@azulejo/core/job/job';
import { materialName } from '@azulejo/core/messages/en/materials';
import { LINE_GROUP_NAMES } from '@azulejo/core/messages/en/materialNames';
import { QUOTE_PART_NAMES, TASK_NAMES } from '@azulejo/core/messages/en/money';
import { hoursOf } from '@azulejo/core/labour/workHours';
import { groupLines, lineKey, packsOf } from '@azulejo/core/money/orderLines';
import { ratesOf } from '@azulejo/core/money/planMoney';
import { LIKELY_TO_RUN_OUT, type Material } from '@azulejo/core/money/priceMaterials';
import { QUOTE_PARTS, splitQuote } from '@azulejo/core/money/splitQuote';
import type { Plan } from '@azulejo/core/plan';
import { entriesOf, type Entry, type EntryOf } from '@azulejo/core/site/entry';
import { orderedOtherwise, type OrderedOtherwise } from '@azulejo/core/site/orderedOtherwise';
import { formatMoney, fromCoins, roundMoney } from '@azulejo/core/units/currency';
import type { Asked, LineAnswer } from '../../supplier/supplier.ts';

/** Lines of the order that stand together. */
export interface ShownGroup {
  readonly title: string;
  readonly cost: string;
  readonly lines: readonly { readonly key: string; readonly line: Material }[];
}

/** What the page of what to buy shows. */
export interface BuyModel {
  readonly groups: readonly ShownGroup[];
  /** Packs, boxes and bars of all lines. */
  readonly packs: number;
  /** Names of the lines that are likely to run out. */
  readonly short: readonly string[];
}

/** What to buy, and whether it will run out. */
export const buyModel = (job: Job, { materials }: Pick<Plan, 'materials'>): BuyModel => ({
  groups: groupLines(materials, job.currency).map(({ group, lines, cost }) => ({
    title: LINE_GROUP_NAMES[group],
    cost: formatMoney(cost, job.currency),
    lines: lines.map((line) => ({ key: lineKey(line), line })),
  })),
  packs: materials.reduce((sum, line) => sum + packsOf(line), 0),
  short: materials.filter(({ chance }) => (chance ?? 0) > LIKELY_TO_RUN_OUT).map((line) => materialName(job, line)),
});

/** The lines that a supplier is asked for: what is bought in packs. */
export const askedLines = (job: Job, { materials }: Pick<Plan, 'materials'>): readonly Asked[] =>
  materials
    .filter(({ packs }) => packs.length > 0)
    .map((line) => ({ key: lineKey(line), name: materialName(job, line), packs: line.packs }));

/** What a supplier's answers come to. */
export interface AnswerModel {
  /** For all of it, in the job's currency. */
  readonly total: number;
  /** Working days until all that is carried is there. */
  readonly longestDays: number;
  /** Lines of which not all is there, in words. */
  readonly short: readonly { readonly key: string; readonly words: string }[];
}

/** What a supplier answered, summed up. */
export function answerModel(asked: readonly Asked[], answers: readonly LineAnswer[]): AnswerModel {
  const nameOf = new Map(asked.map(({ key, name }) => [key, name]));
  return {
    total: answers.reduce((sum, { cost }) => sum + cost, 0),
    longestDays: Math.max(0, ...answers.map(({ leadDays }) => leadDays ?? 0)),
    short: answers
      .filter((one) => one.inStock < one.asked)
      .map(({ key, inStock, asked: wanted, leadDays, instead }) => {
        const name = nameOf.get(key) ?? key;
        const words =
          leadDays === null
            ? `${name}: not carried; it offers ${instead ?? 'nothing instead'}.`
            : `${name}: ${inStock} of ${wanted} there, the rest in ${leadDays} days.`;
        return { key, words };
      }),
  };
}

/** An order as it is kept, as it was placed, whatever changes later: at what the supplier wants, where it answered. */
export function orderOf(
  job: Job,
  plan: Pick<Plan, 'materials'>,
  supplier: string,
  answers: readonly LineAnswer[],
): EntryOf<'order'>['data'] {
  const wants = new Map(answers.map(({ key, cost }) => [key, cost]));
  const lines = plan.materials
    .filter(({ packs }) => packs.length > 0)
    .map((line) => {
      const key = lineKey(line);
      return {
        key,
        name: materialName(job, line),
        quantity: Math.round(line.quantity * 100) / 100,
        unit: line.unit,
        packs: line.packs.map(({ count, size, price }) => ({ count, size, price })),
        cost: wants.get(key) ?? line.cost,
      };
    });
  const total = lines.reduce((sum, { cost }) => sum + cost, 0);
  return { kind: 'order', supplier, currency: job.currency, total: roundMoney(total, job.currency), lines };
}

/** What was ordered, and what the plan wants otherwise since. */
export function ordersModel(
  job: Job,
  plan: Pick<Plan, 'materials'>,
  entries: readonly Entry[],
): { readonly orders: readonly EntryOf<'order'>[]; readonly otherwise: readonly OrderedOtherwise[] } {
  const orders = entriesOf(entries, 'order');
  const now = plan.materials
    .filter(({ packs }) => packs.length > 0)
    .map((line) => ({ key: lineKey(line), name: materialName(job, line), packs: packsOf(line) }));
  return { orders, otherwise: orders.length === 0 ? [] : orderedOtherwise(orders, now) };
}

/** A part of a whole, for a chart. */
export interface ShownPart {
  readonly name: string;
  readonly amount: number;
}

/** What the page of money shows. */
export interface MoneyModel {
  /** Every set of rates with what the job is quoted at by it, in the smallest coins. */
  readonly sets: readonly { readonly id: string; readonly name: string; readonly totalCents: number }[];
  /** Hours by kind of work. */
  readonly hours: readonly ShownPart[];
  /** The quoted total by what it is made of, in the currency. */
  readonly split: readonly ShownPart[];
  readonly total: number;
}

/** What the job costs and what it is quoted at: one set of rates beside the others. */
export function moneyModel(job: Job, { money }: Pick<Plan, 'money'>): MoneyModel {
  const { work, quote, atEachRate } = money;
  const parts = splitQuote(quote, job.currency);
  return {
    sets: ratesOf(job).map(({ id, name }) => ({
      id,
      name,
      totalCents: atEachRate.find(({ rateSetId }) => rateSetId === id)?.totalCents ?? 0,
    })),
    hours: [...new Set(work.map(({ task }) => task))].map((task) => ({ name: TASK_NAMES[task], amount: hoursOf(work, task) })),
    split: QUOTE_PARTS.map((part) => ({ name: QUOTE_PART_NAMES[part], amount: parts[part] })),
    total: fromCoins(quote.totalCents, job.currency),
  };
}
