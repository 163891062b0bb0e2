import { SAW_MM } from '../tolerances.ts';
import { distanceToStretch } from '../geometry/distanceToStretch.ts';
import { distance, dot, subtract, unit, type Point } from '../geometry/point.ts';
import { ringLength, type Ring } from '../geometry/ring.ts';
import { SEALED_ROLES, type Edge } from '../surface/edge.ts';
import { coverHidesCut } from '../surface/fixture.ts';
import type { Traced, TracedFixture } from '../surface/traceSurface.ts';
import type { SealedJoint } from './figures.ts';
import { carriedRuns } from './works/carriedRuns.ts';

/** A stretch of the region's boundary this near a line runs along it, mm: arcs stray a little. */
const ALONG_MM = SAW_MM;

/** A stretch of the region's boundary. */
type JointStretch = readonly [from: Point, to: Point];

/**
 * The joints there are between tile and what ends it, each stretch of the region's boundary once: none along a wall
 * behind a cabinet, none where two fixtures meet, none that a cover plate hides. Lengths are those of the wall and
 * of the fixture, as a tape finds them. Joints that are carried through are among them where no profile closes them.
 */
export const sealedJoints = (traced: Traced): SealedJoint[] => [
  ...jointsOf(traced).filter(({ widthMm }) => widthMm > 0),
  ...carriedRuns(traced)
    .filter(({ joint, lengthMm }) => joint.fill === 'sealant' && lengthMm > 0)
    .map(({ joint: { widthMm }, lengthMm }): SealedJoint => ({ edgeId: null, widthMm, lengthMm })),
];

/** The edges at which tile meets another plane, also where no gap is left. */
export const planesMet = (traced: Traced): SealedJoint[] => jointsOf(traced).filter(({ edgeId }) => edgeId !== null);

function jointsOf({ region, edges, fixtures }: Traced): SealedJoint[] {
  const solid = fixtures.filter(({ fixture }) => !fixture.tiledUnder);
  const widest = Math.max(0, ...edges.map(({ endMm }) => endMm));
  const joints = new Map<string, SealedJoint>();
  for (const ring of region.flat())
    ring.forEach((from, k) => {
      const joint = jointAlong([from, ring[(k + 1) % ring.length]], edges, solid, widest);
      if (!joint) return;
      const key = `${joint.edgeId ?? ''}/${joint.widthMm}`;
      joints.set(key, { ...joint, lengthMm: joint.lengthMm + (joints.get(key)?.lengthMm ?? 0) });
    });
  return [...joints.values()];
}

function jointAlong(
  [from, to]: JointStretch,
  edges: readonly Edge[],
  fixtures: readonly TracedFixture[],
  widestMm: number,
): SealedJoint | null {
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const beside = fixtures.find(({ clearRing }) => liesOn(middle, clearRing));
  if (beside) {
    const { fixture, ring, clearRing } = beside;
    if (fixture.clearanceMm === 0 || coverHidesCut(fixture)) return null;
    return { edgeId: null, widthMm: fixture.clearanceMm, lengthMm: (distance(from, to) * ringLength(ring)) / ringLength(clearRing) };
  }
  const edge = edges.find((one) => isAGapFrom(middle, one));
  if (!edge || !SEALED_ROLES.has(edge.role)) return null;
  return { edgeId: edge.id, widthMm: edge.gapMm, lengthMm: lengthAtWall([from, to], edge, 1.5 * widestMm + ALONG_MM) };
}

/** The length of wall behind a stretch: to the corner where the stretch ends within a gap of it. */
function lengthAtWall(stretch: JointStretch, { from, to }: Edge, reachMm: number): number {
  const along = unit(subtract(to, from));
  const whole = distance(from, to);
  const runs = stretch.map((p) => dot(subtract(p, from), along)).sort((a, b) => a - b);
  const [start, end] = [runs[0] <= reachMm ? 0 : runs[0], runs[1] >= whole - reachMm ? whole : runs[1]];
  return end - start;
}

/** Whether a position lies where the tiles of an edge end; most lie too far from its line, which is told at once. */
function isAGapFrom(p: Point, { from, to, endMm }: Edge): boolean {
  const across = (to[0] - from[0]) * (p[1] - from[1]) - (to[1] - from[1]) * (p[0] - from[0]);
  if (Math.abs(across) > (Math.abs(endMm) + 2 * ALONG_MM) * distance(from, to)) return false;
  return Math.abs(distanceToStretch(p, from, to) - Math.abs(endMm)) <= ALONG_MM;
}

/** Whether a position lies on a ring. */
function liesOn(p: Point, ring: Ring): boolean {
  for (let k = 0, last = ring.length - 1; k < ring.length; last = k++) {
    const [from, to] = [ring[last], ring[k]];
    if ((from[0] > p[0] + ALONG_MM && to[0] > p[0] + ALONG_MM) || (from[0] < p[0] - ALONG_MM && to[0] < p[0] - ALONG_MM)) continue;
    if (distanceToStretch(p, from, to) <= ALONG_MM) return true;
  }
  return false;
}
