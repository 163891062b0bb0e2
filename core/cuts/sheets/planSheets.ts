import { ringArea } from '../../geometry/ring.ts';
import type { Field } from '../../setout/fields/field.ts';
import { chipRing } from '../../tile/sheet/sheetChips.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';
import { sheetCells, type SheetCell } from './sheetCells.ts';
import { translationFinder } from './translations.ts';

/** One sheet that is not laid whole: cut between its chips, and here and there through them. */
export interface SheetPart {
  /** Row letter and place: `A1` is the bottom left sheet; a field beyond the first has its number in front. */
  readonly label: string;
  readonly field: number;
  readonly i: number;
  readonly j: number;
  /** Chips it keeps, those cut through among them. */
  readonly chips: number;
  readonly through: number;
  /** So few chips that they are set one by one. */
  readonly loose: boolean;
  /** Number of the sheet opened for parts it comes from, counted from 1. */
  readonly sheet: number;
  /** The part whose rest it is taken from; null where a sheet is opened for it. */
  readonly restOf: string | null;
}

/** What becomes of the sheets of one product. */
export interface SheetPlan {
  readonly productId: string;
  /** Chips of one sheet. */
  readonly chipsPerSheet: number;
  readonly wholeSheets: number;
  /** Sheets opened for parts. */
  readonly openedForParts: number;
  /** No plan could need fewer sheets in all. */
  readonly lowerBound: number;
  readonly parts: readonly SheetPart[];
  /** Chips left over in opened sheets. */
  readonly chipsLeft: number;
}

/** A part of so few chips, or so small a share of the sheet, is made up of loose chips. */
const LOOSE_CHIPS = 6;
const LOOSE_SHARE = 0.05;

/** Plans the sheets of every product: what is laid whole, what is cut, and which rest of which sheet gives what. */
export function planSheets(fields: readonly Field[], offCutsKept: boolean): SheetPlan[] {
  const cells = sheetCells(fields);
  const labels = labelCells(cells);
  const ids = [...new Set(cells.map(({ productId }) => productId))];
  return ids.map((productId) => {
    const own = cells.filter((cell) => cell.productId === productId);
    return planProduct(productId, own, labels, offCutsKept);
  });
}

interface Rest {
  readonly number: number;
  readonly from: string;
  readonly chips: Set<number>;
}

function planProduct(productId: string, cells: readonly SheetCell[], labels: ReadonlyMap<SheetCell, string>, kept: boolean): SheetPlan {
  const { sheet } = cells[0];
  const perSheet = sheet.chips.length;
  const wanted = cells.filter(({ whole }) => whole.length < perSheet);
  const isLoose = ({ whole, through }: SheetCell): boolean =>
    whole.length + through.length <= Math.max(LOOSE_CHIPS, Math.floor(perSheet * LOOSE_SHARE));
  // Large parts first, then the loose chips out of what they leave.
  const order = [...wanted].sort((a, b) => chipsOf(b).length - chipsOf(a).length);
  const find = translationFinder(sheet);
  const rests: Rest[] = [];
  const parts = new Map<SheetCell, SheetPart>();
  for (const cell of order) {
    const need = chipsOf(cell);
    const loose = isLoose(cell);
    const label = labels.get(cell) ?? '';
    const found = kept ? findRest(rests, (rest) => (loose ? pickLoose(sheet, need, rest) : find(need, rest))) : null;
    const rest = found?.rest ?? openSheet(rests, label, perSheet);
    for (const chip of found?.chips ?? need) rest.chips.delete(chip);
    const { field, i, j, through } = cell;
    const restOf = found ? rest.from : null;
    parts.set(cell, { label, field, i, j, loose, restOf, chips: need.length, through: through.length, sheet: rest.number });
  }
  const wholeSheets = cells.length - wanted.length;
  return {
    productId,
    chipsPerSheet: perSheet,
    wholeSheets,
    openedForParts: rests.length,
    lowerBound: kept ? boundFor(sheet, cells) : cells.length,
    parts: wanted.flatMap((cell) => parts.get(cell) ?? []),
    chipsLeft: rests.reduce((sum, { chips }) => sum + chips.size, 0),
  };
}

const chipsOf = ({ whole, through }: SheetCell): readonly number[] => [...whole, ...through];

/** The smallest rest that gives the chips, so that large rests last. */
function findRest(
  rests: readonly Rest[],
  take: (rest: ReadonlySet<number>) => readonly number[] | null,
): { rest: Rest; chips: readonly number[] } | null {
  for (const rest of [...rests].sort((a, b) => a.chips.size - b.chips.size)) {
    const chips = take(rest.chips);
    if (chips) return { rest, chips };
  }
  return null;
}

function openSheet(rests: Rest[], from: string, chips: number): Rest {
  const fresh: Rest = { number: rests.length + 1, from, chips: new Set(Array.from({ length: chips }, (_, k) => k)) };
  rests.push(fresh);
  return fresh;
}

/** Loose chips of the right type, and in a motif of the right colour, whatever their place. */
function pickLoose(sheet: Sheet, need: readonly number[], rest: ReadonlySet<number>): readonly number[] | null {
  const left = new Set(rest);
  const picked: number[] = [];
  for (const chip of need) {
    const { type, colour } = sheet.chips[chip];
    const found = [...left].find((other) => sheet.chips[other].type === type && (!sheet.figured || sheet.chips[other].colour === colour));
    if (found === undefined) return null;
    left.delete(found);
    picked.push(found);
  }
  return picked;
}

/**
 * The better of two proofs: for every type of chip the area laid over the area of it on a sheet; and in a
 * motif, where every chip has its place, the most often wanted place.
 */
function boundFor(sheet: Sheet, cells: readonly SheetCell[]): number {
  const onSheet = sheet.types.map(() => 0);
  for (const chip of sheet.chips) onSheet[chip.type] += ringArea(chipRing(sheet, chip));
  const byArea = onSheet.map((area, type) => (area === 0 ? 0 : cells.reduce((sum, { areaByType }) => sum + areaByType[type], 0) / area));
  const places = new Map<string, { wanted: number; onSheet: number }>();
  if (sheet.figured) {
    const keyOf = (chip: number): string => `${sheet.chips[chip].type}/${sheet.chips[chip].colour}`;
    sheet.chips.forEach((_, chip) => {
      const own = places.get(keyOf(chip)) ?? { wanted: 0, onSheet: 0 };
      places.set(keyOf(chip), { ...own, onSheet: own.onSheet + 1 });
    });
    for (const { whole } of cells) {
      for (const chip of whole) {
        const own = places.get(keyOf(chip));
        if (own) own.wanted += 1;
      }
    }
  }
  const byPlace = [...places.values()].map((own) => own.wanted / own.onSheet);
  return Math.ceil(Math.max(...byArea, ...byPlace) - 1e-6);
}

/** Names sheets by row from the bottom and place from the left, S2-3: never like a piece of one drawing with them, B3. */
function labelCells(cells: readonly SheetCell[]): Map<SheetCell, string> {
  const labels = new Map<SheetCell, string>();
  for (const field of new Set(cells.map((cell) => cell.field))) {
    const own = cells.filter((cell) => cell.field === field);
    const rows = [...new Set(own.map(({ j }) => j))].sort((a, b) => a - b);
    rows.forEach((j, row) => {
      const inRow = own.filter((cell) => cell.j === j);
      inRow.forEach((cell, k) => labels.set(cell, `${field === 0 ? '' : field + 1}S${row + 1}-${k + 1}`));
    });
  }
  return labels;
}
