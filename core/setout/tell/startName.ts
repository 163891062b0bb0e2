import { schoolOf, type FollowedSchool } from '../search/schools.ts';
import type { Candidate } from '../tally/candidate.ts';
import { evenAxes } from './endStatements.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import { alongOf, type Along } from './statement.ts';

/** What a start is called by: a school that says it all, else what it does at the edges. */
export type StartName =
  | { readonly says: 'school'; readonly school: FollowedSchool }
  | { readonly says: 'fullAround' }
  | { readonly says: 'ends'; readonly full: readonly Along[]; readonly even: readonly Axis[] };

/** Schools that name all that a start does. */
const TELLS_ALL: ReadonlySet<FollowedSchool> = new Set(['noCuts', 'outsidesIn']);

/** Names a start by what it does. */
export function startName(candidate: Candidate): StartName {
  const school = schoolOf(candidate);
  if (TELLS_ALL.has(school)) return { says: 'school', school };
  const { sides, figures } = candidate;
  const edges = figures.edges.filter(({ owner }) => owner.kind === 'edge' && !owner.isReveal);
  if (edges.length > 0 && edges.every(({ cutMm }) => cutMm < 1)) return { says: 'fullAround' };
  const ends = [sides.bottom, sides.left, sides.right, sides.top];
  const full = edges
    .filter(({ owner, mainCutMm }) => ends.includes(owner.id) && mainCutMm < 1)
    .sort((a, b) => b.owner.seen - a.owner.seen || ends.indexOf(a.owner.id) - ends.indexOf(b.owner.id))
    .map(alongOf);
  const even = evenAxes(candidate);
  return full.length + even.length > 0 ? { says: 'ends', full, even } : { says: 'school', school };
}
