import { SEEN_MM } from '../tolerances.ts';
import type { Size } from '../tile/product.ts';

/** Whether a tile is as wide as it is high. */
export const isSquare = ({ widthMm, heightMm }: Size): boolean => Math.abs(widthMm - heightMm) < SEEN_MM;

/** A square of a side in mm. */
export const squareOf = (sideMm: number): Size => ({ widthMm: sideMm, heightMm: sideMm });
