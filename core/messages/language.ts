/** The languages in which the product speaks on site and on paper: a folder here each. */
export const LANGUAGES = ['en', 'de'] as const;

/** A language by its code (ISO 639-1). */
export type Language = (typeof LANGUAGES)[number];

/** What each language calls itself. */
export const LANGUAGE_NAMES: Readonly<Record<Language, string>> = { en: 'English', de: 'Deutsch' };

/** The first language of some wishes (`de-AT`, `en`) that the product speaks; English where it speaks none of them. */
export function languageFor(wishes: readonly string[]): Language {
  const spoken = wishes.map((wish) => LANGUAGES.find((language) => wish.toLowerCase().split('-')[0] === language));
  return spoken.find((language) => language !== undefined) ?? 'en';
}
