import type { Size } from '../tile/product.ts';

/** Sides that differ by less than this make a square, mm. */
const SAME_MM = 0.5;

/** Whether a tile is as wide as it is high. */
export const isSquare = ({ widthMm, heightMm }: Size): boolean => Math.abs(widthMm - heightMm) < SAME_MM;

/** A square of a side in mm. */
export const squareOf = (sideMm: number): Size => ({ widthMm: sideMm, heightMm: sideMm });
