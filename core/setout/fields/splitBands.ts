import { intersect } from '../../geometry/clip.ts';
import { motion, type Point } from '../../geometry/point.ts';
import { boxOf, mapPolygon, mapRing, rectangleRing, type Box, type Polygon } from '../../geometry/ring.ts';
import type { Band } from '../../pattern/edging.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import type { Product } from '../../tile/product.ts';
import { spanOf } from '../choice/axisPlacement.ts';
import type { Placement } from '../place/layout.ts';
import type { BorderSide } from './splitBorder.ts';
import { runSize } from './layBorder.ts';
import type { Ground } from './ground.ts';
import { carriedLetIns, endBefore, type LetIn } from './letIn.ts';

/** A band with its tile. */
export interface TiledBand {
  readonly band: Band;
  readonly product: Product;
}

/** Stretches of a field between bands and wider joints, each with its own place of the repeat, and the bands. */
export interface Banded {
  readonly stretches: readonly { readonly region: readonly Polygon[]; readonly placement: Placement }[];
  readonly bands: readonly { readonly band: Band; readonly side: BorderSide }[];
}

/** What is let into a field at a turn, in order; a band runs with the surface, and such a field is never turned. */
export function letInsOf(
  ground: Ground,
  bands: readonly TiledBand[],
  jointMm: number,
  turnDeg: number,
): (LetIn & { readonly of: TiledBand | null })[] {
  const ofBands = bands.map(({ band, product }) => ({
    k: band.way === 'level' ? (1 as const) : (0 as const),
    wideMm: runSize(product, band.run).acrossMm,
    wantedMm: spanOf(ground.limits, band.way === 'level' ? 'y' : 'x').low + band.atMm,
    isFixed: false,
    of: { band, product },
  }));
  const ofJoints = carriedLetIns(ground, jointMm, turnDeg).map((letIn) => ({ ...letIn, of: null }));
  return [...ofBands, ...ofJoints].sort((a, b) => a.wantedMm - b.wantedMm);
}

/** How far beyond a region a cutting box reaches, mm. */
const BEYOND_MM = 1000;

/**
 * Lets bands in between the courses of a field, and widens joints where a movement joint is carried through. A band goes
 * into the joint of the repeat that lies nearest to where it is wanted; what lies beyond moves on, so that no course is cut.
 */
export function splitBands(ground: Ground, repeat: Repeat, placement: Placement, jointMm: number, bands: readonly TiledBand[]): Banded {
  const whole: Banded['stretches'] = [{ region: ground.region, placement }];
  // Where nothing is tiled there is nothing to part.
  if (ground.region.length === 0) return { stretches: whole, bands: [] };
  const { turn, unturn } = motion(placement.turnDeg, [0, 0]);
  let stretches = whole;
  const laid: { band: Band; side: BorderSide }[] = [];
  for (const letIn of letInsOf(ground, bands, jointMm, placement.turnDeg)) {
    const { k, wideMm: wide, of } = letIn;
    stretches = stretches.flatMap(({ region, placement: own }) => {
      if (region.length === 0) return [];
      const origin = unturn(own.origin);
      const low = endBefore(repeat, { origin }, letIn, jointMm);
      const box = boxOf(region.map((polygon) => mapPolygon(polygon, unturn)).flat(2));
      const span = spanOf(box, k === 1 ? 'y' : 'x');
      if (low === null || low <= span.low || low + wide + 2 * jointMm >= span.high) return [{ region, placement: own }];
      const cut = (from: number, to: number): Polygon[] => intersect(region, [[mapRing(slab(box, k, from, to), turn)]]);
      const start = low + jointMm;
      if (of) {
        const bandRegion = cut(start, start + wide);
        const within = bandRegion.length > 0 ? boxOf(bandRegion.flat(2)) : box;
        laid.push({ band: of.band, side: { region: bandRegion, ...bandLine(within, k, start, wide) } });
      }
      const moved: Placement = { ...own, origin: turn(move(origin, k, wide + jointMm)) };
      return [
        { region: cut(-Infinity, low), placement: own },
        { region: cut(start + wide + jointMm, Infinity), placement: moved },
      ];
    });
  }
  return { stretches, bands: laid };
}

/** The line of a band, its field on the left. */
const bandLine = ({ minX, maxX, minY, maxY }: Box, k: 0 | 1, start: number, wide: number): { readonly from: Point; readonly to: Point } =>
  k === 1 ? { from: [minX, start], to: [maxX, start] } : { from: [start + wide, minY], to: [start + wide, maxY] };

const move = ([x, y]: Point, k: 0 | 1, by: number): Point => (k === 1 ? [x, y + by] : [x + by, y]);

function slab(box: Box, k: 0 | 1, from: number, to: number) {
  const [low, high] = k === 1 ? [box.minY, box.maxY] : [box.minX, box.maxX];
  const start = Math.max(from, low - BEYOND_MM);
  const size = Math.min(to, high + BEYOND_MM) - start;
  return k === 1
    ? rectangleRing(box.minX - BEYOND_MM, start, box.maxX - box.minX + 2 * BEYOND_MM, Math.max(0.001, size))
    : rectangleRing(start, box.minY - BEYOND_MM, Math.max(0.001, size), box.maxY - box.minY + 2 * BEYOND_MM);
}
