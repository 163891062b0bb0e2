import { describe, expect, test } from '@jest/globals';
import type { EndCuts } from '../setout/edges/endCuts.ts';
import type { Reasons } from '../setout/tell/explainSetout.ts';
import type { Along, Statement } from '../setout/tell/statement.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../units/tape.ts';
import { describeBehind, describeEnds, describeReasons, describeSetout } from './en/reasons.ts';
import { describeAmount, describePacks, describeQuantity, explainMaterial, materialName } from './en/materials.ts';
import { plan } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';

const ends = (
  start: readonly number[],
  end: readonly number[],
  full: readonly [boolean, boolean] = [start.length === 0, end.length === 0],
): EndCuts => ({
  start: { cutsMm: start, full: full[0] },
  end: { cutsMm: end, full: full[1] },
});

test.each<[EndCuts, string]>([
  [ends([249], [249]), '249 mm at both ends'],
  [ends([], []), 'full pieces at both ends'],
  [ends([], [200.5]), 'full at the left, 200.5 mm at the right'],
  [ends([428, 228], [397.5], [false, true]), '428 mm and 228 mm at the left, full and 397.5 mm at the right'],
  [ends([300, 200, 100], [300, 200, 100]), '300 mm down to 100 mm at both ends'],
])('ends read as they are: %j', (cuts, words) => expect(describeEnds(cuts, 'x', METRIC_TAPE)).toBe(words));

describe('a reason is said in one breath', () => {
  const names = { edges: { a: 'A–B' }, carried: {}, fixtures: { w: 'Window' } };
  const along = (id: string, over: Partial<Along> = {}): Along => ({ id, kind: 'edge', role: 'wall', seen: 1, ...over });
  const reasons = (gain: Statement, cost: Statement | null = null, over: Partial<Reasons> = {}): Reasons => ({
    gain,
    cost,
    instead: null,
    rival: null,
    than: null,
    thanName: null,
    rivalIsBest: false,
    behind: 0,
    ...over,
  });
  const size = (id: string, cutMm: readonly [number, number] | null, over: Partial<Along> = {}) => ({ along: along(id, over), cutMm });
  test.each<[Statement, string]>([
    [
      { says: 'full', along: along('left'), rest: size('right', [94, 94], { role: 'hidden', seen: 0.2 }) },
      'Full tiles off the left edge; the 94 mm pieces go to the right edge, where nobody looks.',
    ],
    [{ says: 'full', along: along('a'), rest: null }, 'Full tiles along the edge A–B.'],
    [{ says: 'full', along: along('w-2', { kind: 'beside' }), rest: null }, 'Full tiles along the side of Window.'],
    [{ says: 'even', axis: 'y', cutMm: [249, 249], edges: ['bottom', 'top'] }, '249 mm at both ends, bottom and top.'],
    [
      { says: 'ends', axis: 'x', sizes: [size('left', null), size('right', [98, 210])] },
      'Full tiles at the left, 98 to 210 mm at the right.',
    ],
    [{ says: 'narrowest', size: size('top', [120, 160]) }, 'The narrowest piece is 120 mm, at the top edge.'],
    [{ says: 'pieces', size: size('top', [120, 120]) }, 'Cut pieces of 120 mm stand along the top edge.'],
    [{ says: 'strips', size: size('top', [12, 160]) }, 'Strips of 12 mm along the top edge.'],
    [{ says: 'strips', size: size('top', [218, 600]) }, 'Short pieces of 218 mm along the top edge.'],
    [{ says: 'square', along: along('bottom') }, 'Square to the bottom edge.'],
    [{ says: 'runOff', along: along('top'), mm: 40 }, 'The courses run off by 40 mm along the top edge.'],
    [{ says: 'middle', fixtureId: 'w', offMm: 0 }, 'The tiles lie evenly about the middle of Window.'],
    [{ says: 'middle', fixtureId: 'w', offMm: 30 }, 'The tiles lie 30 mm off the middle of Window.'],
    [{ says: 'falls', fixtureId: 'w', falls: 'joint' }, 'Window falls on a joint, half a hole in each of two tiles.'],
    [{ says: 'legs', some: true }, 'Some notched pieces keep a leg that breaks easily.'],
    [{ says: 'work', cutPieces: 31, less: true }, '31 cuts, and less time at the saw than another start.'],
    [{ says: 'bothFull', axis: 'x', edges: ['left', 'right'] }, 'Full tiles at both ends, left and right.'],
    [{ says: 'mainFull', along: along('top') }, 'The large tiles stay whole along the top edge; only the small ones between are cut.'],
    [{ says: 'motifs', motifs: 1 }, '1 motif shows whole.'],
  ])('%j', (statement, words) => {
    const [said] = describeReasons(reasons(statement), names, METRIC_TAPE);
    expect(said).toBe(words);
    expect(said.length).toBeLessThanOrEqual(140);
  });
  test('what it costs comes after, then why not the next; or what it costs against the best', () => {
    const strips: Statement = { says: 'strips', size: size('top', [12, 12]) };
    const even: Statement = { says: 'even', axis: 'x', cutMm: [249, 249], edges: ['left', 'right'] };
    expect(describeReasons(reasons(even, null, { rival: strips }), names, METRIC_TAPE)).toEqual([
      '249 mm at both ends, left and right.',
      'Another start would leave strips of 12 mm along the top edge.',
    ]);
    const named = reasons(even, null, { rival: strips, thanName: { says: 'ends', full: [along('left')], even: [] } });
    expect(describeReasons(named, names, METRIC_TAPE)[1]).toBe(
      'Full tiles along the left edge would leave strips of 12 mm along the top edge.',
    );
    const behind = reasons(even, strips, { rivalIsBest: true, behind: 2 });
    expect(describeBehind(behind, names, METRIC_TAPE)).toBe('Against the best start: strips of 12 mm along the top edge.');
    expect(describeSetout(behind, names, METRIC_TAPE)).toEqual([
      '249 mm at both ends, left and right.',
      'Against the best start: strips of 12 mm along the top edge.',
    ]);
  });
});

