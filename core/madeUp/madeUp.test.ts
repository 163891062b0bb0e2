import { describe, expect, test } from '@jest/globals';
import { checkLaying } from '../pattern/checkLaying.ts';
import { moduleOf } from '../pattern/laying.ts';
import { misfitOf, PATTERNS, type Pattern, type PatternId } from '../pattern/registry.ts';
import { planSurface } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { actualSize, productSchema } from '../tile/product.ts';
import { sheetFaults } from '../tile/sheet/sheetFaults.ts';
import { sheetSize } from '../tile/sheet/sheetChips.ts';
import { GROUTS } from './grouts.ts';
import { madeUpTiles } from './tiles.ts';

const tiles = madeUpTiles();

test('each has an id and a name of its own, and is as a tile is written down', () => {
  expect(new Set(tiles.map(({ id }) => id)).size).toBe(tiles.length);
  expect(new Set(tiles.map(({ name }) => name)).size).toBe(tiles.length);
  for (const tile of tiles) expect(productSchema.parse(tile)).toEqual(tile);
});

describe.each(tiles.map((tile) => [tile.name, tile] as const))('%s', (_, tile) => {
  test('measures about what it is sold as, and a box holds what hands can carry', () => {
    const { widthMm, heightMm } = actualSize(tile);
    expect(Math.abs(widthMm - tile.nominal.widthMm)).toBeLessThan(8);
    expect(Math.abs(heightMm - tile.nominal.heightMm)).toBeLessThan(8);
    // Stoneware of 2.4 kg a litre is about the heaviest.
    const boxKg = (tile.piecesPerBox * widthMm * heightMm * tile.thicknessMm * 2.4) / 1e6;
    expect(boxKg).toBeLessThan(45);
    expect(tile.boxPrice).toBeGreaterThan(0);
    expect(tile.colour).toMatch(/^#[0-9a-f]{6}$/);
  });

  test('a sheet has no faults, and is as large as its chips make it', () => {
    if (tile.shape.kind !== 'sheet') return expect(tile.shape.kind).not.toBe('sheet');
    const sheet = tile.shape;
    expect(sheetFaults(sheet)).toEqual([]);
    const size = sheetSize(sheet);
    expect(Math.abs(size.widthMm - actualSize(tile).widthMm)).toBeLessThan(1);
    expect(Math.abs(size.heightMm - actualSize(tile).heightMm)).toBeLessThan(1);
  });

  test('can be laid in some pattern of its own, and a wall of it is planned', () => {
    const job = jobOfOne({ size: [1900, 1300], tile: [300, 300], jointMm: tile.shape.kind === 'sheet' ? tile.shape.jointMm : 3 });
    const products = [{ ...tile, id: 't' }];
    const fits = (Object.keys(PATTERNS) as PatternId[]).filter((kind) => {
      const pattern = PATTERNS[kind].defaults as Pattern;
      const surface = { ...job.surfaces[0], pattern };
      return (
        (PATTERNS[kind].takes as readonly string[]).includes(tile.shape.kind) && misfitOf(pattern, moduleOf(surface, products)) === null
      );
    });
    expect(fits.length).toBeGreaterThan(0);
    // An octagon lies between dots of another tile, which the wall alone does not have.
    const laid = fits
      .map((kind) => ({ ...job.surfaces[0], pattern: PATTERNS[kind].defaults as Pattern }))
      .find((surface) => checkLaying(surface, products).length === 0);
    if (!laid) return expect(fits).toEqual(['octagonDot']);
    const { totals } = planSurface({ ...job, products, surfaces: [laid] }, laid);
    expect(totals.pieces).toBeGreaterThan(0);
  });
});

test('grouts are told apart by name and colour, from light to dark', () => {
  const light = GROUTS.map(({ value }) => parseInt(value.slice(1, 3), 16));
  expect(light).toEqual([...light].sort((a, b) => b - a));
  expect(new Set(GROUTS.map(({ label }) => label)).size).toBe(GROUTS.length);
});
