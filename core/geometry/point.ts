/** A position or a vector, `[x, y]` in mm. */
export type Point = readonly [number, number];

/** The sum of two vectors. */
export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];

/** The vector from `b` to `a`. */
export const subtract = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];

/** A vector made `k` times as long. */
export const scale = (a: Point, k: number): Point => [a[0] * k, a[1] * k];

/** Scalar product. */
export const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1];

/** Twice the signed area of the triangle of two vectors; positive when `b` lies to the left of `a`. */
export const cross = (a: Point, b: Point): number => a[0] * b[1] - a[1] * b[0];

/** Length of a vector in mm. */
export const length = (a: Point): number => Math.sqrt(a[0] ** 2 + a[1] ** 2);

/** Distance between two positions in mm. */
export const distance = (a: Point, b: Point): number => Math.sqrt((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2);

/** The vector of length one in the same direction; throws for a vector without length. */
export function unit(a: Point): Point {
  const size = length(a);
  if (size === 0) throw new Error('a vector without length has no direction: [0, 0]');
  return [a[0] / size, a[1] / size];
}

/** A vector turned a quarter counter-clockwise. */
export const quarterTurn = (a: Point): Point => [-a[1], a[0]];

/** A turn about the origin followed by a move; `turn` takes positions there, `unturn` back. */
export interface Motion {
  readonly turn: (p: Point) => Point;
  readonly unturn: (p: Point) => Point;
}

/** Builds the motion that turns by `turnDeg` degrees and then moves by `move`. Quarter turns are exact. */
export function motion(turnDeg: number, move: Point): Motion {
  const [c, s] = cosineAndSine(turnDeg);
  return {
    turn: ([x, y]) => [c * x - s * y + move[0], s * x + c * y + move[1]],
    unturn: ([x, y]) => {
      const dx = x - move[0];
      const dy = y - move[1];
      return [c * dx + s * dy, -s * dx + c * dy];
    },
  };
}

function cosineAndSine(turnDeg: number): Point {
  const quarters = turnDeg / 90;
  if (Number.isInteger(quarters)) {
    const exact: readonly Point[] = [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ];
    return exact[((quarters % 4) + 4) % 4];
  }
  const radians = (turnDeg * Math.PI) / 180;
  return [Math.cos(radians), Math.sin(radians)];
}
