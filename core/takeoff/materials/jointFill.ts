import { byVariant } from '../byRate.ts';
import type { SurfaceFigures } from '../figures.ts';
import type { FigureSpec, Spoken, Taken } from '../materialKind.ts';

/** How the grout came about. */
export interface GroutHow {
  readonly surfaces: readonly {
    readonly surfaceId: string;
    readonly jointAreaM2: number;
    readonly coveredM2: number;
    readonly depthMm: number;
    readonly kg: number;
  }[];
  readonly figures: Readonly<Record<'kgPerLitre' | 'leftPercent', Spoken>>;
}

/** What every grout needs to know. */
export const groutFigures = (kgPerLitre: number): { readonly kgPerLitre: FigureSpec; readonly leftPercent: FigureSpec } => ({
  kgPerLitre: { typical: kgPerLitre, min: 0.1, max: 10 },
  leftPercent: { typical: 10, min: 0, max: 100 },
});

/** Grout in the joints, kg: joint area x depth x density; a mm² of a mm is a millionth of a litre. */
export const groutKg = (jointAreaMm2: number, depthMm: number, kgPerLitre: number): number => (jointAreaMm2 * depthMm * kgPerLitre) / 1e6;

/** Grout from the true area of the joints, with what stays in the bucket; a line for each colour, and for what else tells it apart. */
export function fillJoints(
  all: readonly SurfaceFigures[],
  { kgPerLitre, leftPercent }: GroutHow['figures'],
  variantOf: (surface: SurfaceFigures) => string | null,
): Taken<GroutHow>[] {
  return [...byVariant(all, variantOf)].flatMap(([variant, own]) => {
    const surfaces = own.map((s) => ({
      surfaceId: s.surfaceId,
      jointAreaM2: s.jointAreaMm2 / 1e6,
      coveredM2: s.areaMm2 / 1e6,
      depthMm: s.thicknessMm,
      kg: groutKg(s.jointAreaMm2, s.thicknessMm, kgPerLitre.value),
    }));
    const quantity = surfaces.reduce((sum, { kg }) => sum + kg, 0) * (1 + leftPercent.value / 100);
    return quantity === 0
      ? []
      : [{ productId: null, hand: null, variant, quantity, unit: 'kg' as const, how: { surfaces, figures: { kgPerLitre, leftPercent } } }];
  });
}
