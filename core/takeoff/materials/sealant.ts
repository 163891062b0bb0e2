import { byVariant } from '../byRate.ts';
import { material, REST_HOURS, type Spoken, type Taken } from '../materialKind.ts';
import { lengthHere } from '../countedThere.ts';
import type { SurfaceFigures } from '../figures.ts';

/** How the sealant came about. */
export interface SealantHow {
  readonly surfaces: readonly {
    readonly surfaceId: string;
    readonly lengthM: number;
    /** Of it, joints counted with the surface it meets in an inside corner. */
    readonly countedThereM: number;
    readonly ml: number;
  }[];
  readonly figures: { readonly depthMm: Spoken };
}

/** Sealant in the colour of the grout, for the joints there are at walls and fixtures, ml: length x width x depth. A corner of two surfaces has one joint. */
export const sealant = material({
  group: 'joints',
  packs: [{ size: 310, price: 9.8 }],
  spread: 0.12,
  figures: { depthMm: { typical: 6, min: 1, max: 50 } },
  stated: REST_HOURS,
  choices: {},
  takeOff: (need, { figures: { depthMm: depth } }): Taken<SealantHow>[] =>
    [...byVariant(need.surfaces, ({ jointColour }) => jointColour)].flatMap(([variant, own]) => {
      const surfaces = own.map((s) => {
        const depthMm = Math.min(depth.value, s.thicknessMm);
        const here = s.sealed.map((joint) => ({ ...joint, lengthMm: lengthHere(need, s, joint, ({ sealed }) => sealed) }));
        const section = here.reduce((sum, { lengthMm, widthMm }) => sum + lengthMm * widthMm, 0);
        const lengthM = lengthOf(here);
        return { surfaceId: s.surfaceId, lengthM, countedThereM: lengthOf(s.sealed) - lengthM, ml: (section * depthMm) / 1000 };
      });
      const quantity = surfaces.reduce((sum, { ml }) => sum + ml, 0);
      return quantity === 0
        ? []
        : [{ productId: null, hand: null, variant, quantity, unit: 'ml' as const, how: { surfaces, figures: { depthMm: depth } } }];
    }),
});

const lengthOf = (joints: SurfaceFigures['sealed']): number => joints.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000;
