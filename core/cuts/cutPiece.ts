import { ON_LINE_MM, TOLERANCE_MM } from '../tolerances.ts';
import { oncePer } from '../oncePer.ts';
import { boxOf, mapPolygon, mapRing, polygonArea, rectangleRing, tidyRing, type Polygon, type Ring } from '../geometry/ring.ts';
import { labelPoint } from '../geometry/labelPoint.ts';
import { cross, distance, motion, subtract, unit, type Point } from '../geometry/point.ts';
import type { RepeatPiece } from '../pattern/repeat.ts';
import { productAt, type Field } from '../setout/fields/field.ts';
import { hasWayUp, productNamed, type Product, type Size } from '../tile/product.ts';
import type { Traced } from '../surface/traceSurface.ts';
import type { Circle } from '../geometry/circleRing.ts';
import type { EdgeRole } from '../surface/edge.ts';
import type { EdgeSummary } from '../setout/edges/edgeCuts.ts';
import { isSliver } from '../setout/choice/sliver.ts';
import { forEachWhole, fromTileFrame, tileRing, toTileFrame, type Address, type CutTile, type Layout } from '../setout/place/layout.ts';
import { MINUTES, type CutKind } from '../tile/cutKinds.ts';
import type { Mark, Side } from './cutKind.ts';
import { chipTool, toolFor, type Tool } from './cutTool.ts';
import { labelOf, type Labels } from './labelPieces.ts';
import type { MarkedCut } from './markCut.ts';
import { markPiece } from './markPiece.ts';
import type { Strip } from './strips/strip.ts';
import { traceCuts } from './traceCuts.ts';

/** One piece that is cut from a tile, with everything that is needed to cut it. */
export interface CutPiece {
  readonly label: string;
  /** The field it lies in, by its place among the fields of the surface. */
  readonly field: number;
  readonly address: Address;
  /** A tile cut to fit, a stone cut to its own size that lies in the open, a chip of a sheet cut through, the part of a sheet, or a strip. */
  readonly of: 'tile' | 'stone' | 'chip' | 'sheet' | 'strip';
  /** Of a strip of skirting or nosing: where it stands, and how it is finished. */
  readonly strip?: Strip;
  /** Of the part of a sheet: what of it no pass cuts. */
  readonly sheet?: { readonly bitten: number; readonly nibbled: number; readonly knife: boolean };
  /** The tile it is cut from. */
  readonly productId: string;
  /** Which of two mirrored shapes the tile is, where it comes in both. */
  readonly hand: 'left' | 'right' | null;
  /** As it lies on the surface, mm. */
  readonly polygon: Polygon;
  /** A position well inside it, for its label, mm. */
  readonly labelAt: Point;
  /** In the tile's own frame: the corner of the tile's box at the origin, mm. */
  readonly inTile: Polygon;
  /** The whole tile in the same frame. */
  readonly tile: Ring;
  /** Whether the tile has a way up, along +y of that frame, that has to be kept. */
  readonly hasWayUp: boolean;
  readonly kind: CutKind;
  readonly marks: readonly Mark[];
  readonly tool: Tool;
  /** Whether a cut edge is left in sight: at an exposed end or a threshold. */
  readonly edgeShows: boolean;
  readonly sizeMm: Size;
  readonly areaMm2: number;
  readonly minutes: number;
  /** Sides of the tile's box that the piece keeps and that meet other tiles. */
  readonly factorySides: readonly Side[];
}

const SHOWN_ROLES: ReadonlySet<EdgeRole> = new Set(['exposed', 'threshold']);

/** What all pieces of a field are described with. */
interface CutContext {
  readonly layout: Layout;
  readonly field: number;
  /** The outline of each piece of the repeat in its tile's frame. */
  readonly tiles: readonly Ring[];
  /** Round fixtures with their clearance, and where tiles end at curved edges, on the surface. */
  readonly circles: readonly Circle[];
  /** The core bits that are at hand, mm. */
  readonly bitsMm: readonly number[] | undefined;
  /** Pieces that were described, by their outline. */
  readonly described: Map<string, Described>;
}

