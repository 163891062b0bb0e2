import { motion } from '../../geometry/point.ts';
import { boxOf, mapPolygon, type Box } from '../../geometry/ring.ts';
import type { Side } from '../cutKind.ts';
import { boxOfBlank, isWholeTile, type Blank } from './blank.ts';
import { isFromRectangle, tileSize, type CutRule, type PlacedPiece, type WantedPiece } from './wanted.ts';

/** A blank with the piece that is cut from it. */
export interface FilledBlank {
  readonly blank: Blank;
  readonly box: Box;
  readonly placed: PlacedPiece;
}

/** Sides in their order round a piece, so that a quarter turn moves each on by one. */
const ROUND: readonly Side[] = ['bottom', 'right', 'top', 'left'];

/** Slack with which a piece fills a blank from side to side, mm. */
const HAIR_MM = 0.05;

/**
 * Takes pieces from what is there already, before a tile is opened: the smallest blank first, from each the largest piece
 * that comes out of it with the factory edges it needs. Whole tiles are opened like new ones.
 */
export function fillBlanks(pieces: readonly WantedPiece[], blanks: readonly Blank[], rule: CutRule): FilledBlank[] {
  const first = pieces[0] as WantedPiece | undefined;
  if (!first || !isFromRectangle(first)) return [];
  const tile = tileSize(first);
  const left = new Set(pieces);
  const each = blanks
    .filter((blank) => !isWholeTile(blank, tile))
    .flatMap((blank) => Array.from({ length: blank.pieces }, () => blank))
    .sort((a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm || (a.id < b.id ? -1 : 1));
  return each.flatMap((blank) => {
    const box = boxOfBlank(blank, tile);
    const fitting = [...left].flatMap((piece) => placeIn(piece, blank, box, rule) ?? []).sort((a, b) => b.piece.areaMm2 - a.piece.areaMm2);
    if (fitting.length === 0) return [];
    left.delete(fitting[0].piece);
    return [{ blank, box, placed: fitting[0] }];
  });
}

/** Where a piece comes out of a blank; null where it does not. */
function placeIn(piece: WantedPiece, { sides }: Blank, box: Box, { directional }: CutRule): PlacedPiece | null {
  for (const turn of directional ? [0] : [0, 1, 2, 3]) {
    const needed = new Set(piece.factorySides.map((side) => ROUND[(ROUND.indexOf(side) + turn) % 4]));
    if ([...needed].some((side) => !sides.includes(side))) continue;
    const outline = mapPolygon(piece.outline, motion(90 * turn, [0, 0]).turn);
    const own = boxOf(outline[0]);
    const x = alongSide([own.minX, own.maxX], [box.minX, box.maxX], needed.has('left'), needed.has('right'));
    const y = alongSide([own.minY, own.maxY], [box.minY, box.maxY], needed.has('bottom'), needed.has('top'));
    if (x === null || y === null) continue;
    return { piece, at: [x, y], turnDeg: 90 * turn, outline: mapPolygon(outline, ([px, py]) => [px - own.minX + x, py - own.minY + y]) };
  }
  return null;
}

/** Where a piece begins along one way of a blank: at the side it needs; null where it has no room, or does not reach both. */
function alongSide(
  [low, high]: readonly [number, number],
  [from, to]: readonly [number, number],
  atLow: boolean,
  atHigh: boolean,
): number | null {
  const spare = to - from - (high - low);
  if (spare < -HAIR_MM || (atLow && atHigh && spare > HAIR_MM)) return null;
  return atHigh && !atLow ? to - (high - low) : from;
}
