import { ON_LINE_MM, ROUNDED_OFTEN, ROUNDING } from '../tolerances.ts';
import type { Point } from '../geometry/point.ts';
import { boxOf, type Ring } from '../geometry/ring.ts';
import type { Field } from '../setout/fields/field.ts';
import { fromTileFrame } from '../setout/place/layout.ts';
import type { Traced } from '../surface/traceSurface.ts';
import { seenFromBack, type MarkedSide } from './backView.ts';
import type { Side } from './cutKind.ts';
import type { CutPiece } from './cutPiece.ts';

/** A straight cut as it is marked: from a side of the tile, so far at both ends of the cut (bottom or left first), mm. */
export interface LineMark {
  readonly from: Side;
  readonly mm: readonly [number, number];
}

/** A piece to mark: what is measured where it goes, from which its marks follow. */
export interface Exercise {
  readonly piece: CutPiece;
  readonly side: MarkedSide;
  /** From the tile before it to what it goes up to, at both ends of the cut, mm. */
  readonly openingMm: readonly [number, number];
  readonly jointMm: number;
  /** What stays open between the cut edge and what it goes up to, mm. */
  readonly gapMm: readonly [number, number];
  readonly answer: LineMark;
  /** Size of the tile across the cut, mm. */
  readonly acrossMm: number;
}

/** The pieces of a surface that a helper can be asked to mark: cut straight across from a rectangle, up to something. */
export function exercisesOf(
  { fields, traced, cuts }: { readonly fields: readonly Field[]; readonly traced: Traced; readonly cuts: readonly CutPiece[] },
  side: MarkedSide,
): Exercise[] {
  const walls: Ring[] = [traced.outline, ...traced.fixtures.map(({ ring }) => ring)];
  return cuts.flatMap((piece) => {
    const [mark, ...more] = piece.marks;
    if (piece.of !== 'tile' || more.length > 0 || mark?.type !== 'line' || piece.tile.length !== 4) return [];
    const { layout, laid } = fields[piece.field];
    const { minX, minY, maxX, maxY } = boxOf(piece.tile);
    const [width, height] = [maxX - minX, maxY - minY];
    const onSurface = fromTileFrame(layout, piece.address);
    const ends = endsOf(mark, width, height);
    const away = directionAwayFrom(mark.from);
    const gaps = ends.map((end) => {
      const [at, ahead] = [onSurface(end), onSurface([end[0] + away[0], end[1] + away[1]])];
      return firstHit(at, [ahead[0] - at[0], ahead[1] - at[1]], walls);
    });
    if (gaps.some((gap) => gap > FURTHEST_MM)) return [];
    const seen = side === 'back' ? seenFromBack(piece).marks[0] : mark;
    if (seen.type !== 'line') return [];
    // What lies first from the face lies last from the back where the cut runs across.
    const turned = seen.mm[0] === mark.mm[1] && seen.mm[1] === mark.mm[0] && mark.mm[0] !== mark.mm[1];
    const gapMm: readonly [number, number] = turned ? [gaps[1], gaps[0]] : [gaps[0], gaps[1]];
    return [
      {
        piece,
        side,
        openingMm: [seen.mm[0] + laid.jointMm + gapMm[0], seen.mm[1] + laid.jointMm + gapMm[1]] as const,
        jointMm: laid.jointMm,
        gapMm,
        answer: { from: seen.from, mm: seen.mm },
        acrossMm: mark.from === 'left' || mark.from === 'right' ? width : height,
      },
    ];
  });
}

/** A cut that ends further than this from anything goes up to nothing one could measure to, mm. */
const FURTHEST_MM = 40;

function endsOf({ from, mm: [first, last] }: LineMark, width: number, height: number): readonly [Point, Point] {
  switch (from) {
    case 'left':
      return [
        [first, 0],
        [last, height],
      ];
    case 'right':
      return [
        [width - first, 0],
        [width - last, height],
      ];
    case 'bottom':
      return [
        [0, first],
        [width, last],
      ];
    case 'top':
      return [
        [0, height - first],
        [width, height - last],
      ];
  }
}

