import { z } from 'zod';
import type { SurfaceKind } from '../../surface/surface.ts';
import { actualSize, isScratchable, type Product } from '../../tile/product.ts';

/** Where a surface is: dry, splashed or flooded, or out in the weather. */
export const PLACES = ['dry', 'wet', 'outdoors'] as const;

/** What tiles are laid on. */
export const SUBSTRATES = ['screed', 'concrete', 'anhydrite', 'plaster', 'plasterboard', 'cementBoard', 'plywood', 'oldTiles'] as const;

/** What tiles are laid on. */
export type Substrate = (typeof SUBSTRATES)[number];

/** What the joints are filled with: cement grout without or with sand, ready-mixed, epoxy. */
export const GROUT_KINDS = ['fine', 'sanded', 'ready', 'epoxy'] as const;

/** Works that are done or left out. */
export const WORKS = ['prime', 'board', 'membrane', 'mesh', 'clips', 'spacers', 'sealTile', 'sealGrout', 'haze', 'protect'] as const;

/** Works that are done or left out. */
export type Work = (typeof WORKS)[number];

/** Where a surface is and what is done to it; what is left out is as its place and its tile ask for it. */
export const worksSchema = z.strictObject({
  place: z.enum(PLACES).optional().describe('Dry where left out'),
  load: z.enum(['feet', 'heavy']).optional().describe('What goes over it; feet where left out'),
  heated: z.boolean().optional(),
  substrate: z.enum(SUBSTRATES).optional().describe('Screed under floors, plaster on walls, board under countertops where left out'),
  adhesive: z.enum(['powder', 'ready']).optional(),
  mortar: z.enum(['grey', 'white']).optional().describe('Colour of the adhesive; white under glass where left out'),
  grout: z.enum(GROUT_KINDS).optional(),
  does: z.partialRecord(z.enum(WORKS), z.boolean()).optional(),
});

/** Where a surface is and what is done to it, as it was said. */
export type WorksChoice = z.infer<typeof worksSchema>;

type SaidWorks = { readonly [Key in Exclude<keyof WorksChoice, 'does'>]-?: NonNullable<WorksChoice[Key]> };

/** Where a surface is and what is done to it. */
export interface Works extends SaidWorks {
  readonly does: Readonly<Record<Work, boolean>>;
}

/** Substrates that drink, and the smooth or closed ones that nothing sticks to by itself: primed before all else. */
export const PRIMED: ReadonlySet<Substrate> = new Set(['screed', 'anhydrite', 'plaster', 'plasterboard', 'plywood', 'oldTiles']);

/** Pieces with a side from here on are levelled with clips on floors, mm: their edges bow. */
export const CLIPPED_SIDE_MM = 590;

/** Joints from here on take grout with sand, mm; narrower ones are not filled by it. */
export const SANDED_FROM_MM = 3;

/** What is said of a surface, and for what is not, what its place and its tile ask for. */
export function worksOf(
  { kind, jointMm, works = {} }: { kind: SurfaceKind; jointMm: number; works?: WorksChoice | undefined },
  tile: Product,
): Works {
  const isGlass = tile.material === 'glass';
  const isSheet = tile.shape.kind === 'sheet';
  const { widthMm, heightMm } = actualSize(tile);
  const place = works.place ?? 'dry';
  const substrate = works.substrate ?? ({ floor: 'screed', wall: 'plaster', countertop: 'cementBoard' } as const)[kind];
  const clips = works.does?.clips ?? (kind === 'floor' && !isSheet && Math.max(widthMm, heightMm) >= CLIPPED_SIDE_MM);
  return {
    place,
    load: works.load ?? 'feet',
    heated: works.heated ?? false,
    substrate,
    adhesive: works.adhesive ?? 'powder',
    mortar: works.mortar ?? (isGlass ? 'white' : 'grey'),
    grout: works.grout ?? (jointMm >= SANDED_FROM_MM && !isScratchable(tile) ? 'sanded' : 'fine'),
    does: {
      prime: PRIMED.has(substrate),
      board: false,
      membrane: place === 'wet',
      mesh: false,
      spacers: !isSheet && !clips && jointMm >= 1,
      sealTile: tile.porous,
      sealGrout: kind === 'countertop' && works.grout !== 'epoxy',
      haze: false,
      protect: false,
      ...works.does,
      clips,
    },
  };
}
