import type { MaterialKind, Need, Taken } from './materialKind.ts';
import { adhesive } from './materials/adhesive.ts';
import { grout } from './materials/grout.ts';
import { sealant } from './materials/sealant.ts';
import { tiles } from './materials/tiles.ts';

/** Every material, in the order it is listed. A new one is a file in materials/ and a line here. */
export const MATERIALS = { tiles, adhesive, grout, sealant } as const satisfies Record<string, MaterialKind<unknown>>;

/** The name of a material. */
export type MaterialId = keyof typeof MATERIALS;

type HowOf<Kind> = Kind extends MaterialKind<infer How> ? How : never;

/** A line of the order before it is bought, told apart by `item`. */
export type Quantity = { [Id in MaterialId]: Taken<HowOf<(typeof MATERIALS)[Id]>> & { readonly item: Id } }[MaterialId];

/** All that a job takes: a line for each product laid, then what goes with the tiles. */
export function takeOff(need: Omit<Need, 'surfaces'>, surfaces: readonly Need['surfaces'][number][]): Quantity[] {
  if (surfaces.length === 0) return [];
  return (Object.keys(MATERIALS) as MaterialId[]).flatMap((item) =>
    MATERIALS[item].takeOff({ ...need, surfaces }).map((taken) => ({ ...taken, item }) as Quantity),
  );
}
