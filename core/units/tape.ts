import { z } from 'zod';

/** One inch in mm (international inch, exact). */
export const MM_PER_INCH = 25.4;

/** How a job or a surface reads its tape. */
export const tapeSchema = z.strictObject({
  system: z.enum(['metric', 'imperial']).describe('Millimetres, or feet and inches'),
  metricStepMm: z
    .union([z.literal(1), z.literal(0.5), z.literal(0.1)])
    .default(0.5)
    .describe('Lengths are shown to this many mm'),
  fraction: z
    .union([z.literal(8), z.literal(16), z.literal(32)])
    .default(16)
    .describe('Inches are shown to one over this'),
  lightHeavy: z.boolean().default(false).describe('Show the half step under a mark as light, over it as heavy'),
});

/** What a figure is read with in the reader's language: the mark before tenths, and the words beside it. */
export interface FigureWords {
  readonly decimal: '.' | ',';
  readonly lessThan: string;
  readonly about: string;
  readonly light: string;
  readonly heavy: string;
}

/** How lengths are typed and shown; `words` are the reader's and no part of a job, English where left out. */
export type Tape = z.infer<typeof tapeSchema> & { readonly words?: FigureWords };

const ENGLISH: FigureWords = { decimal: '.', lessThan: 'less than', about: 'about', light: 'light', heavy: 'heavy' };

/** What figures on a tape are read with. */
export const figureWords = ({ words }: Pick<Tape, 'words'>): FigureWords => words ?? ENGLISH;

/** A figure as it is written, with the mark of the reader's language before its tenths. */
export const marked = (figure: string, tape: Pick<Tape, 'words'>): string => figure.replace('.', figureWords(tape).decimal);

/** A metric tape read to half a millimetre. */
export const METRIC_TAPE: Tape = { system: 'metric', metricStepMm: 0.5, fraction: 16, lightHeavy: false };

/** A tape in feet and inches read to a sixteenth. */
export const IMPERIAL_TAPE: Tape = { ...METRIC_TAPE, system: 'imperial' };
