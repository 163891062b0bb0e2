import type { CutPiece } from '../cutPiece.ts';
import type { SheetPart, SheetPlan } from './planSheets.ts';
import { cellKey } from './sheetCells.ts';

/** Chips are cut with the sheet they belong to: by its tool where a pass goes through them all, and each in its share of the minutes. */
export function cutWithSheets(cuts: readonly CutPiece[], sheets: readonly SheetPlan[]): readonly CutPiece[] {
  if (sheets.length === 0) return cuts;
  const parts = new Map(sheets.flatMap(({ parts: own }) => own.map((part): [string, SheetPart] => [cellKey(part.field, part), part])));
  return cuts.map((piece) => {
    const part = piece.of === 'chip' ? parts.get(cellKey(piece.field, piece.address)) : undefined;
    if (!part) return piece;
    const { tool, bitten, nibbled, minutes } = part.cut;
    const passed = tool !== null && bitten + nibbled === 0;
    return { ...piece, tool: passed ? tool : piece.tool, minutes: minutes / part.through };
  });
}

/** What is done to cut the sheets of one product. */
interface SheetWork {
  readonly passes: number;
  /** Sheets that are bitten out, and that a knife alone parts. */
  readonly bites: number;
  readonly knives: number;
  /** Chips that are nibbled to a round. */
  readonly nibbled: number;
  readonly minutes: number;
}

/** Counts what is done to cut the sheets of one product. */
export function sheetWork({ parts }: Pick<SheetPlan, 'parts'>): SheetWork {
  const sum = (of: (cut: SheetPart['cut']) => number): number => parts.reduce((all, { cut }) => all + of(cut), 0);
  return {
    passes: sum(({ passes }) => passes.length),
    bites: sum(({ bitten }) => Number(bitten > 0)),
    knives: sum(({ knife }) => Number(knife)),
    nibbled: sum(({ nibbled }) => nibbled),
    minutes: sum(({ minutes }) => minutes),
  };
}
