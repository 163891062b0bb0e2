import type { Traced } from '../surface/traceSurface.ts';
import type { ThingNames } from './en/reasons.ts';

/** What the edges and fixtures of a surface are called. */
export const thingNamesOf = ({ names, fixtures }: Traced): ThingNames => ({
  edges: names,
  fixtures: Object.fromEntries(fixtures.map(({ fixture: { id, name } }) => [id, name])),
});
