import { difference } from '../../geometry/clip.ts';
import { drawnIn } from '../../geometry/drawnIn.ts';
import type { Polygon } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import { largestBoxWithin } from './boxWithin.ts';
import type { OpenedTile } from './planOffCuts.ts';

/** A piece of tile that is left once everything is cut from it. */
export interface LeftOver {
  /** In the frame of the tile, mm. */
  readonly outline: Polygon;
  /** The largest rectangle in it, mm. */
  readonly boxMm: Size;
}

/** A left-over whose largest rectangle is narrower is not worth keeping, mm (trade practice). */
const WORTH_KEEPING_MM = 60;

/** What of an opened tile is worth keeping, the saw's kerf round every piece off; the largest first. */
export function leftOver({ outline, uses }: Pick<OpenedTile, 'outline' | 'uses'>, kerfMm: number): LeftOver[] {
  const taken = uses.map(({ outline: [outer] }): Polygon => [kerfMm > 0 ? drawnIn(outer, -kerfMm) : outer]);
  const left = taken.reduce<Polygon[]>((rest, one) => (rest.length === 0 ? rest : difference(rest, [one])), [[outline]]);
  return left
    .flatMap((part): LeftOver[] => {
      const box = largestBoxWithin(part, ({ minX, minY, maxX, maxY }) => Math.min(maxX - minX, maxY - minY) >= WORTH_KEEPING_MM);
      return box ? [{ outline: part, boxMm: { widthMm: box.maxX - box.minX, heightMm: box.maxY - box.minY } }] : [];
    })
    .sort((a, b) => b.boxMm.widthMm * b.boxMm.heightMm - a.boxMm.widthMm * a.boxMm.heightMm);
}
