import { edgeBars } from './edgeBars.ts';

/** Skirting that comes in lengths, m. */
export const skirting = edgeBars('skirting', [{ size: 2.4, price: 11.2 }]);
