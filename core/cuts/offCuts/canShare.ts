import { oncePer } from '../../oncePer.ts';
import { boxOf } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import type { Side } from '../cutKind.ts';
import { largestBoxWithin } from './boxWithin.ts';
import { FITS_MM } from './freeSpace.ts';
import type { CutRule, WantedPiece } from './wanted.ts';

/** A box in one turn, mm, with the sides that have to be factory edges as bits. */
interface BoxWay {
  readonly width: number;
  readonly height: number;
  readonly sides: number;
}

const ROUND: readonly Side[] = ['bottom', 'right', 'top', 'left'];

/**
 * Whether two or three pieces may come from one rectangular tile: there is a turn of each in which one lies beside or above
 * the others, and all have their factory edges. True of any that do: of so few boxes one can always be cut off first. A piece
 * that is no rectangle stands for the largest box in it that has its factory edges, without a kerf: what can't hold that box
 * can't hold the piece.
 */
export function canShare(pieces: readonly WantedPiece[], size: Size, rule: CutRule): boolean {
  let areaMm2 = 0;
  for (const piece of pieces) areaMm2 += piece.areaMm2;
  if (areaMm2 > size.widthMm * size.heightMm + 1) return false;
  const kerfMm = pieces.every(({ isRectangle }) => isRectangle) ? rule.kerfMm : 0;
  return fitIn(
    pieces.map((piece) => waysOf(piece, rule)),
    size.widthMm,
    size.heightMm,
    ALL,
    kerfMm,
  );
}

/** Sides as bits, so that many can be looked at quickly. */
const BIT: Readonly<Record<Side, number>> = { left: 1, right: 2, bottom: 4, top: 8 };
const ALL = 15;

/** Whether boxes fit into a rectangle of which some sides are factory edges. */
function fitIn(boxes: readonly (readonly BoxWay[])[], width: number, height: number, sides: number, kerfMm: number): boolean {
  if (boxes.length === 1) return boxes[0].some((way) => standsIn(way, width, height, sides));
  return boxes.some((ways, k) => {
    const rest = boxes.filter((_, m) => m !== k);
    return ways.some(
      (way) =>
        (standsIn(way, way.width, height, sides & ~BIT.right) &&
          fitIn(rest, width - way.width - kerfMm, height, sides & ~BIT.left, kerfMm)) ||
        (standsIn(way, way.width, height, sides & ~BIT.left) &&
          fitIn(rest, width - way.width - kerfMm, height, sides & ~BIT.right, kerfMm)) ||
        (standsIn(way, width, way.height, sides & ~BIT.top) &&
          fitIn(rest, width, height - way.height - kerfMm, sides & ~BIT.bottom, kerfMm)) ||
        (standsIn(way, width, way.height, sides & ~BIT.bottom) &&
          fitIn(rest, width, height - way.height - kerfMm, sides & ~BIT.top, kerfMm)),
    );
  });
}

/** Whether a box stands in a rectangle with the factory edges it needs. */
function standsIn({ width, height, sides }: BoxWay, roomX: number, roomY: number, has: number): boolean {
  if ((sides & ~has) !== 0 || width > roomX + FITS_MM || height > roomY + FITS_MM) return false;
  if ((sides & 3) === 3 && Math.abs(width - roomX) > 2 * FITS_MM) return false;
  return (sides & 12) !== 12 || Math.abs(height - roomY) <= 2 * FITS_MM;
}

const waysOf = (piece: WantedPiece, { directional }: CutRule): readonly BoxWay[] => (directional ? asItLies : turnedRound)(piece);

const asItLies = oncePer((piece: WantedPiece) => distinctWays(piece, [0]));
const turnedRound = oncePer((piece: WantedPiece) => distinctWays(piece, [0, 1, 2, 3]));

function distinctWays(piece: WantedPiece, quarters: readonly number[]): readonly BoxWay[] {
  const { widthMm, heightMm } = coreOf(piece);
  const ways = quarters.map((quarter): BoxWay => {
    const sides = piece.factorySides.map((side) => ROUND[(ROUND.indexOf(side) + quarter) % 4]);
    return {
      width: quarter % 2 === 0 ? widthMm : heightMm,
      height: quarter % 2 === 0 ? heightMm : widthMm,
      // Where there is no such box, the piece proves nothing.
      sides: widthMm === 0 ? 0 : sides.reduce((bits, side) => bits | BIT[side], 0),
    };
  });
  return ways.filter(
    (way, k) => ways.findIndex((one) => one.width === way.width && one.height === way.height && one.sides === way.sides) === k,
  );
}

const NOTHING: Size = { widthMm: 0, heightMm: 0 };

/** The largest box in a piece that has the piece's factory edges. */
const coreOf = oncePer((piece: WantedPiece): Size => {
  if (piece.isRectangle) return piece.sizeMm;
  const own = boxOf(piece.outline[0]);
  const box = largestBoxWithin(piece.outline, ({ minX, minY, maxX, maxY }) => {
    const at: Readonly<Record<Side, boolean>> = {
      left: minX < own.minX + FITS_MM,
      right: maxX > own.maxX - FITS_MM,
      bottom: minY < own.minY + FITS_MM,
      top: maxY > own.maxY - FITS_MM,
    };
    return piece.factorySides.every((side) => at[side]);
  });
  return box ? { widthMm: box.maxX - box.minX, heightMm: box.maxY - box.minY } : NOTHING;
});
