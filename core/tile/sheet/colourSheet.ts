import { seededNumbers } from '../../geometry/seededNumbers.ts';
import type { Sheet } from './sheet.ts';

/** Gives every chip a colour by chance, in the shares asked for: one for each of the palette. The seed fixes the draw. */
export function scatterColours(sheet: Sheet, shares: readonly number[], seed: number): Sheet {
  const next = seededNumbers(seed);
  const sum = shares.reduce((all, share) => all + share, 0);
  const draw = (): number => {
    let left = next() * sum;
    return Math.max(
      0,
      shares.findIndex((share) => (left -= share) < 0),
    );
  };
  return { ...sheet, chips: sheet.chips.map((chip) => ({ ...chip, colour: draw() })) };
}

/** Makes a motif of a sheet of squares: a text line a row from the top; `#` is the second colour, all else the first. */
export function paintSheet(sheet: Sheet, rows: readonly string[]): Sheet {
  const steps = (places: readonly number[]): number[] => [...new Set(places.map((mm) => Math.round(mm)))].sort((a, b) => a - b);
  const columns = steps(sheet.chips.map(({ xMm }) => xMm));
  const courses = steps(sheet.chips.map(({ yMm }) => yMm));
  const chips = sheet.chips.map((chip) => {
    const row = rows[rows.length - 1 - courses.indexOf(Math.round(chip.yMm))];
    return { ...chip, colour: row?.[columns.indexOf(Math.round(chip.xMm))] === '#' ? 1 : 0 };
  });
  return { ...sheet, figured: true, chips };
}
