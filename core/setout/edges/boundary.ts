import { ON_LINE_MM, SAW_MM, TOLERANCE_MM } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { cross, distance, motion, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
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
  /** Which part of the region it bounds: what two parts leave of one tile are two pieces. */
  readonly part: number;
}

/** A corner of the boundary that reaches into the field: a tile over it is notched. */
export interface BoundaryNotch {
  readonly at: Point;
  /** Into the field, square to the two lines that meet there, length one. */
  readonly inward: readonly [Point, Point];
  readonly part: number;
  /** All corners of what it belongs to, where that stands within the field; none of the outline. */
  readonly hole: readonly Point[];
}

/** Where the tiles of a ground end, in the frame of the setout: unturned by its turn about the origin. */
export interface Boundary {
  readonly owners: readonly LineOwner[];
  readonly lines: readonly BoundaryLine[];
  readonly notches: readonly BoundaryNotch[];
}

/** Corners that turn by less than this are part of a curve, as a sine. */
const SHARP_SINE = 0.17;

/** A chord that strays no further than this from the curve it stands for serves a trial, mm: what is laid follows the curve itself. */
const CHORD_MM = SAW_MM;

/** Finds whose every stretch of the boundary is. Curves are taken by their chords. */
export function boundaryOf(ground: Ground, turnDeg: number): Boundary {
  const known = boundaryAsDrawn(ground);
  if (turnDeg === 0) return known;
  const { unturn } = motion(turnDeg, [0, 0]);
  return {
    owners: known.owners,
    lines: known.lines.map((line) => ({ ...line, from: unturn(line.from), to: unturn(line.to) })),
    notches: known.notches.map(({ at, part, inward, hole }) => ({
      at: unturn(at),
      part,
      inward: [unturn(inward[0]), unturn(inward[1])],
      hole: hole.map(unturn),
    })),
  };
}

/** The boundary of a ground before it is turned: whose a stretch is does not hang on the turn. */
const boundaryAsDrawn = oncePer((ground: Ground): Boundary => {
  const owners = ownersOf(ground);
  const edges = [...ground.edges, ...ground.beside].map((edge) => ownedLine(edge, owners));
  const lines: BoundaryLine[] = [];
  const notches: BoundaryNotch[] = [];
  for (const [ring, isHole, part] of ground.region.flatMap((polygon, of) => polygon.map((one, k) => [one, k > 0, of] as const))) {
    const own: BoundaryLine[] = [];
    ring.forEach((from, k) => {
      const to = ring[(k + 1) % ring.length];
      if (distance(from, to) < TOLERANCE_MM) return;
      own.push({ from, to, part, owner: edges.find((edge) => runsOn(edge, from, to))?.owner ?? owners.length - 1 });
    });
    lines.push(...byChords(own));
    notches.push(...notchesOf(ring, isHole, part));
  }
  return { owners, lines, notches };
});

/** Stretches of one owner that follow each other with hardly a turn, as few as stay near to them. */
function byChords(stretches: readonly BoundaryLine[]): BoundaryLine[] {
  const chords: BoundaryLine[] = [];
  let first = 0;
  for (let k = 1; k <= stretches.length; k++) {
    if (k < stretches.length && staysNear(stretches, first, k)) continue;
    chords.push({ ...stretches[first], to: stretches[k - 1].to });
    first = k;
  }
  return chords;
}

/** Whether one chord may stand for the stretches of a list from one to another. */
function staysNear(stretches: readonly BoundaryLine[], first: number, last: number): boolean {
  const { from, owner } = stretches[first];
  const { to } = stretches[last];
  if (stretches[last].owner !== owner) return false;
  const [before, after] = [stretches[last - 1], stretches[last]];
  if (distance(before.to, after.from) > TOLERANCE_MM) return false;
  if (cross(unit(subtract(before.to, before.from)), unit(subtract(after.to, after.from))) < -SHARP_SINE) return false;
  for (let k = first; k < last; k++) if (distanceToStretch(stretches[k].to, from, to) > CHORD_MM) return false;
  return true;
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

/** An edge as a line of the boundary is held against it: where it begins, its two directions, its length. */
interface OwnedLine {
  readonly owner: number;
  readonly from: Point;
  readonly along: Point;
  readonly inward: Point;
  readonly lengthMm: number;
  readonly endMm: number;
}

function ownedLine({ id, from, to, endMm }: Edge, owners: readonly LineOwner[]): OwnedLine {
  const along = unit(subtract(to, from));
  return {
    owner: owners.findIndex((owner) => owner.id === id),
    from,
    along,
    inward: quarterTurn(along),
    lengthMm: distance(from, to),
    endMm,
  };
}

/** Whether a stretch lies on the line that an edge and its gap leave, beside the edge itself. */
function runsOn({ from: [x, y], along, inward, lengthMm, endMm }: OwnedLine, [ax, ay]: Point, [bx, by]: Point): boolean {
  if (Math.abs((ax - x) * inward[0] + (ay - y) * inward[1] - endMm) > ON_LINE_MM) return false;
  if (Math.abs((bx - x) * inward[0] + (by - y) * inward[1] - endMm) > ON_LINE_MM) return false;
  const [a, b] = [(ax - x) * along[0] + (ay - y) * along[1], (bx - x) * along[0] + (by - y) * along[1]];
  return b > a && b > -ON_LINE_MM && a < lengthMm + ON_LINE_MM;
}

function notchesOf(ring: Ring, isHole: boolean, part: number): BoundaryNotch[] {
  return ring.flatMap((at, k): BoundaryNotch[] => {
    const before = ring[(k + ring.length - 1) % ring.length];
    const after = ring[(k + 1) % ring.length];
    if (distance(before, at) < TOLERANCE_MM || distance(at, after) < TOLERANCE_MM) return [];
    const [into, out] = [unit(subtract(at, before)), unit(subtract(after, at))];
    return cross(into, out) < -SHARP_SINE ? [{ at, part, inward: [quarterTurn(into), quarterTurn(out)], hole: isHole ? ring : [] }] : [];
  });
}
