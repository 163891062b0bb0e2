import { edgeBars } from './edgeBars.ts';

/** Nosing profiles, m, in bars. */
export const nosing = edgeBars('nosing', [{ size: 2.5, price: 24.5 }]);
