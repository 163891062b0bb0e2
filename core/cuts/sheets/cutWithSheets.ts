import type { CutPiece } from '../cutPiece.ts';
import type { SheetPart, SheetPlan } from './planSheets.ts';

/** Chips are cut with the sheet they belong to: by its tool where a pass goes through them all, and each in its share of the minutes. */
export function cutWithSheets(cuts: readonly CutPiece[], sheets: readonly SheetPlan[]): readonly CutPiece[] {
  if (sheets.length === 0) return cuts;
  const parts = new Map(sheets.flatMap(({ parts: own }) => own.map((part): [string, SheetPart] => [keyOf(part.field, part), part])));
  return cuts.map((piece) => {
    const part = piece.of === 'chip' ? parts.get(keyOf(piece.field, piece.address)) : undefined;
    if (!part) return piece;
    const { tool, bitten, nibbled, minutes } = part.cut;
    const passed = tool !== null && bitten + nibbled === 0;
    return { ...piece, tool: passed ? tool : piece.tool, minutes: minutes / part.through };
  });
}

const keyOf = (field: number, { i, j }: { readonly i: number; readonly j: number }): string => `${field}/${i}/${j}`;

/** What the sheets of a surface take to cut, minutes. */
export const sheetMinutes = (sheets: readonly Pick<SheetPlan, 'parts'>[]): number =>
  sheets.reduce((sum, { parts }) => parts.reduce((own, { cut }) => own + cut.minutes, sum), 0);
