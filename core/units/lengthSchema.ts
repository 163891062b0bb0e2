import { z } from 'zod';
import { parseLength } from './parseLength.ts';

/** Longest length anything may have, mm: 50 m keeps clipping exact. */
export const LONGEST_MM = 50_000;

const WRITTEN = 'Millimetres as a number, or a tape string such as "7\' 10 5/8\\"" or "240.5 cm"';

const toMm = (value: number | string, context: z.core.$RefinementCtx<number | string>): number => {
  if (typeof value === 'number') return value;
  const read = parseLength(value);
  if (read.ok) return read.value;
  context.issues.push({ code: 'custom', input: value, params: { code: read.issues[0].code, figures: read.issues[0].figures } });
  return z.NEVER;
};

const written = z.union([z.number(), z.string()]).describe(WRITTEN);

/** Length above zero. Becomes mm. */
export const lengthSchema = written.transform(toMm).pipe(z.number().positive().max(LONGEST_MM));

/** A length that may be zero. Becomes mm. */
export const gapSchema = written.transform(toMm).pipe(z.number().min(0).max(LONGEST_MM));

/** A length that may run either way. Becomes mm. */
export const offsetSchema = written.transform(toMm).pipe(z.number().min(-LONGEST_MM).max(LONGEST_MM));
