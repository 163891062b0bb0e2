import type { Material } from '../money/priceMaterials.ts';
import { entriesOf, type Entry } from './entry.ts';

type TileLine = Extract<Material, { readonly item: 'tiles' }>;

/**
 * Pieces that a line of tiles leaves once it is laid: what was bought less what was opened, less the client's spares, less
 * what broke, as written down. Where nothing was, as much as was reckoned with is taken to have broken.
 */
export function leftOfTiles({ left, how, productId }: TileLine, entries: readonly Entry[]): number {
  const broken = entriesOf(entries, 'breakage').filter(({ data }) => data.productId === productId);
  if (broken.length === 0) return left;
  return Math.max(0, left + how.breakage - broken.reduce((sum, { data }) => sum + data.pieces, 0));
}
