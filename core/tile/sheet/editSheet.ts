import { distance, type Point } from '../../geometry/point.ts';
import type { Chip, ChipType, Sheet } from './sheet.ts';
import { MOST_CHIPS } from './sheet.ts';

/** Steps between neighbours that are tried where a chip is placed. */
const STEPS = 6;

/** Where a chip near a position would go: a step from its neighbours as theirs are from each other, else to the half millimetre. */
export function snappedPlace(sheet: Sheet, at: Point, type: number): Point {
  const steps = stepsBetween(sheet);
  const { widthMm, heightMm } = sheet.types[type];
  const near = Math.max(widthMm, heightMm) + sheet.jointMm;
  const places = sheet.chips
    .filter(({ xMm, yMm }) => distance([xMm, yMm], at) < 2 * near)
    .flatMap(({ xMm, yMm }) => steps.map(([dx, dy]): Point => [xMm + dx, yMm + dy]))
    .filter((place) => !sheet.chips.some(({ xMm, yMm }) => distance([xMm, yMm], place) < sheet.jointMm + 1))
    .sort((a, b) => distance(a, at) - distance(b, at));
  const [nearest] = places;
  return nearest && distance(nearest, at) < near / 2 ? nearest : [Math.round(at[0] * 2) / 2, Math.round(at[1] * 2) / 2];
}

/** The shortest ways from a chip to the next, both directions of each. */
function stepsBetween({ chips }: Sheet): Point[] {
  const some = chips.slice(0, 80);
  const found: Point[] = [];
  const all = some
    .flatMap((a, k) => some.slice(k + 1).map((b): Point => [b.xMm - a.xMm, b.yMm - a.yMm]))
    .sort((a, b) => Math.hypot(...a) - Math.hypot(...b));
  for (const step of all) {
    const isKnown = found.some((other) => distance(other, step) < 0.5 || distance([-other[0], -other[1]], step) < 0.5);
    if (!isKnown) found.push(step);
    if (found.length === STEPS) break;
  }
  return found.flatMap(([x, y]): Point[] => [
    [x, y],
    [-x, -y],
  ]);
}

/** The sheet with one more chip; null where it is full. */
export const withChip = (sheet: Sheet, chip: Chip): Sheet | null =>
  sheet.chips.length >= MOST_CHIPS ? null : { ...sheet, chips: [...sheet.chips, chip] };

/** The sheet with one chip changed. */
export const withChipChanged = (sheet: Sheet, at: number, change: Partial<Chip>): Sheet => ({
  ...sheet,
  chips: sheet.chips.map((chip, k) => (k === at ? { ...chip, ...change } : chip)),
});

/** The sheet without one of its chips; the last one stays. */
export const withoutChip = (sheet: Sheet, at: number): Sheet =>
  sheet.chips.length === 1 ? sheet : { ...sheet, chips: sheet.chips.filter((_, k) => k !== at) };

/** The sheet with one more type of chip, or the one it has already; and which that is. */
export function withType(sheet: Sheet, type: ChipType): { readonly sheet: Sheet; readonly at: number } {
  const known = sheet.types.findIndex((other) => JSON.stringify(other) === JSON.stringify(type));
  return known === -1 ? { sheet: { ...sheet, types: [...sheet.types, type] }, at: sheet.types.length } : { sheet, at: known };
}

/** The sheet moved so that its chips begin at its bottom left corner; `corner` is where they begin now. */
export const squaredUp = (sheet: Sheet, [x, y]: Point): Sheet => ({
  ...sheet,
  chips: sheet.chips.map((chip) => ({ ...chip, xMm: rounded(chip.xMm - x), yMm: rounded(chip.yMm - y) })),
});

/** To the tenth of a micrometre, so that sheets are short to write. */
export const rounded = (mm: number): number => Math.round(mm * 1e4) / 1e4 + 0;
