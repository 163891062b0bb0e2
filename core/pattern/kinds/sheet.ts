import { z } from 'zod';
import { add, scale, unit, type Point } from '../../geometry/point.ts';
import { boxOf } from '../../geometry/ring.ts';
import { chipRing, sheetOutline, sheetSize } from '../../tile/sheet/sheetChips.ts';
import { sheetFaults } from '../../tile/sheet/sheetFaults.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf, type Module, type RepeatPiece } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('sheet') });

/** A sheet that was measured may be larger or smaller than its chips say by this share: the mesh gives. */
const LARGEST_STRETCH = 0.03;

/**
 * Mosaic sheets, edge to edge: a cell is one sheet, its pieces the chips. A sheet that measures more or
 * less than its chips say is stretched at its joints, the chips keep their size. Another joint than
 * that of the sheet is given to the seams between sheets.
 */
export const sheet = {
  id: 'sheet',
  schema,
  defaults: { kind: 'sheet' },
  takes: ['sheet'],
  slower: 1,
  startDecidesEnds: true,
  hardCuts: 'hardestFirst',
  isMounted: false,
  liesBy: null,
  misfit: (module) => {
    const shape = shapeOf(module, 'sheet');
    const fault = sheetFaults(shape)[0];
    if (fault) return fault.kind === 'overlap' ? 'chipsOverlap' : 'chipsDoNotRepeat';
    if (!stretchOf(shape, module).every((share) => Math.abs(share - 1) <= LARGEST_STRETCH)) return 'sheetOfOtherSize';
    if (module.jointMm >= shape.jointMm) return null;
    // Drawn nearer than they are made for, sheets that reach into each other come to lie on each other.
    const [across, up] = seamsOf(shape, module);
    return sheetFaults({ ...shape, across: [...across], up: [...up] }).some(
      ({ kind, ...fault }) => kind === 'seam' && 'gapMm' in fault && fault.gapMm < 0,
    )
      ? 'sheetsOverlap'
      : null;
  },
  innerJoint: (module) => shapeOf(module, 'sheet').jointMm,
  repeat: (module) => {
    const shape = shapeOf(module, 'sheet');
    const [sx, sy] = stretchOf(shape, module);
    const place = ([x, y]: Point): Point => [x * sx, y * sy];
    const chips = shape.chips.map((chip) => {
      const [xMm, yMm] = place([chip.xMm, chip.yMm]);
      return { ...chip, xMm, yMm };
    });
    const { courseOf, courses } = coursesOf(chips);
    const pieces = chips.map((chip): RepeatPiece => {
      const { turnDeg } = chip;
      return tilePiece(chipRing(shape, chip), { turnDeg, course: courseOf(chip.yMm), colour: shape.palette[chip.colour] });
    });
    return {
      vectors: seamsOf(shape, module),
      pieces,
      coursesPerCell: courses,
      upright: false,
      sheet: shape,
      sheetEdges: sheetOutline(shape).map((ring) => ring.map(place)),
      // A motif is set out by its whole sheet, plain chips by a chip.
      ...(shape.figured ? { unit: boxOf(pieces.flatMap(({ ring }) => ring)) } : {}),
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;

/** The steps to the next sheet across and up, with the joint of the module between sheets. */
function seamsOf(shape: Sheet, module: Module): readonly [Point, Point] {
  const [sx, sy] = stretchOf(shape, module);
  const seam = ([x, y]: Point): Point => add([x * sx, y * sy], scale(unit([x, y]), module.jointMm - shape.jointMm));
  return [seam(shape.across), seam(shape.up)];
}

/** The real size over that of the chips, a joint added to both. */
function stretchOf(shape: Sheet, { widthMm, heightMm }: Module): Point {
  const size = sheetSize(shape);
  return [(widthMm + shape.jointMm) / (size.widthMm + shape.jointMm), (heightMm + shape.jointMm) / (size.heightMm + shape.jointMm)];
}

/** Chips whose middles are nearer than this in height are one course, mm. */
const ONE_COURSE_MM = 1;

/** Chips in rows from the bottom, so that they can be named. */
function coursesOf(chips: readonly { readonly yMm: number }[]): { courseOf: (yMm: number) => number; courses: number } {
  const heights: number[] = [];
  for (const { yMm } of [...chips].sort((a, b) => a.yMm - b.yMm)) {
    if (heights.length === 0 || yMm - heights[heights.length - 1] > ONE_COURSE_MM) heights.push(yMm);
  }
  const courseOf = (yMm: number): number => heights.findLastIndex((height) => height <= yMm);
  return { courseOf, courses: heights.length };
}
