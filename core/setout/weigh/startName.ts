import { schoolOf, type FollowedSchool } from '../search/schools.ts';
import type { Candidate } from './candidate.ts';
import { evenAxes } from './endStatements.ts';
import type { Axis } from './axisPlacement.ts';
import { alongOf, type Along } from './statement.ts';

/** What a start is called by: the school it follows, else what it does at the edges. */
export type StartName =
  | { readonly says: 'school'; readonly school: FollowedSchool }
  | { readonly says: 'fullAlong'; readonly along: readonly Along[] }
  | { readonly says: 'evenEnds'; readonly axes: readonly Axis[] };

/** Names a start by what it does. */
export function startName(candidate: Candidate): StartName {
  const school = schoolOf(candidate);
  if (school !== 'mixed') return { says: 'school', school };
  const { sides, figures } = candidate;
  const ends = [sides.bottom, sides.left, sides.right, sides.top];
  const full = figures.edges
    .filter(({ owner, mainCutMm }) => owner.kind === 'edge' && ends.includes(owner.id) && mainCutMm < 1)
    .sort((a, b) => b.owner.seen - a.owner.seen || ends.indexOf(a.owner.id) - ends.indexOf(b.owner.id));
  if (full.length > 0) return { says: 'fullAlong', along: full.map(alongOf) };
  const axes = evenAxes(candidate);
  return axes.length > 0 ? { says: 'evenEnds', axes } : { says: 'school', school };
}
