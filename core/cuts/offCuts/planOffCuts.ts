import { boxOf, boxRing, type Polygon, type Ring } from '../../geometry/ring.ts';
import { hasWayUp, productNamed, type Product } from '../../tile/product.ts';
import type { CutPiece } from '../cutPiece.ts';
import type { CutSource } from '../cutSource.ts';
import type { SheetPlan } from '../sheets/planSheets.ts';
import type { Blank } from './blank.ts';
import { leastTiles } from './bounds.ts';
import { fillBlanks, type FilledBlank } from './fillBlanks.ts';
import { packAll } from './packTiles.ts';
import { wantedFrom, type CutRule, type PackedTile, type WantedPiece } from './wanted.ts';

/** What is cut on one surface. */
export interface CutsOfSurface {
  readonly surfaceId: string;
  readonly cuts: readonly CutPiece[];
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

/** What a plan of off-cuts keeps to. */
export interface OffCutRule {
  readonly kerfMm: number;
  readonly offCutsKept: boolean;
  /** Rounds of improving where they are more than the usual. */
  readonly offCutRounds?: number;
  /** Pieces of tile that are there already; none where left out. */
  readonly blanks?: readonly Blank[] | undefined;
}

/** One kind of tile as it lies in a box: pieces of another hand never come from it. */
interface TileKind {
  readonly productId: string;
  readonly hand: CutPiece['hand'];
}

const keyOf = ({ productId, hand }: TileKind): string => `${hand ?? ''}/${productId}`;

/**
 * Plans which tiles are opened for the cuts of all surfaces, in the order in which they are laid: pieces of every surface
 * that share a tile are packed together. Chips come with their sheets. One plan for each surface, in their order.
 */
export function planOffCuts(surfaces: readonly CutsOfSurface[], products: readonly Product[], rule: OffCutRule): OffCutPlan[] {
  const drafts = surfaces.map(() => ({
    sources: new Map<string, CutSource>(),
    tiles: [] as OpenedTile[],
    byTile: [] as TileOpened[],
  }));
  let opened = 0;
  for (const kind of kindsOf(surfaces)) {
    if (isSheet(kind, surfaces)) {
      surfaces.forEach(({ cuts, sheets }, k) => {
        const sheet = sheets.find(({ productId }) => productId === kind.productId);
        if (!sheet) return;
        for (const [label, source] of chipSources(cuts, sheet)) drafts[k].sources.set(label, { ...source, tile: source.tile + opened });
        opened += sheet.openedForParts;
        drafts[k].byTile.push({ ...kind, openedForCuts: sheet.openedForParts, lowerBound: sheet.lowerBound - sheet.wholeSheets });
      });
      continue;
    }
    const { wanted, all, blanks, filled, rest, cutRule } = askedFor(kind, surfaces, products, rule);
    const packing = rule.offCutsKept ? packAll(rest, cutRule, rule.offCutRounds) : { tiles: rest.map(inOwnTile), lowerBound: rest.length };
    const tiles = inLaidOrder(packing.tiles, all);
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
        numberedFrom(opened + tiles.length, { id, from }, boxRing(box))(inLaidOrder([placed], all)[0], k),
      ),
    ];
    opened += numbered.length;
    let [before, pieces] = [0, 0];
    surfaces.forEach(({ surfaceId }, k) => {
      if (wanted[k].length === 0) return;
      const openedForCuts = numbered.filter(({ openedFor, blank }) => openedFor === surfaceId && blank === null).length;
      pieces += wanted[k].length;
      const isLast = pieces === all.length;
      // What is there already may stand in for as many tiles as it has pieces.
      const instead = blanks.reduce((sum, blank) => sum + blank.pieces, 0);
      const least =
        isLast && filled.length === 0 ? packing.lowerBound : rule.offCutsKept ? leastTiles(all.slice(0, pieces), cutRule) : pieces;
      const needed = Math.max(0, least - instead);
      drafts[k].byTile.push({ ...kind, openedForCuts, lowerBound: Math.max(0, needed - before) });
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

/** What is to be cut from one kind of tile. */
interface Asked {
  /** The pieces of each surface, and of all in their order. */
  readonly wanted: readonly (readonly WantedPiece[])[];
  readonly all: readonly WantedPiece[];
  readonly blanks: readonly Blank[];
  readonly filled: readonly FilledBlank[];
  /** What does not come from a blank. */
  readonly rest: readonly WantedPiece[];
  readonly cutRule: CutRule;
}

function askedFor(kind: TileKind, surfaces: readonly CutsOfSurface[], products: readonly Product[], rule: OffCutRule): Asked {
  const wanted = surfaces.map(({ surfaceId, cuts }) =>
    cuts.filter((piece) => keyOf(piece) === keyOf(kind)).map((piece) => wantedFrom(surfaceId, piece)),
  );
  const cutRule: CutRule = { kerfMm: rule.kerfMm, directional: hasWayUp(productNamed(products, kind.productId)) };
  const all = wanted.flat();
  const blanks = kind.hand === null ? (rule.blanks ?? []).filter(({ productId }) => productId === kind.productId) : [];
  const filled = fillBlanks(all, blanks, cutRule);
  const fromBlanks = new Set(filled.flatMap(({ placed }) => placed.map(({ piece }) => piece)));
  return { wanted, all, blanks, filled, rest: all.filter((piece) => !fromBlanks.has(piece)), cutRule };
}

/** What is packed for each kind of tile that is no sheet, where off-cuts are kept. */
export function packedFor(
  surfaces: readonly CutsOfSurface[],
  products: readonly Product[],
  rule: OffCutRule,
): { readonly pieces: readonly WantedPiece[]; readonly cutRule: CutRule }[] {
  if (!rule.offCutsKept) return [];
  return kindsOf(surfaces).flatMap((kind) => {
    if (isSheet(kind, surfaces)) return [];
    const { rest: pieces, cutRule } = askedFor(kind, surfaces, products, rule);
    return pieces.length === 0 ? [] : [{ pieces, cutRule }];
  });
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
  for (const { cuts, sheets } of surfaces)
    for (const { productId, hand } of [...cuts, ...sheets.map((sheet) => ({ productId: sheet.productId, hand: null }))])
      if (!found.has(keyOf({ productId, hand }))) found.set(keyOf({ productId, hand }), { productId, hand });
  return [...found.values()];
}

const inOwnTile = (piece: WantedPiece): PackedTile => {
  const { minX, minY } = boxOf(piece.outline[0]);
  return [{ piece, outline: piece.outline, at: [minX, minY], turnDeg: 0 }];
};

/** Tiles in the order in which their first piece is laid, and the pieces of each in theirs. */
function inLaidOrder(tiles: readonly PackedTile[], pieces: readonly WantedPiece[]): PackedTile[] {
  const place = new Map(pieces.map((piece, k) => [piece, k]));
  const at = ({ piece }: PackedTile[number]): number => place.get(piece) ?? 0;
  const sorted = tiles.map((uses) => [...uses].sort((a, b) => at(a) - at(b)));
  return sorted.sort((a, b) => at(a[0]) - at(b[0]));
}

/** Every cut chip comes off the sheet its part is taken from. */
function chipSources(pieces: readonly CutPiece[], { parts }: SheetPlan): (readonly [string, CutSource])[] {
  return pieces.flatMap(({ label, field, address, inTile }): (readonly [string, CutSource])[] => {
    const part = parts.find((other) => other.field === field && other.i === address.i && other.j === address.j);
    const { minX, minY } = boxOf(inTile[0]);
    return part ? [[label, { tile: part.sheet, offCutOf: null, ofSurface: null, at: [minX, minY], turnDeg: 0 }]] : [];
  });
}
