import type { z } from 'zod';
import { niche } from './niche.ts';
import { room } from './room.ts';
import type { MeasuredSet, SetKind } from './setKind.ts';
import { shower } from './shower.ts';
import { stairFlight } from './stairFlight.ts';

/** Every set of surfaces with a quick form. A new one is a file beside this one and a line here. */
export const SETS = { stairFlight, shower, niche, room } as const;

/** The name of a set. */
export type SetId = keyof typeof SETS;

/** A filled-in form of any set, told apart by `kind`. */
export type SetForm = { [K in SetId]: z.infer<(typeof SETS)[K]['schema']> }[SetId];

/** The surfaces of a set and where they meet. */
export function facesOfSet(form: SetForm): MeasuredSet {
  const kind = SETS[form.kind] as unknown as SetKind<SetForm>;
  return kind.faces(form);
}
