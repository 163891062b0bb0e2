import { z } from 'zod';
import { cellShift } from '../pattern/repeat.ts';
import { placementMotion, type Layout } from '../setout/place/layout.ts';
import type { Labels } from './labelPieces.ts';

const whole = z.int().min(-1_000_000).max(1_000_000);
const coordinate = z.number().min(-1e6).max(1e6);

/** How the pieces of a field were counted when cutting began, so that labels stay on their pieces whatever changes after. */
export const keptCountSchema = z.strictObject({
  pattern: z.string().max(40).describe('The kind of pattern that was laid; with another one pieces are counted anew'),
  origin: z.tuple([coordinate, coordinate]).describe('Where the repeat lay on the surface, mm'),
  turnDeg: z.number().min(-720).max(720),
  firstCourse: whole,
  firsts: z
    .array(z.tuple([whole, whole]))
    .max(5000)
    .describe('The first place of each course'),
});

/** How the pieces of a field were counted. */
export type KeptCount = z.infer<typeof keptCountSchema>;

/** Keeps how the fields of a surface are counted now. */
export const keepLabels = (fields: readonly { readonly layout: Layout }[], labels: readonly Labels[], pattern: string): KeptCount[] =>
  fields.map(({ layout: { placement, repeat } }, k) => {
    const { firstCourse, firstInCourse, shift } = labels[k];
    // Cells that were counted before lie so many steps back.
    const [dx, dy] = placementMotion({ origin: [0, 0], turnDeg: placement.turnDeg }).turn(cellShift(repeat, ...shift));
    return {
      pattern,
      origin: [placement.origin[0] - dx, placement.origin[1] - dy],
      turnDeg: placement.turnDeg,
      firstCourse,
      firsts: [...firstInCourse].sort(([a], [b]) => a - b),
    };
  });
