import { figuresOf } from '../figures.ts';

/** Figures, plurals and dates in English. */
export const { counted, form, figure, fixed, money, dateWords, read } = figuresOf('en-GB', {
  decimal: '.',
  lessThan: 'less than',
  about: 'about',
  light: 'light',
  heavy: 'heavy',
});
