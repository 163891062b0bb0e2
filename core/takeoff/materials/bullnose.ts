import { edgeBars } from './edgeBars.ts';

/** Bullnose trim, m, in lengths. */
export const bullnose = edgeBars('bullnose', [{ size: 0.6, price: 6.4 }]);
