import { edgeBars } from './edgeBars.ts';

/** Bullnose trim, m, in lengths; the field ends beside it, its width and a joint sooner. */
export const bullnose = edgeBars('bullnose', [{ size: 0.6, price: 6.4 }], { widthMm: { typical: 60, min: 5, max: 300 } });
