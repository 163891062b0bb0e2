import { fromCoins } from '../units/currency.ts';
import type { Quote, QuoteLineKind } from './quote.ts';

/** What a quoted total is made of, as a client asks. */
export const QUOTE_PARTS = ['materials', 'work', 'tools', 'travel', 'overhead', 'discount', 'tax'] as const;

/** A part of a quoted total. */
export type QuotePart = (typeof QUOTE_PARTS)[number];

/** Work that is charged up to the least is work. */
const PART_OF: Readonly<Record<QuoteLineKind, QuotePart>> = {
  materials: 'materials',
  labour: 'work',
  minimum: 'work',
  tools: 'tools',
  travel: 'travel',
  overhead: 'overhead',
};

/** The parts of a quote in its currency: together they are its total. */
export function splitQuote({ lines, discountCents, taxes }: Quote, currency: string): Readonly<Record<QuotePart, number>> {
  const coins = Object.fromEntries(QUOTE_PARTS.map((part) => [part, 0])) as Record<QuotePart, number>;
  for (const { kind, cents } of lines) coins[PART_OF[kind]] += cents;
  coins.discount = -discountCents;
  coins.tax = taxes.reduce((sum, { taxCents }) => sum + taxCents, 0);
  return Object.fromEntries(QUOTE_PARTS.map((part) => [part, fromCoins(coins[part], currency)])) as Record<QuotePart, number>;
}
