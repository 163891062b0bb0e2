import { productAt, type Field } from '../../setout/fields/field.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';

/** One sheet as it lies: which of its chips are wanted. */
export interface SheetCell {
  /** The field, by its place among the fields of the surface, and the cell of its repeat. */
  readonly field: number;
  readonly i: number;
  readonly j: number;
  readonly productId: string;
  readonly sheet: Sheet;
  /** Chips that lie whole, by their place in the sheet. */
  readonly whole: readonly number[];
  /** Chips that are cut through. */
  readonly through: readonly number[];
}

/** Names a cell of a field, for looking up what lies in it. */
export const cellKey = (field: number, { i, j }: { readonly i: number; readonly j: number }): string => `${field}/${i}/${j}`;

/** Every sheet that any chip of the fields belongs to, row by row from the bottom left. */
export function sheetCells(fields: readonly Field[]): SheetCell[] {
  return fields.flatMap((field, index) => {
    const { sheet } = field.layout.repeat;
    return sheet ? cellsOf(field, index, sheet) : [];
  });
}

interface OpenCell {
  readonly i: number;
  readonly j: number;
  readonly whole: number[];
  readonly through: number[];
}

function cellsOf(field: Field, index: number, sheet: Sheet): SheetCell[] {
  const { layout } = field;
  const cells = new Map<string, OpenCell>();
  const at = (i: number, j: number): OpenCell => {
    const key = `${i}/${j}`;
    const known = cells.get(key);
    if (known) return known;
    const fresh: OpenCell = { i, j, whole: [], through: [] };
    cells.set(key, fresh);
    return fresh;
  };
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4) {
    const [chip, j, first, last] = runs.subarray(k, k + 4);
    for (let i = first; i <= last; i++) {
      at(i, j).whole.push(chip);
    }
  }
  for (const { piece, i, j } of layout.cutTiles) {
    at(i, j).through.push(piece);
  }
  return [...cells.values()]
    .sort((a, b) => a.j - b.j || a.i - b.i)
    .map((cell) => ({ ...cell, field: index, sheet, productId: productAt(field, { piece: 0, i: cell.i, j: cell.j }) }));
}
