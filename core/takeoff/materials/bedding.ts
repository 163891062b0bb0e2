import { NOTCHES, type Notch } from '../consumption.ts';
import type { SurfaceFigures } from '../figures.ts';
import type { Need, Spoken, Taken } from '../materialKind.ts';
import { byVariant } from '../byRate.ts';

/** How the backs of pieces are buttered: not at all, a flat skim, notched like the bed. */
export type BackButter = 'none' | 'skim' | 'notched';

/** The notch by the size of the piece, or one for all; backs as size, place and load ask for it, or one way for all. */
export const NOTCH_CHOICES = { notchMm: ['byTile', ...NOTCHES], backs: ['byTile', 'none', 'skim', 'notched'] } as const;

/** How the adhesive of one surface came about. */
export interface BedRow {
  readonly surfaceId: string;
  readonly areaM2: number;
  /** Null where the data sheet said what a square metre takes. */
  readonly notchMm: Notch | null;
  readonly backs: BackButter;
  readonly kgPerM2: number;
  readonly kg: number;
}

/** How the adhesive came about. */
export interface AdhesiveHow {
  readonly surfaces: readonly BedRow[];
  readonly figures: Readonly<Record<string, Spoken>>;
}

/**
 * Adhesive for a notch held at 45 degrees, kg/m², to the tenth: the bed is d·sin 45°/2 deep, for square notches as
 * wide as the ridges between them, and for V-notches side by side alike.
 */
export const notchKgPerM2 = (notchMm: number, kgPerLitre: number): number =>
  Math.round((notchMm * Math.SQRT1_2 * kgPerLitre * 10) / 2) / 10;

/** The bigger the piece that is bedded, the deeper the notch. Longest side in mm; typical, the data sheet of the adhesive wins. */
export function notchFor(longestSideMm: number): Notch {
  if (longestSideMm <= 60) return 4;
  if (longestSideMm <= 150) return 6;
  if (longestSideMm <= 300) return 8;
  return longestSideMm <= 450 ? 10 : 12;
}

/** The notch in force: the one that is chosen, else by the size of the pieces. */
const notchOf = (longestSideMm: number, chosen: 'byTile' | Notch = 'byTile'): Notch =>
  chosen === 'byTile' ? notchFor(longestSideMm) : chosen;

/** How far the face of the tiles stands off the ground: tile, and a bed that is beaten down to half its notch, mm (trade practice). */
export function tileAndBedMm(
  { thicknessMm, longestSideMm, works }: Pick<SurfaceFigures, 'longestSideMm' | 'works' | 'thicknessMm'>,
  materials: Need['materials'] = {},
): number {
  const { choices } = materials[works.adhesive === 'powder' ? 'adhesive' : 'readyAdhesive'] ?? {};
  return thicknessMm + notchOf(longestSideMm, choices?.['notchMm'] as 'byTile' | Notch | undefined) / 2;
}

/** Pieces with a side from here on get a skim everywhere, from the second on in the wet and outdoors, mm. */
const SKIMMED_SIDE_MM = 590;
const SKIMMED_WET_SIDE_MM = 290;

/** Backs are buttered where the piece is large, where water stands behind it or frost can, and both sides notched under heavy load. */
export function backsFor({ longestSideMm, works }: Pick<SurfaceFigures, 'longestSideMm' | 'works'>): BackButter {
  if (works.load === 'heavy') return 'notched';
  return longestSideMm >= (works.place === 'dry' ? SKIMMED_SIDE_MM : SKIMMED_WET_SIDE_MM) ? 'skim' : 'none';
}

/** What beds go by. */
interface BedSaid {
  readonly choices: { readonly notchMm: 'byTile' | Notch; readonly backs: 'byTile' | BackButter };
  readonly kgPerLitre: Spoken;
  readonly backKgPerM2: Spoken;
  readonly kgPerM2: Spoken | undefined;
}

/** Adhesive of one make for the surfaces that are laid in it, by colour, kg. */
export function bedAdhesive(all: readonly SurfaceFigures[], make: 'powder' | 'ready', said: BedSaid): Taken<AdhesiveHow>[] {
  const { choices, kgPerLitre, backKgPerM2, kgPerM2: stated } = said;
  const rowOf = (s: SurfaceFigures): BedRow => {
    const notchMm = notchOf(s.longestSideMm, choices.notchMm);
    const backs = choices.backs === 'byTile' ? backsFor(s) : choices.backs;
    const bed = notchKgPerM2(notchMm, kgPerLitre.value);
    const kgPerM2 = stated?.value ?? bed + { none: 0, skim: backKgPerM2.value, notched: bed }[backs];
    const areaM2 = s.areaMm2 / 1e6;
    return { surfaceId: s.surfaceId, areaM2, notchMm: stated ? null : notchMm, backs, kgPerM2, kg: areaM2 * kgPerM2 };
  };
  const groups = byVariant(all, ({ works }) => (works.adhesive === make ? works.mortar : null));
  return [...groups].map(([variant, own]) => {
    const surfaces = own.map(rowOf);
    const quantity = surfaces.reduce((sum, { kg }) => sum + kg, 0);
    const figures = {
      ...(stated ? { kgPerM2: stated } : { kgPerLitre }),
      ...(surfaces.some(({ backs }) => backs === 'skim') ? { backKgPerM2 } : {}),
    };
    return { productId: null, hand: null, variant, quantity, unit: 'kg', how: { surfaces, figures } };
  });
}
