import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { TILE_SAGITTA_MM } from '../geometry/conventions.ts';
import { boxOf, isInside, ringArea } from '../geometry/ring.ts';
import { selfTurns } from '../geometry/selfTurns.ts';
import { lotFor, lotSchema, type Lot } from './lot.ts';
import type { PieceShape } from './pieceShape.ts';
import { jointForSample, sampleFigures } from './sampleSizes.ts';
import { cellAround, lanternCell, scallopCell, tileOutline } from './tileOutline.ts';

const sizes = fc.record({ widthMm: fc.integer({ min: 20, max: 900 }), heightMm: fc.integer({ min: 20, max: 900 }) });

/** Each outline with its area, worked out by hand from its size. */
const AREAS: readonly (readonly [string, PieceShape, (w: number, h: number) => number])[] = [
  ['a rectangle', { kind: 'rectangle' }, (w, h) => w * h],
  ['a regular hexagon', { kind: 'hexagon', tipMm: null }, (w, h) => w * (h - w / (2 * Math.sqrt(3)))],
  ['a stretched hexagon', { kind: 'hexagon', tipMm: 6 }, (w, h) => w * (h - 6)],
  ['an octagon', { kind: 'octagon', cornerMm: 5 }, (w, h) => w * h - 2 * 5 * 5],
  ['a round', { kind: 'round' }, (w) => (Math.PI * w * w) / 4],
  ['a diamond', { kind: 'diamond' }, (w, h) => (w * h) / 2],
  ['a triangle', { kind: 'triangle' }, (w, h) => (w * h) / 2],
  ['a chevron', { kind: 'chevron', cutDeg: 60 }, (w, h) => w * h],
];

describe.each(AREAS)('%s', (_, shape, area) => {
  test('has the area it should, runs counter-clockwise, and its box begins at the origin', () => {
    fc.assert(
      fc.property(sizes, ({ widthMm, heightMm }) => {
        // A hexagon is no flatter than its points are high.
        const size = { widthMm, heightMm: shape.kind === 'hexagon' ? heightMm + widthMm : shape.kind === 'round' ? widthMm : heightMm };
        const ring = tileOutline(shape, size);
        const wanted = area(size.widthMm, size.heightMm);
        expect(Math.abs(ringArea(ring) - wanted)).toBeLessThan(Math.max(1e-6 * wanted, Math.PI * size.widthMm * TILE_SAGITTA_MM));
        const box = boxOf(ring);
        for (const low of [box.minX, box.minY]) expect(Math.abs(low)).toBeLessThanOrEqual(TILE_SAGITTA_MM);
        if (shape.kind !== 'chevron') expect(box.maxX).toBeCloseTo(size.widthMm, 1);
        expect(box.maxY).toBeCloseTo(size.heightMm, 1);
      }),
    );
  });
});

describe('lanterns and scallops', () => {
  const cells = { lantern: (w: number, h: number) => lanternCell(w, h, 0.6), scallop: scallopCell };
  test.each(Object.entries(cells))('the cell of a %s covers just its share of the plane', (name, cellOf) => {
    fc.assert(
      fc.property(sizes, ({ widthMm, heightMm }) => {
        // A lantern's cell is a rhombus whose curves give as much as they take; a scallop's is half its box.
        const wanted = (widthMm * heightMm) / 2;
        expect(Math.abs(ringArea(cellOf(widthMm, heightMm)) - wanted) / wanted).toBeLessThan(name === 'scallop' ? 0.01 : 0.005);
      }),
    );
  });

  test.each(Object.entries(cells))('a %s drawn in by half a joint is the size that was measured', (_, cellOf) => {
    fc.assert(
      fc.property(sizes, fc.integer({ min: 1, max: 6 }), ({ widthMm, heightMm }, jointMm) => {
        // Tips thinner than the joint are none.
        fc.pre(Math.min(widthMm, heightMm) > 12 * jointMm && Math.max(widthMm, heightMm) < 2.5 * Math.min(widthMm, heightMm));
        const box = boxOf(cellAround({ widthMm, heightMm }, jointMm, cellOf).piece);
        expect(box.maxX - box.minX).toBeCloseTo(widthMm, 1);
        expect(box.maxY - box.minY).toBeCloseTo(heightMm, 1);
      }),
    );
  });

  test('a lantern is itself turned half round, a scallop never is', () => {
    const lantern = tileOutline({ kind: 'lantern', swell: 0.6 }, { widthMm: 120, heightMm: 160 });
    const scallop = tileOutline({ kind: 'scallop' }, { widthMm: 120, heightMm: 120 });
    expect([selfTurns(lantern).length, selfTurns(scallop).length]).toEqual([2, 1]);
    expect(isInside([60, 80], [[lantern]])).toBe(true);
  });
});

describe('a handful of measured pieces', () => {
  test('comes to its mean and its range each way, and asks for a joint of three times the wider range', () => {
    expect(sampleFigures([])).toBeNull();
    const sample = [
      { widthMm: 299.5, heightMm: 600 },
      { widthMm: 300.5, heightMm: 600.4 },
      { widthMm: 300, heightMm: 600.2 },
    ];
    const figures = sampleFigures(sample);
    expect(figures).toEqual({
      count: 3,
      mean: { widthMm: 300, heightMm: expect.closeTo(600.2, 9) },
      range: { widthMm: 1, heightMm: expect.closeTo(0.4, 9) },
    });
    expect(figures && jointForSample(figures)).toBe(3);
  });
  test('whatever was measured, the mean lies within the range, and one piece more alike does not widen it', () => {
    fc.assert(
      fc.property(fc.array(sizes, { minLength: 1, maxLength: 12 }), (sample) => {
        const figures = sampleFigures(sample);
        if (!figures) throw new Error('a sample has figures');
        const widths = sample.map(({ widthMm }) => widthMm);
        expect(figures.mean.widthMm).toBeGreaterThanOrEqual(Math.min(...widths) - 1e-9);
        expect(figures.mean.widthMm).toBeLessThanOrEqual(Math.max(...widths) + 1e-9);
        const more = sampleFigures([...sample, figures.mean]);
        expect(more?.range.widthMm).toBeCloseTo(figures.range.widthMm, 9);
      }),
    );
  });
});

test('of lots that cover a need the smallest is taken, and none where none does', () => {
  const lots = fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 8 });
  fc.assert(
    fc.property(lots, fc.integer({ min: 0, max: 400 }), (counts, need) => {
      const all = counts.map((pieces, k): Lot => lotSchema.parse({ id: `l${k}`, code: `L${k}`, pieces }));
      const enough = counts.filter((pieces) => pieces >= need);
      expect(lotFor(all, need)?.pieces ?? null).toBe(enough.length > 0 ? Math.min(...enough) : null);
      // What was there is left in its order.
      expect(all.map(({ pieces }) => pieces)).toEqual(counts);
    }),
  );
});
