import type { Product } from '@azulejo/core/tile/product';

/** What the two sizes of a tile are called. */
export function sizeLabels({ shape }: Pick<Product, 'shape'>): readonly [string, string] {
  switch (shape.kind) {
    case 'hexagon':
      return ['Across the flats', 'Point to point'];
    case 'round':
      return ['Diameter', 'Diameter'];
    case 'chevron':
      return ['Long side', 'Width of the strip'];
    default:
      return ['Width', 'Height'];
  }
}
