import { actualSize, type Product } from '../tile/product.ts';
import { boxOf, type Box } from '../geometry/ring.ts';
import { BRIDGE_MM } from '../setout/choice/leg.ts';
import type { Mark } from './cutKind.ts';
import type { CutPiece } from './cutPiece.ts';
import { narrowestSnapMm } from './cutTool.ts';
import { bridgeOf } from './legs.ts';

/** Things to mind at a cut, in the order in which they come up. */
export const CUT_CARES = [
  'shave',
  'tiny',
  'nearEdge',
  'bitten',
  'nibbled',
  'parted',
  'taped',
  'glass',
  'long',
  'narrow',
  'corners',
  'relief',
  'core',
  'half',
  'curve',
  'wayUp',
  'dress',
] as const;

/** Cares that a hand can hardly meet: the cut is named as a hard one, with what to do instead. */
export const HARDLY_DONE: ReadonlySet<CutCare> = new Set(['shave', 'tiny', 'nearEdge']);

/** A thing to mind at a cut. */
export type CutCare = (typeof CUT_CARES)[number];

/** Tiles longer than this bend and break when one hand holds them at the saw, mm (trade practice). */
const LONG_MM = 800;

/** Less than this nobody snaps or saws off a tile well, mm (trade practice). */
const SHAVE_MM = 3;

/** A piece smaller than this both ways is held by nobody, nor is a strip thinner than that, mm. */
const TINY_MM = 15;
const THREAD_MM = 5;

/** How much a straight cut takes off the tile where it takes most, mm; Infinity for other cuts. */
function takenOff(mark: Mark, box: Box): number {
  if (mark.type !== 'line') return Infinity;
  const size = mark.from === 'left' || mark.from === 'right' ? box.maxX - box.minX : box.maxY - box.minY;
  return size - Math.min(...mark.mm);
}

/** What a piece loses by a cut that hardly takes anything off, mm; null where none does. */
export function shavedMm({ of, marks, tile }: Pick<CutPiece, 'of' | 'marks' | 'tile'>): number | null {
  const box = boxOf(tile);
  const least = Math.min(Infinity, ...marks.map((mark) => takenOff(mark, box)));
  return of === 'tile' && least < SHAVE_MM ? least : null;
}

/** What no cutter's or saw's limits hold for. */
const BITES: ReadonlySet<CutPiece['tool']> = new Set(['nippers', 'knife']);

/** What to mind when a piece is cut, from its marks and its tile (trade practice). */
export function caresOf(piece: CutPiece, product: Product): CutCare[] {
  const { kind, marks, sizeMm, edgeShows, hasWayUp, of, tool } = piece;
  const types = new Set(marks.map(({ type }) => type));
  const { widthMm, heightMm } = actualSize(product);
  const [short, long] = [Math.min(sizeMm.widthMm, sizeMm.heightMm), Math.max(sizeMm.widthMm, sizeMm.heightMm)];
  const holds: Readonly<Record<CutCare, boolean>> = {
    shave: shavedMm(piece) !== null,
    tiny: of === 'tile' && (long < TINY_MM || short < THREAD_MM),
    nearEdge: of !== 'sheet' && (bridgeOf(piece) ?? Infinity) < BRIDGE_MM,
    bitten: (piece.sheet?.bitten ?? 0) > 0,
    nibbled: (piece.sheet?.nibbled ?? 0) > 0,
    parted: piece.sheet?.knife ?? false,
    taped: of === 'sheet' && marks.length > 0,
    glass: product.material === 'glass',
    long: of === 'tile' && Math.max(widthMm, heightMm) > LONG_MM,
    narrow: !BITES.has(tool) && Math.min(sizeMm.widthMm, sizeMm.heightMm) < narrowestSnapMm(product.thicknessMm),
    corners: !BITES.has(tool) && (types.has('notch') || types.has('slot') || types.has('window')),
    relief: types.has('slot') || types.has('bite'),
    core: marks.some((mark) => mark.type === 'circle' && mark.coreMm !== null),
    half: types.has('bite') || kind === 'halfHole',
    curve: types.has('path'),
    wayUp: hasWayUp,
    dress: edgeShows,
  };
  return CUT_CARES.filter((care) => holds[care]);
}
