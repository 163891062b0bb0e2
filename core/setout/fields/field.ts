import type { Box } from '../../geometry/ring.ts';
import { colourAt } from '../../pattern/colours.ts';
import { mixOf, type LaidPattern } from '../../pattern/laying.ts';
import type { Address, Layout } from '../place/layout.ts';

/** What a field is within its surface. */
export type FieldKind = 'main' | 'beyondBand' | 'band' | 'border' | 'inset';

/** One stretch of tiling that is laid by one repeat: the whole surface, or a border, a band, an inset within it. */
export interface Field {
  /** Names it within its surface; the main field is `main`. */
  readonly id: string;
  readonly kind: FieldKind;
  readonly laid: LaidPattern;
  readonly layout: Layout;
  /** The box round it in the pattern's own frame, mm; gradients run across it. */
  readonly box: Box;
}

/** The tile that lies at a place, by id: mixed by the rule of the part of the pattern it belongs to. */
export function productAt({ laid, layout, box }: Pick<Field, 'laid' | 'layout' | 'box'>, address: Address): string {
  const own = laid.productIds[address.piece];
  const mix = mixOf(laid, layout.repeat.pieces[address.piece].part);
  if (mix.others.length === 0) return own;
  // Sheets are mixed by the sheet, never by the chip.
  const place = layout.repeat.sheet ? { ...address, piece: 0 } : address;
  const tile = colourAt(mix, layout.repeat, place, box);
  return tile === 0 ? own : mix.others[tile - 1];
}
