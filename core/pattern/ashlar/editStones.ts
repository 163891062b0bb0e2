import type { CellSize, Stone } from './stones.ts';

/** Splits a stone in two across its longer side, as near the middle as modules go; null for a single module. */
export function splitStone(stones: readonly Stone[], k: number): Stone[] | null {
  const [x, y, w, h] = stones[k];
  if (w * h === 1) return null;
  const parts: Stone[] =
    w >= h
      ? [
          [x, y, Math.floor(w / 2), h],
          [x + Math.floor(w / 2), y, w - Math.floor(w / 2), h],
        ]
      : [
          [x, y, w, Math.floor(h / 2)],
          [x, y + Math.floor(h / 2), w, h - Math.floor(h / 2)],
        ];
  return [...stones.slice(0, k), ...parts, ...stones.slice(k + 1)];
}

/** Two stones that together make a rectangle, the left or lower one first; null for others. Cells wrap round. */
export function together(
  a: Stone,
  b: Stone,
  { columns, rows }: CellSize,
): { readonly whole: Stone; readonly swapped: readonly [Stone, Stone] } | null {
  for (const [[ax, ay, aw, ah], [bx, by, bw, bh]] of [
    [a, b],
    [b, a],
  ] as const) {
    if (ay === by && ah === bh && (ax + aw - bx) % columns === 0)
      return {
        whole: [ax, ay, aw + bw, ah],
        swapped: [
          [ax, ay, bw, ah],
          [ax + bw, ay, aw, ah],
        ],
      };
    if (ax === bx && aw === bw && (ay + ah - by) % rows === 0)
      return {
        whole: [ax, ay, aw, ah + bh],
        swapped: [
          [ax, ay, aw, bh],
          [ax, ay + bh, aw, ah],
        ],
      };
  }
  return null;
}

/** Makes one stone of two that share a whole side; null where they don't. */
export function mergeStones(stones: readonly Stone[], k: number, m: number, size: CellSize): Stone[] | null {
  const pair = together(stones[k], stones[m], size);
  return pair && [...stones.filter((_, at) => at !== k && at !== m), pair.whole];
}

/** Changes two stones over that share a whole side; null where they don't. */
export function swapStones(stones: readonly Stone[], k: number, m: number, size: CellSize): Stone[] | null {
  const pair = together(stones[k], stones[m], size);
  return pair && [...stones.filter((_, at) => at !== k && at !== m), ...pair.swapped];
}
