import { z } from 'zod';
import type { Link } from '../surface/link.ts';
import type { Product } from '../tile/product.ts';
import type { Consumption } from './consumption.ts';
import type { SurfaceFigures } from './figures.ts';

/** What quantities are taken from: the figures of the surfaces, and what of the job they depend on. */
export interface Need {
  readonly products: readonly Product[];
  readonly consumption: Consumption;
  readonly surfaces: readonly SurfaceFigures[];
  /** What is set for the materials of the job: one may go by another's choice. */
  readonly materials?: Readonly<Record<string, MaterialSettings | undefined>> | undefined;
  /** The person's own figures, by material. */
  readonly habits?: Readonly<Record<string, OwnFigures>> | undefined;
  /** Edges at which surfaces meet; none where left out. */
  readonly links?: readonly Link[] | undefined;
  /** The shares of surfaces that are laid on one day, day by day; each surface by itself where left out. */
  readonly laidByDay?: readonly ReadonlyMap<string, number>[] | undefined;
}

/** What is measured: things counted, kilograms, litres, millilitres, metres, square and cubic metres. */
export type MaterialUnit = 'piece' | 'sheet' | 'kg' | 'l' | 'ml' | 'm' | 'm2' | 'm3';

/** A pack that a material is sold in. */
export interface PackOffer {
  /** What it holds, in the unit of the material. */
  readonly size: number;
  /** What it holds in litres, where it is sold so; what it weighs follows. */
  readonly litres?: number;
  /** In the job's currency, before tax. */
  readonly price: number;
}

/** A pack as it stands on the shelf: what it holds is in the unit of the material, or in litres. */
export interface SoldPack {
  readonly size: number;
  readonly price: number;
  readonly by?: 'l' | undefined;
}

/** A figure of use that can be typed over. */
export interface FigureSpec {
  /** What is usual; the data sheet of what is bought wins. */
  readonly typical: number;
  readonly min: number;
  readonly max: number;
}

/** Who a figure in force comes from: the data sheet of what is bought, this job, the person's habit, or what is usual. */
export type Speaker = 'sheet' | 'job' | 'habit' | 'typical';

/** A figure in force. */
export interface Spoken {
  readonly value: number;
  readonly from: Speaker;
}

/** What can be chosen of a material: names or sizes, the first where nobody chooses. */
export type Choices = Readonly<Record<string, readonly (string | number)[]>>;

/** The figures and choices of a material in force. */
export interface Said<F extends string, C extends Choices> {
  readonly figures: Readonly<Record<F, Spoken>>;
  /** What somebody stated of what has no usual figure. */
  readonly stated: Readonly<Record<string, Spoken | undefined>>;
  readonly choices: { readonly [Key in keyof C]: C[Key][number] };
}

/** So much of a material, and how it came about. */
export interface Taken<How> {
  /** The tile product it is, for tiles; null for what goes with them. */
  readonly productId: string | null;
  /** Which of two mirrored shapes, where a tile comes in both. */
  readonly hand: 'left' | 'right' | null;
  /** What tells it from others of its kind, such as a colour; left out where there is one. */
  readonly variant?: string;
  readonly quantity: number;
  readonly unit: MaterialUnit;
  /** Where it is cut from bars, of which each is a pack: the bars by what they hold. Left out where it is not. */
  readonly bars?: readonly PackOffer[];
  readonly how: How;
}

/** What lines of an order stand together, in their order. */
export const LINE_GROUPS = ['tiles', 'underTheTiles', 'joints', 'edges', 'care'] as const;

/** With which others a line of an order stands. */
export type LineGroup = (typeof LINE_GROUPS)[number];

/** What a material needs to know, and what it takes of the surfaces. Prices are money's, words the messages'. */
interface MaterialSpec<F extends string, C extends Choices, How> {
  readonly group: LineGroup;
  /** The packs it usually comes in, made up; none where it is bought by its product. */
  readonly packs: readonly PackOffer[];
  /** Whether it comes wet, in tubs that may be sold by the litre; its figure `kgPerLitre` says what they weigh. */
  readonly byLitre?: true;
  /** How far use strays from what was computed, as a share: its standard deviation, typical. 0 for what is counted. */
  readonly spread: number;
  readonly figures: Readonly<Record<F, FigureSpec>>;
  /** Figures that only a data sheet or the person can know. */
  readonly stated?: Readonly<Record<string, Omit<FigureSpec, 'typical'>>>;
  readonly choices: C;
  /** What it takes; `packs` are those it is sold in here. */
  readonly takeOff: (need: Need, said: Said<F, C>, packs: readonly PackOffer[]) => readonly Taken<How>[];
}

