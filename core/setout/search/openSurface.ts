import type { Product } from '../../tile/product.ts';
import type { Measured, SurfaceKind } from '../../surface/surface.ts';
import type { Point } from '../../geometry/point.ts';
import { circleRing } from '../../geometry/circleRing.ts';
import { isInside, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Border } from '../../pattern/edging.ts';
import { traceSurface, type Traced } from '../../surface/traceSurface.ts';
import type { Inset } from '../choice/inset.ts';
import { chooseSetout } from './chooseSetout.ts';
import { Placer } from './placer.ts';
import type { Field } from '../fields/field.ts';
import { groundOf, groundWithin, type Ground } from '../fields/ground.ts';
import { runSize } from '../fields/layBorder.ts';
import { splitBorder } from '../fields/splitBorder.ts';
import { openField, placeInsets, withoutInsets, type Chosen, type OpenField, type PlacedInset } from '../fields/placeFields.ts';

/** What is chosen for a whole surface. */
interface ChosenSurface extends Chosen {
  readonly kind: SurfaceKind;
  readonly measured: Measured;
  readonly insets: readonly Inset[];
}

/** Where a surface's tiles may lie before anything is set in, and where its insets come to lie. */
export function fieldsOf(surface: Pick<ChosenSurface, 'insets' | 'measured' | 'jointMm'>): {
  readonly region: readonly Polygon[];
  readonly ring: Ring;
  readonly insets: readonly PlacedInset[];
} {
  const { region, frame } = traceSurface(surface.measured);
  return { region, ring: frame, insets: placeInsets(surface.insets, surface.measured, region, surface.jointMm) };
}

const NOTHING_IN_IT = { beside: [], standing: [], rounds: [], middles: [], carried: [] } as const;

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
  const whole = groundOf(traced, surface.kind);
  const insets = placeInsets(surface.insets, surface.measured, whole.region, surface.jointMm);
  const ground = insets.length === 0 ? whole : beyondInsets(whole, insets);
  const main = openField('main', 'main', traced.frame, ground, surface, products, insets.length > 0);
  // Courses of a wall are level; bands run with the surface.
  const mayTurn = surface.kind !== 'wall' && surface.bands.length === 0;
  return { ...main, mayTurn, fixed: [...main.fixed, ...insets.flatMap((placed) => layInset(placed, whole.standing, products))] };
}

/** What is left of a ground round some insets: what comes through one of them comes through no tile of its own. */
function beyondInsets(whole: Ground, insets: readonly PlacedInset[]): Ground {
  const region = withoutInsets(whole.region, insets);
  const rounds = whole.rounds.filter(({ centre, radiusMm }) => circleRing(centre, radiusMm + BESIDE_MM).some((p) => isInside(p, region)));
  return { ...whole, region, rounds };
}

/** A tile lies beside something round where it is this near, mm. */
const BESIDE_MM = 1;

/** Sets an inset out within its own outline. */
function layInset({ inset, ring, region }: PlacedInset, standing: readonly Point[], products: readonly Product[]): Field[] {
  const ground = groundWithin(ring, region, { ...NOTHING_IN_IT, standing }, (k) => ({ id: `${inset.id}-${k}`, role: 'wall' }));
  const open = openField(inset.id, 'inset', ring, ground, { ...inset, bands: [] }, products);
  const placer = new Placer(open);
  return [...placer.lay(chooseSetout(placer, inset.setout).best).fields, ...open.fixed];
}
