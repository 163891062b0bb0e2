import * as de from './de/spoken.ts';
import * as en from './en/spoken.ts';
import type { Language } from './language.ts';

/**
 * All that is said on site and on paper. What one language says, the others have to say too, or they do not compile.
 * Taken apart from the module itself, which no other could be.
 */
export type Words = { readonly [Said in keyof typeof en]: (typeof en)[Said] };

const WORDS: Readonly<Record<Language, Words>> = { en, de };

/** The words of a language. */
export const wordsIn = (language: Language): Words => WORDS[language];
