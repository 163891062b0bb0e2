import type { Link } from '../surface/link.ts';
import type { Product } from '../tile/product.ts';
import type { Consumption } from './consumption.ts';
import type { SurfaceFigures } from './figures.ts';

/** What quantities are taken from: the figures of the surfaces, and what of the job they depend on. */
export interface Need {
  readonly products: readonly Product[];
  readonly consumption: Consumption;
  readonly surfaces: readonly SurfaceFigures[];
  /** Edges at which surfaces meet; none where left out. */
  readonly links?: readonly Link[];
}

/** What is measured: pieces whole, kilograms, millilitres. */
export type MaterialUnit = 'piece' | 'sheet' | 'kg' | 'ml';

/** So much of a material, and how it came about. */
export interface Taken<How> {
  /** The product, for tiles; null for what goes with them. */
  readonly productId: string | null;
  /** Which of two mirrored shapes, where a tile comes in both. */
  readonly hand: 'left' | 'right' | null;
  readonly quantity: number;
  readonly unit: MaterialUnit;
  /** Every figure the quantity came from. */
  readonly how: How;
}

/** A material: what it needs of the surfaces. Packs and prices are money's. */
export interface MaterialKind<How> {
  readonly takeOff: (need: Need) => readonly Taken<How>[];
}
