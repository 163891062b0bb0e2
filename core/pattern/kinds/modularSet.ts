import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Module, RepeatPiece } from '../repeat.ts';
import { isSquare, squareOf } from '../squareOf.ts';
import { centredRing, tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('modularSet') });

/** The other tiles of the set: 1x1, 2x1 and 3x2 modules; the main one is two by two. */
type Part = 'small' | 'half' | 'large';

/** One cell in modules: x, y, width, height. Six by six, with no cross joint and no straight joint over four modules. */
const CELL: readonly (readonly [number, number, number, number])[] = [
  [0, 2, 1, 1],
  [3, 2, 1, 1],
  [0, 5, 1, 1],
  [3, 5, 1, 1],
  [3, 0, 2, 1],
  [3, 1, 2, 1],
  [4, 2, 2, 2],
  [0, 3, 2, 2],
  [2, 3, 2, 2],
  [4, 4, 2, 2],
  [-1, -1, 2, 3],
  [1, 0, 2, 3],
];

/** A module and its joint, mm: the main tile is two of them less a joint. */
const stepOf = ({ widthMm, jointMm }: Module): number => (widthMm + jointMm) / 2;

function idealParts(module: Module): Record<Part, Size> {
  const side = (modules: number): number => modules * stepOf(module) - module.jointMm;
  return {
    small: squareOf(side(1)),
    half: { widthMm: side(2), heightMm: side(1) },
    large: { widthMm: side(3), heightMm: side(2) },
  };
}

const partOf = (w: number, h: number): Part | null => (w === 2 && h === 2 ? null : w * h === 1 ? 'small' : w * h === 2 ? 'half' : 'large');

const longShort = ({ widthMm, heightMm }: Size): readonly [number, number] => [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];

/** By how much each side of the chosen tiles differs from the ratio, mm. */
function offRatio(module: Module): number[] {
  return Object.entries(idealParts(module)).flatMap(([part, ideal]) => {
    const chosen = module.parts?.[part];
    if (!chosen) return [];
    const [wanted, real] = [longShort(ideal), longShort(chosen)];
    return [wanted[0] - real[0], wanted[1] - real[1]];
  });
}

/**
 * A set of four sizes in the ratio 1x1, 2x1, 2x2 and 3x2, in the proportion 4 : 2 : 4 : 2. A tile of a x b
 * modules measures a m - j by b m - j; tiles out of ratio lie in the middle of their place and the joint
 * takes the difference.
 */
export const modularSet = {
  id: 'modularSet',
  schema,
  defaults: { kind: 'modularSet' },
  takes: ['rectangle'],
  slower: 1.35,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: null,
  misfit: (module) => (!isSquare(module) ? 'notSquare' : stepOf(module) <= 2 * module.jointMm ? 'tooNarrow' : null),
  parts: idealParts,
  innerJoint: (module) => module.jointMm + offRatio(module).reduce((worst, mm) => (Math.abs(mm) > Math.abs(worst) ? mm : worst), 0),
  repeat: (module) => {
    const step = stepOf(module);
    const ideal = idealParts(module);
    const pieces = CELL.map(([x, y, w, h]): RepeatPiece => {
      const part = partOf(w, h);
      const size = part === null ? module : (module.parts?.[part] ?? ideal[part]);
      const [long, short] = longShort(size);
      const [wide, high] = w >= h ? [long, short] : [short, long];
      const centre = [(x + w / 2) * step - module.jointMm / 2, (y + h / 2) * step - module.jointMm / 2] as const;
      const turned = size.widthMm >= size.heightMm !== w >= h;
      return tilePiece(centredRing(rectangleRing(0, 0, wide, high), ...centre), { turnDeg: turned ? 90 : 0, part });
    });
    // Rules of setting out speak of a two by two, so one comes first.
    const main = pieces.findIndex(({ part }) => part === null);
    return {
      vectors: [
        [6 * step, 0],
        [2 * step, 6 * step],
      ],
      pieces: [pieces[main], ...pieces.filter((_, k) => k !== main)],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
