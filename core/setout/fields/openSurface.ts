import type { Product } from '../../tile/product.ts';
import type { Measured } from '../../surface/surface.ts';
import type { Point } from '../../geometry/point.ts';
import type { Polygon, Ring } from '../../geometry/ring.ts';
import type { Border } from '../../pattern/edging.ts';
import { traceSurface, type Traced } from '../../surface/traceSurface.ts';
import type { Area } from './area.ts';
import { candidatePlacer, chooseSetout } from '../weigh/chooseSetout.ts';
import type { Field } from './field.ts';
import { groundOf, groundWithin } from './ground.ts';
import { runSize } from './layBorder.ts';
import { splitBorder } from './splitBorder.ts';
import { openField, placeAreas, withoutAreas, type Chosen, type OpenField, type PlacedArea } from './placeFields.ts';

/** What is chosen for a whole surface. */
interface ChosenSurface extends Chosen {
  readonly measured: Measured;
  readonly areas: readonly Area[];
}

/** Where a surface's tiles may lie before anything is set in, and where its insets come to lie. */
export function fieldsOf(surface: Pick<ChosenSurface, 'areas' | 'measured' | 'jointMm'>): {
  readonly region: readonly Polygon[];
  readonly ring: Ring;
  readonly areas: readonly PlacedArea[];
} {
  const { region, frame } = traceSurface(surface.measured);
  return { region, ring: frame, areas: placeAreas(surface.areas, surface.measured, region, surface.jointMm) };
}

const NOTHING_IN_IT = { beside: [], standing: [] } as const;

/** Whether a border goes round within an outline. */
export function hasRoomForBorder(
  ring: Ring,
  region: readonly Polygon[],
  border: Border,
  products: readonly Product[],
  jointMm: number,
): boolean {
  const product = products.find(({ id }) => id === border.productId);
  const ground = groundWithin(ring, region, NOTHING_IN_IT, (k) => ({ id: String(k), role: 'wall' }));
  return product !== undefined && splitBorder(ring, ground, border, runSize(product, border.run), jointMm) !== null;
}

/** Opens the main field of a surface; its insets are set out each for itself. */
export function openSurface(surface: ChosenSurface, traced: Traced, products: readonly Product[]): OpenField {
  const whole = groundOf(traced);
  const areas = placeAreas(surface.areas, surface.measured, whole.region, surface.jointMm);
  const ground = areas.length === 0 ? whole : { ...whole, region: withoutAreas(whole.region, areas) };
  const main = openField('main', 'main', traced.frame, ground, surface, products);
  return { ...main, fixed: [...main.fixed, ...areas.flatMap((placed) => layArea(placed, whole.standing, products))] };
}

/** Sets an inset out within its own outline. */
function layArea({ area, ring, region }: PlacedArea, standing: readonly Point[], products: readonly Product[]): Field[] {
  const ground = groundWithin(ring, region, { beside: [], standing }, (k) => ({ id: `${area.id}-${k}`, role: 'wall' }));
  const open = openField(area.id, 'area', ring, ground, { ...area, bands: [] }, products);
  const place = candidatePlacer(open);
  return [...place.lay(chooseSetout(place, area.setout)).fields, ...open.fixed];
}
