import type { SurfaceFigures } from '../figures.ts';
import type { MaterialKind, Need } from '../materialKind.ts';

/** How the sealant came about. */
export interface SealantHow {
  readonly surfaces: readonly {
    readonly surfaceId: string;
    readonly lengthM: number;
    /** Of it, joints counted with the surface it meets in an inside corner. */
    readonly countedThereM: number;
    readonly ml: number;
  }[];
  readonly depthMm: number;
}

/** Sealant for the joints there are at walls and fixtures, ml: length x width x depth. A corner of two surfaces has one joint. */
export const sealant = {
  takeOff: (need) => {
    const { consumption } = need;
    const surfaces = need.surfaces.map((s) => {
      const depthMm = Math.min(consumption.sealantDepthMm, s.thicknessMm);
      const own = s.sealed.filter(({ edgeId }) => !isCountedThere(need, s, edgeId));
      const section = own.reduce((sum, { lengthMm, widthMm }) => sum + lengthMm * widthMm, 0);
      const lengthM = lengthOf(own);
      return { surfaceId: s.surfaceId, lengthM, countedThereM: lengthOf(s.sealed) - lengthM, ml: (section * depthMm) / 1000 };
    });
    const quantity = surfaces.reduce((sum, s) => sum + s.ml, 0);
    return [{ productId: null, hand: null, quantity, unit: 'ml', how: { surfaces, depthMm: consumption.sealantDepthMm } }];
  },
} as const satisfies MaterialKind<SealantHow>;

const lengthOf = (joints: SurfaceFigures['sealed']): number => joints.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000;

/** Whether the joint at an edge is counted with the surface that meets it in an inside corner. */
function isCountedThere({ links = [], surfaces }: Need, { surfaceId }: SurfaceFigures, edgeId: string | null): boolean {
  const link = links.find(({ meets, b }) => meets === 'inside' && b.surface === surfaceId && b.edge === edgeId);
  const other = link && surfaces.find((surface) => surface.surfaceId === link.a.surface);
  return other?.sealed.some((joint) => joint.edgeId === link?.a.edge) ?? false;
}
