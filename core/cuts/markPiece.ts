import type { Circle } from '../geometry/circleRing.ts';
import { boxOf, type Polygon, type Ring } from '../geometry/ring.ts';
import { SHAPED_KINDS, type Mark } from './cutKind.ts';
import { markCut, pathCut, type MarkedCut } from './markCut.ts';
import { setInTime } from './measuredFrom.ts';
import { givesBack } from './rebuildPiece.ts';
import { traceCuts } from './traceCuts.ts';

/**
 * The cuts of a piece in the order they are made, straight ones first, with their marks. Marks that would not
 * give the piece back are told as free lines instead. All in the tile's frame, mm.
 */
export function markPiece(piece: Polygon, tile: Ring, circles: readonly Circle[], bitsMm?: readonly number[]): readonly MarkedCut[] {
  const lines = traceCuts(piece, tile);
  const around = boxOf(tile);
  const size = { widthMm: around.maxX - around.minX, heightMm: around.maxY - around.minY };
  const box = boxOf(piece[0]);
  const usual = inOrder(
    lines.map((line) => markCut(line, tile, box, circles, bitsMm)),
    tile,
  );
  if (isSure(usual) || givesBack(marksOf(usual), tile, piece)) return usual;
  const asPath = lines.map((line) => pathCut(line, markCut(line, tile, box, circles, bitsMm).kind, size));
  const straightOnly = inOrder(
    lines.map((line, k) => (line.points.length === 2 ? markCut(line, tile, box, circles, bitsMm) : asPath[k])),
    tile,
  );
  return givesBack(marksOf(straightOnly), tile, piece) ? straightOnly : inOrder(asPath, tile);
}

const marksOf = (cuts: readonly MarkedCut[]): Mark[] => cuts.map(({ mark }) => mark);

/** One cut right across a tile can only be read one way. */
const isSure = (cuts: readonly MarkedCut[]): boolean => cuts.length === 0 || (cuts.length === 1 && SURE.has(cuts[0].mark.type));
const SURE: ReadonlySet<Mark['type']> = new Set(['line', 'corner', 'circle', 'window']);

/** Straight cuts before shaped ones, each once, and marked beforehand where another takes away what they are measured from. */
function inOrder(cuts: readonly MarkedCut[], tile: Ring): MarkedCut[] {
  const seen = new Set<string>();
  const once = cuts.filter(({ mark }) => {
    const key = JSON.stringify(mark, (_, value: unknown) => (typeof value === 'number' ? Math.round(value * 100) : value));
    return !seen.has(key) && seen.add(key);
  });
  const ordered = once.sort((a, b) => Number(SHAPED_KINDS.has(a.kind)) - Number(SHAPED_KINDS.has(b.kind)));
  const marks = setInTime(marksOf(ordered), tile);
  return ordered.map(({ kind }, k) => ({ kind, mark: marks[k] }));
}
