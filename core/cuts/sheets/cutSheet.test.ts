import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { trials } from '../../../testing/trials.ts';
import { describeSheetPart, describeSheets } from '../../messages/en/sheets.ts';
import { makeSheet } from '../../pattern/makeSheet.ts';
import { plan } from '../../plan.ts';
import { standing } from '../../samples/standing.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { ringArea } from '../../geometry/ring.ts';
import { chipRing, sheetSize } from '../../tile/sheet/sheetChips.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';
import type { Product } from '../../tile/product.ts';
import type { Measured } from '../../surface/surface.ts';
import { METRIC_TAPE } from '../../units/tape.ts';
import { sheetWork } from './cutWithSheets.ts';

/** Ten by ten squares of 20 mm, 2 mm apart: 218 mm, in steps of 220. */
const SQUARES = made({ kind: 'stack', lay: 'lying' }, { widthMm: 20, heightMm: 20, jointMm: 2 });
const HERRINGBONE = made({ kind: 'herringbone', lay: 'lying', strips: 1 }, { widthMm: 48, heightMm: 23, jointMm: 2 }, 45);

function made(pattern: Parameters<typeof makeSheet>[0], chips: Parameters<typeof makeSheet>[1], turnDeg = 0): Sheet {
  const sheet = makeSheet(pattern, chips, { widthMm: 218, heightMm: 218 }, ['#335577'], turnDeg);
  if (!sheet) throw new Error('expected chips that make a sheet');
  return sheet;
}

/** A wall of sheets from its bottom left corner, moved by so much. */
function wallOf(
  shape: Sheet,
  size: readonly [number, number],
  {
    product = {},
    measured = {},
    from = [0, 0],
  }: { product?: Partial<Product>; measured?: Partial<Measured>; from?: readonly [number, number] } = {},
) {
  const setout = { x: { rule: 'free', offsetMm: from[0] }, y: { rule: 'free', offsetMm: from[1] } } as const;
  const surface = { pattern: { kind: 'sheet' }, setout } as const;
  const job = jobOfOne({ size, tile: [218, 218], jointMm: shape.jointMm, gapMm: 0, surface, measured });
  const products = [{ ...job.products[0], thicknessMm: 6, shape, nominal: sheetSize(shape), measured: sheetSize(shape), ...product }];
  const [planned] = plan({ ...job, products }).surfaces;
  return { ...planned, plan: planned.sheets[0], part: (label: string) => planned.sheets[0].parts.find((own) => own.label === label) };
}

describe('ten by ten squares of glass on a wall of two and a half sheets', () => {
  // 2 x 220 and a rest of 110 - 10 = 100: four chips of 20 with their joints are 86, the fifth is cut at 88 + 12.
  const wall = wallOf(SQUARES, [540, 218], { product: { material: 'glass' } });

  test('one pass at the saw, a minute, parts the third sheet; the ten chips it goes through are cut with it', () => {
    expect(wall.plan).toMatchObject({ wholeSheets: 2, openedForParts: 1 });
    const part = wall.part('S1-3');
    expect(part?.cut).toMatchObject({ bitten: 0, nibbled: 0, knife: false, tool: 'wetSaw', minutes: 1 });
    expect(part?.cut.passes).toHaveLength(1);
    expect(part?.cut.passes[0]).toMatchObject({ type: 'line', from: 'left' });
    for (const mm of part?.cut.passes[0].mm ?? []) expect(mm).toBeCloseTo(100, 3);
    expect(wall.cuts).toHaveLength(10);
    for (const chip of wall.cuts) expect(chip).toMatchObject({ tool: 'wetSaw', minutes: 0.1 });
  });

  test('the hours are those of the sheet, not of its chips, and the words say how it is done', () => {
    expect(wall.figures.cutMinutes).toBeCloseTo(1, 9);
    const part = wall.part('S1-3');
    expect(part && describeSheetPart(part, METRIC_TAPE)).toBe('keeps 50 chips, sawn 100 from the left edge; from new sheet 1');
    expect(describeSheets(wall.plan)).toMatch(/Cut in about 1 minute: 1 pass right across a sheet\.$/);
  });
});

