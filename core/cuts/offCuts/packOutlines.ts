import { seededNumbers } from '../../geometry/seededNumbers.ts';
import { ringArea } from '../../geometry/ring.ts';
import { Clearance, placesOf, type OutlinePlace } from './outlinePlaces.ts';
import type { CutRule, PackedTile, PlacedPiece, WantedPiece } from './wanted.ts';

interface Item {
  readonly piece: WantedPiece;
  readonly places: readonly OutlinePlace[];
}

interface Bin {
  readonly placed: readonly { readonly item: Item; readonly place: OutlinePlace }[];
  readonly areaMm2: number;
}

/**
 * Packs pieces by their outlines: each lies where it lies in its own tile, in any turn that brings the
 * outline onto itself, so that its factory edges stay factory edges. A round of improving at a time, as for rectangles.
 */
export function* packOutlines(pieces: readonly WantedPiece[], rule: CutRule): Generator<PackedTile[], never> {
  const keepsOff = new Clearance(rule.kerfMm);
  const items = pieces.map((piece): Item => ({ piece, places: placesOf(piece, rule, keepsOff) }));
  const tileMm2 = Math.abs(ringArea(pieces[0].tile));
  const byArea = (a: Item, b: Item): number => b.piece.areaMm2 - a.piece.areaMm2;
  const surfaces = [...new Set(pieces.map(({ surfaceId }) => surfaceId))];
  // Each surface by what those before it left; all at once only where that opens fewer.
  const inTurn = surfaces.reduce<Bin[]>(
    (bins, id) => packed(bins, items.filter(({ piece }) => piece.surfaceId === id).sort(byArea), tileMm2, keepsOff),
    [],
  );
  const atOnce = surfaces.length > 1 ? packed([], [...items].sort(byArea), tileMm2, keepsOff) : inTurn;
  let best = atOnce.length < inTurn.length ? atOnce : inTurn;
  const next = seededNumbers(SEED);
  for (;;) {
    yield best.map(toPacked);
    const few = Math.min(best.length, 2 + Math.floor(next() * 6));
    const emptied = new Set([...best].sort((a, b) => a.areaMm2 - b.areaMm2).slice(0, Math.ceil(few / 2)));
    while (emptied.size < few) emptied.add(best[Math.floor(next() * best.length)]);
    const kept = best.filter((bin) => !emptied.has(bin));
    const blurred = [...emptied]
      .flatMap(({ placed }) => placed.map(({ item }) => ({ item, by: item.piece.areaMm2 * (0.7 + 0.6 * next()) })))
      .sort((a, b) => b.by - a.by)
      .map(({ item }) => item);
    const again = packed(kept, blurred, tileMm2, keepsOff);
    if (again.length < best.length || (again.length === best.length && worth(again) > worth(best))) best = again;
  }
}

const SEED = 11;

const worth = (bins: readonly Bin[]): number => bins.reduce((sum, { areaMm2 }) => sum + areaMm2 ** 2, 0);

/** Puts each piece into the fullest tile that has its place free, or into one more. */
function packed(bins: readonly Bin[], items: readonly Item[], tileMm2: number, keepsOff: Clearance): Bin[] {
  const all = [...bins];
  for (const item of items) {
    let best: { readonly at: number; readonly place: OutlinePlace } | null = null;
    for (let at = 0; at < all.length; at++) {
      const bin = all[at];
      if (bin.areaMm2 + item.piece.areaMm2 > tileMm2 || (best && bin.areaMm2 <= all[best.at].areaMm2)) continue;
      const place = item.places.find((one) => bin.placed.every((other) => keepsOff.keeps(one, other.place)));
      if (place) best = { at, place };
    }
    if (best) {
      const { placed, areaMm2 } = all[best.at];
      all[best.at] = { placed: [...placed, { item, place: best.place }], areaMm2: areaMm2 + item.piece.areaMm2 };
    } else all.push({ placed: [{ item, place: item.places[0] }], areaMm2: item.piece.areaMm2 });
  }
  return all;
}

const toPacked = ({ placed }: Bin): PackedTile =>
  placed.map(({ item: { piece }, place }): PlacedPiece => ({
    piece,
    outline: place.outline,
    at: [place.box.minX, place.box.minY],
    turnDeg: place.turnDeg,
  }));
