import { intersect } from '../../geometry/clip.ts';
import { boxOf, rectangleRing, type Polygon } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import type { Band } from '../../pattern/edging.ts';
import { unitOf, type Repeat } from '../../pattern/repeat.ts';
import type { Product } from '../../tile/product.ts';
import { spanOf } from '../choice/axisPlacement.ts';
import type { Placement } from '../place/layout.ts';
import type { BorderSide } from './splitBorder.ts';
import { runSize } from './layBorder.ts';
import type { Ground } from './ground.ts';

/** Stretches of a field between bands, each with its own place of the repeat, and the bands. */
export interface Banded {
  readonly stretches: readonly { readonly region: readonly Polygon[]; readonly placement: Placement }[];
  readonly bands: readonly { readonly band: Band; readonly side: BorderSide }[];
}

/** A band as far as it moves the field: across which direction, how wide, and where it is wanted, mm. */
export interface BandPlace {
  readonly k: 0 | 1;
  readonly wideMm: number;
  readonly wantedMm: number;
}

/** Where bands are wanted, in the order they are let in. */
export const bandPlaces = (
  { limits }: Pick<Ground, 'limits'>,
  bands: readonly { readonly band: Band; readonly product: Product }[],
): BandPlace[] =>
  [...bands]
    .sort((a, b) => a.band.atMm - b.band.atMm)
    .map(({ band, product }) => ({
      k: band.way === 'level' ? 1 : 0,
      wideMm: runSize(product, band.run).acrossMm,
      wantedMm: spanOf(limits, band.way === 'level' ? 'y' : 'x').low + band.atMm,
    }));

/** How far beyond a region a cutting box reaches, mm. */
const BEYOND_MM = 1000;

/**
 * Lets bands in between the courses of a field. Each goes into the joint of the repeat that lies nearest
 * to where it is wanted; what lies beyond moves on by the band and a joint, so that no course is cut.
 */
export function splitBands(
  ground: Ground,
  repeat: Repeat,
  placement: Placement,
  jointMm: number,
  bands: readonly { readonly band: Band; readonly product: Product }[],
): Banded {
  const whole: Banded['stretches'] = [{ region: ground.region, placement }];
  // Where nothing is tiled there is nothing to part.
  if (ground.region.length === 0) return { stretches: whole, bands: [] };
  let stretches = whole;
  const laid: { band: Band; side: BorderSide }[] = [];
  for (const { band, product } of [...bands].sort((a, b) => a.band.atMm - b.band.atMm)) {
    const k = band.way === 'level' ? 1 : 0;
    const axis = k === 1 ? 'y' : 'x';
    const wide = runSize(product, band.run).acrossMm;
    const wanted = spanOf(ground.limits, axis).low + band.atMm;
    stretches = stretches.flatMap(({ region, placement: own }) => {
      if (region.length === 0) return [];
      const low = nearestJoint(repeat, own, k, jointMm, wanted);
      const box = boxOf(region.flat(2));
      const span = spanOf(box, axis);
      if (low <= span.low || low + wide + 2 * jointMm >= span.high) return [{ region, placement: own }];
      const cut = (from: number, to: number): Polygon[] => intersect(region, [[slab(box, k, from, to)]]);
      const start = low + jointMm;
      const bandRegion = cut(start, start + wide);
      const within = bandRegion.length > 0 ? boxOf(bandRegion.flat(2)) : box;
      // The band's line runs with its field on the left.
      const ends: readonly [Point, Point] =
        k === 1
          ? [
              [within.minX, start],
              [within.maxX, start],
            ]
          : [
              [start + wide, within.minY],
              [start + wide, within.maxY],
            ];
      laid.push({ band, side: { region: bandRegion, from: ends[0], to: ends[1] } });
      const moved: Placement = { ...own, origin: move(own.origin, k, wide + jointMm) };
      return [
        { region: cut(-Infinity, low), placement: own },
        { region: cut(start + wide + jointMm, Infinity), placement: moved },
      ];
    });
  }
  return { stretches, bands: laid };
}

const move = ([x, y]: Point, k: 0 | 1, by: number): Point => (k === 1 ? [x, y + by] : [x + by, y]);

function slab(box: ReturnType<typeof boxOf>, k: 0 | 1, from: number, to: number) {
  const [low, high] = k === 1 ? [box.minY, box.maxY] : [box.minX, box.maxX];
  const start = Math.max(from, low - BEYOND_MM);
  const size = Math.min(to, high + BEYOND_MM) - start;
  return k === 1
    ? rectangleRing(box.minX - BEYOND_MM, start, box.maxX - box.minX + 2 * BEYOND_MM, Math.max(0.001, size))
    : rectangleRing(start, box.minY - BEYOND_MM, Math.max(0.001, size), box.maxY - box.minY + 2 * BEYOND_MM);
}

/** Where a course of the repeat ends, before its joint, nearest to a position; mm. */
export function nearestJoint(repeat: Repeat, { origin }: Pick<Placement, 'origin'>, k: 0 | 1, jointMm: number, wanted: number): number {
  const step = courseStep(repeat, k, jointMm);
  const end = spanOf(unitOf(repeat), k === 1 ? 'y' : 'x').high + origin[k];
  return end + Math.round((wanted - end) / step) * step;
}

/** From one course to the next in a direction, mm: a whole period where courses don't run that way. */
function courseStep(repeat: Repeat, k: 0 | 1, jointMm: number): number {
  const unit = spanOf(unitOf(repeat), k === 1 ? 'y' : 'x');
  const across = repeat.upright ? 0 : 1;
  const [a, b] = repeat.vectors;
  const own = k === across ? Math.abs(b[k]) / repeat.coursesPerCell : Math.abs(a[k]);
  return own > 1 ? own : unit.high - unit.low + jointMm;
}
