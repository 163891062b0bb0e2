import { ROUNDED_OFTEN } from '../tolerances.ts';
import { scale, type Point } from '../geometry/point.ts';
import { boxOf, type Ring } from '../geometry/ring.ts';
import type { Field } from '../setout/fields/field.ts';
import { fromTileFrame } from '../setout/place/layout.ts';
import type { Traced } from '../surface/traceSurface.ts';
import { seenFromBack, type MarkedSide } from './backView.ts';
import type { Mark, Side } from './cutKind.ts';
import type { CutPiece } from './cutPiece.ts';
import { AWAY, firstHit, type Slip } from './practice.ts';

/** The marks that are practised besides straight ones. */
export type ShapedMark = Extract<Mark, { type: 'notch' | 'circle' }>;

/** From the tile beside a place to what comes there, along the surface and up it. */
export interface Opening {
  /** The tile that is measured from lies at this side. */
  readonly from: Side;
  readonly mm: number;
  /** What stays open between the cut edge and what it goes round, mm; 0 for the middle of a hole. */
  readonly gapMm: number;
}

/** A notch or a hole to mark: what is measured where the piece goes, from which its marks follow. */
export interface ShapedExercise {
  readonly piece: CutPiece;
  readonly side: MarkedSide;
  readonly openings: readonly [Opening, Opening];
  readonly jointMm: number;
  /** In the tile as it lies before the helper, face up or face down. */
  readonly answer: ShapedMark;
  readonly tileMm: readonly [number, number];
}

/** What lies further from the edge of a tile than this beyond its joint is no wall that ends the row, mm. */
const BEYOND_MM = 20;

/** The pieces of a surface with one notch or one hole, in rectangles with a tile on the sides that are measured from. */
export function shapedExercisesOf(
  { fields, traced, cuts }: { readonly fields: readonly Field[]; readonly traced: Traced; readonly cuts: readonly CutPiece[] },
  side: MarkedSide,
): ShapedExercise[] {
  const walls: Ring[] = [traced.outline, ...traced.fixtures.map(({ ring }) => ring)];
  return cuts.flatMap((piece): ShapedExercise[] => {
    const [mark, ...more] = piece.marks;
    if (piece.of !== 'tile' || more.length > 0 || piece.tile.length !== 4) return [];
    if (mark?.type !== 'notch' && mark?.type !== 'circle') return [];
    const { layout, laid } = fields[piece.field];
    const { maxX, maxY } = boxOf(piece.tile);
    // A part of a tile that something goes through lies beside no tile on some side.
    if (piece.factorySides.length < 4) return [];
    const onSurface = fromTileFrame(layout, piece.address);
    const ahead = (at: Point, way: Point): number => {
      const [from, to] = [onSurface(at), onSurface([at[0] + way[0], at[1] + way[1]])];
      return firstHit(from, [to[0] - from[0], to[1] - from[1]], walls);
    };
    const hasTile = (from: Side): boolean => ahead(MIDDLES[from](maxX, maxY), scale(AWAY[from], -1)) > laid.jointMm + BEYOND_MM;
    const openings = openingsOf(mark, [maxX, maxY], laid.jointMm, ahead);
    if (openings === null || !openings.every(({ from }) => hasTile(from))) return [];
    const seen = side === 'back' ? seenFromBack(piece).marks[0] : mark;
    if (seen.type !== 'notch' && seen.type !== 'circle') return [];
    return [{ piece, side, openings, jointMm: laid.jointMm, answer: seen, tileMm: [maxX, maxY] }];
  });
}

const MIDDLES: Readonly<Record<Side, (width: number, height: number) => Point>> = {
  left: (_, height) => [0, height / 2],
  right: (width, height) => [width, height / 2],
  bottom: (width) => [width / 2, 0],
  top: (width, height) => [width / 2, height],
};

