import { z } from 'zod';
import { seededNumbers } from '../../geometry/seededNumbers.ts';
import { coursedRepeat } from '../coursedRepeat.ts';
import { layTile } from '../layTile.ts';
import type { PatternKind } from '../patternKind.ts';

const schema = z.strictObject({
  kind: z.literal('randomStagger'),
  lay: z.enum(['lying', 'upright']),
  seed: z.int().min(0).max(9999).describe('Another number, another stagger'),
  apart: z.number().min(0.05).max(0.3).describe('Least distance between end joints of neighbouring courses, as a share of a piece'),
});

/** So many courses are drawn before the stagger comes again; nobody sees it in a room. */
const COURSES = 16;

/** Draws that may be tried for a course before the best so far is taken. */
const TRIES = 60;

/**
 * Courses whose shifts are drawn with a seed. End joints stand apart from those of the course before
 * and the one before that (no H), and no two steps in a row are alike (no stairs).
 */
export const randomStagger = {
  id: 'randomStagger',
  schema,
  defaults: { kind: 'randomStagger', lay: 'lying', seed: 7, apart: 0.2 },
  takes: ['rectangle'],
  slower: 1.1,
  startDecidesEnds: true,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: 'longSide',
  repeat: (module, { lay, seed, apart }) => {
    const tile = layTile(module, lay);
    const along = tile.alongMm + module.jointMm;
    const across = tile.acrossMm + module.jointMm;
    const courses = drawShifts(seed, apart).map((share, k) => ({ along: share * along, across: k * across }));
    return coursedRepeat(
      tile,
      courses,
      [
        [along, 0],
        [0, COURSES * across],
      ],
      lay === 'upright',
    );
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;

/** Distance of two shifts round a piece, as a share of it: never over a half. */
export const shiftApart = (a: number, b: number): number => {
  const away = Math.abs(a - b) % 1;
  return Math.min(away, 1 - away);
};

/** Draws of a whole stagger before the best so far is taken. */
const ROUNDS = 60;

/** Shifts of all courses, as shares of a piece; the last keep clear of the first, which follow them. */
export function drawShifts(seed: number, apart: number): number[] {
  const next = seededNumbers(seed);
  let best = drawOnce(next, apart);
  for (let round = 1; round < ROUNDS && best.badness > 0; round++) {
    const drawn = drawOnce(next, apart);
    if (drawn.badness < best.badness) best = drawn;
  }
  return best.shifts;
}

function drawOnce(next: () => number, apart: number): { readonly shifts: number[]; readonly badness: number } {
  const shifts = [0];
  let sum = 0;
  while (shifts.length < COURSES) {
    let best = { share: 0, badness: Infinity };
    for (let k = 0; k < TRIES && best.badness > 0; k++) {
      const share = next();
      const badness = badnessOf([...shifts, share], apart);
      if (badness < best.badness) best = { share, badness };
    }
    shifts.push(best.share);
    sum += best.badness;
  }
  return { shifts, badness: sum };
}

/** Steps nearer than this share of a piece are alike: a stair. */
const ALIKE = 0.05;

/** By how much the last course breaks the rules, those round the corner of the repeat included. */
function badnessOf(shifts: readonly number[], apart: number): number {
  const last = shifts.length - 1;
  const at = (k: number): number | undefined => (k >= COURSES ? shifts[k - COURSES] : shifts[k]);
  const short = (a: number | undefined, b: number | undefined, least: number): number =>
    a === undefined || b === undefined ? 0 : Math.max(0, least - shiftApart(a, b));
  const step = (k: number): number | undefined => {
    const [a, b] = [at(k), at(k - 1)];
    return a === undefined || b === undefined ? undefined : a - b;
  };
  const ends = last === COURSES - 1 ? [last, last + 1, last + 2] : [last];
  return ends.reduce(
    (sum, k) => sum + short(at(k), at(k - 1), apart) + short(at(k), at(k - 2), apart / 2) + short(step(k), step(k - 1), ALIKE),
    0,
  );
}
