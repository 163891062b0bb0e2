import type { CarriedJoint } from '../surface/carriedJoint.ts';
import type { Traced } from '../surface/traceSurface.ts';

/** What things of a surface are called, by id: edges that have a name of their own, fixtures, movement joints. */
export interface ThingNames {
  readonly edges: Readonly<Record<string, string>>;
  readonly fixtures: Readonly<Record<string, string>>;
  /** What is carried through. */
  readonly carried: Readonly<Record<string, CarriedJoint['kind']>>;
}

/** What the edges and fixtures of a surface are called. */
export const thingNamesOf = ({ names, fixtures, carried }: Traced): ThingNames => ({
  edges: names,
  fixtures: Object.fromEntries(fixtures.map(({ fixture: { id, name } }) => [id, name])),
  carried: Object.fromEntries(carried.map(({ joint: { id, kind } }) => [id, kind])),
});
