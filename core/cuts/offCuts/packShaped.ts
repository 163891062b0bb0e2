import { packOutlines } from './packOutlines.ts';
import { itemOf, packItems } from './packRectangles.ts';
import { passesOf } from './passesOf.ts';
import type { CutRule, PackedTile, WantedPiece } from './wanted.ts';

/** So many rounds find which shaped pieces share a tile. */
const PAIRING_ROUNDS = 24;

/**
 * Packs pieces of rectangular tiles some of which are no rectangles. By their boxes two triangles never share a tile; by
 * their outlines they do, corner against corner. Those that do, and come apart by straight passes, stay together, and the
 * others are packed by their boxes; whichever opens fewer is given, a round of improving at a time.
 */
export function* packShaped(pieces: readonly WantedPiece[], rule: CutRule): Generator<PackedTile[], never> {
  const items = pieces.map((piece) => itemOf(piece, rule));
  const byBoxes = packItems(items, rule);
  const together = sharing(pieces, rule);
  const shared = new Set(together.flatMap((tile) => tile.map(({ piece }) => piece)));
  const others = items.filter(({ piece }) => !shared.has(piece));
  const beside = others.length > 0 && shared.size > 0 ? packItems(others, rule) : null;
  for (;;) {
    const boxes = byBoxes.next().value;
    const mixed = [...together, ...(beside?.next().value ?? [])];
    yield shared.size > 0 && mixed.length < boxes.length ? mixed : boxes;
  }
}

/** Tiles that hold several of the shaped pieces and come apart by straight passes. */
function sharing(pieces: readonly WantedPiece[], rule: CutRule): PackedTile[] {
  const shaped = pieces.filter(({ isRectangle }) => !isRectangle);
  if (shaped.length < 2) return [];
  const rounds = packOutlines(shaped, rule);
  let tiles = rounds.next().value;
  for (let k = 0; k < PAIRING_ROUNDS; k++) tiles = rounds.next().value;
  return tiles.filter(
    (tile) =>
      tile.length > 1 &&
      passesOf(
        tile[0].piece.tile,
        tile.map(({ outline }) => outline),
        rule.kerfMm,
      ) !== null,
  );
}
