/** A stone of an ashlar cell in modules: column, row, width, height. Cells wrap round at their edges. */
export type Stone = readonly [number, number, number, number];

/** A cell of an ashlar, in modules. */
export interface CellSize {
  readonly columns: number;
  readonly rows: number;
}

/** What stones a cell is drawn from. */
export interface AshlarRules extends CellSize {
  /** Sizes in modules that can be cut from the tile, as they lie. */
  readonly sizes: readonly (readonly [number, number])[];
  /** Modules that a joint may run straight for. */
  readonly longestJoint: number;
}

const wrap = (n: number, by: number): number => ((n % by) + by) % by;

/** Which stone covers each square of a cell, row by row; -1 where none does. Throws where two do. */
export function coverOf(stones: readonly Stone[], { columns, rows }: CellSize): Int32Array {
  const cover = new Int32Array(columns * rows).fill(-1);
  stones.forEach((stone, k) => {
    for (const square of squaresOf(stone, { columns, rows })) {
      if (cover[square] !== -1) throw new Error(`two stones lie on one square of an ashlar: ${cover[square]} and ${k}`);
      cover[square] = k;
    }
  });
  return cover;
}

/** The squares that a stone covers, as places in the cover. */
export function squaresOf([x, y, w, h]: Stone, { columns, rows }: CellSize): number[] {
  const squares: number[] = [];
  for (let dy = 0; dy < h; dy++) for (let dx = 0; dx < w; dx++) squares.push(wrap(y + dy, rows) * columns + wrap(x + dx, columns));
  return squares;
}

/** What is against the rules in a cell, stone by stone: how often each is involved. */
export interface Faults {
  readonly total: number;
  readonly byStone: ReadonlyMap<number, number>;
}

/** The rules: no four stones meet in a point, no joint runs straight for longer than the limit, no two alike share a whole side. */
export function faultsOf(stones: readonly Stone[], size: CellSize, longestJoint: number): Faults {
  const cover = coverOf(stones, size);
  const { columns, rows } = size;
  const byStone = new Map<number, number>();
  let total = 0;
  const blame = (stone: number): void => void byStone.set(stone, (byStone.get(stone) ?? 0) + 1);
  const blameBoth = (a: number, b: number): void => {
    total++;
    blame(a);
    blame(b);
  };
  const alike = (a: number, b: number): boolean => a !== b && isTwin(stones[a], stones[b], size);
  for (let y = 0; y < rows; y++) {
    const [row, above, below] = [y, (y + 1) % rows, (y + rows - 1) % rows].map((k) => k * columns);
    for (let x = 0; x < columns; x++) {
      const [right, left] = [(x + 1) % columns, (x + columns - 1) % columns];
      const [a, b, c, d] = [cover[row + x], cover[row + right], cover[above + x], cover[above + right]];
      if (a !== b && a !== c && a !== d && b !== c && b !== d && c !== d) {
        blameBoth(a, d);
        blame(b);
        blame(c);
      }
      // Two stones side by side are counted where their common stretch begins.
      if (alike(a, b) && !(cover[below + x] === a && cover[below + right] === b)) blameBoth(a, b);
      if (alike(a, c) && !(cover[row + left] === a && cover[above + left] === c)) blameBoth(a, c);
    }
  }
  const at = (x: number, y: number): number => cover[(y % rows) * columns + (x % columns)];
  for (let y = 0; y < rows; y++)
    longRuns(columns, longestJoint, (x) => at(x, y) !== at(x, y + 1)).forEach((x) => blameBoth(at(x, y), at(x, y + 1)));
  for (let x = 0; x < columns; x++)
    longRuns(rows, longestJoint, (y) => at(x, y) !== at(x + 1, y)).forEach((y) => blameBoth(at(x, y), at(x + 1, y)));
  return { total, byStone };
}

/**
 * What is against the rules in and round a rectangle of a cell, as a weight to compare before and after a
 * change within it; a long common side of twins weighs more than a short one.
 */
export function faultsNear(
  stones: readonly Stone[],
  cover: Int32Array,
  [x0, y0, w, h]: Stone,
  size: CellSize,
  longestJoint: number,
): number {
  const { columns, rows } = size;
  const at = (x: number, y: number): number => cover[wrap(y, rows) * columns + wrap(x, columns)];
  let sum = 0;
  for (let y = y0 - 1; y < y0 + h; y++)
    for (let x = x0 - 1; x < x0 + w; x++) {
      const [a, b, c, d] = [at(x, y), at(x + 1, y), at(x, y + 1), at(x + 1, y + 1)];
      if (a !== b && a !== c && a !== d && b !== c && b !== d && c !== d) sum++;
      if (a !== b && isTwin(stones[a], stones[b], size)) sum += TWIN_WEIGHT;
      if (a !== c && isTwin(stones[a], stones[c], size)) sum += TWIN_WEIGHT;
    }
  const around = (from: number, length: number, limit: number): number[] =>
    Array.from({ length: Math.min(length, limit) }, (_, k) => wrap(from + k, limit));
  for (const y of around(y0 - 1, h + 1, rows)) sum += longRuns(columns, longestJoint, (x) => at(x, y) !== at(x, y + 1)).length;
  for (const x of around(x0 - 1, w + 1, columns)) sum += longRuns(rows, longestJoint, (y) => at(x, y) !== at(x + 1, y)).length;
  return sum;
}

const TWIN_WEIGHT = 0.7;

/** Two stones of one size that share a whole side: the eye takes them for a pair. Cells wrap round. */
export function isTwin(a: Stone, b: Stone, { columns, rows }: CellSize): boolean {
  if (a[2] !== b[2] || a[3] !== b[3]) return false;
  const [dx, dy] = [wrap(b[0] - a[0], columns), wrap(b[1] - a[1], rows)];
  return (dy === 0 && (dx === a[2] || dx === columns - a[2])) || (dx === 0 && (dy === a[3] || dy === rows - a[3]));
}

/** The places past the limit along lines that run on round the cell. */
function longRuns(length: number, limit: number, isJoint: (k: number) => boolean): number[] {
  let start = 0;
  while (start < length && isJoint(start)) start++;
  if (start === length) return Array.from({ length }, (_, k) => k);
  const over: number[] = [];
  let run = 0;
  for (let step = 1; step <= length; step++) {
    const k = (start + step) % length;
    run = isJoint(k) ? run + 1 : 0;
    if (run > limit) over.push(k);
  }
  return over;
}
