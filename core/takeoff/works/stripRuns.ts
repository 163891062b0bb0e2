import { cross, distance, dot, subtract, unit } from '../../geometry/point.ts';
import type { Edge } from '../../surface/edge.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { StripEnd } from '../../cuts/strips/strip.ts';
import { stretchesOf } from './freeRuns.ts';
import { CORNER_SINE, type TrimRun } from './trims.ts';

/** A run of strips along an edge, from end to end as a tape has it, mm from the start of the edge. */
export interface StripRun {
  readonly edgeId: string;
  readonly fromMm: number;
  readonly toMm: number;
  /** How it ends where it starts, and where it stops. */
  readonly ends: readonly [StripEnd, StripEnd];
}

/** What strips stand off the wall, and the joint that is left where one ends. */
export interface StripBuild {
  /** Tile and bed, mm. */
  readonly depthMm: number;
  readonly jointMm: number;
}

/** An end of a run, and by how much it is longer than the wall there, mm; less than nothing where it stops short. */
interface Ended {
  readonly end: StripEnd;
  readonly longerMm: number;
}

const SHOWS: Ended = { end: { kind: 'shows' }, longerMm: 0 };
const BUTTS: StripEnd = { kind: 'butts' };

/** A run ends with its edge, or at a doorway in it, within this, mm. */
const AT_END_MM = 1;

/** Sides that stand open: nothing is there that a strip could butt. */
const OPEN_ROLES: ReadonlySet<Edge['role']> = new Set(['exposed', 'threshold', 'continues']);

/**
 * The runs of one trim round a surface. In an inner corner the one before runs through to the wall, and the next butts its face;
 * round an outer corner both are mitred; where no strip goes on the end shows, or butts what stands there. A doorway has none.
 */
export function stripRuns(traced: Traced, trims: readonly TrimRun[], build: StripBuild): StripRun[] {
  const { jointMm } = build;
  return trims.flatMap(({ edgeId, stretches }) => {
    const own = stretchesOf(traced.edges, edgeId);
    const lastOf = own[own.length - 1];
    const lengthMm = lastOf.startMm + distance(lastOf.edge.from, lastOf.edge.to);
    const isAtDoor = (mm: number): boolean =>
      own.some(({ edge, startMm }) =>
        [startMm, startMm + distance(edge.from, edge.to)].some(
          (end) => end > AT_END_MM && end < lengthMm - AT_END_MM && Math.abs(end - mm) < AT_END_MM,
        ),
      );
    const within = (mm: number): Ended => (isAtDoor(mm) ? SHOWS : { end: BUTTS, longerMm: -jointMm });
    return stretches.flatMap(([from, to]): StripRun[] => {
      const start = from < AT_END_MM ? cornerEnd(traced.edges, trims, own[0].edge, 'start', build) : within(from);
      const end = to > lengthMm - AT_END_MM ? cornerEnd(traced.edges, trims, lastOf.edge, 'end', build) : within(to);
      const run = { edgeId, fromMm: from - start.longerMm, toMm: to + end.longerMm, ends: [start.end, end.end] as const };
      return run.toMm - run.fromMm > AT_END_MM ? [run] : [];
    });
  });
}

/** How a run ends in the corner at the start or the end of its edge. */
function cornerEnd(
  edges: readonly Edge[],
  trims: readonly TrimRun[],
  own: Edge,
  at: 'start' | 'end',
  { depthMm, jointMm }: StripBuild,
): Ended {
  const k = edges.indexOf(own);
  const next = edges[(k + (at === 'start' ? edges.length - 1 : 1)) % edges.length];
  const [before, after] = at === 'start' ? [next, own] : [own, next];
  const [u, v] = [unit(subtract(before.to, before.from)), unit(subtract(after.to, after.from))];
  const [sine, cosine] = [cross(u, v), dot(u, v)];
  const goesOn = isMet(edges, trims, next, at);
  if (Math.abs(sine) <= CORNER_SINE && cosine > 0) return goesOn ? { end: BUTTS, longerMm: -jointMm / 2 } : SHOWS;
  if (sine < 0) {
    if (!goesOn) return SHOWS;
    const turn = Math.atan2(-sine, cosine);
    return { end: { kind: 'mitred', deg: (turn * 90) / Math.PI }, longerMm: depthMm * Math.tan(turn / 2) - jointMm / 2 };
  }
  if (!goesOn && OPEN_ROLES.has(next.role)) return SHOWS;
  // To the wall the gap is left that the tiles leave there, for the sealant; to the face of a strip a joint.
  const clearMm = goesOn && at === 'start' ? depthMm + jointMm : Math.max(jointMm, next.endMm);
  // In a corner under 90 degrees the face of a strip comes nearer to the other wall than its back.
  return { end: BUTTS, longerMm: -(clearMm + depthMm * Math.max(0, -cosine)) / sine };
}

/** Whether a neighbour has strips of the same kind right up to the corner. */
function isMet(edges: readonly Edge[], trims: readonly TrimRun[], neighbour: Edge, at: 'start' | 'end'): boolean {
  const run = neighbour.isReveal ? undefined : trims.find(({ edgeId }) => edgeId === neighbour.id);
  if (!run) return false;
  const own = stretchesOf(edges, neighbour.id);
  const { edge, startMm } = own[own.length - 1];
  const lengthMm = startMm + distance(edge.from, edge.to);
  return at === 'start' ? run.stretches.some(([, to]) => to > lengthMm - AT_END_MM) : run.stretches.some(([from]) => from < AT_END_MM);
}
