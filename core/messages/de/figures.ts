import { figuresOf } from '../figures.ts';

/** Figures, plurals and dates in German. */
export const { counted, form, figure, fixed, money, dateWords, read } = figuresOf('de-DE', {
  decimal: ',',
  lessThan: 'weniger als',
  about: 'etwa',
  light: 'knapp',
  heavy: 'gut',
});
