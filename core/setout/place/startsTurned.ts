import { add, motion, subtract, type Point } from '../../geometry/point.ts';
import { boxOf, type Ring } from '../../geometry/ring.ts';
import type { Layout } from './layout.ts';
import { firstPieceSpan, limitsInFrame } from '../choice/axisPlacement.ts';

/**
 * Where a full piece starts in each direction once a layout is turned about the middle of what its rules are taken from
 * (`frame`), from the low limit there, mm: what lies in the middle stays there.
 */
export function startsTurned({ repeat, placement }: Pick<Layout, 'repeat' | 'placement'>, frame: Ring, turnDeg: number): Point {
  const around = boxOf(frame);
  const middle: Point = [(around.minX + around.maxX) / 2, (around.minY + around.maxY) / 2];
  const { turn } = motion(turnDeg - placement.turnDeg, [0, 0]);
  const origin = add(middle, turn(subtract(placement.origin, middle)));
  const [x, y] = motion(turnDeg, [0, 0]).unturn(origin);
  const limits = limitsInFrame({ frame, limits: around }, turnDeg);
  return [x + firstPieceSpan(repeat, 'x').low - limits.minX, y + firstPieceSpan(repeat, 'y').low - limits.minY];
}
