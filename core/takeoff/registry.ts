import {
  saidOf,
  type Choices,
  type MaterialKind,
  type MaterialSettings,
  type Need,
  type OwnFigures,
  type PackOffer,
  type SoldPack,
  type Said,
  type Taken,
} from './materialKind.ts';
import { adhesive } from './materials/adhesive.ts';
import { backerRod } from './materials/backerRod.ts';
import { boards } from './materials/boards.ts';
import { boardTape } from './materials/boardTape.ts';
import { bullnose } from './materials/bullnose.ts';
import { cement } from './materials/cement.ts';
import { cornerTape } from './materials/cornerTape.ts';
import { edgeProfile } from './materials/edgeProfile.ts';
import { epoxyGrout } from './materials/epoxyGrout.ts';
import { grout } from './materials/grout.ts';
import { groutSealer } from './materials/groutSealer.ts';
import { hazeRemover } from './materials/hazeRemover.ts';
import { ledgerBoard } from './materials/ledgerBoard.ts';
import { ledgerScrews } from './materials/ledgerScrews.ts';
import { settingWedges } from './materials/settingWedges.ts';
import { leveller } from './materials/leveller.ts';
import { levellingClips } from './materials/levellingClips.ts';
import { membrane } from './materials/membrane.ts';
import { mesh } from './materials/mesh.ts';
import { liquidAdditive } from './materials/liquidAdditive.ts';
import { movementProfile } from './materials/movementProfile.ts';
import { nosing } from './materials/nosing.ts';
import { primer } from './materials/primer.ts';
import { protection } from './materials/protection.ts';
import { readyAdhesive } from './materials/readyAdhesive.ts';
import { readyGrout } from './materials/readyGrout.ts';
import { sand } from './materials/sand.ts';
import { screws } from './materials/screws.ts';
import { sealant } from './materials/sealant.ts';
import { skirting } from './materials/skirting.ts';
import { spacers } from './materials/spacers.ts';
import { tiles } from './materials/tiles.ts';
import { tileSealer } from './materials/tileSealer.ts';
import { wedges } from './materials/wedges.ts';

/** Every material, in the order it is listed. A new one is a file in materials/ and a line here, and its name in messages/. */
export const MATERIALS = {
  tiles,
  adhesive,
  liquidAdditive,
  readyAdhesive,
  grout,
  readyGrout,
  epoxyGrout,
  sealant,
  backerRod,
  spacers,
  levellingClips,
  wedges,
  edgeProfile,
  bullnose,
  skirting,
  nosing,
  movementProfile,
  ledgerBoard,
  ledgerScrews,
  settingWedges,
  primer,
  leveller,
  cement,
  sand,
  boards,
  screws,
  boardTape,
  membrane,
  cornerTape,
  mesh,
  tileSealer,
  groutSealer,
  hazeRemover,
  protection,
} as const satisfies Record<string, MaterialKind<unknown>>;

/** The name of a material. */
export type MaterialId = keyof typeof MATERIALS;

/** All of them, in their order. */
export const MATERIAL_IDS = Object.keys(MATERIALS) as MaterialId[];

type HowOf<Kind> = Kind extends MaterialKind<infer How> ? How : never;

/** A line of the order before it is bought, told apart by `item`. */
export type Quantity = { [Id in MaterialId]: Taken<HowOf<(typeof MATERIALS)[Id]>> & { readonly item: Id } }[MaterialId];

/** What is set for the materials of a job, by their names. */
export type MaterialsSet = Readonly<Partial<Record<MaterialId, MaterialSettings | undefined>>>;

/** What is set for materials, and the person's own figures. */
export interface MaterialRules {
  readonly materials: MaterialsSet;
  /** Own figures of the person, by material. */
  readonly habits?: Readonly<Record<string, OwnFigures>> | undefined;
}

/** The figures and choices in force for one material. */
export const saidFor = (item: MaterialId, { materials, habits = {} }: MaterialRules): Said<string, Choices> =>
  saidOf<string, Choices>(MATERIALS[item], materials[item], habits[item]);

/** The packs a material is sold in here. */
export const packsFor = (item: MaterialId, { materials }: MaterialRules): readonly SoldPack[] =>
  materials[item]?.packs ?? MATERIALS[item].packs;

/** The same as they are reckoned with: a tub that is sold by the litre by what it weighs. */
export function offersFor(item: MaterialId, rules: MaterialRules): readonly PackOffer[] {
  const kgPerLitre = saidFor(item, rules).figures['kgPerLitre']?.value;
  return packsFor(item, rules).map(({ size, price, by }) =>
    by === 'l' && kgPerLitre !== undefined ? { size: size * kgPerLitre, litres: size, price } : { size, price },
  );
}

/** All that a job takes, or of some materials alone: a line for each product laid, then what goes with the tiles. */
export function takeOff(
  need: Omit<Need, 'surfaces'> & MaterialRules,
  surfaces: Need['surfaces'],
  items: readonly MaterialId[] = MATERIAL_IDS,
): Quantity[] {
  if (surfaces.length === 0) return [];
  return items.flatMap((item) =>
    MATERIALS[item]
      .takeOff({ ...need, surfaces }, need.materials[item], need.habits?.[item])
      .map((taken) => ({ ...taken, item }) as Quantity),
  );
}
