import { describe, expect, test } from '@jest/globals';
import type { EndCuts } from '../setout/edges/endCuts.ts';
import type { Reason } from '../setout/weigh/explainSetout.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../units/tape.ts';
import { describeEnds, describeReason } from './en/reasons.ts';
import { describeLine } from './en/lines.ts';
import { describePacks, describeQuantity, explainMaterial, materialName } from './en/materials.ts';
import { plan } from '../plan.ts';
import { jobOfOne } from '../trials/testJob.ts';

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

describe('a reason says what it gains and what it costs', () => {
  const base: Reason = {
    axis: 'x',
    rule: 'fullFromStart',
    ends: ends([], [200.5]),
    startRole: 'focal',
    endRole: 'wall',
    sliver: false,
    rival: { rule: 'jointCentred', ends: ends([249], [249]) },
    within: null,
  };
  test.each<[Partial<Reason>, RegExp]>([
    [
      {},
      /^Left to right, a full piece off the left edge: full at the left, 200\.5 mm at the right\. The left edge is seen first\. A joint on the centre line would give 249 mm at both ends\.$/,
    ],
    [{ endRole: 'hidden' }, /The cuts go to the right edge, where nobody looks/],
    [{ rule: 'fullFromEnd', endRole: 'threshold' }, /The right edge meets the next floor/],
    [{ axis: 'y', startRole: 'exposed' }, /^Bottom to top.*The bottom edge ends in the open/],
    [{ sliver: true }, /It leaves a sliver/],
    [{ rule: 'free', rival: null }, /placed by hand/],
    [{ within: 'piece', ends: ends([75], [75]) }, /no larger than one piece\. It is set out from the left edge: 75 mm at both ends\.$/],
    [
      { within: 'block', rule: 'fullFromEnd' },
      /one block of the pattern\. It is set out from the right edge: full at the left, 200\.5 mm at the right\.$/,
    ],
  ])('%j', (over, words) => expect(describeReason({ ...base, ...over }, METRIC_TAPE)).toMatch(words));
});

test('a line to strike is two measures from what stands there', () => {
  const line = { axis: 'x', course: 2, atMm: 100, fromStartMm: [1155.5, 1155.5], fromEndMm: [1158.5, 1158.5], spanMm: [0, 900] } as const;
  expect(describeLine(line, METRIC_TAPE)).toBe(
    'Upright line, second course: from the left 1155.5 at both ends (from the right 1158.5 at both ends).',
  );
  expect(describeLine({ ...line, axis: 'y', course: 1, fromStartMm: [254, 279.4] }, IMPERIAL_TAPE)).toBe(
    'Level line: from the bottom 10" at the left end, 11" at the right end (from the top 45 5/8" at both ends).',
  );
});

test('every line of an order names itself, its packs, and how it was computed', () => {
  const job = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3 });
  const { materials, surfaces } = plan(job);
  const words = materials.map((material) =>
    [materialName(job, material), describeQuantity(material), describePacks(material), ...explainMaterial(job, material)].join(' | '),
  );
  expect(words).toHaveLength(4);
  expect(words[0]).toContain(`${surfaces[0].totals.whole} whole`);
  expect(words[0]).toMatch(/area and a tenth: \d+ pieces/);
  expect(words[1]).toMatch(/kg \| \d+ bags? of 20 kg \| .*8 mm notch, 3\.4 kg\/m²/);
  expect(words[2]).toMatch(/m² of joint, 9 mm deep/);
  expect(words[3]).toMatch(/ml \| \d+ cartridges? of 310 ml \| .*10\.80 m of joint at walls/);
  for (const line of words) expect(line).not.toMatch(/undefined|NaN|\d\.\d{5}/);
});
