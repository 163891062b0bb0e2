import type { Box } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import type { Side } from '../cutKind.ts';

/** Sizes nearer than this fit each other, mm. */
export const FITS_MM = 0.05;

/** A box of a size that has to touch some sides of the tile. */
export interface WantedBox extends Size {
  readonly sides: ReadonlySet<Side>;
}

/** A place for a box, and how tightly it sits there: the area and the shorter side that are left of the space; less is tighter. */
export interface Fit {
  readonly box: Box;
  readonly leftMm2: number;
  readonly leftMm: number;
}

/**
 * What is free of a rectangular tile, as the largest boxes that are: they overlap. Boxes are taken from it with the
 * saw's kerf round them; a box is only taken where through cuts from edge to edge set it free.
 */
export class FreeSpace {
  private free: readonly Box[];
  private readonly taken: Box[] = [];
  private readonly tile: Size;
  private readonly kerfMm: number;
  /** Area of the largest free box, mm². */
  largestMm2: number;

  constructor(tile: Size, kerfMm: number) {
    this.tile = tile;
    this.kerfMm = kerfMm;
    this.free = [{ minX: 0, minY: 0, maxX: tile.widthMm, maxY: tile.heightMm }];
    this.largestMm2 = tile.widthMm * tile.heightMm;
  }

  /** The tightest place for a box; null where there is none. */
  fit({ widthMm, heightMm, sides }: WantedBox): Fit | null {
    if (widthMm * heightMm > this.largestMm2 + 1) return null;
    let best: Fit | null = null;
    for (const space of this.free) {
      const [dx, dy] = [space.maxX - space.minX - widthMm, space.maxY - space.minY - heightMm];
      if (dx < -FITS_MM || dy < -FITS_MM) continue;
      const leftMm2 = areaOf(space) - widthMm * heightMm;
      const leftMm = Math.min(dx, dy);
      if (best && (leftMm2 > best.leftMm2 || (leftMm2 === best.leftMm2 && leftMm >= best.leftMm))) continue;
      const xs = places(space.minX, space.maxX, widthMm, this.tile.widthMm, sides.has('left'), sides.has('right'));
      const ys = places(space.minY, space.maxY, heightMm, this.tile.heightMm, sides.has('bottom'), sides.has('top'));
      placing: for (const x of xs)
        for (const y of ys) {
          const box: Box = { minX: x, minY: y, maxX: x + widthMm, maxY: y + heightMm };
          if (!isCutThrough([...this.taken, box], this.kerfMm)) continue;
          best = { box, leftMm2, leftMm };
          break placing;
        }
    }
    return best;
  }

  /** Takes a box; parts of it that the piece leaves open, each free again. */
  take(box: Box, open: readonly Box[] = []): void {
    this.taken.push(box);
    const { kerfMm } = this;
    const grown: Box = { minX: box.minX - kerfMm, minY: box.minY - kerfMm, maxX: box.maxX + kerfMm, maxY: box.maxY + kerfMm };
    const left = this.free.flatMap((space) => without(space, grown)).concat(open);
    this.free = left.filter((space, k) => !left.some((other, m) => m !== k && holds(other, space) && (m < k || !holds(space, other))));
    this.largestMm2 = this.free.reduce((most, space) => Math.max(most, areaOf(space)), 0);
  }

  /** The boxes that are free, largest first. */
  get spaces(): readonly Box[] {
    return [...this.free].sort((a, b) => areaOf(b) - areaOf(a));
  }
}

const areaOf = ({ minX, minY, maxX, maxY }: Box): number => (maxX - minX) * (maxY - minY);

/** Narrower spaces hold nothing, mm. */
const NARROWEST_MM = 3;

/** Where a stretch may begin in a free stretch of the tile, from whose ends it may have to start. */
function places(low: number, high: number, size: number, whole: number, atLow: boolean, atHigh: boolean): readonly number[] {
  const touchesLow = low < FITS_MM;
  const touchesHigh = high > whole - FITS_MM;
  if ((atLow && !touchesLow) || (atHigh && !touchesHigh)) return NOWHERE;
  if (atLow && atHigh) return Math.abs(whole - size) <= FITS_MM ? [low] : NOWHERE;
  if (atLow) return [low];
  return atHigh || high - low - size <= FITS_MM ? [high - size] : [low, high - size];
}
const NOWHERE: readonly number[] = [];

/** The largest boxes that a space is after another was taken from it. */
function without(space: Box, { minX, minY, maxX, maxY }: Box): Box[] {
  if (minX >= space.maxX || maxX <= space.minX || minY >= space.maxY || maxY <= space.minY) return [space];
  return [
    { ...space, maxX: minX },
    { ...space, minX: maxX },
    { ...space, maxY: minY },
    { ...space, minY: maxY },
  ].filter((part) => part.maxX - part.minX >= NARROWEST_MM && part.maxY - part.minY >= NARROWEST_MM);
}

const holds = (outer: Box, inner: Box): boolean =>
  outer.minX <= inner.minX && outer.maxX >= inner.maxX && outer.minY <= inner.minY && outer.maxY >= inner.maxY;

/**
 * Whether through cuts, each from edge to edge of what is left, part boxes from each other. A box within another is cut
 * out of what that one leaves, and counts with it.
 */
export function isCutThrough(boxes: readonly Box[], kerfMm: number): boolean {
  const own = boxes.filter((box, k) => !boxes.some((other, m) => m !== k && holds(other, box)));
  if (own.length <= 2) return true;
  for (const [low, high] of [
    ['minX', 'maxX'],
    ['minY', 'maxY'],
  ] as const) {
    const sorted = [...own].sort((a, b) => a[low] - b[low]);
    let reach = -Infinity;
    for (let k = 0; k < sorted.length; k++) {
      // No box lies across the cut before this one.
      if (k > 0 && sorted[k][low] >= reach + kerfMm - FITS_MM)
        return isCutThrough(sorted.slice(0, k), kerfMm) && isCutThrough(sorted.slice(k), kerfMm);
      reach = Math.max(reach, sorted[k][high]);
    }
  }
  return false;
}