test('a line in the joint is cut with a knife; in ceramic a straight row of wide chips is snapped, a narrow rest or herringbone is sawn', () => {
  // Five chips are 108, and the joint ends at 110.
  const between = wallOf(SQUARES, [549, 218]);
  expect(between.part('S1-3')?.cut).toMatchObject({ passes: [], bitten: 0, nibbled: 0, knife: true, tool: null, minutes: 0.3 });
  const large = made({ kind: 'stack', lay: 'lying' }, { widthMm: 71, heightMm: 71, jointMm: 2 });
  const toolAt = (shape: Sheet, widthMm: number) => wallOf(shape, [widthMm, 217]).part('S1-2')?.cut.tool;
  expect([toolAt(large, 219 + 35), toolAt(large, 219 + 12), toolAt(HERRINGBONE, 240)]).toEqual(['snapCutter', 'wetSaw', 'wetSaw']);
});

test('round a box the sheet is bitten out, round a pipe nibbled chip by chip; it stays one piece, and keeps what lies beside', () => {
  const walledIn = (fixture: ReturnType<typeof standing>) => wallOf(SQUARES, [440, 440], { measured: { fixtures: [fixture] } });
  // A box of 50 with its left and lower sides 45 from the corner of the first sheet: from chip 3 to chip 5 both ways.
  const box = walledIn(standing('socket', { kind: 'rectangle', widthMm: 50, heightMm: 50 }, 45, 45));
  expect(box.plan.parts.map(({ label }) => label)).toEqual(['S1-1']);
  const [cut] = box.plan.parts.map((part) => part.cut);
  expect(cut).toMatchObject({ passes: [], knife: false, nibbled: 0, minutes: 5 });
  expect(cut.bitten).toBeGreaterThan(4);
  expect(box.toCut).toMatchObject([{ label: 'S1-1', of: 'sheet', kind: 'uCut', tool: 'nippers' }]);
  const pipe = walledIn(standing('pipe', { kind: 'round', diameterMm: 30 }, 110, 110));
  const [round] = pipe.plan.parts.map((part) => part.cut);
  expect(round).toMatchObject({ passes: [], bitten: 0, knife: false });
  expect([round.nibbled, round.minutes]).toEqual([4, 4]);
});

test('on any wall: every pass has all that is kept on one side, and minutes and chips add up', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(SQUARES, HERRINGBONE),
      fc.integer({ min: 300, max: 900 }),
      fc.integer({ min: 200, max: 700 }),
      fc.integer({ min: 0, max: 217 }),
      fc.integer({ min: 0, max: 217 }),
      (shape, width, height, x, y) => {
        const wall = wallOf(shape, [width, height], { from: [x, y] });
        const { parts } = wall.plan;
        // Every chip that is cut is cut by something, and no sheet of a straight wall is bitten or nibbled.
        for (const { through, cut } of parts) {
          expect([cut.bitten, cut.nibbled]).toEqual([0, 0]);
          expect(cut.passes.length > 0).toBe(through > 0);
          expect(cut.knife).toBe(through === 0);
          expect(cut.passes.length).toBeLessThanOrEqual(4);
        }
        // What hands cut is the parts, each as large as its chips and the joints between them.
        expect(wall.toCut.map(({ label }) => label)).toEqual(parts.map(({ label }) => label));
        for (const { areaMm2, address } of wall.toCut) {
          const part = parts.find(({ i, j }) => i === address.i && j === address.j);
          // A few chips at the tips of others fall apart; the largest stands for them.
          if (!part || part.through === part.chips) continue;
          const cut = wall.cuts.filter((chip) => chip.address.i === address.i && chip.address.j === address.j);
          const whole = (part.chips - part.through) * ringArea(chipRing(shape, shape.chips[0]));
          const chips = cut.reduce((sum, chip) => sum + chip.areaMm2, whole);
          expect(areaMm2).toBeGreaterThan(chips - 1);
          expect(areaMm2).toBeLessThan(1.35 * chips + 1);
        }
        const knives = parts.filter(({ cut }) => cut.knife).length;
        const chips = wall.cuts.reduce((sum, { minutes }) => sum + minutes, 0);
        expect(chips + 0.3 * knives).toBeCloseTo(sheetWork(wall.plan).minutes, 6);
        expect(wall.figures.cutMinutes).toBeCloseTo(sheetWork(wall.plan).minutes, 9);
      },
    ),
    { numRuns: trials(60) },
  );
});