/** From a side into the tile. */
export const AWAY: Readonly<Record<Side, Point>> = { left: [1, 0], right: [-1, 0], bottom: [0, 1], top: [0, -1] };
const directionAwayFrom = (side: Side): Point => AWAY[side];

/** How far a place is from the first wall ahead of it, mm; Infinity where there is none. */
export function firstHit([x, y]: Point, [dx, dy]: Point, walls: readonly Ring[]): number {
  let nearest = Infinity;
  for (const ring of walls)
    for (let k = 0; k < ring.length; k++) {
      const [a, b] = [ring[k], ring[(k + 1) % ring.length]];
      const [ax, ay, bx, by] = [a[0] - x, a[1] - y, b[0] - x, b[1] - y];
      const [left, right] = [dx * ay - dy * ax, dx * by - dy * bx];
      // A hair beyond a corner still meets it.
      const span = Math.abs(left - right);
      if (span < ROUNDING || Math.min(left, right) > ON_LINE_MM || Math.max(left, right) < -ON_LINE_MM) continue;
      const share = Math.min(1, Math.max(0, left / (left - right)));
      const far = dx * (ax + share * (bx - ax)) + dy * (ay + share * (by - ay));
      if (far >= -ON_LINE_MM) nearest = Math.min(nearest, Math.max(0, far));
    }
  return nearest;
}

/** The slips that are made most often. */
export const SLIPS = ['jointOn', 'gapOn', 'bothOn', 'mirrored', 'swapped', 'fromCut', 'otherSide', 'tooLarge', 'tooSmall'] as const;

/** A slip of marking. */
export type Slip = (typeof SLIPS)[number];

/** What comes of a mark. */
export type Verdict =
  | { readonly kind: 'right'; /** Whether it lies the other way round, which does this tile no harm. */ readonly turned: boolean }
  | { readonly kind: 'slip'; readonly slip: Slip; readonly offMm: number; readonly costs: 'cutAgain' | 'tile'; readonly minutes: number };

const OPPOSITE: Readonly<Record<Side, Side>> = { left: 'right', right: 'left', bottom: 'top', top: 'bottom' };

/** Judges a mark; a figure may be off by `slackMm`, which is what the tape can tell. */
export function judgeMark({ piece, answer, jointMm, gapMm, acrossMm }: Exercise, given: LineMark, slackMm: number): Verdict {
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= slackMm + ROUNDED_OFTEN;
  const both = (mm: readonly [number, number]): boolean => near(given.mm[0], mm[0]) && near(given.mm[1], mm[1]);
  const [first, last] = answer.mm;
  const isSame = given.from === answer.from;
  const isOpposite = given.from === OPPOSITE[answer.from];
  const off = [given.mm[0] - first, given.mm[1] - last].reduce((most, mm) => (Math.abs(mm) > Math.abs(most) ? mm : most));
  const slip = (name: Slip): Verdict => {
    const spares = isSame && given.mm[0] >= first - slackMm && given.mm[1] >= last - slackMm;
    return { kind: 'slip', slip: name, offMm: off, costs: spares ? 'cutAgain' : 'tile', minutes: piece.minutes };
  };
  if (isSame && both(answer.mm)) return { kind: 'right', turned: false };
  // Half a turn takes one side to the other, and one end to the other.
  if (isOpposite && both([last, first])) return piece.hasWayUp ? slip('mirrored') : { kind: 'right', turned: true };
  if (isOpposite && both([first, last])) return slip('mirrored');
  if (both([acrossMm - first, acrossMm - last])) return slip('fromCut');
  if (!isSame) return slip('otherSide');
  if (!near(first, last) && both([last, first])) return slip('swapped');
  const over = (mm: readonly [number, number]): boolean => both([first + mm[0], last + mm[1]]);
  if (over([jointMm, jointMm])) return slip('jointOn');
  if (over(gapMm)) return slip('gapOn');
  if (over([jointMm + gapMm[0], jointMm + gapMm[1]])) return slip('bothOn');
  return slip(off > 0 ? 'tooLarge' : 'tooSmall');
}
