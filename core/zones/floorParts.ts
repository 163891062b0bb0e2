import { SEEN_MM } from '../tolerances.ts';
import { intersect, unionOfRings } from '../geometry/clip.ts';
import { distance, type Point } from '../geometry/point.ts';
import { boxOf, boxRing, isInside, polygonArea, polygonsArea, stripWidth, type Box, type Polygon } from '../geometry/ring.ts';
import { sharedRun, sidesOf, type SharedStretch } from './sharedRun.ts';

/** A way from one part into another. */
export interface Passage {
  readonly to: number;
  /** How wide it is in all, mm. */
  readonly mm: number;
  /** Whether a person gets through in one place. */
  readonly isWide: boolean;
  readonly at: Point;
}

/** A part of a surface that is laid as one. */
export interface FloorPart {
  /** By its place in the grid of parts. */
  readonly id: string;
  readonly row: number;
  readonly column: number;
  readonly polygons: readonly Polygon[];
  readonly areaMm2: number;
  readonly passes: readonly Passage[];
}

/** Where a surface is parted: lines of either direction, from low to high, mm. */
export interface PartGrid {
  readonly xs: readonly number[];
  readonly ys: readonly number[];
}

/** A surface in parts. */
export interface Parts {
  readonly parts: readonly FloorPart[];
  /** The part that holds a position, by its number. */
  readonly partAt: (p: Point) => number;
}

/** A person gets through a gap that is so wide, mm. */
export const PASS_MM = 350;

/** Parts of less of their box than this, or narrower, are laid with what lies beside them. */
const SMALL_SHARE = 0.25;
const NARROW_MM = 300;

/** Sides nearer than this lie on each other, mm: clipping works in thousandths. */
const TOUCH_MM = SEEN_MM;

interface Draft {
  readonly id: string;
  readonly row: number;
  readonly column: number;
  polygons: readonly Polygon[];
  areaMm2: number;
  readonly cells: { readonly row: number; readonly column: number }[];
}

/** Parts a region by a grid. What stays too small or has no way in goes with the part that it meets on the longest run. */
export function partsOf(region: readonly Polygon[], grid: PartGrid): Parts {
  const { xs, ys } = grid;
  const drafts = draftsOf(region, grid);
  const cellMm2 = ((xs[xs.length - 1] - xs[0]) / (xs.length - 1)) * ((ys[ys.length - 1] - ys[0]) / (ys.length - 1));
  const merged = merge(drafts, cellMm2);
  const sides = merged.map(({ polygons }) => sidesOf(polygons));
  const parts = merged.map(({ id, row, column, polygons, areaMm2, cells }, k): FloorPart => ({
    id,
    row,
    column,
    polygons,
    areaMm2,
    passes: merged.flatMap((other, to): Passage[] => {
      if (to === k || !isBeside(cells, other.cells)) return [];
      const { mm, unbrokenMm, at } = sharedRun(sides[k], sides[to], TOUCH_MM);
      return mm >= PASS_MM ? [{ to, mm, isWide: unbrokenMm >= PASS_MM, at }] : [];
    }),
  }));
  return { parts, partAt: finder(merged, { xs, ys }) };
}

/** What of a region lies in each cell of a grid; clipped only where its boundary runs through. */
function draftsOf(region: readonly Polygon[], { xs, ys }: PartGrid): Draft[] {
  const drafts: Draft[] = [];
  const sides = sidesOf(region);
  for (let row = 0; row + 1 < ys.length; row++) {
    const strip: Box = { minX: xs[0], maxX: xs[xs.length - 1], minY: ys[row], maxY: ys[row + 1] };
    const near = sidesIn(sides, strip);
    let clipped: readonly Polygon[] | null = null;
    for (let column = 0; column + 1 < xs.length; column++) {
      const cell: Box = { ...strip, minX: xs[column], maxX: xs[column + 1] };
      const middle: Point = [(cell.minX + cell.maxX) / 2, (cell.minY + cell.maxY) / 2];
      const isParted = sidesIn(near, cell).length > 0;
      if (!isParted && !isInside(middle, region)) continue;
      if (isParted) clipped ??= intersect(region, [[boxRing(strip)]]);
      const own = isParted && clipped ? intersect(clipped, [[boxRing(cell)]]) : [[boxRing(cell)]];
      // From left to right, whatever order clipping gives them in.
      const sorted = own
        .filter((polygon) => polygonArea(polygon) > 1)
        .sort((a, b) => boxOf(a[0]).minX - boxOf(b[0]).minX || boxOf(a[0]).minY - boxOf(b[0]).minY);
      sorted.forEach((polygon, k) =>
        drafts.push({
          id: `${row + 1}.${column + 1}${k > 0 ? String.fromCharCode(96 + k) : ''}`,
          row,
          column,
          polygons: [polygon],
          areaMm2: polygonArea(polygon),
          cells: [{ row, column }],
        }),
      );
    }
  }
  return drafts;
}

