import type { Address, Layout } from '../setout/place/layout.ts';

/** Where counting starts: the first course, and in each course the first tile. */
export interface Labels {
  /** Stands before the letters: nothing in the main field, 2 and up in the others. */
  readonly prefix: string;
  readonly firstCourse: number;
  readonly firstInCourse: ReadonlyMap<number, number>;
  readonly perCell: readonly number[];
}

const courseOf = ({ repeat }: Layout, { piece, j }: Address): number => j * repeat.coursesPerCell + repeat.pieces[piece].course;

/** Starts the count of every field. */
export const startLabels = (fields: readonly { readonly layout: Layout }[]): Labels[] =>
  fields.map(({ layout }, k) => startField(layout, k));

/** Starts the count of courses and places from the bottom left of what is laid. */
function startField(layout: Layout, field: number): Labels {
  const firstInCourse = new Map<number, number>();
  const { pieces, coursesPerCell } = layout.repeat;
  const perCell = Array.from({ length: coursesPerCell }, (_, c) => pieces.filter(({ course }) => course === c).length);
  const see = (address: Address): void => {
    const course = courseOf(layout, address);
    const place = placeOf(layout, perCell, address);
    firstInCourse.set(course, Math.min(place, firstInCourse.get(course) ?? Infinity));
  };
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4) see({ piece: runs[k], j: runs[k + 1], i: runs[k + 2] });
  layout.cutTiles.forEach(see);
  return { prefix: field === 0 ? '' : String(field + 1), firstCourse: Math.min(...firstInCourse.keys()), firstInCourse, perCell };
}

function placeOf({ repeat }: Layout, perCell: readonly number[], { piece, i }: Address): number {
  const { course } = repeat.pieces[piece];
  const before = repeat.pieces.slice(0, piece).filter((other) => other.course === course).length;
  return i * perCell[course] + before;
}

/** The name of a tile: letters for the course, counted from the first, and its place: `C7`; `2A4` in the second field. */
export function labelOf(labels: Labels, layout: Layout, address: Address): string {
  const course = courseOf(layout, address);
  const place = placeOf(layout, labels.perCell, address) - (labels.firstInCourse.get(course) ?? 0) + 1;
  return `${labels.prefix}${letters(course - labels.firstCourse)}${place}`;
}

/** The letters of a course or row: 0 is A, 23 is Z, 24 is AA. I and O stay out: on a wet tile they read as 1 and 0. */
function letters(n: number): string {
  const alphabet = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
  const rest = Math.floor(n / alphabet.length);
  return (rest > 0 ? letters(rest - 1) : '') + alphabet[n % alphabet.length];
}
