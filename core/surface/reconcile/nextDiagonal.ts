import type { MeasuredWalls } from './observations.ts';

/**
 * The two corners between which to measure next, by their place round the surface: A–C, B–D, C–E and
 * so on, then those further apart; the first of them where all were read.
 */
export function nextDiagonal({ walls, checks }: MeasuredWalls): readonly [from: number, to: number] {
  const count = walls.length;
  const at = (id: string): number => walls.findIndex((wall) => wall.id === id);
  const read = checks.map(({ from, to }) => [at(from), at(to)]);
  for (let apart = 2; apart <= count / 2; apart++)
    for (let from = 0; from < count; from++) {
      const to = (from + apart) % count;
      if (!read.some((ends) => ends.includes(from) && ends.includes(to))) return [from, to];
    }
  return [0, Math.min(2, count - 1)];
}
