import { z } from 'zod';
import { actualSize, productNamed, type Product } from '../tile/product.ts';
import { gapSchema } from '../units/lengthSchema.ts';
import { coloursSchema, ONE_COLOUR, type Colours } from './colours.ts';
import { partsOf, patternSchema, repeatOf, type Pattern } from './registry.ts';
import type { Module, Repeat } from './repeat.ts';
import { turnRepeat } from './turnRepeat.ts';

const idSchema = z.string().min(1).max(40);

/** What is laid in a field and how: the fields of a schema that a surface and an inset share. */
export const layingFields = {
  productId: idSchema,
  parts: z.record(z.string().max(20), idSchema).default({}).describe('The tiles of the other parts of the pattern, such as the dot, by id'),
  jointMm: gapSchema.describe('Width of the grout joint, mm'),
  pattern: patternSchema,
  turnDeg: z.number().min(-180).max(180).default(0).describe('The pattern turned, degrees counter-clockwise'),
  mirrored: z.boolean().default(false).describe('The pattern mirrored left to right, before it is turned'),
  colours: coloursSchema.default(ONE_COLOUR),
  partColours: z
    .record(z.string().max(20), coloursSchema)
    .default({})
    .describe('How tiles of the other parts are mixed, such as dots in two colours'),
};

/** What is laid in a field and how. */
export interface Laying {
  readonly productId: string;
  readonly parts: Readonly<Record<string, string>>;
  readonly jointMm: number;
  readonly pattern: Pattern;
  readonly turnDeg: number;
  readonly mirrored: boolean;
  readonly colours: Colours;
  readonly partColours: Readonly<Record<string, Colours>>;
}

/** A laying worked out: the repeat, and the tile of each of its pieces. */
export interface LaidPattern {
  readonly repeat: Repeat;
  /** The product of each piece of the repeat, by id. */
  readonly productIds: readonly string[];
  readonly colours: Colours;
  readonly partColours: Readonly<Record<string, Colours>>;
  readonly jointMm: number;
}

/** The real sizes a laying has to do with. A part without a tile takes the size that fits. */
export function moduleOf(
  { productId, parts, jointMm }: Pick<Laying, 'productId' | 'parts' | 'jointMm'>,
  products: readonly Product[],
): Module {
  const main = productNamed(products, productId);
  const known = Object.entries(parts).flatMap(([part, id]) => {
    const product = products.find((other) => other.id === id);
    return product ? [[part, actualSize(product)] as const] : [];
  });
  return { ...actualSize(main), jointMm, shape: main.shape, parts: Object.fromEntries(known) };
}

/** Works out the repeat of a laying; the laying must have passed checkLaying. */
export function layPattern(laying: Laying, products: readonly Product[]): LaidPattern {
  const module = moduleOf(laying, products);
  const repeat = turnRepeat(repeatOf(laying.pattern, module), laying.turnDeg, canMirror(laying) && laying.mirrored);
  return {
    repeat,
    productIds: repeat.pieces.map(({ part }) => (part === null ? laying.productId : (laying.parts[part] ?? laying.productId))),
    colours: laying.colours,
    partColours: laying.partColours,
    jointMm: laying.jointMm,
  };
}

/** How the tiles of one part of a pattern are mixed; null stands for the main one. */
export const mixOf = ({ colours, partColours }: Pick<Laying, 'colours' | 'partColours'>, part: string | null): Colours =>
  part === null ? colours : (partColours[part] ?? ONE_COLOUR);

/** Whether more than one tile lies in any part of a pattern. */
export const isMixed = ({ colours, partColours }: Pick<Laying, 'colours' | 'partColours'>): boolean =>
  [colours, ...Object.values(partColours)].some(({ others }) => others.length > 0);

/** Whether a pattern can be laid mirrored: a sheet can't, its chips are mounted. */
export const canMirror = ({ pattern }: Pick<Laying, 'pattern'>): boolean => pattern.kind !== 'sheet';

/** The parts a laying needs and has no tile for. */
export function missingParts(laying: Laying, products: readonly Product[]): string[] {
  const needed = Object.keys(partsOf(laying.pattern, moduleOf(laying, products)));
  return needed.filter((part) => !products.some(({ id }) => id === laying.parts[part]));
}
