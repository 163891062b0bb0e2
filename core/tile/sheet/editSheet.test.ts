import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { makeSheet } from '../../pattern/makeSheet.ts';
import { scatterColours } from './colourSheet.ts';
import { rounded, snappedPlace, squaredUp, withChip, withChipChanged, withoutChip, withType } from './editSheet.ts';
import { MOST_CHIPS, sheetSchema, type Sheet } from './sheet.ts';
import { sheetFaults } from './sheetFaults.ts';

function hexagons(): Sheet {
  const chip = { widthMm: 40, heightMm: 80 / Math.sqrt(3), jointMm: 2, shape: { kind: 'hexagon', tipMm: null } as const };
  const made = makeSheet({ kind: 'hexagon', lay: 'upright' }, chip, { widthMm: 260, heightMm: 250 }, ['#112233', '#445566', '#778899']);
  if (!made) throw new Error('hexagons of 40 mm make a sheet: got none');
  return made;
}

describe('by hand', () => {
  test('a chip that was taken off snaps back into its place, from anywhere near it', () => {
    const sheet = hexagons();
    fc.assert(
      fc.property(
        fc.nat({ max: sheet.chips.length - 1 }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        (k, dx, dy) => {
          const { xMm, yMm } = sheet.chips[k];
          const [x, y] = snappedPlace(withoutChip(sheet, k), [xMm + dx, yMm + dy], 0);
          expect(Math.hypot(x - xMm, y - yMm)).toBeLessThan(0.01);
          const back = withChip(withoutChip(sheet, k), { ...sheet.chips[k], xMm: rounded(x), yMm: rounded(y) });
          expect(back && sheetFaults(back)).toEqual([]);
        },
      ),
      { numRuns: 20 },
    );
  });
  test('far from every chip a place is kept to the half millimetre', () => {
    expect(snappedPlace(hexagons(), [1900.3, 1900.8], 0)).toEqual([1900.5, 1901]);
  });
  test('a full sheet takes no more, the last chip stays, a size is written once', () => {
    const sheet = hexagons();
    const [chip] = sheet.chips;
    expect(withChip({ ...sheet, chips: Array.from({ length: MOST_CHIPS }, () => chip) }, chip)).toBeNull();
    expect(withoutChip({ ...sheet, chips: [chip] }, 0).chips).toEqual([chip]);
    expect(withType(sheet, { ...sheet.types[0] }).at).toBe(0);
    const wider = withType(sheet, { ...sheet.types[0], widthMm: 45 });
    expect([wider.at, wider.sheet.types.length]).toEqual([1, 2]);
    expect(withChipChanged(sheet, 3, { colour: 2 }).chips.filter(({ colour }) => colour === 2)).toHaveLength(1);
    expect(squaredUp(squaredUp(sheet, [5, 7]), [-5, -7])).toEqual(sheet);
  });
  test('a chip of a type or colour that the sheet lacks is refused', () => {
    const sheet = hexagons();
    for (const change of [{ type: 1 }, { colour: 3 }]) expect(sheetSchema.safeParse(withChipChanged(sheet, 0, change)).success).toBe(false);
    expect(sheetSchema.parse(sheet)).toEqual(sheet);
  });
});

test('colours by chance keep their shares, and the same draw comes back', () => {
  const many: Sheet = { ...hexagons(), chips: Array.from({ length: 1200 }, () => hexagons().chips[0]) };
  const drawn = scatterColours(many, [6, 3, 1], 11);
  expect(scatterColours(many, [6, 3, 1], 11)).toEqual(drawn);
  const share = (colour: number): number => drawn.chips.filter((chip) => chip.colour === colour).length / 1200;
  expect(Math.abs(share(0) - 0.6)).toBeLessThan(0.05);
  expect(Math.abs(share(2) - 0.1)).toBeLessThan(0.04);
  expect(scatterColours(many, [0, 1, 0], 3).chips.every(({ colour }) => colour === 1)).toBe(true);
});
