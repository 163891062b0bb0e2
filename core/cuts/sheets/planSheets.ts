import { ROUNDED_OFTEN } from '../../tolerances.ts';
import type { Field } from '../../setout/fields/field.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';
import { sheetCells, type SheetCell } from './sheetCells.ts';
import { hasWayUp, productNamed, type Product } from '../../tile/product.ts';
import { cutSheet, type SheetCut } from './cutSheet.ts';
import { takeParts, type WantedPart } from './takeParts.ts';

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
  /** How the rest is turned against the sheet as it would lie. */
  readonly turnDeg: 0 | 180;
  /** Which chips of that sheet it is made of, by their place in the sheet. */
  readonly chipsFrom: readonly number[];
  /** How it is cut out of a sheet as it would lie. */
  readonly cut: SheetCut;
  /** Chips that are set loose beside it, out of other rests; by the number of the sheet, and their place in it. */
  readonly added: readonly { readonly restOf: string; readonly sheet: number; readonly chipsFrom: readonly number[] }[];
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

/** The same before it is told how parts are cut: enough to count sheets. */
interface TakenSheets extends Omit<SheetPlan, 'parts'> {
  readonly parts: readonly (Omit<SheetPart, 'cut'> & { readonly cell: SheetCell })[];
}

/** Plans the sheets of every product: what is laid whole, how the others are cut, and which rest of which sheet gives what. */
export const planSheets = (fields: readonly Field[], products: readonly Product[], offCutsKept: boolean): SheetPlan[] =>
  takeSheets(fields, products, offCutsKept).map(({ parts, ...plan }) => {
    const product = productNamed(products, plan.productId);
    return { ...plan, parts: parts.map(({ cell, ...part }) => ({ ...part, cut: cutSheet(fields[part.field].layout, cell, product) })) };
  });

/** Counts the sheets of every product, and takes parts out of them. */
export function takeSheets(fields: readonly Field[], products: readonly Product[], offCutsKept: boolean): TakenSheets[] {
  const cells = sheetCells(fields);
  const labels = labelCells(cells);
  const ids = [...new Set(cells.map(({ productId }) => productId))];
  return ids.map((productId) => {
    const own = cells.filter((cell) => cell.productId === productId);
    return planProduct(productId, own, labels, offCutsKept, !hasWayUp(productNamed(products, productId)));
  });
}

function planProduct(
  productId: string,
  cells: readonly SheetCell[],
  labels: ReadonlyMap<SheetCell, string>,
  kept: boolean,
  mayTurn: boolean,
): TakenSheets {
  const { sheet } = cells[0];
  const perSheet = sheet.chips.length;
  const wanted = cells.filter(({ whole }) => whole.length < perSheet);
  const wholeSheets = cells.length - wanted.length;
  const lowerBound = kept ? boundFor(sheet, cells) : cells.length;
  const asked = wanted.map((cell): WantedPart => ({
    label: labels.get(cell) ?? '',
    chips: [...cell.whole, ...cell.through],
  }));
  const { taken, opened, chipsLeft } = takeParts(sheet, asked, { kept, mayTurn, enough: Math.max(0, lowerBound - wholeSheets) });
  return {
    productId,
    chipsPerSheet: perSheet,
    wholeSheets,
    openedForParts: opened,
    lowerBound,
    parts: wanted.map((cell, k) => ({
      cell,
      label: asked[k].label,
      field: cell.field,
      i: cell.i,
      j: cell.j,
      chips: cell.whole.length + cell.through.length,
      through: cell.through.length,
      ...taken[k],
    })),
    chipsLeft,
  };
}

/**
 * The better of two proofs: for every type of chip how many are wanted over how many a sheet has, where a chip that is
 * bitten gives one piece and no second; and in a motif, where every chip has its place, the most often wanted place.
 */
function boundFor(sheet: Sheet, cells: readonly SheetCell[]): number {
  const onSheet = sheet.types.map((_, type) => sheet.chips.filter((chip) => chip.type === type).length);
  const wanted = sheet.types.map(() => 0);
  for (const { whole, through } of cells) for (const chip of [...whole, ...through]) wanted[sheet.chips[chip].type]++;
  const byType = wanted.map((count, type) => (onSheet[type] === 0 ? 0 : count / onSheet[type]));
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
  return Math.ceil(Math.max(0, ...byType, ...byPlace) - ROUNDED_OFTEN);
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
