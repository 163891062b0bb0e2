import type { Job, Surface } from '@azulejo/core/job/job';
import { UNKNOWN_COLOUR, type Product } from '@azulejo/core/tile/product';

/** What the faces of tiles and the joints between them look like. */
export interface Faces {
  readonly tiles: ReadonlyMap<string, Pick<Product, 'colour' | 'picture' | 'face' | 'backArrow' | 'material' | 'edge'>>;
  readonly jointColour: string;
}

/** The faces of the tiles of a job, with the grout of one surface. */
export const facesOf = ({ products }: Pick<Job, 'products'>, { jointColour }: Pick<Surface, 'jointColour'>): Faces => ({
  tiles: new Map(products.map((product) => [product.id, product])),
  jointColour,
});

/** The plain colour of a tile. */
export const colourOf = ({ tiles }: Faces, productId: string): string => tiles.get(productId)?.colour ?? UNKNOWN_COLOUR;
