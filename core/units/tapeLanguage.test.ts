import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatExactLength, formatLength, formatTypedLength } from './formatLength.ts';
import { parseLength } from './parseLength.ts';
import { IMPERIAL_TAPE, METRIC_TAPE, MM_PER_INCH, type Tape } from './tape.ts';

const read = (text: string, tape: Tape = METRIC_TAPE): number | string => {
  const result = parseLength(text, tape);
  return result.ok ? Math.round(result.value * 1e6) / 1e6 : result.issues[0].code;
};

describe('a length is read as it is written beside the tape', () => {
  test.each([
    ['2405', 2405],
    ['240.5 cm', 2405],
    ['240,5cm', 2405],
    ['2.405 m', 2405],
    ['2405mm', 2405],
    [' 12.5 ', 12.5],
    ['.5', 0.5],
    ['7\' 10 5/8"', 94.625 * 25.4],
    ["7'-10 5/8", 94.625 * 25.4],
    ['7 ft 10.625 in', 94.625 * 25.4],
    ['7′ 10⅝″', 94.625 * 25.4],
    ['7 feet', 7 * 304.8],
    ['94 5/8', 94.625 * 25.4],
    ['94-5/8', 94.625 * 25.4],
    ['94.625in', 94.625 * 25.4],
    ['5/8"', 0.625 * 25.4],
    ['94½', 94.5 * 25.4],
    ['7 ft. 10 5/8 in.', 94.625 * 25.4],
    ['7\' 10" 5/8', 94.625 * 25.4],
    ['7 1/2 ft', 90 * 25.4],
    ["7½'", 90 * 25.4],
    ['94.625 in.', 94.625 * 25.4],
    ['2 m 40 cm', 2400],
    ['2m 40cm 5mm', 2405],
    ['1½ m', 1500],
    ['+5', 5],
    ['２４０５', 2405],
    ["7' - 10", 94 * 25.4],
    ['0.125', 0.125],
    ['47⅓"', (47 + 1 / 3) * 25.4],
    ['47⅔"', (47 + 2 / 3) * 25.4],
    ['1⅗ m', 1600],
    ['5⅙ in', (5 + 1 / 6) * 25.4],
    ['2 metres', 2000],
    ['2 meters 4 cms', 2040],
    ['10 millimetres', 10],
    ['5 cms', 50],
    ['2m40', 2400],
    ['2m405', 2405],
    ['2405.', 2405],
    ['7 ft, 10 5/8 in', 94.625 * 25.4],
    ['94 - 5/8"', 94.625 * 25.4],
    ['5 ins', 127],
  ])('%s is %f mm', (text, mm) => expect(read(text)).toBeCloseTo(mm as number, 6));

  test('a bare number is in the unit of the tape', () => expect(read('10', IMPERIAL_TAPE)).toBe(254));

  test.each([
    ['', 'length/empty'],
    ['abc', 'length/unreadable'],
    ['12 x', 'length/unreadable'],
    ['5/0', 'length/unreadable'],
    ['1e3', 'length/unreadable'],
    ['-4', 'length/negative'],
    ['0 light', 'length/negative'],
    ['2m4', 'length/unreadable'],
    ['2m4050', 'length/unreadable'],
    ['4⅓⅓', 'length/unreadable'],
    ['2,405', 'length/ambiguous-comma'],
    ["7' 10' 2", 'length/unreadable'],
    ["2'405", 'length/doubtful'],
    ['5\' 14"', 'length/doubtful'],
    ['12 9/8', 'length/doubtful'],
    ['5.5\' 3"', 'length/doubtful'],
    ['5\' -3"', 'length/doubtful'],
    ['2 m 140 cm', 'length/doubtful'],
    ['1.500', 'length/ambiguous-comma'],
    ['1,500', 'length/ambiguous-comma'],
    ['2 m 3', 'length/unreadable'],
    ['Infinity', 'length/unreadable'],
  ])('%p is refused, never zero', (text, code) => expect(read(text)).toBe(code));
});

describe('a length is shown as it is read off the tape', () => {
  const shown = (mm: number, over: Partial<Tape> = {}): string => formatLength(mm, { ...IMPERIAL_TAPE, ...over });
  test('metric, to half a millimetre', () => {
    expect([249.0000001, 98.75, 200.5, -0.01].map((mm) => formatLength(mm, METRIC_TAPE))).toEqual(['249', '99', '200.5', '0']);
  });
  test('fractions are reduced; feet come in from eight feet up', () => {
    expect([58.375, 94.625, 0.5, 96, 100.25].map((inches) => shown(inches * MM_PER_INCH))).toEqual([
      '58 3/8"',
      '94 5/8"',
      '1/2"',
      '8\' 0"',
      '8\' 4 1/4"',
    ]);
  });
  test('at an eighth, 22 5/16 is 22 3/8 light, and reads back', () => {
    const tape = { ...IMPERIAL_TAPE, fraction: 8, lightHeavy: true } as const;
    expect(formatLength(22.3125 * MM_PER_INCH, tape)).toBe('22 3/8" light');
    expect(formatLength(22.0625 * MM_PER_INCH, tape)).toBe('22" heavy');
    expect(read('22 3/8 light', tape)).toBeCloseTo(22.3125 * MM_PER_INCH, 6);
  });
  test('a figure that was chosen is shown as it is in force', () => {
    expect([1.6, 297.7, 3, 9.524999999999999].map((mm) => formatExactLength(mm, METRIC_TAPE))).toEqual([
      '1.6 mm',
      '297.7 mm',
      '3 mm',
      '9.5 mm',
    ]);
    expect([25.4 / 8, 1.6].map((mm) => formatExactLength(mm, IMPERIAL_TAPE))).toEqual(['1/8"', '1/16"']);
    expect(formatExactLength(5, IMPERIAL_TAPE)).toBe('about 3/16"');
    expect([formatExactLength(0.5, IMPERIAL_TAPE), formatExactLength(0.02, METRIC_TAPE)]).toEqual(['less than 1/16"', 'less than 0.1 mm']);
    expect([formatExactLength(0, IMPERIAL_TAPE), formatExactLength(0, METRIC_TAPE)]).toEqual(['0"', '0 mm']);
  });
  test('what stands in a field reads back as the same length', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4_000_000 }), fc.constantFrom(METRIC_TAPE, IMPERIAL_TAPE), (hundredths, tape) => {
        const mm = hundredths / 100;
        expect(Math.abs(Number(read(formatTypedLength(mm, tape), tape)) - mm)).toBeLessThanOrEqual(0.0051);
      }),
    );
  });
  test('what is shown reads back to within half a step', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 40000, noNaN: true }), fc.constantFrom(8, 16, 32), fc.boolean(), (mm, fraction, lightHeavy) => {
        const tape = { ...IMPERIAL_TAPE, fraction, lightHeavy } as Tape;
        expect(Math.abs(Number(read(formatLength(mm, tape), tape)) - mm)).toBeLessThanOrEqual(MM_PER_INCH / fraction / 2 + 1e-6);
      }),
    );
  });
});
