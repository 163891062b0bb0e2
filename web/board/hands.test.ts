import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { rectangleRing } from '@azulejo/core/geometry/ring';
import { FIXTURE_KINDS } from '@azulejo/core/surface/fixtureCatalogue';
import { UNKNOWN_COLOUR } from '@azulejo/core/tile/product';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { colourOf, facesOf } from './faces.ts';
import { shaded } from './finish.ts';
import { FIXTURE_STROKES } from './fixtureStrokes.ts';
import { gripAt, type Grip } from './grip.ts';
import { nearestEdge } from './nearestEdge.ts';
import { SHADES } from './tilePaths.ts';

describe('what a finger takes hold of', () => {
  const corner = (id: string, x: number, y: number): Grip => ({ id, at: [x, y], ring: null });
  const fixture = (id: string, x: number, y: number, size: number): Grip => ({
    id,
    at: [x + size / 2, y + size / 2],
    ring: rectangleRing(x, y, size, size),
  });
  test('is what is near, the nearest first; else what it lies in, the one drawn last', () => {
    const grips = [corner('a', 0, 0), corner('b', 30, 0), fixture('large', 100, 100, 400), fixture('small', 200, 200, 100)];
    expect(gripAt(grips, [12, 0], 20)?.id).toBe('a');
    expect(gripAt(grips, [18, 0], 20)?.id).toBe('b');
    expect(gripAt(grips, [120, 480], 20)?.id).toBe('large');
    expect(gripAt(grips, [230, 230], 5)?.id).toBe('small');
    expect(gripAt(grips, [60, 60], 20)).toBeNull();
    expect(gripAt([], [0, 0], 1000)).toBeNull();
  });
  test('is within reach or round the finger, and nothing that is nearer was passed over', () => {
    const place = fc.tuple(fc.integer({ min: 0, max: 1000 }), fc.integer({ min: 0, max: 1000 }));
    fc.assert(
      fc.property(fc.array(place, { maxLength: 12 }), place, fc.integer({ min: 1, max: 200 }), (corners, point, reach) => {
        const grips = corners.map(([x, y], k) => corner(String(k), x, y));
        const found = gripAt(grips, point, reach);
        const far = ({ at: [x, y] }: Grip): number => Math.hypot(x - point[0], y - point[1]);
        if (found) expect(far(found)).toBeLessThanOrEqual(reach);
        for (const grip of grips) expect(far(grip)).toBeGreaterThanOrEqual(found ? far(found) : Math.min(reach, far(grip)));
      }),
    );
  });
});

test('the edge that is pointed at is the nearest within reach, on every surface of the demo', () => {
  for (const { traced } of demoPlan('tidewater-bakehouse').surfaces) {
    for (const edge of traced.edges) {
      const middle = [(edge.from[0] + edge.to[0]) / 2, (edge.from[1] + edge.to[1]) / 2] as const;
      expect(nearestEdge(traced.edges, middle, 1)?.id).toBe(edge.id);
    }
    expect(nearestEdge(traced.edges, [1e6, 1e6], 500)).toBeNull();
  }
});

describe('the finished look', () => {
  test('of a material spreads round its colour, darkest to lightest, and stays a colour', () => {
    const grey = (colour: string): number => parseInt(colour.slice(1, 3), 16);
    for (const material of ['ceramic', 'natural stone', 'terracotta', 'glass'] as const) {
      const shades = Array.from({ length: SHADES }, (_, shade) => shaded('#808080', shade, material));
      expect(shades.every((colour) => /^#[0-9a-f]{6}$/.test(colour))).toBe(true);
      expect(shades.map(grey)).toEqual([...shades.map(grey)].sort((a, b) => a - b));
      expect(shades[(SHADES - 1) / 2]).toBe('#808080');
      // As far up as down, and more in stone than in porcelain.
      expect(grey(shades[SHADES - 1]) - 128).toBeCloseTo(128 - grey(shades[0]), -1);
    }
    const width = (material: 'terracotta' | 'porcelain'): number =>
      grey(shaded('#808080', SHADES - 1, material)) - grey(shaded('#808080', 0, material));
    expect(width('terracotta')).toBeGreaterThan(2 * width('porcelain'));
    for (const shade of [0, SHADES - 1])
      for (const colour of ['#000000', '#ffffff', '#ff0000']) expect(shaded(colour, shade)).toMatch(/^#[0-9a-f]{6}$/);
  });
  test('shows each tile in its own colour, and one that nobody knows in none of theirs', () => {
    const job = demoJob('tidewater-bakehouse');
    const faces = facesOf(job, job.surfaces[0]);
    for (const { id, colour } of job.products) expect(colourOf(faces, id)).toBe(colour);
    expect(colourOf(faces, 'nobody')).toBe(UNKNOWN_COLOUR);
    expect(faces.jointColour).toBe(job.surfaces[0].jointColour);
  });
});

test.each(FIXTURE_KINDS)('%s is drawn within its outline', (kind) => {
  const strokes = FIXTURE_STROKES[kind];
  for (const stroke of strokes)
    for (const figure of Object.values(stroke).flat(3))
      if (typeof figure === 'number') expect([kind, figure >= -0.001 && figure <= 1.001]).toEqual([kind, true]);
});
