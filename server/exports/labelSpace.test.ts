import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LabelSpace, type LabelPlace } from './labelSpace.ts';

const LETTER = 4;

/** A page that keeps what is written on it, each letter as wide as the next. */
function page() {
  const written: { text: string; x: number; y: number; upward: boolean; size: number }[] = [];
  let [size, upward] = [0, false];
  let origin: readonly number[] = [0, 0];
  const pdf = {
    fontSize: (next: number) => ((size = next), pdf),
    fillColor: () => pdf,
    font: () => pdf,
    widthOfString: (text: string) => text.length * LETTER,
    save: () => ((upward = false), pdf),
    restore: () => pdf,
    rotate: (_: number, { origin: at }: { origin: readonly number[] }) => ((upward = true), (origin = at), pdf),
    text: (text: string, x: number, y: number) => (
      written.push({ text, x: upward ? origin[0] : x, y: upward ? origin[1] : y, upward, size }),
      pdf
    ),
  };
  return { space: new LabelSpace(pdf as unknown as PDFKit.PDFDocument), written };
}

const places = fc.array(
  fc.record({ at: fc.tuple(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 0, max: 90 })), upward: fc.boolean() }),
  { minLength: 1, maxLength: 4 },
);

test('labels never lie on each other; one that finds no room is not written, one on free paper always is', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.stringMatching(/^[A-Z0-9]{1,6}$/), places), { minLength: 2, maxLength: 25 }), (labels) => {
      const { space, written } = page();
      const done = labels.map(([text, at]) => space.write(text, 8, '#000000', at satisfies LabelPlace[]));
      expect(written).toHaveLength(done.filter(Boolean).length);
      expect(done[0]).toBe(true);
      // The box of a word as it was written: its baseline is kept, so that boxes are made anew from what the page holds.
      const boxes = written.map(({ text, x, y, upward, size }) => {
        const width = text.length * LETTER;
        return upward
          ? { left: x - size / 2, right: x + size / 2, top: y - width / 2, bottom: y + width / 2 }
          : { left: x, right: x + width, top: y + size * 0.12, bottom: y + size * 1.12 };
      });
      boxes.forEach((a, k) =>
        boxes.slice(k + 1).forEach((b) => {
          const apart = a.left >= b.right || a.right <= b.left || a.top >= b.bottom || a.bottom <= b.top;
          expect(apart).toBe(true);
        }),
      );
    }),
    { numRuns: 200 },
  );
});

test('what is kept clear stays clear', () => {
  const { space, written } = page();
  space.keepClear({ left: 0, right: 100, top: 0, bottom: 100 });
  expect(space.write('A1', 8, '#000000', [{ at: [50, 50] }])).toBe(false);
  expect(space.write('A1', 8, '#000000', [{ at: [50, 50] }, { at: [150, 50] }])).toBe(true);
  expect(written).toHaveLength(1);
});
