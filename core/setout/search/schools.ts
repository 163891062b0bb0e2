import type { Candidate } from '../weigh/candidate.ts';
import type { EdgeTally } from '../weigh/figures.ts';

/** The schools of setting out (handbook of the trade): which edge the tiles are laid off, and where the misfit goes. */
export const SCHOOLS = ['centreOut', 'offTheSeenEdge', 'outsidesIn', 'noCuts', 'mixed'] as const;

/** One of the schools. */
export type School = (typeof SCHOOLS)[number];

/** Looked at more than a wall: a full piece is wanted there. */
const SEEN_FIRST = 1.5;

const isFull = ({ cutMm }: EdgeTally): boolean => cutMm < 1;

/** The school that a setout turns out to follow, from what lies along its edges. */
export function schoolOf({ x, y, figures }: Pick<Candidate, 'x' | 'y' | 'figures'>): School {
  const edges = figures.edges.filter(({ owner }) => owner.kind === 'edge' && !owner.isReveal);
  if (edges.length > 0 && edges.every(isFull)) return 'noCuts';
  const exposed = edges.filter(({ owner }) => owner.role === 'exposed');
  if (exposed.length >= 2 && exposed.every(isFull)) return 'outsidesIn';
  if (edges.some((edge) => edge.owner.seen > SEEN_FIRST && isFull(edge))) return 'offTheSeenEdge';
  const centred = [x, y].filter(({ rule }) => rule === 'pieceCentred' || rule === 'jointCentred');
  return centred.length > 0 ? 'centreOut' : 'mixed';
}