/** The sides whose own boxes reach into a box. */
const sidesIn = (sides: readonly SharedStretch[], { minX, minY, maxX, maxY }: Box): SharedStretch[] =>
  sides.filter(
    ([a, b]) => Math.max(a[0], b[0]) > minX && Math.min(a[0], b[0]) < maxX && Math.max(a[1], b[1]) > minY && Math.min(a[1], b[1]) < maxY,
  );

const isBeside = (a: Draft['cells'], b: Draft['cells']): boolean =>
  a.some((one) => b.some((other) => Math.abs(one.row - other.row) + Math.abs(one.column - other.column) <= 1));

/** Joins what is too small to be a part of its own, the smallest first. */
function merge(drafts: readonly Draft[], cellMm2: number): Draft[] {
  const all = [...drafts];
  const sides = new Map<Draft, SharedStretch[]>(all.map((draft) => [draft, sidesOf(draft.polygons)]));
  const sidesFor = (draft: Draft): SharedStretch[] => sides.get(draft) ?? [];
  const stays = new Set<Draft>();
  for (;;) {
    const open = all.filter((draft) => !stays.has(draft));
    if (open.length === 0) return all;
    const small = open.reduce((a, b) => (b.areaMm2 < a.areaMm2 ? b : a));
    const near = all.flatMap((other) => {
      const mm = other === small || !isBeside(small.cells, other.cells) ? 0 : sharedRun(sidesFor(small), sidesFor(other), TOUCH_MM).mm;
      return mm > 0 ? [{ other, mm }] : [];
    });
    const longest = near.reduce((a, b) => (b.mm > a.mm ? b : a), { other: small, mm: 0 });
    const isSmall = small.areaMm2 < SMALL_SHARE * cellMm2 || small.polygons.every((polygon) => stripWidth(polygon) < NARROW_MM);
    if (longest.mm === 0 || !(isSmall || longest.mm < PASS_MM)) {
      stays.add(small);
      continue;
    }
    const { other } = longest;
    other.polygons = unionOfRings([...other.polygons, ...small.polygons].flat());
    other.areaMm2 = polygonsArea(other.polygons);
    other.cells.push(...small.cells);
    sides.set(other, sidesOf(other.polygons));
    stays.delete(other);
    all.splice(all.indexOf(small), 1);
  }
}

/** Finds the part that holds a position. */
function finder(drafts: readonly Draft[], { xs, ys }: PartGrid): Parts['partAt'] {
  const middles = drafts.map(({ polygons }): Point => {
    const { minX, minY, maxX, maxY } = boxOf(polygons.flat(2));
    return [(minX + maxX) / 2, (minY + maxY) / 2];
  });
  const inCell = ys.map(() => xs.map((): number[] => []));
  drafts.forEach(({ cells }, k) => {
    for (const { row, column } of cells) if (!inCell[row][column].includes(k)) inCell[row][column].push(k);
  });
  return (p) => {
    const own = inCell[cellOf(p[1], ys)][cellOf(p[0], xs)];
    if (own.length === 1) return own[0];
    const holding = own.find((k) => isInside(p, drafts[k].polygons));
    if (holding !== undefined) return holding;
    // A piece whose middle lies in none: the part whose middle is nearest.
    const among = own.length > 0 ? own : drafts.map((_, k) => k);
    return among.reduce((a, b) => (distance(p, middles[b]) < distance(p, middles[a]) ? b : a));
  };
}

function cellOf(mm: number, lines: readonly number[]): number {
  let k = 0;
  while (k + 2 < lines.length && mm >= lines[k + 1]) k++;
  return k;
}
