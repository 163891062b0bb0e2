import type { Point } from '../geometry/point.ts';
import { latticeOf } from '../setout/place/markCells.ts';
import { placementMotion, type Address, type Layout } from '../setout/place/layout.ts';
import type { KeptCount } from './keptLabels.ts';

/** Where counting starts: the first course, and in each course the first tile. */
export interface Labels {
  /** Stands before the letters: nothing in the main field, 2 and up in the others. */
  readonly prefix: string;
  readonly firstCourse: number;
  readonly firstInCourse: ReadonlyMap<number, number>;
  readonly perCell: readonly number[];
  /** Steps from the cells of the layout to those that were counted. */
  readonly shift: readonly [number, number];
}

const courseOf = ({ repeat }: Layout, { piece, j }: Address): number => j * repeat.coursesPerCell + repeat.pieces[piece].course;

/** Starts the count of every field; where a count was kept, tiles keep the names that they have in it. */
export const startLabels = (
  fields: readonly { readonly layout: Layout }[],
  kept: readonly KeptCount[] | undefined,
  patternKind: string,
): Labels[] => fields.map(({ layout }, k) => startField(layout, k, kept?.[k]?.pattern === patternKind ? kept[k] : null));

/** Starts the count of courses and places from the bottom left of what is laid. */
function startField(layout: Layout, field: number, kept: KeptCount | null): Labels {
  const { pieces, coursesPerCell } = layout.repeat;
  const perCell = Array.from({ length: coursesPerCell }, (_, c) => pieces.filter(({ course }) => course === c).length);
  const shift = kept ? shiftTo(layout, kept) : null;
  const [di, dj] = shift ?? [0, 0];
  const firstInCourse = new Map<number, number>(shift && kept ? kept.firsts : []);
  const isKept = new Set(firstInCourse.keys());
  const see = ({ piece, i, j }: Address): void => {
    const address = { piece, i: i + di, j: j + dj };
    const course = courseOf(layout, address);
    if (isKept.has(course)) return;
    const place = placeOf(layout, perCell, address);
    firstInCourse.set(course, Math.min(place, firstInCourse.get(course) ?? Infinity));
  };
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4) see({ piece: runs[k], j: runs[k + 1], i: runs[k + 2] });
  layout.cutTiles.forEach(see);
  const firstCourse = shift && kept ? kept.firstCourse : Math.min(...firstInCourse.keys());
  return { prefix: field === 0 ? '' : String(field + 1), firstCourse, firstInCourse, perCell, shift: [di, dj] };
}

/** A field that is turned further than this is another one, degrees. */
const SAME_TURN_DEG = 1;

/** Whole steps from the cells of a layout to the nearest of a kept count; null where that field lay another way. */
function shiftTo({ repeat, placement }: Layout, kept: KeptCount): readonly [number, number] | null {
  if (Math.abs(placement.turnDeg - kept.turnDeg) > SAME_TURN_DEG) return null;
  const { unturn } = placementMotion({ origin: [0, 0], turnDeg: placement.turnDeg });
  const moved: Point = [placement.origin[0] - kept.origin[0], placement.origin[1] - kept.origin[1]];
  const [i, j] = latticeOf(repeat)(unturn(moved));
  return [Math.round(i), Math.round(j)];
}

function placeOf({ repeat }: Layout, perCell: readonly number[], { piece, i }: Address): number {
  const { course } = repeat.pieces[piece];
  const before = repeat.pieces.slice(0, piece).filter((other) => other.course === course).length;
  return i * perCell[course] + before;
}

/**
 * The name of a tile: letters for the course, counted from the first, and its place: `C7`; `2A4` in the second field. What
 * came before the first of a kept count has a dash: `-A7` in the first course below it, `C-1` the first tile left of `C1`.
 */
export function labelOf(labels: Labels, layout: Layout, { piece, i, j }: Address): string {
  const address = { piece, i: i + labels.shift[0], j: j + labels.shift[1] };
  const course = courseOf(layout, address);
  const place = placeOf(layout, labels.perCell, address) - (labels.firstInCourse.get(course) ?? 0) + 1;
  const row = course - labels.firstCourse;
  return `${labels.prefix}${row < 0 ? `-${letters(-row - 1)}` : letters(row)}${place < 1 ? `-${1 - place}` : place}`;
}

/** The letters of a course or row: 0 is A, 23 is Z, 24 is AA. I and O stay out: on a wet tile they read as 1 and 0. */
function letters(n: number): string {
  const alphabet = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
  const rest = Math.floor(n / alphabet.length);
  return (rest > 0 ? letters(rest - 1) : '') + alphabet[n % alphabet.length];
}
