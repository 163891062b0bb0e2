import { toCoins } from '../units/currency.ts';
import type { WorkHours } from '../labour/workHours.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';
import { surchargeOf, type RateSet } from './rates.ts';
import type { ToolLine } from './tools.ts';

/** What a line of a quote is for. */
export type QuoteLineKind = 'materials' | 'tools' | 'labour' | 'minimum' | 'travel' | 'overhead';

/** One line of a quote, before tax, in cents: the smallest coins of the currency, whatever they are called. */
export interface QuoteLine {
  readonly kind: QuoteLineKind;
  /** The surface, for labour; null for what is for the whole job. */
  readonly surfaceId: string | null;
  readonly cents: number;
  readonly taxPercent: number;
}

/** Tax of one rate, in cents. */
export interface TaxLine {
  readonly percent: number;
  /** What is taxed, discount taken off. */
  readonly baseCents: number;
  readonly taxCents: number;
}

/** A job as it is quoted; everything in cents, so that it adds up. */
export interface Quote {
  readonly rateSetId: string;
  readonly lines: readonly QuoteLine[];
  readonly netCents: number;
  readonly discountCents: number;
  readonly taxes: readonly TaxLine[];
  readonly totalCents: number;
}

/** What is quoted. */
export interface Quoted {
  readonly materialsCost: number;
  readonly tools: readonly ToolLine[];
  readonly work: readonly WorkHours[];
  readonly surfaces: readonly SurfaceFigures[];
}

/** Quotes a job at one set of rates. The total is what the lines come to, less the discount, and the taxes: to the cent. */
export function quoteJob(quoted: Quoted, rates: RateSet, currency: string): Quote {
  const centsOf = (amount: number): number => toCoins(amount, currency);
  const { taxPercent, materialTaxPercent } = rates;
  const materials = centsOf(quoted.materialsCost * (1 + rates.markupPercent / 100));
  const tools = quoted.tools.reduce((sum, { cost }) => sum + centsOf(cost), 0);
  const labour = quoted.surfaces.map((surface) => ({
    surfaceId: surface.surfaceId,
    cents: centsOf(labourOf(surface, quoted.work, rates)),
  }));
  const charged = labour.reduce((sum, { cents }) => sum + cents, 0);
  const minimum = Math.max(0, centsOf(rates.minimum) - charged);
  const travel = centsOf(rates.trips * rates.perTrip);
  const overhead = Math.round(((materials + tools + charged + minimum + travel) * rates.overheadPercent) / 100);
  const plain = (kind: QuoteLineKind, cents: number, tax = taxPercent): QuoteLine => ({ kind, surfaceId: null, cents, taxPercent: tax });
  const lines = [
    plain('materials', materials, materialTaxPercent),
    plain('tools', tools),
    ...labour.map(({ surfaceId, cents }): QuoteLine => ({ kind: 'labour', surfaceId, cents, taxPercent })),
    plain('minimum', quoted.surfaces.length > 0 ? minimum : 0),
    plain('travel', travel),
    plain('overhead', overhead),
  ].filter(({ cents }) => cents !== 0);
  const netCents = lines.reduce((sum, { cents }) => sum + cents, 0);
  const discountCents = Math.round((netCents * rates.discountPercent) / 100);
  const taxes = taxesOn(lines, netCents, discountCents);
  const totalCents = netCents - discountCents + taxes.reduce((sum, tax) => sum + tax.taxCents, 0);
  return { rateSetId: rates.id, lines, netCents, discountCents, taxes, totalCents };
}

/** What the work on a surface is charged. */
function labourOf({ surfaceId, areaMm2, pattern }: SurfaceFigures, work: readonly WorkHours[], rates: RateSet): number {
  if (rates.by === 'area') return (areaMm2 / 1e6) * rates.perM2 * (1 + surchargeOf(rates, pattern) / 100);
  const hours = work.reduce((sum, one) => sum + (one.surfaceId === surfaceId ? one.hours : 0), 0);
  return hours * rates.perHour;
}

/** Tax by its rate; the discount is shared out over the rates by what they hold, the last cent to the largest remainder. */
function taxesOn(lines: readonly QuoteLine[], netCents: number, discountCents: number): TaxLine[] {
  const bases = new Map<number, number>();
  for (const { taxPercent, cents } of lines) bases.set(taxPercent, (bases.get(taxPercent) ?? 0) + cents);
  const shares = [...bases].map(([percent, cents]) => ({ percent, cents, off: netCents === 0 ? 0 : (discountCents * cents) / netCents }));
  let rest = discountCents - shares.reduce((sum, { off }) => sum + Math.floor(off), 0);
  const byRemainder = [...shares].sort((a, b) => b.off - Math.floor(b.off) - (a.off - Math.floor(a.off)));
  const off = new Map(byRemainder.map((share) => [share.percent, Math.floor(share.off) + (rest-- > 0 ? 1 : 0)]));
  return shares
    .map(({ percent, cents }) => {
      const baseCents = cents - (off.get(percent) ?? 0);
      return { percent, baseCents, taxCents: Math.round((baseCents * percent) / 100) };
    })
    .sort((a, b) => a.percent - b.percent);
}