/** A material of the registry. */
export interface MaterialKind<How> {
  readonly group: LineGroup;
  readonly packs: readonly PackOffer[];
  readonly byLitre?: true;
  readonly spread: number;
  readonly figures: Readonly<Record<string, FigureSpec>>;
  readonly stated: Readonly<Record<string, Omit<FigureSpec, 'typical'>>>;
  readonly choices: Choices;
  /** What the surfaces take of it, with what is set for it in the job and the person's own figures. */
  readonly takeOff: (need: Need, set?: MaterialSettings, habit?: OwnFigures) => readonly Taken<How>[];
}

/** Figures of a person by their names. */
export type OwnFigures = Readonly<Record<string, number>>;

/** Declares a material; what its figures and choices are called follows from what is declared. */
export function material<const F extends string, const C extends Choices, How>(spec: MaterialSpec<F, C, How>): MaterialKind<How> {
  const kind = { ...spec, stated: spec.stated ?? {} };
  return { ...kind, takeOff: (need, set, habit) => spec.takeOff(need, saidOf(kind, set, habit), set?.packs ?? spec.packs) };
}

/** What the data sheet of a material may say of what follows: when that may begin, and by when it has to, hours. */
export const REST_HOURS = { restHours: { min: 0, max: 2000 } } as const;
export const WITHIN_HOURS = { withinHours: { min: 1, max: 2000 } } as const;

const packSchema = z.strictObject({
  size: z.number().min(0.05).max(100_000).describe('What it holds, in the unit of the material'),
  price: z.number().min(0).max(1_000_000).describe('In the job currency, before tax'),
});

/** Of what comes wet and may be sold by the litre: what it weighs follows from its figure `kgPerLitre`. */
const tubSchema = packSchema.extend({
  by: z.literal('l').optional().describe('The size is in litres, not in kilograms'),
});

/** Schema of what is set for one material of a job; all of it may be left out. */
export function settingsSchema({
  figures,
  stated,
  choices,
  byLitre,
}: Pick<MaterialKind<unknown>, 'figures' | 'stated' | 'choices' | 'byLitre'>) {
  const ownFigures = z.strictObject(
    Object.fromEntries(
      Object.entries({ ...figures, ...stated }).map(([name, { min, max }]) => [name, z.number().min(min).max(max).optional()]),
    ),
  );
  return z.strictObject({
    figures: ownFigures.optional().describe('Figures of this job'),
    sheet: z
      .strictObject({ name: z.string().trim().min(1).max(60), figures: ownFigures })
      .optional()
      .describe('What is bought, with the figures of its data sheet; these win'),
    choices: z
      .strictObject(Object.fromEntries(Object.entries(choices).map(([name, values]) => [name, z.literal([...values]).optional()])))
      .optional(),
    packs: z
      .array(byLitre ? tubSchema : packSchema)
      .min(1)
      .max(8)
      .optional()
      .describe('The packs it is sold in; the cheapest that cover the need are bought'),
    inHand: z.number().min(0).max(1_000_000).optional().describe('What is there already, in the unit of the material'),
  });
}

/** What is set for one material of a job. */
export type MaterialSettings = z.infer<ReturnType<typeof settingsSchema>>;

/** The figures and choices in force: the data sheet before the job, the job before the habit, the habit before what is usual. */
export function saidOf<F extends string, C extends Choices>(
  kind: { readonly figures: Readonly<Record<F, FigureSpec>>; readonly stated: Readonly<Record<string, unknown>>; readonly choices: C },
  set: MaterialSettings = {},
  habit: OwnFigures = {},
): Said<F, C> {
  const spokenFor = (name: string): Spoken | undefined => {
    const told: readonly (readonly [number | undefined, Speaker])[] = [
      [set.sheet?.figures[name], 'sheet'],
      [set.figures?.[name], 'job'],
      [habit[name], 'habit'],
    ];
    for (const [value, from] of told) if (value !== undefined) return { value, from };
    return undefined;
  };
  const figures = Object.entries<FigureSpec>(kind.figures).map(([name, { typical }]): [string, Spoken] => [
    name,
    spokenFor(name) ?? { value: typical, from: 'typical' },
  ]);
  const choices = Object.entries(kind.choices).map(([name, values]): [string, string | number] => [name, set.choices?.[name] ?? values[0]]);
  return {
    figures: Object.fromEntries(figures) as Said<F, C>['figures'],
    stated: Object.fromEntries(Object.keys(kind.stated).map((name) => [name, spokenFor(name)])),
    choices: Object.fromEntries(choices) as Said<F, C>['choices'],
  };
}