/** Describes every piece that is not whole, field by field, course by course. */
export function describeCuts(
  { traced, fields, edges }: { readonly traced: Traced; readonly fields: readonly Field[]; readonly edges: readonly EdgeSummary[] },
  products: readonly Product[],
  labels: readonly Labels[],
  bitsMm?: readonly number[],
): CutPiece[] {
  const shown = new Set(edges.filter(({ role }) => SHOWN_ROLES.has(role)).flatMap(({ cuts }) => cuts.map((cut) => cut.tile)));
  const circles = [...traced.fixtures.flatMap(({ clearCircle }) => (clearCircle ? [clearCircle] : [])), ...traced.curves];
  return fields.flatMap((field, index) => {
    const { layout } = field;
    const context: CutContext = { layout, field: index, circles, tiles: layout.repeat.pieces.map(tileOf), described: new Map(), bitsMm };
    const stones = cutFromTiles(layout);
    const open = new Set<CutTile>(stones);
    return [...layout.cutTiles, ...stones].flatMap((tile) => {
      const product = productNamed(products, productAt(field, tile));
      // Parts of one tile are told apart from left to right, whatever order they were found in.
      return leftToRight(tile.polygons).map((polygon, part) => {
        const name = labelOf(labels[index], layout, tile) + (tile.polygons.length > 1 ? String.fromCharCode(97 + part) : '');
        const of = layout.repeat.sheet ? 'chip' : open.has(tile) ? 'stone' : 'tile';
        return describePiece({ label: name, of, edgeShows: shown.has(tile) }, tile, polygon, product, context);
      });
    });
  });
}

const leftToRight = (polygons: readonly Polygon[]): readonly Polygon[] =>
  polygons.length === 1
    ? polygons
    : [...polygons].sort(([a], [b]) => {
        const [p, q] = [boxOf(a), boxOf(b)];
        return Math.abs(p.minX - q.minX) > 0.5 ? p.minX - q.minX : p.minY - q.minY;
      });

/** Pieces that no boundary touches, but that are smaller than the tile they come from. */
function cutFromTiles(layout: Layout): CutTile[] {
  const { pieces } = layout.repeat;
  if (pieces.every(({ cutFrom }) => !cutFrom)) return [];
  const found: CutTile[] = [];
  forEachWhole(layout, (address) => {
    if (pieces[address.piece].cutFrom) found.push({ ...address, polygons: [[tileRing(layout, address)]] });
  });
  return found;
}

/** A whole tile in its own frame. */
const tileOf = ({ ring, corner, turnDeg, cutFrom }: RepeatPiece): Ring =>
  cutFrom ? rectangleRing(0, 0, cutFrom.widthMm, cutFrom.heightMm) : tidyRing(mapRing(ring, motion(turnDeg, corner).unturn));

/** How a piece is cut from its tile. */
export type CutInTile = Pick<CutPiece, 'kind' | 'marks' | 'tool' | 'sizeMm' | 'areaMm2' | 'minutes' | 'factorySides' | 'inTile'>;

/** What two pieces of one outline in one tile have in common. */
type Described = CutInTile & {
  /** Where its label goes, in the tile's frame. */
  readonly labelInTile: Point;
};

function describePiece(
  known: Pick<CutPiece, 'label' | 'of' | 'edgeShows'>,
  address: Address,
  polygon: Polygon,
  product: Product,
  context: CutContext,
): CutPiece {
  const { layout, field, tiles, described, bitsMm } = context;
  const outline = tiles[address.piece];
  const onSurface = fromTileFrame(layout, address);
  const near = circlesNear(context.circles, onSurface([0, 0]), outline);
  // A curve is marked by its circle, which lies anew for every piece; stones in the open are whole, and so alike.
  const isAlike = near.length === 0;
  const own = isAlike && known.of === 'stone' ? null : ownOutline(polygon, layout, address);
  const key = `${address.piece} ${product.id} ${known.of} ${own ? textOf(own) : ''}`;
  const same = isAlike ? described.get(key) : undefined;
  const { labelInTile, ...common } =
    same ??
    describeOutline(
      own ?? ownOutline(polygon, layout, address),
      outline,
      { near: inTileFrame(near, layout, address), bitsMm },
      known.of,
      product,
    );
  if (isAlike && !same) described.set(key, { labelInTile, ...common });
  return {
    ...known,
    ...common,
    // A piece of an ashlar is sawn on any side; its edges are dressed.
    factorySides: layout.repeat.pieces[address.piece].cutFrom ? [] : common.factorySides,
    field,
    productId: product.id,
    hand: layout.repeat.pieces[address.piece].hand ?? null,
    polygon,
    tile: outline,
    hasWayUp: known.of !== 'chip' && hasWayUp(product),
    labelAt: onSurface(labelInTile),
    address: { piece: address.piece, i: address.i, j: address.j },
  };
}

/** What is laid of a tile, in the tile's own frame. */
const ownOutline = (polygon: Polygon, layout: Layout, address: Address): Polygon =>
  mapPolygon(polygon, toTileFrame(layout, address)).map(tidyRing);

/** The circles that may run through a tile whose near corner is at a place. */
const circlesNear = (circles: readonly Circle[], corner: Point, outline: Ring): readonly Circle[] =>
  circles.filter(({ centre, radiusMm }) => Math.abs(distance(centre, corner) - radiusMm) < reachOf(outline) + TOLERANCE_MM);

function inTileFrame(circles: readonly Circle[], layout: Layout, address: Address): Circle[] {
  const intoTile = toTileFrame(layout, address);
  return circles.map(({ centre, radiusMm }) => ({ centre: intoTile(centre), radiusMm }));
}

