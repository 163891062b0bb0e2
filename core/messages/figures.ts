import { ROUNDED_OFTEN } from '../tolerances.ts';
import type { FigureWords, Tape } from '../units/tape.ts';

/** The forms of a word by how many there are: what `Intl.PluralRules` asks for beside `other` may be left out. */
export type Forms = Readonly<Partial<Record<Intl.LDMLPluralRule, string>> & { other: string }>;

/** Figures, plurals and dates of one language. */
export interface Figures {
  /** A word for so many: "1 tile", "3 tiles". */
  readonly counted: (count: number, forms: Forms) => string;
  /** The word alone, as it stands behind so many. */
  readonly form: (count: number, forms: Forms) => string;
  /** A plain figure as the language writes it, with no more decimals than it has. */
  readonly figure: (value: number) => string;
  /** The same with so many decimals. */
  readonly fixed: (value: number, decimals: number) => string;
  /** An amount of money that is written with a point, as the language writes it. */
  readonly money: (amount: string) => string;
  /** A date: "28 November 2026". */
  readonly dateWords: (date: Date) => string;
  /** A tape that reads in this language. */
  readonly read: (tape: Tape) => Tape;
}

/** What takes a while to set up and is not always asked for: set up when it first is. */
function whenAsked<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** Figures as a locale (BCP 47) writes them; `words` stand beside lengths. */
export function figuresOf(locale: string, words: FigureWords): Figures {
  const plurals = whenAsked(() => new Intl.PluralRules(locale));
  const plain = whenAsked(() => new Intl.NumberFormat(locale, { maximumFractionDigits: 6, useGrouping: false }));
  const day = whenAsked(() => new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'long', year: 'numeric' }));
  const form = (count: number, forms: Forms): string => forms[plurals().select(count)] ?? forms.other;
  return {
    form,
    counted: (count, forms) => `${count} ${form(count, forms)}`,
    figure: (value) => plain().format(value),
    fixed: (value, decimals) => value.toFixed(decimals).replace('.', words.decimal),
    money: (amount) => amount.replace('.', words.decimal),
    dateWords: (date) => day().format(date),
    read: (tape) => ({ ...tape, words }),
  };
}

/** Minutes as they are told: whole ones, rather more than less. */
export const minutesTold = (minutes: number): number => Math.ceil(minutes - ROUNDED_OFTEN);
