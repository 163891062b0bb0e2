import { ON_LINE_MM, TOLERANCE_MM } from '../../geometry/conventions.ts';
import { cross, distance, dot, motion, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import type { Ring } from '../../geometry/ring.ts';
import type { Edge, EdgeRole } from '../../surface/edge.ts';
import type { Ground } from '../fields/ground.ts';

/** Whose line a stretch of the boundary is. */
export interface LineOwner {
  readonly id: string;
  /** An edge of the ground, a side of what stands in it, or anything else that ends the tiles. */
  readonly kind: 'edge' | 'beside' | 'other';
  readonly role: EdgeRole;
  /** How much a look at it counts; 0 where nobody sees it. */
  readonly seen: number;
  /** Whole length of the edge, without gaps, mm. */
  readonly lengthMm: number;
  readonly isReveal: boolean;
}

/** One straight stretch of where tiles end, the field on its left; in the frame of the setout. */
export interface BoundaryLine {
  readonly from: Point;
  readonly to: Point;
  /** Which of the owners. */
  readonly owner: number;
}

/** A corner of the boundary that reaches into the field: a tile over it is notched. */
export interface BoundaryNotch {
  readonly at: Point;
  /** Into the field, square to the two lines that meet there, length one. */
  readonly inward: readonly [Point, Point];
}

/** Where the tiles of a ground end, in the frame of the setout: unturned by its turn about the origin. */
export interface Boundary {
  readonly owners: readonly LineOwner[];
  readonly lines: readonly BoundaryLine[];
  readonly notches: readonly BoundaryNotch[];
}

/** Corners that turn by less than this are part of a curve, as a sine. */
const SHARP_SINE = 0.17;

/** Finds whose every stretch of the boundary is. */
export function boundaryOf(ground: Ground, turnDeg: number): Boundary {
  const { unturn } = motion(turnDeg, [0, 0]);
  const owners = ownersOf(ground);
  const lines: BoundaryLine[] = [];
  const notches: BoundaryNotch[] = [];
  for (const ring of ground.region.flat()) {
    ring.forEach((from, k) => {
      const to = ring[(k + 1) % ring.length];
      if (distance(from, to) < TOLERANCE_MM) return;
      lines.push({ from: unturn(from), to: unturn(to), owner: ownerAt(ground, owners, from, to) });
    });
    notches.push(...notchesOf(ring.map(unturn)));
  }
  return { owners, lines, notches };
}

function ownersOf({ edges, beside }: Ground): LineOwner[] {
  const byId = new Map<string, LineOwner>();
  const add = (kind: LineOwner['kind'], { id, role, seen, isReveal, from, to }: Edge): void => {
    const before = byId.get(id);
    byId.set(id, { id, kind, role, seen, isReveal, lengthMm: (before?.lengthMm ?? 0) + distance(from, to) });
  };
  for (const edge of edges) add('edge', edge);
  for (const side of beside) add('beside', side);
  return [...byId.values(), { id: '', kind: 'other', role: 'wall', seen: 0, lengthMm: 0, isReveal: false }];
}

function ownerAt({ edges, beside }: Ground, owners: readonly LineOwner[], from: Point, to: Point): number {
  const found = [...edges, ...beside].find((edge) => runsOn(edge, from, to));
  const at = found ? owners.findIndex(({ id }) => id === found.id) : -1;
  return at === -1 ? owners.length - 1 : at;
}

/** Whether a stretch lies on the line that an edge and its gap leave, beside the edge itself. */
function runsOn(edge: Edge, from: Point, to: Point): boolean {
  const along = unit(subtract(edge.to, edge.from));
  const inward = quarterTurn(along);
  const off = (p: Point): number => Math.abs(dot(subtract(p, edge.from), inward) - edge.gapMm);
  if (off(from) > ON_LINE_MM || off(to) > ON_LINE_MM || dot(subtract(to, from), along) <= 0) return false;
  const [a, b] = [dot(subtract(from, edge.from), along), dot(subtract(to, edge.from), along)];
  return b > -ON_LINE_MM && a < distance(edge.from, edge.to) + ON_LINE_MM;
}

function notchesOf(ring: Ring): BoundaryNotch[] {
  return ring.flatMap((at, k): BoundaryNotch[] => {
    const before = ring[(k + ring.length - 1) % ring.length];
    const after = ring[(k + 1) % ring.length];
    if (distance(before, at) < TOLERANCE_MM || distance(at, after) < TOLERANCE_MM) return [];
    const [into, out] = [unit(subtract(at, before)), unit(subtract(after, at))];
    return cross(into, out) < -SHARP_SINE ? [{ at, inward: [quarterTurn(into), quarterTurn(out)] }] : [];
  });
}
