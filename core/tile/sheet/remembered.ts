import type { Sheet } from './sheet.ts';

/** So many different sheets are remembered; a job has a handful. */
const MOST_SHEETS = 60;

/**
 * Works something out about a sheet once: sheets come again as the same object while a page edits other
 * things, and as equal copies where a job is sent or read.
 */
export function remembered<Result>(workOut: (sheet: Sheet) => Result): (sheet: Sheet) => Result {
  const bySheet = new WeakMap<Sheet, Result>();
  const byText = new Map<string, Result>();
  return (sheet) => {
    const same = bySheet.get(sheet);
    if (same !== undefined) return same;
    const text = JSON.stringify(sheet);
    const result = byText.get(text) ?? workOut(sheet);
    if (byText.size >= MOST_SHEETS) byText.clear();
    byText.set(text, result);
    bySheet.set(sheet, result);
    return result;
  };
}
