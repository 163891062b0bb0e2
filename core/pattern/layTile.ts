import type { Size } from '../tile/product.ts';

/** A tile as it lies in a course. */
export interface LaidTile {
  /** Its long side, mm. */
  readonly alongMm: number;
  /** Its short side, mm. */
  readonly acrossMm: number;
  /** Whether the tile's own width runs up the drawing. */
  readonly tileTurned: boolean;
}

/** Lays a tile with its long side along the course; courses run across the drawing (lying) or up it. */
export function layTile(size: Size, lay: 'lying' | 'upright'): LaidTile {
  const widthIsLong = size.widthMm >= size.heightMm;
  return {
    alongMm: Math.max(size.widthMm, size.heightMm),
    acrossMm: Math.min(size.widthMm, size.heightMm),
    tileTurned: size.widthMm !== size.heightMm && widthIsLong === (lay === 'upright'),
  };
}
