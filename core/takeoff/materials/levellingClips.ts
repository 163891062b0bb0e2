import { ROUNDING } from '../../tolerances.ts';
import { byRate, type RateHow } from '../byRate.ts';
import type { SurfaceFigures } from '../figures.ts';
import { material, type Taken } from '../materialKind.ts';

/** Clips along one joint of a length in mm: near both its ends and no further apart than set; one in the middle of a short one. */
export const clipsAlong = (lengthMm: number, fromCornerMm: number, apartMm: number): number =>
  lengthMm <= 3 * fromCornerMm ? 1 : 1 + Math.ceil((lengthMm - 2 * fromCornerMm) / apartMm - ROUNDING);

/** Clips of one surface, unrounded by what breaks. */
export const clipsOf = ({ sharedJoints }: Pick<SurfaceFigures, 'sharedJoints'>, fromCornerMm: number, apartMm: number): number =>
  [...(sharedJoints ?? [])].reduce((sum, [lengthMm, count]) => sum + count * clipsAlong(lengthMm, fromCornerMm, apartMm), 0);

/** Joints that clips are made for, mm. */
export const CLIP_WIDTHS_MM = [1, 1.5, 2, 3, 4, 5] as const;

/** Figures that clips and their wedges go by. */
export const CLIP_FIGURES = {
  /** From the corner of a piece to its clip, mm. */
  fromCornerMm: { typical: 50, min: 10, max: 200 },
  /** Clips are no further apart, mm. */
  apartMm: { typical: 500, min: 100, max: 2000 },
} as const;

/** Clips that hold neighbours at one level while they set, each shared joint once; by the joint they keep. */
export const levellingClips = material({
  group: 'joints',
  packs: [
    { size: 100, price: 9.5 },
    { size: 250, price: 19.9 },
  ],
  spread: 0,
  figures: { ...CLIP_FIGURES, extraPercent: { typical: 3, min: 0, max: 100 } },
  choices: { widthMm: ['asJoint', ...CLIP_WIDTHS_MM] },
  takeOff: ({ surfaces }, { figures, choices }): Taken<RateHow>[] => {
    const widthOf = (surface: SurfaceFigures): number => (choices.widthMm === 'asJoint' ? surface.jointMm : choices.widthMm);
    const widths = [...new Set(surfaces.filter(({ sharedJoints }) => sharedJoints).map(widthOf))].sort((a, b) => a - b);
    return widths.flatMap((width) =>
      byRate(
        surfaces.filter((surface) => widthOf(surface) === width),
        { unit: 'piece', of: 'count', figures, variant: `${width}` },
        (surface) => ({
          amount: clipsOf(surface, figures.fromCornerMm.value, figures.apartMm.value),
          per: 1 + figures.extraPercent.value / 100,
        }),
      ),
    );
  },
});
