import { difference, intersect } from '../../geometry/clip.ts';
import { LEAST_CUT_MM, WHOLE_SLACK_MM } from '../../geometry/conventions.ts';
import { motion, type Point } from '../../geometry/point.ts';
import { boxOf, mapPolygon, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Band, Border } from '../../pattern/edging.ts';
import { layPattern, type LaidPattern, type Laying } from '../../pattern/laying.ts';
import { fixtureRing, lineOfEdge, placeFixture } from '../../surface/fixture.ts';
import { outlineOf } from '../../surface/shapes/registry.ts';
import type { Measured } from '../../surface/surface.ts';
import type { Product } from '../../tile/product.ts';
import type { Inset } from '../choice/inset.ts';
import type { Field } from './field.ts';
import type { Placement } from '../place/layout.ts';
import { placeRepeat } from '../place/placeRepeat.ts';
import { splitRound } from './splitRound.ts';
import type { Ground } from './ground.ts';
import { layRun, runSize } from './layBorder.ts';
import type { LetIn } from './letIn.ts';
import { letInsOf, splitBands } from './splitBands.ts';
import { splitBorder } from './splitBorder.ts';

/** A field that is ready to be set out: its ground, what is laid, and what lies round it already. */
export interface OpenField {
  readonly ground: Ground;
  readonly laid: LaidPattern;
  /** Borders and insets, which don't move with the setout. */
  readonly fixed: readonly Field[];
  /** What is let in between its courses at a turn, degrees: bands, and joints that are carried through, in order. */
  readonly letIns: (turnDeg: number) => readonly LetIn[];
  /** Whether bands part it. */
  readonly hasBands: boolean;
  /** Whether the field may be set out square to another edge than it is drawn by. */
  readonly mayTurn: boolean;
  /** Lays the field, its bands and what lies beyond them with the repeat's origin somewhere. */
  readonly place: (placement: Placement) => Field[];
}

/** What is chosen for a ground. */
export interface Chosen extends Laying {
  readonly border: Border | null;
  readonly bands: readonly Band[];
}

/** Opens a field on a ground: takes its border off, and lets its bands in wherever the repeat comes to lie. */
export function openField(
  id: string,
  kind: Field['kind'],
  ring: Ring,
  ground: Ground,
  chosen: Chosen,
  products: readonly Product[],
  besideOthers = false,
): OpenField {
  const laid = layPattern(chosen, products);
  const named = (productId: string): Product | undefined => products.find((product) => product.id === productId);
  const edging = chosen.border && named(chosen.border.productId);
  const bordered =
    chosen.border && edging ? splitBorder(ring, ground, chosen.border, runSize(edging, chosen.border.run), chosen.jointMm) : null;
  const fixed =
    bordered && chosen.border && edging
      ? bordered.sides.map((side, k) =>
          layRun(`${id}-border-${k + 1}`, 'border', side, edging, chosen.border?.run ?? 'along', chosen.jointMm),
        )
      : [];
  const within = bordered?.within ?? ground;
  const bands = chosen.bands.flatMap((band) => {
    const product = named(band.productId);
    return product ? [{ band, product }] : [];
  });
  // The gap at a wall gives half a millimetre; the joint to other pieces stays as it is meant.
  const isAlone = fixed.length === 0 && bands.length === 0 && kind === 'main' && !besideOthers;
  const leastCutMm = isAlone ? LEAST_CUT_MM : WHOLE_SLACK_MM;
  const place = (placement: Placement): Field[] => {
    const split = splitBands(within, laid.repeat, placement, chosen.jointMm, bands);
    return [
      ...split.stretches.map(({ region, placement: own }, k) =>
        fieldOf(k === 0 ? id : `${id}-beyond-${k}`, k === 0 ? kind : 'beyondBand', laid, region, own, within.standing, leastCutMm),
      ),
      ...split.bands.map(({ band, side }) => {
        const product = named(band.productId);
        if (!product) throw new Error(`a band names a product the job does not have: ${band.productId}`);
        return layRun(`band-${band.id}`, 'band', side, product, band.run, chosen.jointMm);
      }),
    ];
  };
  return {
    ground: within,
    laid,
    fixed,
    letIns: oncePerTurn((turnDeg) => letInsOf(within, bands, chosen.jointMm, turnDeg)),
    hasBands: bands.length > 0,
    mayTurn: true,
    place,
  };
}

/** The same for the same turn: a search asks again and again. */
function oncePerTurn<Found>(workOut: (turnDeg: number) => Found): (turnDeg: number) => Found {
  let last: { readonly turnDeg: number; readonly found: Found } | null = null;
  return (turnDeg) => {
    if (last?.turnDeg !== turnDeg) last = { turnDeg, found: workOut(turnDeg) };
    return last.found;
  };
}

function fieldOf(
  id: string,
  kind: Field['kind'],
  laid: LaidPattern,
  region: readonly Polygon[],
  placement: Placement,
  standing: readonly Point[],
  leastCutMm: number,
): Field {
  const layout = splitRound(placeRepeat(region, laid.repeat, placement, leastCutMm), standing);
  return { id, kind, laid, layout, box: flatBox(region, placement) };
}

function flatBox(region: readonly Polygon[], { origin, turnDeg }: Placement): Box {
  const { unturn } = motion(turnDeg, origin);
  const points = region.map((polygon) => mapPolygon(polygon, unturn)).flat(2);
  return points.length > 0 ? boxOf(points) : { minX: 0, minY: 0, maxX: 1, maxY: 1 };
}

/** Where an inset lies, and the part of a region that it takes. */
export interface PlacedInset {
  readonly inset: Inset;
  readonly ring: Ring;
  /** With the joint round it; where the tiles of the surface end. */
  readonly clearRing: Ring;
  readonly region: readonly Polygon[];
}

/** Places insets from the edges they are measured from; one whose measures lead nowhere is left out. */
export function placeInsets(insets: readonly Inset[], measured: Measured, region: readonly Polygon[], jointMm: number): PlacedInset[] {
  const { ring, edgeIds } = outlineOf(measured.shape);
  return insets.flatMap((inset): PlacedInset[] => {
    const [a, b] = inset.from.map(({ edge }) => lineOfEdge(ring, edgeIds, edge));
    const place = a && b ? placeFixture(inset, [a, b]) : null;
    if (!place) return [];
    const outline = fixtureRing(inset, place);
    return [{ inset, ring: outline, clearRing: fixtureRing(inset, place, jointMm), region: intersect([[outline]], region) }];
  });
}

/** A region without the insets in it and the joint round each. */
export const withoutInsets = (region: readonly Polygon[], insets: readonly PlacedInset[]): readonly Polygon[] =>
  insets.reduce<readonly Polygon[]>((rest, { clearRing }) => difference(rest, [[clearRing]]), region);