/** How a piece is cut from its tile, both in the tile's frame; `near` are circles that may run through it. */
export function describeOutline(
  inTile: Polygon,
  outline: Ring,
  { near, bitsMm }: { readonly near: readonly Circle[]; readonly bitsMm: readonly number[] | undefined },
  of: CutPiece['of'],
  product: Product,
): Described {
  const around = boxOf(outline);
  const tile = { widthMm: around.maxX - around.minX, heightMm: around.maxY - around.minY };
  const box = boxOf(inTile[0]);
  const sizeMm = { widthMm: box.maxX - box.minX, heightMm: box.maxY - box.minY };
  const cuts = markPiece(inTile, outline, near, bitsMm).map((cut) => asDone(cut, product));
  const kind = kindOf(cuts, sizeMm, of === 'stone' || of === 'strip' ? sizeMm : tile);
  const marks = cuts.map(({ mark }) => mark);
  return {
    inTile,
    labelInTile: labelPoint(inTile),
    kind,
    marks,
    sizeMm,
    tool:
      of === 'chip'
        ? chipTool(kind, product, Math.max(tile.widthMm, tile.heightMm))
        : toolFor(kind, marks, product, Math.min(narrowestPart(marks, tile), depthBeside(inTile, outline))),
    areaMm2: polygonArea(inTile),
    minutes: minutesOf(cuts),
    factorySides: keptSides(inTile, tile),
  };
}

/** Half a hole is ground out: a bit runs off its edge; in glass a bit is the gentler one. */
function asDone(cut: MarkedCut, { material }: Product): MarkedCut {
  const { kind, mark } = cut;
  return kind === 'halfHole' && mark.type === 'circle' && material !== 'glass' ? { ...cut, mark: { ...mark, coreMm: null } } : cut;
}

/** Pieces are one where no corner differs by a thousandth of a millimetre. */
const textOf = (polygon: Polygon): string =>
  polygon.map((ring) => ring.map(([x, y]) => `${Math.round(x * 1000)} ${Math.round(y * 1000)}`).join(' ')).join('|');

/** How far a tile reaches from the corner of its box, mm. */
const reachOf = oncePer((outline: Ring): number => outline.reduce((far, [x, y]) => Math.max(far, Math.hypot(x, y)), 0));

function kindOf(cuts: readonly MarkedCut[], size: Size, tile: Size): CutKind {
  if (cuts.length === 0) return 'straight';
  if (cuts.length > 1) return 'several';
  const [{ kind }] = cuts;
  const narrow = isSliver(size.widthMm, tile.widthMm) || isSliver(size.heightMm, tile.heightMm);
  return kind === 'straight' && narrow ? 'rip' : kind;
}

/** Whether a piece needs more than straight passes from edge to edge. */
export const isShaped = ({ marks }: Pick<CutPiece, 'marks'>): boolean =>
  marks.some(({ type }) => type !== 'line' && type !== 'corner' && type !== 'chord');

const minutesOf = (cuts: readonly MarkedCut[]): number =>
  Math.max(
    1,
    cuts.reduce((sum, { kind }) => sum + MINUTES[kind], 0),
  );

/** The narrowest part on either side of the straight cuts of a piece, mm. */
function narrowestPart(marks: readonly Mark[], tile: Size): number {
  const parts = marks.flatMap((mark) => {
    if (mark.type !== 'line') return [];
    const size = mark.from === 'left' || mark.from === 'right' ? tile.widthMm : tile.heightMm;
    return mark.mm.flatMap((mm) => [mm, size - mm]);
  });
  return parts.length === 0 ? Infinity : Math.min(...parts);
}

/** How far the tile reaches on the narrower side of its straight cuts, measured square to each, mm: tiles of many sides run out to points. */
function depthBeside(inTile: Polygon, outline: Ring): number {
  const depths = traceCuts(inTile, outline)
    .filter(({ points, closed, curved }) => points.length === 2 && !closed && !curved)
    .flatMap(({ points: [from, to] }) => {
      const along = unit(subtract(to, from));
      const offs = outline.map((p) => cross(along, subtract(p, from)));
      return [Math.max(...offs), -Math.min(...offs)];
    });
  return Math.min(Infinity, ...depths);
}

/** Sides of the tile along which the piece keeps its factory edge. */
export function keptSides([outer]: Polygon, { widthMm, heightMm }: Size): Side[] {
  const box = boxOf(outer);
  const sides: readonly [Side, boolean][] = [
    ['left', box.minX < ON_LINE_MM],
    ['right', box.maxX > widthMm - ON_LINE_MM],
    ['bottom', box.minY < ON_LINE_MM],
    ['top', box.maxY > heightMm - ON_LINE_MM],
  ];
  return sides.filter(([, kept]) => kept).map(([side]) => side);
}
