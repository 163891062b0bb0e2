import { rectangleRing } from '../geometry/ring.ts';
import type { Module, RepeatPiece } from './repeat.ts';

/** A rectangular tile in a cell, with its long side along x or y, from its bottom-left corner, mm. */
export function placedPiece({ widthMm, heightMm }: Module, x: number, y: number, longAlong: 'x' | 'y', course: number): RepeatPiece {
  const [long, short] = [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];
  const [wide, high] = longAlong === 'x' ? [long, short] : [short, long];
  const turned = widthMm !== heightMm && widthMm >= heightMm !== (longAlong === 'x');
  return { ring: rectangleRing(x, y, wide, high), corner: turned ? [x + wide, y] : [x, y], turnDeg: turned ? 90 : 0, course, part: null };
}

/** The same cell with x and y changed over: what ran across the drawing runs up it. */
export function changedOver(module: Module, pieces: readonly RepeatPiece[]): RepeatPiece[] {
  return pieces.map(({ ring, course }) => {
    const [x, y] = [Math.min(...ring.map((p) => p[0])), Math.min(...ring.map((p) => p[1]))];
    const wide = Math.max(...ring.map((p) => p[0])) - x;
    const high = Math.max(...ring.map((p) => p[1])) - y;
    return placedPiece(module, y, x, wide >= high ? 'y' : 'x', course);
  });
}
