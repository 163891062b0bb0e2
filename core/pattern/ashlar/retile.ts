import { coverOf, isTwin, squaresOf, type AshlarRules, type Stone } from './stones.ts';

/** Stones that may be tried before a patch is given up. */
const TRIES = 160;

/** Broken rules that a patch may keep where none can be kept off. */
const MOST_BROKEN = 1;

/**
 * Fills what is empty of a cell so that no stone breaks a rule with those laid, trying stones in turn and
 * going back where none fits; one broken rule is let pass. Null where that finds nothing.
 */
export function retile(kept: readonly Stone[], rules: AshlarRules, next: () => number): Stone[] | null {
  const stones = [...kept];
  const cover = coverOf(stones, rules);
  const empty = [...cover.keys()].filter((square) => cover[square] === -1);
  let tries = 0;

  function fillFrom(k: number, broken: number): boolean {
    let at = k;
    while (at < empty.length && cover[empty[at]] !== -1) at++;
    if (at === empty.length) return true;
    const square = empty[at];
    const [x, y] = [square % rules.columns, Math.floor(square / rules.columns)];
    const drawn = rules.sizes.flatMap(([w, h]) => anchors(x, y, w, h)).map((stone) => ({ stone, order: next() }));
    for (const { stone } of drawn.sort((a, b) => a.order - b.order)) {
      if (stone[2] > rules.columns || stone[3] > rules.rows) continue;
      const own = squaresOf(stone, rules);
      if (own.some((other) => cover[other] !== -1)) continue;
      if (++tries > TRIES) return false;
      const cost = broken + costOf(stone, stones, cover, rules);
      if (cost > MOST_BROKEN) continue;
      for (const other of own) cover[other] = stones.length;
      stones.push(stone);
      if (fillFrom(at + 1, cost)) return true;
      stones.pop();
      for (const other of own) cover[other] = -1;
    }
    return false;
  }
  return fillFrom(0, 0) ? stones : null;
}

/** The places of a stone of a size that cover a square. */
function anchors(x: number, y: number, w: number, h: number): Stone[] {
  const found: Stone[] = [];
  for (let dx = 0; dx < w; dx++) for (let dy = 0; dy < h; dy++) found.push([x - dx, y - dy, w, h]);
  return found;
}

/** Stands for the stone that is tried. */
const OWN = 1_000_000;

/** How many rules a stone would break with those that are laid. */
function costOf([x, y, w, h]: Stone, stones: readonly Stone[], cover: Int32Array, { columns, rows, longestJoint }: AshlarRules): number {
  const wrap = (n: number, by: number): number => ((n % by) + by) % by;
  const at = (cx: number, cy: number): number => {
    const [dx, dy] = [wrap(cx - x, columns), wrap(cy - y, rows)];
    return dx < w && dy < h ? OWN : cover[wrap(cy, rows) * columns + wrap(cx, columns)];
  };
  let cost = 0;
  for (const cx of [x, x + w])
    for (const cy of [y, y + h]) {
      const around = [at(cx - 1, cy - 1), at(cx, cy - 1), at(cx - 1, cy), at(cx, cy)];
      if (!around.includes(-1) && new Set(around).size === 4) cost++;
    }
  const beside = new Set<number>();
  for (let k = 0; k < w; k++) beside.add(at(x + k, y - 1)).add(at(x + k, y + h));
  for (let k = 0; k < h; k++) beside.add(at(x - 1, y + k)).add(at(x + w, y + k));
  for (const k of beside) if (k >= 0 && k !== OWN && isTwin(stones[k], [x, y, w, h], { columns, rows })) cost++;
  const isJoint = (a: number, b: number): boolean => a !== b && a !== -1 && b !== -1;
  for (const cy of [y, y + h]) if (runThrough((k) => isJoint(at(x + k, cy - 1), at(x + k, cy)), w, columns) > longestJoint) cost++;
  for (const cx of [x, x + w]) if (runThrough((k) => isJoint(at(cx - 1, y + k), at(cx, y + k)), h, rows) > longestJoint) cost++;
  return cost;
}

/** How long the joint along a side of a stone gets, with what it runs on from at both ends. */
function runThrough(isJoint: (k: number) => boolean, length: number, around: number): number {
  let best = 0;
  let run = 0;
  let start = 0;
  while (start > -around && isJoint(start - 1)) start--;
  for (let k = start; k < start + around + length; k++) {
    if (!isJoint(k) && k >= length) break;
    run = isJoint(k) ? run + 1 : 0;
    best = Math.max(best, run);
  }
  return best;
}
