import type { Quote, QuoteLineKind } from '../money/quote.ts';
import type { Job } from './job.ts';
import { placesOf } from './placesOf.ts';

/** A row of a quote as a client reads it: the work of a place in one; `place` is null for what is of the whole job. */
export interface QuoteRow {
  readonly kind: QuoteLineKind;
  readonly place: string | null;
  readonly cents: number;
}

/** The lines of a quote before discount and tax: the work of a room in one. */
export function quoteRows(job: Pick<Job, 'rooms' | 'surfaces' | 'links'>, { lines }: Pick<Quote, 'lines'>): QuoteRow[] {
  const work = placesOf(job).flatMap(({ name, surfaces }): QuoteRow[] => {
    const cents = lines
      .filter(({ kind, surfaceId }) => kind === 'labour' && surfaces.some(({ id }) => id === surfaceId))
      .reduce((sum, line) => sum + line.cents, 0);
    return cents === 0 ? [] : [{ kind: 'labour', place: name, cents }];
  });
  const plain = (kinds: readonly QuoteLineKind[]): QuoteRow[] =>
    lines.filter(({ kind }) => kinds.includes(kind)).map(({ kind, cents }) => ({ kind, place: null, cents }));
  return [...plain(['materials', 'tools']), ...work, ...plain(['minimum', 'travel', 'overhead'])];
}