/** What is measured: to the middle of a hole, or to what a notch goes round; null where that is nowhere near. */
function openingsOf(
  mark: ShapedMark,
  [width, height]: Point,
  jointMm: number,
  ahead: (at: Point, way: Point) => number,
): readonly [Opening, Opening] | null {
  if (mark.type === 'circle')
    return [
      { from: 'left', mm: mark.xMm + jointMm, gapMm: 0 },
      { from: 'bottom', mm: mark.yMm + jointMm, gapMm: 0 },
    ];
  const [keptX, keptY] = [width - mark.xMm, height - mark.yMm];
  const [isRight, isTop] = [mark.sideX === 'right', mark.sideY === 'top'];
  // The upright edge of the notch looks at what stands there, half way along it; and so does the level one.
  const gapX = ahead([isRight ? keptX : mark.xMm, isTop ? height - mark.yMm / 2 : mark.yMm / 2], isRight ? [1, 0] : [-1, 0]);
  const gapY = ahead([isRight ? width - mark.xMm / 2 : mark.xMm / 2, isTop ? keptY : mark.yMm], isTop ? [0, 1] : [0, -1]);
  if (!(gapX < NEAR_MM && gapY < NEAR_MM)) return null;
  return [
    { from: isRight ? 'left' : 'right', mm: keptX + jointMm + gapX, gapMm: gapX },
    { from: isTop ? 'bottom' : 'top', mm: keptY + jointMm + gapY, gapMm: gapY },
  ];
}

/** A notch that ends further than this from anything goes round nothing one could measure to, mm. */
const NEAR_MM = 40;

/** The slips with a notch or a hole: those with a straight cut, another corner, and another bit. */
export type ShapedSlip = Exclude<Slip, 'otherSide'> | 'otherCorner' | 'bit';

/** What comes of a notch or a hole. */
export type ShapedVerdict =
  | { readonly kind: 'right' }
  | { readonly kind: 'slip'; readonly slip: ShapedSlip; readonly costs: 'cutAgain' | 'tile'; readonly minutes: number };

/** Judges a notch or a hole; a figure may be off by `slackMm`, which is what the tape can tell. */
export function judgeShaped(
  { piece, openings, jointMm, answer, tileMm: [width, height] }: ShapedExercise,
  given: ShapedMark,
  slackMm: number,
): ShapedVerdict {
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= slackMm + ROUNDED_OFTEN;
  const isAt = (x: number, y: number): boolean => near(given.xMm, x) && near(given.yMm, y);
  const isSameCorner = answer.type === 'circle' || (given.type === 'notch' && given.sideX === answer.sideX && given.sideY === answer.sideY);
  const { xMm, yMm } = answer;
  // A notch that is too small is cut again; a hole in the wrong place is not filled.
  const spares = answer.type === 'notch' && isSameCorner && given.xMm <= xMm + slackMm && given.yMm <= yMm + slackMm;
  const slip = (name: ShapedSlip, saved = spares): ShapedVerdict => ({
    kind: 'slip',
    slip: name,
    costs: saved ? 'cutAgain' : 'tile',
    minutes: piece.minutes,
  });
  if (isSameCorner && isAt(xMm, yMm)) {
    if (given.type !== 'circle' || answer.type !== 'circle' || given.coreMm === answer.coreMm) return { kind: 'right' };
    return slip('bit', (given.coreMm ?? 0) < (answer.coreMm ?? Infinity));
  }
  if (!isSameCorner) return slip(isAt(xMm, yMm) ? 'mirrored' : 'otherCorner');
  if (isAt(width - xMm, yMm) || isAt(xMm, height - yMm)) return slip(answer.type === 'circle' ? 'mirrored' : 'fromCut');
  if (isAt(width - xMm, height - yMm)) return slip(answer.type === 'circle' ? 'mirrored' : 'fromCut');
  if (isAt(yMm, xMm)) return slip('swapped');
  // What is left of a notch grows by what was not taken off; the middle of a hole moves away from the tile beside it.
  const way = answer.type === 'notch' ? -1 : 1;
  const [gapX, gapY] = openings.map(({ gapMm }) => gapMm);
  const over = (x: number, y: number): boolean =>
    isAt(xMm + way * x, yMm + way * y) || isAt(xMm + way * x, yMm) || isAt(xMm, yMm + way * y);
  if (over(jointMm, jointMm)) return slip('jointOn');
  if (gapX + gapY > 0 && over(gapX, gapY)) return slip('gapOn');
  if (gapX + gapY > 0 && over(jointMm + gapX, jointMm + gapY)) return slip('bothOn');
  return slip(given.xMm > xMm + slackMm || given.yMm > yMm + slackMm ? 'tooLarge' : 'tooSmall');
}
