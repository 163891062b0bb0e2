import type { Product } from '@azulejo/core/tile/product';

/** What a supplier answers for one tile. */
export interface Offer {
  readonly productId: string;
  /** Price of a box in the job currency, before tax. */
  readonly boxPrice: number;
  /** Boxes on the shelf. */
  readonly stockBoxes: number;
  /** The batches they are of, largest first. */
  readonly lots: readonly { readonly code: string; readonly shade: string; readonly calibre: string; readonly boxes: number }[];
  /** Working days until more can be had. */
  readonly leadDays: number;
}

/** A supplier of tiles, as the product sees any of them. */
export interface Supplier {
  /** What to show the person. */
  readonly name: string;
  /** Asks for some tiles; those the supplier does not carry are left out. Rejects with words for the person. */
  readonly ask: (products: readonly Product[]) => Promise<readonly Offer[]>;
}
