import type { Sheet } from '../../tile/sheet/sheet.ts';

/** Chips that lie this near to where one is wanted are the one, mm. */
const SAME_PLACE_MM = 0.3;

/** Side of the squares that chips are filed in, mm. */
const FILE_MM = 2;

/** Finds the chips of a rest that have the form of those wanted; null where it has none. */
export type TranslationFinder = (wanted: readonly number[], rest: ReadonlySet<number>) => readonly number[] | null;

/**
 * Looks for a part among the chips left of a sheet: in a motif at its own place alone; in a plain sheet
 * anywhere that chips of the same types lie alike.
 */
export function translationFinder(sheet: Sheet): TranslationFinder {
  const { chips } = sheet;
  const inPlace: TranslationFinder = (wanted, rest) => (wanted.every((chip) => rest.has(chip)) ? wanted : null);
  if (sheet.figured) return inPlace;
  const filed = new Map<string, number[]>();
  const keyOf = (x: number, y: number): string => `${Math.floor(x / FILE_MM)}/${Math.floor(y / FILE_MM)}`;
  chips.forEach(({ xMm, yMm }, k) => {
    const key = keyOf(xMm, yMm);
    filed.set(key, [...(filed.get(key) ?? []), k]);
  });
  const isAlike = (a: number, b: number): boolean =>
    chips[a].type === chips[b].type && Math.abs(chips[a].turnDeg - chips[b].turnDeg) < 0.01;
  const chipAt = (x: number, y: number, like: number): number | null => {
    for (const dx of [-SAME_PLACE_MM, SAME_PLACE_MM]) {
      for (const dy of [-SAME_PLACE_MM, SAME_PLACE_MM]) {
        for (const k of filed.get(keyOf(x + dx, y + dy)) ?? []) {
          if (isAlike(k, like) && Math.hypot(chips[k].xMm - x, chips[k].yMm - y) < SAME_PLACE_MM) return k;
        }
      }
    }
    return null;
  };
  return (wanted, rest) => {
    if (wanted.length > rest.size) return null;
    const [first] = wanted;
    for (const anchor of rest) {
      if (!isAlike(anchor, first)) continue;
      const [dx, dy] = [chips[anchor].xMm - chips[first].xMm, chips[anchor].yMm - chips[first].yMm];
      const found: number[] = [];
      for (const chip of wanted) {
        const there = chipAt(chips[chip].xMm + dx, chips[chip].yMm + dy, chip);
        if (there === null || !rest.has(there)) break;
        found.push(there);
      }
      if (found.length === wanted.length) return found;
    }
    return null;
  };
}
