import { SAW_MM } from '../../tolerances.ts';
import { z } from 'zod';
import { add, scale, type Point } from '../../geometry/point.ts';
import { tileOutline } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf, type Module } from '../repeat.ts';
import { centredRing, tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('cubes') });

/** A direction of length one. */
const towards = (deg: number): Point => [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];

/** A short diagonal this far from a long one over √3 still closes, mm; beyond a quarter of the joint it shows. */
const SIXTY_SLACK_MM = SAW_MM;

/**
 * Three diamonds of 60 degrees round a corner, each a third of a turn on: they look like stacked cubes.
 * The cell's side is s + j/sin 60, with s the side of a diamond.
 *
 *         /\
 *        /  \     top
 *       |\  /|
 *       | \/ |    left, right
 *        \ | /
 */
export const cubes = {
  id: 'cubes',
  schema,
  defaults: { kind: 'cubes' },
  takes: ['diamond'],
  slower: 1.45,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: null,
  misfit: ({ widthMm, heightMm, jointMm }: Module) => {
    const offMm = Math.abs(Math.max(widthMm, heightMm) / Math.sqrt(3) - Math.min(widthMm, heightMm));
    return offMm > Math.max(SIXTY_SLACK_MM, jointMm / 4) ? 'notSixtyDegrees' : null;
  },
  repeat: (module) => {
    const { widthMm, heightMm, jointMm } = module;
    const side = Math.hypot(widthMm, heightMm) / 2 + jointMm / Math.sin(Math.PI / 3);
    const outline = tileOutline(shapeOf(module, 'diamond'), module);
    // The long diagonal lies across the top face and leans along the two others.
    const carton = heightMm > widthMm ? 90 : 0;
    const faces: readonly (readonly [Point, number])[] = [
      [add(towards(30), towards(150)), 0],
      [add(towards(30), towards(270)), 60],
      [add(towards(150), towards(270)), 120],
    ];
    return {
      vectors: [
        [side * Math.sqrt(3), 0],
        [(side * Math.sqrt(3)) / 2, side * 1.5],
      ],
      pieces: faces.map(([sum, longDeg]) => {
        const [x, y] = scale(sum, side / 2);
        return tilePiece(centredRing(outline, x, y, longDeg - carton), { turnDeg: longDeg - carton });
      }),
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
