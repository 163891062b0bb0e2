import { TOLERANCE_MM } from '../../tolerances.ts';
import { motion } from '../../geometry/point.ts';
import { boxOf, type Box, type Ring } from '../../geometry/ring.ts';
import { unitOf, type Repeat } from '../../pattern/repeat.ts';
import type { AxisChoice, FixedRule } from './setoutChoice.ts';

/** Left to right, or bottom to top; of a setout that is turned, along its own courses. */
export type Axis = 'x' | 'y';

/** The least and greatest of something in one direction, mm. */
export interface Span {
  readonly low: number;
  readonly high: number;
}

/** The span of a box in one direction. */
export const spanOf = (box: Box, axis: Axis): Span =>
  axis === 'x' ? { low: box.minX, high: box.maxX } : { low: box.minY, high: box.maxY };

/** The span of the repeat's first piece, or of the block it belongs to; rules speak of this piece. */
export const firstPieceSpan = (repeat: Repeat, axis: Axis): Span => spanOf(unitOf(repeat), axis);

/** What centre lines and full pieces are taken from, in the frame of a setout that is turned, mm. */
export function limitsInFrame({ frame, limits }: { readonly frame: Ring; readonly limits: Box }, turnDeg: number): Box {
  if (turnDeg === 0) return limits;
  const { unturn } = motion(turnDeg, [0, 0]);
  return boxOf(frame.map(unturn));
}

/** Whether a field is no larger than one piece in one direction; then it is cut from an edge of the piece, not out of its middle. */
export const isOnePiece = (limits: Span, piece: Span): boolean => limits.high - limits.low <= piece.high - piece.low + TOLERANCE_MM;

/**
 * Where the repeat's origin lies in one direction so that a rule holds for its first piece.
 * `limits` is the field without its perimeter gaps, mm; `jointMm` the joint.
 */
export function originFor(rule: FixedRule, piece: Span, limits: Span, jointMm: number): number {
  const centre = (limits.low + limits.high) / 2;
  const pieceCentre = (piece.low + piece.high) / 2;
  switch (isOnePiece(limits, piece) && rule !== 'fullFromEnd' ? 'fullFromStart' : rule) {
    case 'pieceCentred':
      return centre - pieceCentre;
    case 'jointCentred':
      return centre - pieceCentre + (piece.high - piece.low + jointMm) / 2;
    case 'fullFromStart':
      return limits.low - piece.low;
    case 'fullFromEnd':
      return limits.high - piece.high;
  }
}

/** The place that a rule speaks of: the middle of the limits, or one of them, mm. */
export const placeOfRule = (rule: FixedRule, { low, high }: Span): number =>
  rule === 'fullFromStart' ? low : rule === 'fullFromEnd' ? high : (low + high) / 2;

/** The origin in one direction for any choice that is settled. */
export function settledOrigin(choice: Exclude<AxisChoice, { rule: 'best' }>, piece: Span, limits: Span, jointMm: number): number {
  return choice.rule === 'free' ? limits.low + choice.offsetMm - piece.low : originFor(choice.rule, piece, limits, jointMm);
}
