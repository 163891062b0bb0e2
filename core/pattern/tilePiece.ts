import { motion } from '../geometry/point.ts';
import { boxOf, mapRing, type Ring } from '../geometry/ring.ts';
import type { RepeatPiece } from './repeat.ts';

/** A piece from its outline in the cell and the turn of the tile; finds the corner of the tile's own box. */
export function tilePiece(
  ring: Ring,
  { turnDeg = 0, course = 0, part = null, hand, colour, cutFrom }: Partial<Omit<RepeatPiece, 'ring' | 'corner'>> = {},
): RepeatPiece {
  const { turn, unturn } = motion(turnDeg, [0, 0]);
  const { minX, minY } = boxOf(mapRing(ring, unturn));
  return {
    ring,
    corner: turn([minX, minY]),
    turnDeg,
    course,
    part,
    ...(hand ? { hand } : {}),
    ...(colour ? { colour } : {}),
    ...(cutFrom ? { cutFrom } : {}),
  };
}

/** The outline of a tile brought to where its box begins, after a turn about that corner. */
export const placedRing = (ring: Ring, x: number, y: number, turnDeg = 0): Ring => mapRing(ring, motion(turnDeg, [x, y]).turn);

/** An outline moved so that the middle of its box lies at a position, after a turn. */
export function centredRing(ring: Ring, x: number, y: number, turnDeg = 0): Ring {
  const turned = mapRing(ring, motion(turnDeg, [0, 0]).turn);
  const { minX, minY, maxX, maxY } = boxOf(turned);
  return placedRing(turned, x - (minX + maxX) / 2, y - (minY + maxY) / 2);
}
