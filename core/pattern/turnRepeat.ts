import { ROUNDING } from '../tolerances.ts';
import { motion, type Point } from '../geometry/point.ts';
import { boxOf, boxRing, type Ring } from '../geometry/ring.ts';
import type { Repeat } from './repeat.ts';
import { tilePiece } from './tilePiece.ts';

/**
 * The same repeat turned by any angle in degrees, after it was mirrored left to right where asked.
 * Tiles themselves are never flipped: a mirrored pattern is laid from the same tiles.
 */
export function turnRepeat(repeat: Repeat, turnDeg: number, mirrored = false): Repeat {
  if (turnDeg % 360 === 0 && !mirrored) return repeat;
  const { turn } = motion(turnDeg, [0, 0]);
  const place = ([x, y]: Point): Point => turn(mirrored ? [-x, y] : [x, y]);
  const placeRing = (ring: Ring): Ring => (mirrored ? ring.map(place).reverse() : ring.map(place));
  const quarters = Math.round(turnDeg / 90);
  const square = Math.abs(turnDeg - quarters * 90) < ROUNDING;
  return {
    ...repeat,
    vectors: [place(repeat.vectors[0]), place(repeat.vectors[1])],
    pieces: repeat.pieces.map((piece) =>
      tilePiece(placeRing(piece.ring), {
        ...piece,
        turnDeg: turnDeg + (mirrored ? -piece.turnDeg : piece.turnDeg),
        ...(piece.hand && mirrored ? { hand: OTHER_HAND[piece.hand] } : {}),
      }),
    ),
    upright: square && quarters % 2 !== 0 ? !repeat.upright : repeat.upright,
    turnedDeg: (repeat.turnedDeg ?? 0) + turnDeg,
    ...(repeat.sheetEdges ? { sheetEdges: repeat.sheetEdges.map(placeRing) } : {}),
    ...(repeat.unit ? { unit: boxOf(boxRing(repeat.unit).map(place)) } : {}),
  };
}

const OTHER_HAND = { left: 'right', right: 'left' } as const;

/** The same repeat with its courses running up the drawing instead of across it. */
export const uprightRepeat = ({ turnedDeg = 0, ...repeat }: Repeat): Repeat => ({ ...turnRepeat(repeat, 90), turnedDeg });
