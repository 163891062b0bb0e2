import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Mark } from '../cuts/cutKind.ts';
import { CUT_KINDS } from '../tile/cutKinds.ts';
import { kindLetter } from '../cuts/kindLetter.ts';
import { PATTERNS, type Pattern } from '../pattern/registry.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../units/tape.ts';
import { describeIssue } from './en/issues.ts';
import { ISSUE_CODES } from '../issueCodes.ts';
import { describeMark } from './en/marks.ts';
import { edgeName, kindName } from './en/names.ts';
import { describePattern, PATTERN_NAMES, shareName } from './en/patterns.ts';

const ROOT = fileURLToPath(new URL('../../', import.meta.url));

function sources(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return ['dist', 'node_modules', 'messages'].includes(entry.name) ? [] : sources(path);
    return /\.(ts|vue)$/.test(entry.name) && !/\.test\.ts$|^issueCodes\.ts$/.test(entry.name)
      ? [readFileSync(join(ROOT, path), 'utf8')]
      : [];
  });
}

test('every refusal in the sources has its words, and no words stand for nothing', () => {
  const text = ['core', 'cli', 'web'].flatMap(sources).join('\n');
  const used = new Set(
    [
      ...text.matchAll(
        /'((?:length|number|angle|field|file|job|surface|fixture|doorway|joint|tile|shape|check|curve|base|link|outline|dxf|svg|pattern|colours|border|inset|csv|setout|blank|variant|carried|workday)\/[a-z-]+)'/g,
      ),
    ].map(([, code]) => code),
  );
  expect([...used].filter((code) => !/^job\/(changed|not|refused|built)/.test(code)).sort()).toEqual([...ISSUE_CODES].sort());
});

test.each(ISSUE_CODES)('%s: one or two plain sentences, no exclamation mark, no empty figure', (code) => {
  const figures = new Proxy({}, { get: (_, key) => (/mm$|Hour$/i.test(String(key)) ? 12.5 : key === 'day' ? '1' : 'x') });
  const words = describeIssue({ code, figures });
  expect(words).toMatch(/^["A-Z].*\.?$/s);
  expect(words).not.toMatch(/undefined|NaN|!|\$\{/);
});

const MARKS: readonly [Mark, string][] = [
  [{ type: 'line', from: 'left', mm: [249, 249] }, '249 from the left edge'],
  [{ type: 'line', from: 'right', mm: [80, 80], beforeCuts: true }, '80 from the right edge, marked before any cut'],
  [{ type: 'line', from: 'left', mm: [80, 81] }, 'from the left edge 80 at the bottom, 81 at the top'],
  [{ type: 'line', from: 'top', mm: [100, 112.5] }, 'from the top edge 100 at the left, 112.5 at the right'],
  [
    { type: 'corner', keeps: 'rest', sideX: 'right', xMm: 40, sideY: 'bottom', yMm: 25 },
    'corner off: 40 along from the right, 25 from the bottom',
  ],
  [
    { type: 'corner', keeps: 'corner', sideX: 'left', xMm: 40, sideY: 'top', yMm: 25 },
    'keep only the corner: 40 along from the left, 25 from the top',
  ],
  [{ type: 'notch', sideX: 'left', xMm: 68.5, sideY: 'top', yMm: 199, afterCut: false }, 'notch 68.5 in from the left, 199 from the top'],
  [
    { type: 'slot', side: 'bottom', startMm: 80, widthMm: 100, depthMm: 120, afterCut: true },
    'slot from the bottom: starts at 80, 100 wide, 120 deep, after the straight cut',
  ],
  [
    { type: 'circle', xMm: 17.5, yMm: 293, diameterMm: 120, coreMm: null },
    'hole 120 mm, centre 17.5 from the left, 293 from the bottom; grind to the line',
  ],
  [
    {
      type: 'bite',
      ends: [
        { side: 'left', mm: 40 },
        { side: 'bottom', mm: 95 },
      ],
      radiusMm: 60,
    },
    'bite from 40 up the left side to 95 along the bottom side, radius 60; grind to the line',
  ],
  [{ type: 'window', xMm: 50, yMm: 60, widthMm: 120, heightMm: 80 }, 'box 120 x 80, 50 from the left, 60 from the bottom'],
  [
    {
      type: 'path',
      points: [
        [0, 10],
        [20, 30],
        [40, 50],
      ],
      from: 'left',
      to: null,
    },
    'line from 10 up the left side, by 20 from the left and 30 from the bottom, to 40 from the left and 50 from the bottom',
  ],
];
test.each(MARKS)('a mark reads as it is set: %j', (mark, words) => expect(describeMark(mark, METRIC_TAPE)).toBe(words));
test('and in inches', () =>
  expect(describeMark({ type: 'line', from: 'left', mm: [5.0625 * 25.4, 5.0625 * 25.4] }, IMPERIAL_TAPE)).toBe(
    '5 1/16" from the left edge',
  ));

describe('names', () => {
  test('kinds of cut differ in name and, but for the plain one, in sign', () => {
    expect(new Set(CUT_KINDS.map(kindName)).size).toBe(CUT_KINDS.length);
    expect(new Set(CUT_KINDS.map((kind) => kindLetter({ kind }))).size).toBe(CUT_KINDS.length);
    expect(CUT_KINDS.filter((kind) => kindLetter({ kind }) === '')).toEqual(['straight']);
  });
  test('patterns, shares and reveals', () => {
    for (const { defaults, id } of Object.values(PATTERNS))
      expect(describePattern(defaults as Pattern).startsWith(PATTERN_NAMES[id])).toBe(true);
    expect([0.5, 1 / 3, 0.25, 0.4].map(shareName)).toEqual(['half', 'third', 'quarter', '40 %']);
    expect([edgeName('left'), edgeName('door-start')]).toEqual(['left', 'reveal of door']);
  });
});