test('every line of an order names itself, its packs, and how it was computed', () => {
  const job = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3 });
  const { materials, surfaces } = plan(job);
  const words = materials.map((material) =>
    [materialName(job, material), describeQuantity(material, job.tape), describePacks(material), ...explainMaterial(job, material)].join(
      ' | ',
    ),
  );
  expect(materials.map(({ item }) => item)).toEqual(['tiles', 'adhesive', 'grout', 'sealant', 'spacers', 'primer']);
  expect(words[0]).toContain(`${surfaces[0].totals.whole} whole`);
  expect(words[0]).toMatch(/area and a tenth: \d+ pieces/);
  expect(words[1]).toMatch(/kg \| \d+ bags? of 20 kg and 1 of 5 kg \| .*8 mm notch, 3\.4 kg\/m²/);
  expect(words[2]).toMatch(/m² of joint, 9 mm deep/);
  expect(words[3]).toMatch(/ml \| \d+ cartridges? of 310 ml \| .*10\.80 m of joint at walls/);
  for (const line of words) expect(line).not.toMatch(/undefined|NaN|\d\.\d{5}/);
});

describe('whoever measures in inches weighs in pounds', () => {
  test.each([
    [14.4, 'kg', '31.7 lb (14.4 kg)'],
    [0.2, 'kg', '0.44 lb (0.20 kg)'],
    [4, 'l', '1.06 gal (4.00 L)'],
    [1.1, 'l', '1.16 qt (1.10 L)'],
    [330, 'ml', '11.2 fl oz (330 ml)'],
    [2.5, 'm', '8.2 ft (2.5 m)'],
    [0.5, 'm3', '0.65 yd³ (0.50 m³)'],
    [3, 'piece', '3 pieces'],
  ] as const)('%d %s: %s', (quantity, unit, words) => expect(describeAmount(quantity, unit, IMPERIAL_TAPE)).toBe(words));
});
