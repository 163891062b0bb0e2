import type { CHECKS } from '../../site/entry.ts';

/** What is checked on the way. */
export const CHECK_NAMES: Readonly<Record<(typeof CHECKS)[number], string>> = {
  level: 'Reihe aus der Waage um mm',
  plumb: 'Aus dem Lot um mm',
  coverage: 'Bettung einer abgehobenen Fliese, %',
  controlLine: 'Bis zur Kontrolllinie, mm',
  diagonal: 'Diagonale des rechten Winkels, mm',
};

/** How each check is made, in a minute. */
export const CHECK_HOW: Readonly<Record<(typeof CHECKS)[number], string>> = {
  level: 'Die lange Wasserwaage auf die letzte Reihe legen. Um wie viel ist ihr Ende daneben?',
  plumb: 'Die Wasserwaage senkrecht an die Fliesen halten. Um wie viel ist es daneben?',
  coverage: 'Eine Fliese abheben, solange das Bett nass ist. Wie viel ihrer Rückseite ist bedeckt?',
  controlLine: 'Von der letzten Reihe bis zur Kontrolllinie messen, an beiden Enden. Das größere von beiden:',
  diagonal: 'Die Diagonale des rechten Winkels noch einmal messen, entlang der Fugen, die jetzt liegen.',
};
