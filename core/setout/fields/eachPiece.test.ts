import { describe, expect, test } from '@jest/globals';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { polygonsArea } from '../../geometry/ring.ts';
import { UNKNOWN_COLOUR } from '../../tile/product.ts';
import { faceColour, forEachPiece, type DrawnPiece } from './eachPiece.ts';
import type { Field } from './field.ts';

const piecesOf = (field: Field): DrawnPiece[] => {
  const pieces: DrawnPiece[] = [];
  forEachPiece(field, (piece) => pieces.push(piece));
  return pieces;
};

describe.each(DEMO_JOBS)('every piece of %s that is drawn', (name) => {
  const { surfaces } = demoPlan(name);
  test('is there once, whole ones first, and together they are what is tiled', () => {
    for (const { surfaceId, fields, extent } of surfaces) {
      const all = fields.map(piecesOf);
      all.forEach((pieces, k) => {
        const { layout } = fields[k];
        const addresses = pieces.map(({ address: { piece, i, j } }) => `${piece} ${i} ${j}`);
        expect([surfaceId, new Set(addresses).size]).toEqual([surfaceId, layout.wholeCount + layout.cutTiles.length]);
        expect(pieces.findIndex(({ isCut }) => isCut)).toBe(layout.cutTiles.length === 0 ? -1 : layout.wholeCount);
        for (const { piece, address } of pieces) expect(piece).toBe(layout.repeat.pieces[address.piece]);
      });
      const drawn = polygonsArea(all.flat().flatMap(({ polygons }) => polygons));
      expect([surfaceId, Math.abs(drawn - extent.tiledAreaMm2) < 1]).toEqual([surfaceId, true]);
    }
  });

  test('is of a tile of the job, in its colour unless a chip has one of its own', () => {
    const colours = new Map(demoJob(name).products.map(({ id, colour }) => [id, colour]));
    const chips: string[] = [];
    for (const piece of surfaces.flatMap(({ fields }) => fields.flatMap(piecesOf))) {
      expect(colours.has(piece.productId)).toBe(true);
      const { colour } = piece.piece;
      if (colour) chips.push(colour);
      expect(faceColour(piece, colours)).toBe(colour ?? colours.get(piece.productId));
      if (!colour) expect(faceColour(piece, new Map())).toBe(UNKNOWN_COLOUR);
    }
    // The mosaics of the bakehouse have chips of many colours.
    if (name === 'tidewater-bakehouse') expect(new Set(chips).size).toBeGreaterThan(2);
  });
});
