import { HAIR_MM } from '../../tolerances.ts';
import type { Box } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import type { Side } from '../cutKind.ts';

/** Sizes nearer than this fit each other, mm. */
export const FITS_MM = HAIR_MM;

/** A box of a size that has to touch some sides of the tile. */
export interface WantedBox extends Size {
  readonly sides: ReadonlySet<Side>;
}

/** A place for a box, and how tightly it sits there: the area and the shorter side that are left of the space; less is tighter. */
export interface Fit {
  readonly space: Box;
  readonly box: Box;
  readonly leftMm2: number;
  readonly leftMm: number;
}

/** Less area is left, or as much and a narrower rest. */
export const isTighter = (fit: Pick<Fit, 'leftMm2' | 'leftMm'>, than: Pick<Fit, 'leftMm2' | 'leftMm'>): boolean =>
  fit.leftMm2 <= than.leftMm2 + 1 && (fit.leftMm2 <= than.leftMm2 - 1 || fit.leftMm < than.leftMm);

/** Narrower spaces hold nothing, mm. */
const NARROWEST_MM = 3;

/**
 * What is free of a rectangular tile, as boxes that through cuts from edge to edge have set free or will: whatever is taken
 * from it comes apart by such cuts. The saw's kerf is kept round each box.
 */
export class FreeSpace {
  private spaces: readonly Box[];
  private readonly tile: Size;
  private readonly kerfMm: number;
  /** Area of the largest free box, mm². */
  largestMm2: number;

  constructor(tile: Size, kerfMm: number) {
    this.tile = tile;
    this.kerfMm = kerfMm;
    this.spaces = [{ minX: 0, minY: 0, maxX: tile.widthMm, maxY: tile.heightMm }];
    this.largestMm2 = tile.widthMm * tile.heightMm;
  }

  /** The tightest place for a box that is tighter than another; null where there is none. */
  fit({ widthMm, heightMm, sides }: WantedBox, than: Fit | null): Fit | null {
    if (widthMm * heightMm > this.largestMm2 + 1) return null;
    let best = than;
    for (const space of this.spaces) {
      const [dx, dy] = [space.maxX - space.minX - widthMm, space.maxY - space.minY - heightMm];
      if (dx < -FITS_MM || dy < -FITS_MM) continue;
      const leftMm2 = areaOf(space) - widthMm * heightMm;
      const leftMm = Math.min(dx, dy);
      if (best && !isTighter({ leftMm2, leftMm }, best)) continue;
      const x = placeIn(space.minX, space.maxX, widthMm, this.tile.widthMm, sides.has('left'), sides.has('right'));
      const y = placeIn(space.minY, space.maxY, heightMm, this.tile.heightMm, sides.has('bottom'), sides.has('top'));
      if (x !== null && y !== null) best = { space, box: { minX: x, minY: y, maxX: x + widthMm, maxY: y + heightMm }, leftMm2, leftMm };
    }
    return best === than ? null : best;
  }

  /** The same, to be tried further. */
  copy(): FreeSpace {
    const copy = new FreeSpace(this.tile, this.kerfMm);
    copy.spaces = this.spaces;
    copy.largestMm2 = this.largestMm2;
    return copy;
  }

  /** Takes a box from a space; parts of it that the piece leaves open are free again. */
  take(space: Box, box: Box, open: readonly Box[] = []): void {
    this.spaces = [...this.spaces.filter((other) => other !== space), ...beside(space, box, this.kerfMm), ...open];
    this.largestMm2 = this.spaces.reduce((most, one) => Math.max(most, areaOf(one)), 0);
  }
}

const areaOf = ({ minX, minY, maxX, maxY }: Box): number => (maxX - minX) * (maxY - minY);

/** Where a stretch begins in a free stretch of the tile, from whose ends it may have to start; null where it can't. */
function placeIn(low: number, high: number, size: number, whole: number, atLow: boolean, atHigh: boolean): number | null {
  if ((atLow && low > FITS_MM) || (atHigh && high < whole - FITS_MM)) return null;
  if (atLow && atHigh) return Math.abs(whole - size) <= FITS_MM ? low : null;
  if (atLow) return low;
  if (atHigh) return high - size;
  // What has no side to keep leaves the edge of the tile to what has.
  return low <= FITS_MM && high < whole - FITS_MM ? high - size : low;
}

/** What is left of a space beside a box, by the first cut that leaves the larger box whole. */
function beside(space: Box, box: Box, kerfMm: number): Box[] {
  const strips = (upright: boolean): Box[] => {
    const [across, along] = upright ? [space, box] : [box, space];
    return [
      { minX: space.minX, maxX: box.minX - kerfMm, minY: across.minY, maxY: across.maxY },
      { minX: box.maxX + kerfMm, maxX: space.maxX, minY: across.minY, maxY: across.maxY },
      { minX: along.minX, maxX: along.maxX, minY: space.minY, maxY: box.minY - kerfMm },
      { minX: along.minX, maxX: along.maxX, minY: box.maxY + kerfMm, maxY: space.maxY },
    ].filter(({ minX, maxX, minY, maxY }) => maxX - minX >= NARROWEST_MM && maxY - minY >= NARROWEST_MM);
  };
  const largest = (boxes: readonly Box[]): number => boxes.reduce((most, one) => Math.max(most, areaOf(one)), 0);
  const [upright, level] = [strips(true), strips(false)];
  return largest(upright) >= largest(level) ? upright : level;
}
