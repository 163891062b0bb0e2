import type { Memory } from '../../memory.ts';
import { boxOf, boxRing, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Product } from '../../tile/product.ts';
import type { CutPiece } from '../cutPiece.ts';
import type { CutSource } from '../cutSource.ts';
import type { SheetPlan } from '../sheets/planSheets.ts';
import { cutsByKind, keyOf, packedOfKind, planKind, type CutsOfKind, type OffCutRule, type PackedKind, type TileKind } from './planKind.ts';
import type { PackedTile } from './wanted.ts';

/** What is cut on one surface. */
export interface CutsOfSurface {
  readonly surfaceId: string;
  /** What comes out of tiles and sheets, strips among it. */
  readonly fromTiles: readonly CutPiece[];
  readonly sheets: readonly SheetPlan[];
}

/** A piece that is cut from a tile, where it lies in it. */
export interface TileUse {
  readonly surfaceId: string;
  readonly label: string;
  /** In the frame of the tile, mm; turned against how it lies in its own, never flipped. */
  readonly outline: Polygon;
  readonly turnDeg: number;
}

/** A tile that is opened for cuts. */
export interface OpenedTile {
  /** Its number over all surfaces that are planned together, in the order in which they are laid. */
  readonly tile: number;
  readonly productId: string;
  readonly hand: CutPiece['hand'];
  /** The surface for whose piece it is opened. */
  readonly openedFor: string;
  readonly outline: Ring;
  /** The blank it is, by where it comes from; null for a tile that is opened. */
  readonly blank: { readonly id: string; readonly from: string } | null;
  /** What is cut from it, in the order in which it is laid. */
  readonly uses: readonly TileUse[];
}

/** Tiles of one product and hand that are opened for the cuts of one surface. */
export interface TileOpened {
  readonly productId: string;
  readonly hand: CutPiece['hand'];
  readonly openedForCuts: number;
  readonly lowerBound: number;
}

/** Which tiles are opened for the cuts of one surface, and what comes from which. */
export interface OffCutPlan {
  readonly sources: ReadonlyMap<string, CutSource>;
  /** Every tile that a piece of the surface is cut from, opened for it or for one that is laid before. */
  readonly tiles: readonly OpenedTile[];
  readonly openedForCuts: number;
  /** After what was opened for the surfaces before it no plan could need fewer than this many tiles for the cuts. */
  readonly lowerBound: number;
  /** The same for each tile by itself. */
  readonly byTile: readonly TileOpened[];
}

/**
 * Plans which tiles are opened for the cuts of all surfaces, in the order in which they are laid: pieces of every surface
 * that share a tile are packed together. Chips come with their sheets; strips
 * of skirting and nosing are pieces like any other. One plan for each surface, in their order.
 */
export function planOffCuts(
  surfaces: readonly CutsOfSurface[],
  products: readonly Product[],
  rule: OffCutRule,
  memory: Memory,
): OffCutPlan[] {
  const drafts = surfaces.map(() => ({
    sources: new Map<string, CutSource>(),
    tiles: [] as OpenedTile[],
    byTile: [] as TileOpened[],
  }));
  let opened = 0;
  for (const kind of kindsOf(surfaces)) {
    if (isSheet(kind, surfaces)) {
      surfaces.forEach(({ surfaceId, fromTiles, sheets }, k) => {
        const sheet = sheets.find(({ productId }) => productId === kind.productId);
        if (!sheet) return;
        for (const [label, source] of sheetSources(surfaceId, fromTiles, sheet)) drafts[k].sources.set(label, source);
        drafts[k].byTile.push({ ...kind, openedForCuts: sheet.openedForParts, lowerBound: sheet.lowerBound - sheet.wholeSheets });
      });
      continue;
    }
    const { tiles, filled, needed } = planKind(kind, ofKind(kind, surfaces), products, rule, memory);
    const numberedFrom = (start: number, blank: OpenedTile['blank'], outline: Ring | null) => (uses: PackedTile, k: number) => ({
      ...kind,
      tile: start + k + 1,
      openedFor: uses[0].piece.surfaceId,
      outline: outline ?? uses[0].piece.tile,
      blank,
      uses: uses.map(({ piece, outline: own, turnDeg }) => ({ surfaceId: piece.surfaceId, label: piece.label, outline: own, turnDeg })),
    });
    const numbered: OpenedTile[] = [
      ...tiles.map(numberedFrom(opened, null, null)),
      ...filled.map(({ blank: { id, from }, box, placed }, k) =>
        numberedFrom(opened + tiles.length, { id, from }, boxRing(box))(placed, k),
      ),
    ];
    opened += numbered.length;
    let before = 0;
    surfaces.forEach(({ surfaceId }, k) => {
      const least = needed.get(surfaceId);
      if (least === undefined) return;
      const openedForCuts = numbered.filter(({ openedFor, blank }) => openedFor === surfaceId && blank === null).length;
      drafts[k].byTile.push({ ...kind, openedForCuts, lowerBound: Math.max(0, least - before) });
      before += openedForCuts;
      for (const tile of numbered) if (tile.uses.some((use) => use.surfaceId === surfaceId)) drafts[k].tiles.push(tile);
    });
    for (const tile of numbered) tell(tile, surfaces, drafts);
  }
  return drafts.map((draft) => ({
    ...draft,
    openedForCuts: draft.byTile.reduce((sum, { openedForCuts }) => sum + openedForCuts, 0),
    lowerBound: draft.byTile.reduce((sum, { lowerBound }) => sum + lowerBound, 0),
  }));
}

