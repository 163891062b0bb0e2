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

/** A line of an order as a supplier is asked for it. */
export interface Asked {
  /** Names the line within the order. */
  readonly key: string;
  readonly name: string;
  readonly packs: readonly { readonly count: number; readonly size: number; readonly price: number }[];
}

/** What a supplier answers for one line. */
export interface LineAnswer {
  readonly key: string;
  /** Packs there, of those asked for. */
  readonly inStock: number;
  readonly asked: number;
  /** Working days until the rest is there; null where it is not carried. */
  readonly leadDays: number | null;
  /** What the supplier wants for the whole line, before tax. */
  readonly cost: number;
  /** The lot that all of it comes from, for tiles; null where it would be mixed, or it has none. */
  readonly lot: string | null;
  /** What it has instead of what it does not carry. */
  readonly instead: string | null;
}

/** A supplier of tiles and what goes with them, as the product sees any of them. */
export interface Supplier {
  /** What to show the person. */
  readonly name: string;
  /** Asks for some tiles; those the supplier does not carry are left out. Rejects with words for the person. */
  readonly ask: (products: readonly Product[]) => Promise<readonly Offer[]>;
  /** Asks for the lines of an order. Rejects with words for the person. */
  readonly askFor: (lines: readonly Asked[]) => Promise<readonly LineAnswer[]>;
}
