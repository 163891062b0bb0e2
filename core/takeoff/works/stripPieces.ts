import { labelPoint } from '../../geometry/labelPoint.ts';
import { cross, distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { rectangleRing } from '../../geometry/ring.ts';
import { describeOutline, type CutInTile, type CutPiece } from '../../cuts/cutPiece.ts';
import { partRun } from '../../cuts/strips/packLengths.ts';
import type { StripEnd, StripPurpose } from '../../cuts/strips/strip.ts';
import { stripSide, type StripRule } from '../../cuts/strips/tileStrips.ts';
import type { Field } from '../../setout/fields/field.ts';
import type { Edge } from '../../surface/edge.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import { actualSize, type Product } from '../../tile/product.ts';
import type { Consumption } from '../consumption.ts';
import { stretchesOf } from './freeRuns.ts';
import { jointsAlong } from './jointsAlong.ts';
import { stripRuns, type StripRun } from './stripRuns.ts';
import { trimRuns, type Trim } from './trims.ts';

/** Adhesive behind a strip, combed with a small notch and pressed, mm (trade practice). */
const BED_MM = 3;

/** What strips are for, by the trim that asks for them, and the letters that their labels begin with. */
const PURPOSES = [
  { purpose: 'skirting', trim: 'skirtingTile', letters: 'SK' },
  { purpose: 'nosing', trim: 'nosingTile', letters: 'NS' },
] as const satisfies readonly { readonly purpose: StripPurpose; readonly trim: Trim; readonly letters: string }[];

/** A surface that strips stand beside. */
export interface StrippedSurface {
  readonly traced: Traced;
  readonly fields: readonly Field[];
  readonly jointMm: number;
  readonly trims?: Readonly<Record<string, Trim>> | undefined;
  readonly product: Product;
}

/** What of the figures of use strips are cut by. */
export type StripUse = Pick<Consumption, 'kerfMm' | 'skirtingMm' | 'nosingMm' | 'stripEdge' | 'stripJoints'>;

/**
 * Strips of skirting and nosing cut from the tile of a surface, edge by edge: pieces like any other, with their label, their
 * marks and their tool. They lie beside the surface as if what they stand on were folded flat. None of a tile that is no
 * rectangle, or narrower than the strip.
 */
export function stripPieces(surface: StrippedSurface, use: StripUse): CutPiece[] {
  const { traced, jointMm, trims, product } = surface;
  if (product.shape.kind !== 'rectangle') return [];
  const all = trimRuns(traced, trims);
  const size = actualSize(product);
  return PURPOSES.flatMap(({ purpose, trim, letters }) => {
    const rule: StripRule = {
      widthMm: purpose === 'skirting' ? use.skirtingMm : use.nosingMm,
      kerfMm: use.kerfMm,
      factoryEdge: use.stripEdge === 'factory',
    };
    const side = stripSide(size, rule);
    if (side === null) return [];
    const tileMm = side === 'width' ? size.widthMm : size.heightMm;
    const own = all.filter((run) => run.trim === trim);
    const runs = stripRuns(traced, own, { depthMm: product.thicknessMm + BED_MM, jointMm });
    const describe = describer(product, rule, side);
    return runs
      .flatMap((run) => standingAlong(run, surface, tileMm, use.stripJoints))
      .map((standing, k) => ({
        ...describe(standing.toMm - standing.fromMm),
        ...placed(standing, traced.edges, { purpose, rule }),
        label: `${letters}-${k + 1}`,
        address: { piece: 0, i: k, j: 0 },
        productId: product.id,
        tile: rectangleRing(0, 0, size.widthMm, size.heightMm),
      }));
  });
}

/** A piece of a run: from where to where it reaches along its edge, mm, and its ends there. */
interface Standing {
  readonly edgeId: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly ends: readonly [StripEnd, StripEnd];
}

const BUTTS: StripEnd = { kind: 'butts' };

/** The pieces of a run: parted at the joints that are carried on, and where the tile is shorter. */
function standingAlong(
  run: StripRun,
  surface: Pick<StrippedSurface, 'traced' | 'fields' | 'jointMm'>,
  tileMm: number,
  how: StripUse['stripJoints'],
): Standing[] {
  const { traced, jointMm } = surface;
  const most = Math.min(tileMm, longestOn(stretchesOf(traced.edges, run.edgeId)));
  const spans = parted(run, jointsOf(run, surface, tileMm, how), jointMm).flatMap((span) => shortened(span, most, jointMm));
  return spans.map(([fromMm, toMm], k) => ({
    edgeId: run.edgeId,
    fromMm,
    toMm,
    ends: [k === 0 ? run.ends[0] : BUTTS, k === spans.length - 1 ? run.ends[1] : BUTTS],
  }));
}

/** Where a piece stands, and what it is. */
function placed(
  { edgeId, fromMm, toMm, ends: [start, end] }: Standing,
  edges: readonly Edge[],
  { purpose, rule: { widthMm, factoryEdge } }: { readonly purpose: StripPurpose; readonly rule: StripRule },
): Pick<CutPiece, 'of' | 'strip' | 'field' | 'hand' | 'polygon' | 'labelAt' | 'hasWayUp' | 'edgeShows'> {
  const stretches = stretchesOf(edges, edgeId);
  const foot = [fromMm, toMm].map((mm) => pointAlong(stretches, mm));
  const [dx, dy] = outward(stretches, (fromMm + toMm) / 2, widthMm);
  const polygon = [[...foot.map(([x, y]): Point => [x + dx, y + dy]), ...foot.toReversed()]];
  return {
    of: 'strip',
    // Before a wall one has the start of its edge at the right: the surface lies to the left of its edges.
    strip: { purpose, edgeId, alongMm: fromMm, lengthMm: toMm - fromMm, widthMm, ends: [end, start], isFactory: factoryEdge },
    field: 0,
    hand: null,
    polygon,
    labelAt: labelPoint(polygon),
    // A strip is no longer told which way its tile lay.
    hasWayUp: false,
    edgeShows: !factoryEdge,
  };
}

/** Joints nearer to each other in the mean than this share of a tile are not carried on: the strips would be crumbs. */
const LEAST_CARRIED = 0.5;

/** Where the joints of a run stand, mm along its edge. */
function jointsOf(
  { edgeId, fromMm, toMm }: StripRun,
  { traced, fields, jointMm }: Pick<StrippedSurface, 'traced' | 'fields' | 'jointMm'>,
  tileMm: number,
  how: StripUse['stripJoints'],
): number[] {
  // Stones cut to sizes of their own have no joints that a strip could carry on.
  const areRandom = fields.some(({ layout }) => layout.repeat.pieces.some(({ cutFrom }) => cutFrom !== undefined));
  if (how === 'longest' || areRandom) return [];
  const carried = jointsAlong(fields, stretchesOf(traced.edges, edgeId), [fromMm, toMm], jointMm);
  if (toMm - fromMm < LEAST_CARRIED * tileMm * carried.length) return [];
  if (how !== 'byHalf' || carried.length < 2) return carried;
  const halves = carried.slice(1).map((mm, k) => (mm + carried[k]) / 2);
  // Before the first joint and after the last the same step is gone on.
  const step = carried[1] - carried[0];
  const lastStep = carried[carried.length - 1] - carried[carried.length - 2];
  const [first, last] = [carried[0] - step / 2, carried[carried.length - 1] + lastStep / 2];
  return [...(first > fromMm + step / 4 ? [first] : []), ...halves, ...(last < toMm - lastStep / 4 ? [last] : [])];
}

/** A run parted at its joints: from where to where each piece reaches, mm along the edge. */
function parted({ fromMm, toMm }: StripRun, joints: readonly number[], jointMm: number): (readonly [number, number])[] {
  const cuts = [fromMm, ...joints, toMm];
  return cuts.slice(1).map((cut, k) => [cuts[k] + (k === 0 ? 0 : jointMm / 2), cut - (k === joints.length ? 0 : jointMm / 2)] as const);
}

/** A span that is longer than the tile in pieces with joints between them. */
function shortened([from, to]: readonly [number, number], tileMm: number, jointMm: number): (readonly [number, number])[] {
  let at = from;
  return partRun(to - from + jointMm, tileMm + jointMm).map((mm) => {
    const start = at;
    at += mm;
    return [start, at - jointMm] as const;
  });
}

/** A straight strip stands off a bend by no more in its middle, mm: what the adhesive takes up. */
const OFF_BEND_MM = 1.5;

/** How long a straight strip may be on an edge, by the circle that its bends come to, mm. */
function longestOn(stretches: ReturnType<typeof stretchesOf>): number {
  const ways = stretches.map(({ edge }) => unit(subtract(edge.to, edge.from)));
  const turned = ways.slice(1).reduce((sum, way, k) => sum + Math.abs(Math.atan2(cross(ways[k], way), dot(ways[k], way))), 0);
  const length = stretches.reduce((sum, { edge }) => sum + distance(edge.from, edge.to), 0);
  return turned < STRAIGHT ? Infinity : Math.sqrt((8 * OFF_BEND_MM * length) / turned);
}

/** An edge whose stretches turn by less in all is straight, radians. */
const STRAIGHT = 0.01;

/** How a strip of a length is cut from its tile; worked out once for each length. */
function describer(product: Product, { widthMm, factoryEdge }: StripRule, along: 'width' | 'height'): (lengthMm: number) => CutInTile {
  const size = actualSize(product);
  const outline = rectangleRing(0, 0, size.widthMm, size.heightMm);
  const known = new Map<number, CutInTile>();
  return (lengthMm) => {
    const same = known.get(lengthMm);
    if (same) return same;
    // An edge of the factory is kept along the top of the tile, or along its left side.
    const inTile =
      along === 'width'
        ? [rectangleRing(0, factoryEdge ? size.heightMm - widthMm : 0, lengthMm, widthMm)]
        : [rectangleRing(0, 0, widthMm, lengthMm)];
    const { kind, marks, tool, sizeMm, areaMm2, minutes } = describeOutline(
      inTile,
      outline,
      { near: [], bitsMm: undefined },
      'strip',
      product,
    );
    const own: CutInTile = {
      inTile,
      kind,
      marks,
      tool,
      sizeMm,
      areaMm2,
      minutes,
      factorySides: factoryEdge ? [along === 'width' ? 'top' : 'left'] : [],
    };
    known.set(lengthMm, own);
    return own;
  };
}

/** The stretch of an edge that a place along it lies on; the first or the last beyond its ends. */
function stretchAt(stretches: ReturnType<typeof stretchesOf>, mm: number): { readonly edge: Edge; readonly startMm: number } {
  return stretches.findLast(({ startMm }) => startMm <= mm) ?? stretches[0];
}

function pointAlong(stretches: ReturnType<typeof stretchesOf>, mm: number): Point {
  const { edge, startMm } = stretchAt(stretches, mm);
  const share = (mm - startMm) / distance(edge.from, edge.to);
  return [edge.from[0] + (edge.to[0] - edge.from[0]) * share, edge.from[1] + (edge.to[1] - edge.from[1]) * share];
}

/** From the edge away from the surface. */
function outward(stretches: ReturnType<typeof stretchesOf>, mm: number, byMm: number): Point {
  const { edge } = stretchAt(stretches, mm);
  const [x, y] = unit(subtract(edge.to, edge.from));
  return [y * byMm, -x * byMm];
}