/** What of every surface is cut from one kind of tile; surfaces without any left out. */
const ofKind = (kind: TileKind, surfaces: readonly CutsOfSurface[]): CutsOfKind[] =>
  surfaces.flatMap(({ surfaceId, fromTiles }) => {
    const own = cutsByKind(fromTiles).get(keyOf(kind));
    return own ? [{ surfaceId, cuts: own }] : [];
  });

/** What is packed for each kind of tile that is no sheet, where off-cuts are kept. */
export function packedFor(surfaces: readonly CutsOfSurface[], products: readonly Product[], rule: OffCutRule): PackedKind[] {
  if (!rule.offCutsKept) return [];
  return kindsOf(surfaces)
    .filter((kind) => !isSheet(kind, surfaces))
    .map((kind) => packedOfKind(kind, ofKind(kind, surfaces), products, rule))
    .filter(({ pieces }) => pieces.length > 0);
}

const isSheet = ({ productId }: TileKind, surfaces: readonly CutsOfSurface[]): boolean =>
  surfaces.some(({ sheets }) => sheets.some((sheet) => sheet.productId === productId));

/** Tells every piece of a tile where it comes from. */
function tell(
  { tile, uses, blank }: OpenedTile,
  surfaces: readonly CutsOfSurface[],
  drafts: readonly { readonly sources: Map<string, CutSource> }[],
): void {
  uses.forEach(({ surfaceId, label, outline, turnDeg }, k) => {
    const { minX, minY } = boxOf(outline[0]);
    const draft = drafts[surfaces.findIndex((surface) => surface.surfaceId === surfaceId)];
    const before = k === 0 ? null : uses[k - 1];
    draft.sources.set(label, {
      tile,
      offCutOf: before?.label ?? null,
      ofSurface: before?.surfaceId ?? null,
      at: [minX, minY],
      turnDeg,
      ...(blank ? { blank: blank.from } : {}),
    });
  });
}

/** Every kind of tile that is cut, or whose sheets are parted, in the order in which it is met. */
function kindsOf(surfaces: readonly CutsOfSurface[]): TileKind[] {
  const found = new Map<string, TileKind>();
  const meet = ({ productId, hand }: TileKind): void => {
    if (!found.has(keyOf({ productId, hand }))) found.set(keyOf({ productId, hand }), { productId, hand });
  };
  for (const { fromTiles, sheets } of surfaces) {
    for (const [first] of cutsByKind(fromTiles).values()) meet(first);
    for (const { productId } of sheets) meet({ productId, hand: null });
  }
  return [...found.values()];
}

/** Every part comes out of a sheet or the rest of one, and every cut chip off the sheet its part is taken from. */
function sheetSources(surfaceId: string, pieces: readonly CutPiece[], { parts }: SheetPlan): (readonly [string, CutSource])[] {
  const ofParts = parts.map(({ label, sheet, restOf, turnDeg }): readonly [string, CutSource] => [
    label,
    { tile: sheet, offCutOf: restOf, ofSurface: restOf === null ? null : surfaceId, at: [0, 0], turnDeg, isSheet: true },
  ]);
  const ofChips = pieces.flatMap(({ label, field, address, inTile }): (readonly [string, CutSource])[] => {
    const part = parts.find((other) => other.field === field && other.i === address.i && other.j === address.j);
    const { minX, minY } = boxOf(inTile[0]);
    return part ? [[label, { tile: part.sheet, offCutOf: null, ofSurface: null, at: [minX, minY], turnDeg: 0 }]] : [];
  });
  return [...ofParts, ...ofChips];
}
