import type { Traced } from '../surface/traceSurface.ts';

/** What things of a surface are called, by id: edges that have a name of their own, fixtures. */
export interface ThingNames {
  readonly edges: Readonly<Record<string, string>>;
  readonly fixtures: Readonly<Record<string, string>>;
}

/** What the edges and fixtures of a surface are called. */
export const thingNamesOf = ({ names, fixtures }: Traced): ThingNames => ({
  edges: names,
  fixtures: Object.fromEntries(fixtures.map(({ fixture: { id, name } }) => [id, name])),
});
