import type { MainEdges } from '../../surface/sides.ts';
import type { Ground } from '../fields/ground.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import type { Candidate } from '../tally/candidate.ts';
import type { EdgeTally } from '../tally/figures.ts';
import type { School } from '../choice/school.ts';
import type { FixedRule } from '../choice/setoutChoice.ts';

/** What a setout turns out to follow: a school, no cuts at all, or none of them. */
export type FollowedSchool = School | 'noCuts' | 'mixed';

/** Looked at more than a wall: a full piece is wanted there. */
const SEEN_FIRST = 1.5;

const isUncut = ({ cutMm }: EdgeTally): boolean => cutMm < 1;

/** Full tiles, whatever is halved between them. */
const isFull = ({ mainCutMm }: EdgeTally): boolean => mainCutMm < 1;

/** The school that a setout turns out to follow, from what lies along its edges. */
export function schoolOf({ x, y, figures }: Pick<Candidate, 'x' | 'y' | 'figures'>): FollowedSchool {
  const edges = figures.edges.filter(({ owner }) => owner.kind === 'edge' && !owner.isReveal);
  if (figures.cutPieces === 0 && edges.every(isUncut)) return 'noCuts';
  const exposed = edges.filter(({ owner }) => owner.role === 'exposed');
  if (exposed.length >= 2 && exposed.every(isFull)) return 'outsidesIn';
  if (edges.some((edge) => edge.owner.seen > SEEN_FIRST && isFull(edge))) return 'offTheSeenEdge';
  const centred = [x, y].filter(({ rule }) => rule === 'pieceCentred' || rule === 'jointCentred');
  return centred.length > 0 ? 'centreOut' : 'mixed';
}

/** The edge that is seen first: that which counts most, and of those alike the longest of the four that end the rows. */
export function edgeSeenFirst({
  edges,
  sides,
}: Pick<Ground, 'edges' | 'sides'>): { readonly id: string; readonly side: keyof MainEdges } | null {
  let best: { readonly id: string; readonly side: keyof MainEdges; readonly weight: number } | null = null;
  for (const side of ['left', 'right', 'bottom', 'top'] as const) {
    const id = sides[side];
    const own = edges.filter((edge) => edge.id === id);
    const mm = own.reduce((sum, { from, to }) => sum + Math.hypot(to[0] - from[0], to[1] - from[1]), 0);
    const weight = own.length === 0 ? 0 : own[0].seen * 1e5 + mm;
    if (id !== null && weight > (best?.weight ?? 0)) best = { id, side, weight };
  }
  return best;
}

const RULE_OF_SIDE: Readonly<Record<keyof MainEdges, readonly [Axis, FixedRule]>> = {
  left: ['x', 'fullFromStart'],
  right: ['x', 'fullFromEnd'],
  bottom: ['y', 'fullFromStart'],
  top: ['y', 'fullFromEnd'],
};

/** The rules that a school leaves a direction; null where it says nothing of it. */
export function rulesOfSchool(school: School, ground: Pick<Ground, 'edges' | 'sides'>, axis: Axis): readonly FixedRule[] | null {
  switch (school) {
    case 'centreOut':
      return ['pieceCentred', 'jointCentred'];
    case 'offTheSeenEdge': {
      const seen = edgeSeenFirst(ground);
      const [own, rule] = seen ? RULE_OF_SIDE[seen.side] : [null, null];
      return own === axis && rule ? [rule] : null;
    }
    case 'outsidesIn': {
      const exposed = (Object.keys(RULE_OF_SIDE) as (keyof MainEdges)[]).filter((side) =>
        ground.edges.some(({ id, role }) => id === ground.sides[side] && role === 'exposed'),
      );
      const rules = exposed.map((side) => RULE_OF_SIDE[side]).flatMap(([own, rule]) => (own === axis ? [rule] : []));
      return rules.length > 0 ? rules : null;
    }
    case 'ledger':
      return axis === 'y' ? ['fullFromEnd', 'jointCentred', 'pieceCentred'] : null;
    case 'onBase':
      return axis === 'y' ? ['fullFromStart'] : null;
    case 'underTop':
      return axis === 'y' ? ['fullFromEnd'] : null;
  }
}
