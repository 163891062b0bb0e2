import { useLocalStorage, usePreferredLanguages } from '@vueuse/core';
import { computed } from 'vue';
import { languageFor, LANGUAGES, type Language } from '@azulejo/core/messages/language';

/** What was chosen in the settings of this browser; anything else leaves it to the browser's own language. */
const stored = useLocalStorage<string>('azulejo-language', '');
const preferred = usePreferredLanguages();

/** The language that was chosen; null where it goes by the browser. */
export const chosenLanguage = computed<Language | null>({
  get: () => LANGUAGES.find((language) => language === stored.value) ?? null,
  set: (language) => (stored.value = language ?? ''),
});

/** The language of the browser, as far as it is spoken. */
export const browserLanguage = computed(() => languageFor(preferred.value));

/** What is spoken on site, in the list of cuts and on papers. */
export const language = computed(() => chosenLanguage.value ?? browserLanguage.value);
