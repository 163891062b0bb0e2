import { seededNumbers } from '../../geometry/seededNumbers.ts';
import { FIRST_DRAW_SQUARES, LATER_DRAW_SQUARES, startEffort, type Effort } from './effort.ts';
import { together } from './editStones.ts';
import { retile } from './retile.ts';
import { coverOf, faultsNear, faultsOf, squaresOf, type AshlarRules, type CellSize, type Stone } from './stones.ts';

/** Draws of a whole cell that are tried, and how far their seeds are apart. */
const DRAWS = 4;
const SEEDS_APART = 10_007;

/** Draws a cell by chance until the rules hold, or as nearly as they can. The same seed draws the same cell. */
export function drawAshlar(rules: AshlarRules, seed: number): Stone[] {
  let best: { stones: Stone[]; faults: number } | null = null;
  for (let round = 0; round < DRAWS && best?.faults !== 0; round++) {
    const effort = startEffort(round === 0 ? FIRST_DRAW_SQUARES : LATER_DRAW_SQUARES);
    const next = seededNumbers(seed + round * SEEDS_APART);
    const filled = fill([], rules, next);
    // Stones of one size lie as they lie: no move changes anything.
    const stones =
      rules.sizes.length === 1
        ? filled
        : mend(
            settle(filled, () => true, rules, next, effort),
            () => true,
            rules,
            next,
            effort,
          );
    const faults = faultsOf(stones, rules, rules.longestJoint).total;
    if (!best || faults < best.faults) best = { stones, faults };
  }
  return best?.stones ?? [];
}

/** Draws the stones round one again; those that are locked stay. */
export function rollPatch(stones: readonly Stone[], centre: number, locked: readonly Stone[], rules: AshlarRules, seed: number): Stone[] {
  const next = seededNumbers(seed);
  const kept = new Set(locked.map(String));
  const near = nearTo(stones[centre], rules);
  const free = (stone: Stone): boolean => near(stone) && !kept.has(String(stone));
  const fixed = new Set(stones.filter((stone) => !free(stone)).map(String));
  const rolled = fill(
    stones.filter((stone) => !free(stone)),
    rules,
    next,
  );
  const isOpen = (stone: Stone): boolean => !fixed.has(String(stone));
  const effort = startEffort(FIRST_DRAW_SQUARES);
  return mend(settle(rolled, isOpen, rules, next, effort), isOpen, rules, next, effort);
}

/** How far round a stone a patch reaches that is drawn again by hand, modules. */
const PATCH = 2;

/** Whether a stone lies near another, round the edges of the cell too. */
function nearTo([x, y, w, h]: Stone, { columns, rows }: CellSize, by = PATCH): (stone: Stone) => boolean {
  const patch = new Set(squaresOf([x - by, y - by, Math.min(columns, w + 2 * by), Math.min(rows, h + 2 * by)], { columns, rows }));
  return (stone) => squaresOf(stone, { columns, rows }).some((square) => patch.has(square));
}

/** Fills what is empty of a cell with stones drawn by chance, from the bottom left. */
function fill(kept: readonly Stone[], rules: AshlarRules, next: () => number): Stone[] {
  const { columns, rows, sizes } = rules;
  const stones = [...kept];
  const cover = coverOf(stones, rules);
  for (let square = 0; square < cover.length; square++) {
    if (cover[square] !== -1) continue;
    const [x, y] = [square % columns, Math.floor(square / columns)];
    const isFree = ([w, h]: readonly [number, number]): boolean =>
      w <= columns && h <= rows && squaresOf([x, y, w, h], rules).every((other) => cover[other] === -1);
    const fitting = sizes.filter(isFree);
    const [w, h] = fitting[Math.floor(next() * fitting.length)] ?? [1, 1];
    for (const other of squaresOf([x, y, w, h], rules)) cover[other] = stones.length;
    stones.push([x, y, w, h]);
  }
  return stones;
}

/** Moves for each stone, and how readily a move that breaks a rule is taken: less and less (annealing). */
const MOVES_PER_STONE = 300;
const WARMEST = 1.2;
const COOLEST = 0.08;

/**
 * Lets a cell settle: two stones that make a rectangle are parted another way or become one, one is parted
 * in two; what breaks fewer rules is taken, and at first now and then what breaks more.
 */
function settle(
  start: readonly Stone[],
  isFree: (stone: Stone) => boolean,
  rules: AshlarRules,
  next: () => number,
  effort: Effort,
): Stone[] {
  const stones = [...start];
  const cover = coverOf(stones, rules);
  const allowed = new Set(rules.sizes.map(String));
  const moves = MOVES_PER_STONE * stones.filter(isFree).length;
  for (let k = 0; k < moves; k++) {
    const warmth = WARMEST * (COOLEST / WARMEST) ** (k / moves);
    const move = drawMove(stones, cover, isFree, rules, allowed, next);
    if (!move) continue;
    const [, , w, h] = move.whole;
    if (!effort.spend(0.5 * ((w + 1) * (h + 1) + (h + 1) * rules.columns + (w + 1) * rules.rows))) break;
    const before = faultsNear(stones, cover, move.whole, rules, rules.longestJoint);
    replace(stones, cover, move.places, move.parts, rules);
    const after = faultsNear(stones, cover, move.whole, rules, rules.longestJoint);
    if (after > before && next() >= Math.exp((before - after) / warmth)) undo(stones, cover, move, rules);
    if (k % 500 === 0 && faultsOf(stones.filter(isLaid), rules, rules.longestJoint).total === 0) break;
  }
  return stones.filter(isLaid);
}

