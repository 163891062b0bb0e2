import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SIDES } from '@azulejo/core/surface/sides';
import { IMPERIAL_TAPE, METRIC_TAPE, MM_PER_INCH } from '@azulejo/core/units/tape';
import { formatLength } from '@azulejo/core/units/formatLength';
import { parseLength } from '@azulejo/core/units/parseLength';
import { demoPlan } from '../../testing/demoJob.ts';
import { readText } from './readText.ts';
import { sideAxis, sideIsStart, sideOfEdge, WALKED_SIDES } from './setout/edgeDirections.ts';
import { frameOf, pathOf } from './surfaceSvg.ts';
import { tapeStep, toTapeStep, withoutDust } from './tapeStep.ts';

describe('a hand that drags', () => {
  test('moves by what the tape shows, and what it lets go of reads back as it was shown', () => {
    expect(
      [METRIC_TAPE, IMPERIAL_TAPE, { ...IMPERIAL_TAPE, fraction: 32 as const }, { ...IMPERIAL_TAPE, fraction: 8 as const }].map(tapeStep),
    ).toEqual([1, MM_PER_INCH / 16, MM_PER_INCH / 32, MM_PER_INCH / 16]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 20_000, noNaN: true }), fc.constantFrom(METRIC_TAPE, IMPERIAL_TAPE), (mm, tape) => {
        const at = toTapeStep(mm, tape);
        expect(Math.abs(at - mm)).toBeLessThanOrEqual(tapeStep(tape) / 2 + 1e-4);
        expect(toTapeStep(at, tape)).toBe(at);
        const read = parseLength(formatLength(at, tape), tape);
        expect(read.ok && Math.abs(read.value - at) < 1e-3).toBe(true);
      }),
    );
  });
  test('leaves no dust of inches', () => expect([withoutDust(25.4 * 3), withoutDust(76.20000000001)]).toEqual([76.2, 76.2]));
});

test('every side is walked once; its rows are those square to it', () => {
  expect([...WALKED_SIDES].sort()).toEqual([...SIDES].sort());
  expect(WALKED_SIDES.map(sideAxis)).toEqual(['x', 'y', 'x', 'y']);
  expect(WALKED_SIDES.filter(sideIsStart)).toEqual(['left', 'bottom']);
  const sides = { left: 'w1', right: 'w3', bottom: 'w2', top: 'w4' };
  expect(['w1', 'w2', 'w3', 'w4', 'w9'].map((id) => sideOfEdge(sides as Parameters<typeof sideOfEdge>[0], id))).toEqual([
    'left',
    'bottom',
    'right',
    'top',
    'left',
  ]);
});

test.each(demoPlan('tidewater-bakehouse').surfaces.map((surface) => [surface.surfaceId, surface] as const))(
  '%s is drawn in small within its frame, up being up',
  (_, { traced }) => {
    const { viewBox, rimMm } = frameOf(traced, 0.05);
    const [x, y, wide, high] = viewBox.split(' ').map(Number);
    const figures = [...pathOf([traced.outline]).matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, a, b]) => [Number(a), Number(b)] as const);
    expect(figures).toHaveLength(traced.outline.length);
    // The rim is the same all round.
    const [left, right] = [Math.min(...figures.map(([a]) => a)), Math.max(...figures.map(([a]) => a))];
    const [top, bottom] = [Math.min(...figures.map(([, b]) => b)), Math.max(...figures.map(([, b]) => b))];
    for (const gap of [left - x, x + wide - right, top - y, y + high - bottom]) expect(gap).toBeCloseTo(rimMm, 0);
    // The highest corner is the smallest figure.
    const highest = traced.outline.reduce((best, p, k) => (p[1] > traced.outline[best][1] ? k : best), 0);
    expect(figures[highest][1]).toBeCloseTo(top, 1);
  },
);

test('a table is read as what wrote it: UTF-8, or what spreadsheets of western Europe write', async () => {
  expect(await readText(new Blob(['Größe, 5 m²']))).toBe('Größe, 5 m²');
  expect(await readText(new Blob([Uint8Array.from([0x47, 0x72, 0xf6, 0xdf, 0x65])]))).toBe('Größe');
  expect(await readText(new Blob([]))).toBe('');
});
