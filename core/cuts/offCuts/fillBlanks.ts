import { HAIR_MM } from '../../tolerances.ts';
import { motion } from '../../geometry/point.ts';
import { boxOf, mapPolygon, type Box } from '../../geometry/ring.ts';
import type { Side } from '../cutKind.ts';
import { boxOfBlank, isWholeTile, type Blank } from './blank.ts';
import { isFromRectangle, tileSize, type CutRule, type PackedTile, type PlacedPiece, type WantedPiece } from './wanted.ts';

/** A blank with the pieces that are cut from it, the first one first. */
export interface FilledBlank {
  readonly blank: Blank;
  readonly box: Box;
  readonly placed: PackedTile;
}

/** A rectangle to cut from, with its sides that are edges of the factory. */
interface BlankPart {
  readonly box: Box;
  readonly sides: readonly Side[];
}

/** Sides in their order round a piece, so that a quarter turn moves each on by one. */
const ROUND: readonly Side[] = ['bottom', 'right', 'top', 'left'];

/** Nothing is taken from what is narrower, mm. */
const NARROWEST_MM = 15;

/**
 * Takes pieces from what is there already, before a tile is opened: the smallest blank first, from each the largest piece
 * that comes out of it with the factory edges it needs, then from what is left of it by cuts right through. Whole tiles are
 * opened like new ones.
 */
export function fillBlanks(pieces: readonly WantedPiece[], blanks: readonly Blank[], rule: CutRule): FilledBlank[] {
  const first = pieces[0] as WantedPiece | undefined;
  if (!first || !isFromRectangle(first)) return [];
  const tile = tileSize(first);
  const left = new Set(pieces);
  const fill = (part: BlankPart): PlacedPiece[] => {
    const fitting = [...left].flatMap((piece) => placeIn(piece, part, rule) ?? []).sort((a, b) => b.piece.areaMm2 - a.piece.areaMm2);
    if (fitting.length === 0) return [];
    const [taken] = fitting;
    left.delete(taken.piece);
    return [taken, ...restOf(part, boxOf(taken.outline[0]), rule.kerfMm).flatMap(fill)];
  };
  const each = blanks
    .filter((blank) => !isWholeTile(blank, tile))
    .flatMap((blank) => Array.from({ length: blank.pieces }, () => blank))
    .sort((a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm || (a.id < b.id ? -1 : 1));
  return each.flatMap((blank) => {
    const box = boxOfBlank(blank, tile);
    const placed = fill({ box, sides: blank.sides });
    return placed.length === 0 ? [] : [{ blank, box, placed }];
  });
}

/** What is left of a part once a piece is out of it, by cuts right through: along its height first, or along its width, whichever leaves the larger piece. */
function restOf({ box, sides }: BlankPart, taken: Box, kerfMm: number): BlankPart[] {
  const beside = (own: Box): BlankPart[] => [
    ...partOf({ ...own, maxX: taken.minX - kerfMm }),
    ...partOf({ ...own, minX: taken.maxX + kerfMm }),
  ];
  const above = (own: Box): BlankPart[] => [
    ...partOf({ ...own, maxY: taken.minY - kerfMm }),
    ...partOf({ ...own, minY: taken.maxY + kerfMm }),
  ];
  const partOf = (own: Box): BlankPart[] => {
    if (own.maxX - own.minX < NARROWEST_MM || own.maxY - own.minY < NARROWEST_MM) return [];
    const kept: Readonly<Record<Side, boolean>> = {
      left: own.minX === box.minX,
      right: own.maxX === box.maxX,
      bottom: own.minY === box.minY,
      top: own.maxY === box.maxY,
    };
    return [{ box: own, sides: sides.filter((side) => kept[side]) }];
  };
  const upright = [...beside(box), ...above({ ...box, minX: taken.minX, maxX: taken.maxX })];
  const level = [...above(box), ...beside({ ...box, minY: taken.minY, maxY: taken.maxY })];
  const largest = (parts: readonly BlankPart[]): number => Math.max(0, ...parts.map((part) => areaOf(part.box)));
  return (largest(level) > largest(upright) ? level : upright).sort((a, b) => areaOf(b.box) - areaOf(a.box));
}

const areaOf = ({ minX, minY, maxX, maxY }: Box): number => (maxX - minX) * (maxY - minY);

/** Where a piece comes out of a part; null where it does not. */
function placeIn(piece: WantedPiece, { sides, box }: BlankPart, { directional }: CutRule): PlacedPiece | null {
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