/** Squares that are looked at to fill one patch anew: its tries, each with the stones beside it and the joints it lengthens. */
const MENDING_SQUARES = 20_000;

/** Patches that are tried for what still breaks a rule. */
const MENDINGS = 700;

/** Takes out the stones round one that breaks a rule and looks for stones that break none in their place. */
function mend(start: Stone[], isFree: (stone: Stone) => boolean, rules: AshlarRules, next: () => number, effort: Effort): Stone[] {
  let stones = start;
  let faults = faultsOf(stones, rules, rules.longestJoint);
  for (let round = 0; round < MENDINGS && faults.total > 0; round++) {
    if (!effort.spend(MENDING_SQUARES + 8 * rules.columns * rules.rows)) break;
    const guilty = [...faults.byStone.keys()];
    const near = nearTo(stones[guilty[Math.floor(next() * guilty.length)]], rules, next() < 0.7 ? 1 : 2);
    const kept = stones.filter((stone) => !near(stone) || !isFree(stone));
    const tried = retile(kept, rules, next);
    const now = tried && faultsOf(tried, rules, rules.longestJoint);
    if (tried && now && now.total <= faults.total) [stones, faults] = [tried, now];
  }
  return stones;
}

/** A stone that became part of another leaves its place in the list empty. */
const EMPTY: Stone = [0, 0, 0, 0];
const isLaid = ([, , w, h]: Stone): boolean => w * h > 0;

interface Move {
  readonly whole: Stone;
  /** Places in the list: two, the second perhaps empty. */
  readonly places: readonly [number, number];
  readonly were: readonly [Stone, Stone];
  readonly parts: readonly [Stone, Stone];
}

function drawMove(
  stones: Stone[],
  cover: Int32Array,
  isFree: (stone: Stone) => boolean,
  rules: AshlarRules,
  allowed: ReadonlySet<string>,
  next: () => number,
): Move | null {
  const square = Math.floor(next() * cover.length);
  const first = cover[square];
  if (!isFree(stones[first])) return null;
  const { columns, rows } = rules;
  const [dx, dy] = WAYS[Math.floor(next() * 4)];
  const beside = ((Math.floor(square / columns) + dy + rows) % rows) * columns + ((square + dx + columns) % columns);
  const other = cover[beside];
  if (other === first) return partOne(stones, first, allowed, next);
  if (!isFree(stones[other])) return null;
  const pair = together(stones[first], stones[other], rules);
  if (!pair) return null;
  const parts = partings(pair.whole, allowed, true).filter(
    ([a]) => String(a) !== String(stones[first]) && String(a) !== String(stones[other]),
  );
  const drawn = parts[Math.floor(next() * parts.length)];
  return drawn ? { whole: pair.whole, places: [first, other], were: [stones[first], stones[other]], parts: drawn } : null;
}

const WAYS = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const;

/** Parts one stone in two; the second takes an empty place in the list. */
function partOne(stones: Stone[], k: number, allowed: ReadonlySet<string>, next: () => number): Move | null {
  const parts = partings(stones[k], allowed, false);
  const drawn = parts[Math.floor(next() * parts.length)];
  if (!drawn) return null;
  let empty = stones.findIndex((stone) => !isLaid(stone));
  if (empty === -1) empty = stones.push(EMPTY) - 1;
  return { whole: stones[k], places: [k, empty], were: [stones[k], EMPTY], parts: drawn };
}

/** Every way to part a rectangle in two that can be cut, and as one piece where that can be. */
function partings([x, y, w, h]: Stone, allowed: ReadonlySet<string>, asOne: boolean): [Stone, Stone][] {
  const found: [Stone, Stone][] = [];
  const fits = (a: number, b: number): boolean => allowed.has(`${a},${b}`);
  if (asOne && fits(w, h)) found.push([[x, y, w, h], EMPTY]);
  for (let k = 1; k < w; k++)
    if (fits(k, h) && fits(w - k, h))
      found.push([
        [x, y, k, h],
        [x + k, y, w - k, h],
      ]);
  for (let k = 1; k < h; k++)
    if (fits(w, k) && fits(w, h - k))
      found.push([
        [x, y, w, k],
        [x, y + k, w, h - k],
      ]);
  return found;
}

function replace(
  stones: Stone[],
  cover: Int32Array,
  places: readonly [number, number],
  parts: readonly [Stone, Stone],
  size: CellSize,
): void {
  places.forEach((place, k) => {
    stones[place] = parts[k];
    for (const square of squaresOf(parts[k], size)) cover[square] = place;
  });
}

const undo = (stones: Stone[], cover: Int32Array, { places, were }: Move, size: CellSize): void =>
  replace(stones, cover, places, were, size);
