import { nameInSet } from '@azulejo/core/messages/en/sets';
import type { CornerFace, CornerSection } from '@azulejo/core/job/cornerSection';

type Point = readonly [number, number];

/** A section as paths: one unit of the picture a millimetre, or a part of one where more is laid. */
export interface DrawnCorner {
  readonly viewBox: string;
  readonly ground: string;
  readonly beds: readonly string[];
  readonly tiles: readonly string[];
  /** What fills the joint between the two; null where there is none to see. */
  readonly joint: string | null;
  readonly names: readonly { readonly at: Point; readonly name: string; readonly upright: boolean }[];
}

/** The arms of the corner in the picture, and how much of the ground is seen. */
const [LONG, DEEP, GROUND] = [84, 52, 9];

/** The thickest layers are drawn so thick. */
const THICKEST = 22;

const thickOf = ({ tileMm, bedMm }: CornerFace): number => tileMm + bedMm;

const path = (points: readonly Point[]): string => `M${points.map((p) => p.join(' ')).join('L')}Z`;

/**
 * Face a lies level, face b upright; `away` is from the ground into the room. Inside, the room lies under a and left of b;
 * outside, above a and right of b.
 */
export function drawCorner({ meets, run, a, b }: CornerSection): DrawnCorner {
  const scale = Math.min(1, THICKEST / Math.max(thickOf(a), thickOf(b), 1));
  const away = meets === 'inside' ? 1 : -1;
  const thick = (mm: number): number => away * mm * scale;
  const end = (face: CornerFace): number => face.endMm * scale;
  // Depths from the ground and ends from the corner; a mitre runs from the corner to where both outer faces meet.
  const slab = (face: CornerFace, from: number, to: number, of: 'a' | 'b'): string => {
    const slope = of === 'a' ? thickOf(b) / thickOf(a) : thickOf(a) / thickOf(b);
    const [near, far] = run === 'mitred' ? [from, to].map((mm) => -mm * scale * slope) : [end(face), end(face)];
    const level: Point[] = [
      [-LONG, thick(from)],
      [-near, thick(from)],
      [-far, thick(to)],
      [-LONG, thick(to)],
    ];
    const upright: Point[] = [
      [-thick(from), DEEP],
      [-thick(from), near],
      [-thick(to), far],
      [-thick(to), DEEP],
    ];
    return path(of === 'a' ? level : upright);
  };
  const layers = (from: (face: CornerFace) => number, to: (face: CornerFace) => number): string[] => [
    slab(a, from(a), to(a), 'a'),
    slab(b, from(b), to(b), 'b'),
  ];
  const ground: Point[] =
    meets === 'inside'
      ? [
          [-LONG, 0],
          [0, 0],
          [0, DEEP],
          [GROUND, DEEP],
          [GROUND, -GROUND],
          [-LONG, -GROUND],
        ]
      : [
          [-LONG, 0],
          [0, 0],
          [0, DEEP],
          [-GROUND, DEEP],
          [-GROUND, GROUND],
          [-LONG, GROUND],
        ];
  const room = THICKEST + 8;
  const [left, top, wide, high] =
    meets === 'inside' ? [-LONG, -GROUND, LONG + GROUND, DEEP + GROUND] : [-LONG, -room, LONG + room, DEEP + room];
  const beyond = thick(Math.max(thickOf(a), thickOf(b))) + away * 5;
  return {
    viewBox: `${left} ${top} ${wide} ${high}`,
    ground: path(ground),
    beds: layers(
      () => 0,
      ({ bedMm }) => bedMm,
    ),
    tiles: layers(
      ({ bedMm }) => bedMm,
      ({ bedMm, tileMm }) => bedMm + tileMm,
    ),
    joint: jointOf({ run, a, b, meets }, scale),
    names: [
      { at: [-0.62 * LONG, beyond], name: nameInSet(a.surface.name), upright: false },
      { at: [-beyond, 0.66 * DEEP], name: nameInSet(b.surface.name), upright: true },
    ],
  };
}

/** The sealed joint of an inside corner: where the face that butts ends. */
function jointOf({ run, a, b, meets }: Pick<CornerSection, 'run' | 'a' | 'b' | 'meets'>, scale: number): string | null {
  if (meets !== 'inside' || (run !== 'a' && run !== 'b')) return null;
  const [face, of] = run === 'a' ? [b, 'b'] : [a, 'a'];
  const [from, to] = [face.bedMm * scale, (face.bedMm + face.tileMm) * scale];
  const [near, far] = [(face.endMm - face.gapMm) * scale, face.endMm * scale];
  const points: Point[] = [
    [from, near],
    [to, near],
    [to, far],
    [from, far],
  ];
  return path(points.map(([depth, run_]): Point => (of === 'b' ? [-depth, run_] : [-run_, depth])));
}
