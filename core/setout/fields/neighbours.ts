import { AS_MADE_MM } from '../../tolerances.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { cross, distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, mapRing, type Box, type Ring } from '../../geometry/ring.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import type { Address } from '../place/layout.ts';

/** A piece of a repeat in the cell looked at, or in one near it. */
interface NearPiece extends Address {
  readonly ring: Ring;
  readonly box: Box;
  readonly corners: readonly Point[];
}

/** Where corners of pieces come together, in one cell: the pieces that have a corner there, and what kind of crossing it is. */
export interface Meeting {
  readonly kind: 'cross' | 'tee' | 'wye';
  /** Each piece with the corner it has there, in the cell, mm. */
  readonly corners: readonly { readonly address: Address; readonly at: Point }[];
  /** A piece that passes there with a side, of a tee. */
  readonly beside: readonly Address[];
}

/** A stretch of joint that two pieces share, in one cell: the side of one, as far as the other lies along it. */
export interface SharedSide {
  readonly pieces: readonly [Address, Address];
  /** Along the side of the first, mm. */
  readonly from: Point;
  readonly to: Point;
}

/** Sides that turn by less run on: an arc has no corners. */
const CORNER_SINE = Math.sin((20 * Math.PI) / 180);

/** Cells looked at round one: pieces of a small cell may reach over into the next but one. */
const stepsRound = ({ pieces }: Repeat): readonly number[] => (pieces.length > 24 ? [-1, 0, 1] : [-2, -1, 0, 1, 2]);

/** Pieces this much further apart than a joint are no neighbours, mm and as a share. */
const REACH_MM = AS_MADE_MM;
const REACH_SHARE = 1.6;

const isOwn = ({ i, j }: Address): boolean => i === 0 && j === 0;

function piecesRound(repeat: Repeat): NearPiece[] {
  const steps = stepsRound(repeat);
  return steps.flatMap((j) =>
    steps.flatMap((i) => {
      const [dx, dy] = cellShift(repeat, i, j);
      return repeat.pieces.map(({ ring: own }, piece): NearPiece => {
        const ring = mapRing(own, ([x, y]): Point => [x + dx, y + dy]);
        return { piece, i, j, ring, box: boxOf(ring), corners: cornersOf(ring) };
      });
    }),
  );
}

const cornersOf = (ring: Ring): Point[] =>
  ring.filter((at, k) => {
    const [before, after] = [ring[(k + ring.length - 1) % ring.length], ring[(k + 1) % ring.length]];
    return Math.abs(cross(unit(subtract(at, before)), unit(subtract(after, at)))) > CORNER_SINE;
  });

const distanceToRing = (p: Point, ring: Ring): number =>
  Math.min(...ring.map((from, k) => distanceToStretch(p, from, ring[(k + 1) % ring.length])));

function nearTo(all: readonly NearPiece[], at: Point, reachMm: number): NearPiece[] {
  const isIn = ({ minX, minY, maxX, maxY }: Box): boolean =>
    at[0] >= minX - reachMm && at[0] <= maxX + reachMm && at[1] >= minY - reachMm && at[1] <= maxY + reachMm;
  return all.filter(({ box }) => isIn(box));
}

const nameOf = ({ piece, i, j }: Address): string => `${piece}/${i}/${j}`;

/** Names a set of addresses alike in whichever cell it is met. */
function patternOf(addresses: readonly Address[]): string {
  const low = [...addresses].sort((a, b) => a.j - b.j || a.i - b.i)[0];
  return addresses
    .map(({ piece, i, j }) => nameOf({ piece, i: i - low.i, j: j - low.j }))
    .sort()
    .join(' ');
}

/** Where three or more pieces of a repeat meet, each place of the lattice once. */
export function meetingsOf(repeat: Repeat, jointMm: number): Meeting[] {
  if (jointMm <= 0) return [];
  const reachMm = jointMm * REACH_SHARE + REACH_MM;
  const all = piecesRound(repeat);
  const found = new Map<string, Meeting>();
  for (const own of all.filter(isOwn))
    for (const at of own.corners) {
      const near = nearTo(all, at, reachMm);
      const corners = near.flatMap((one) =>
        one.corners
          .filter((corner) => distance(corner, at) <= reachMm)
          .slice(0, 1)
          .map((corner) => ({ address: { piece: one.piece, i: one.i, j: one.j }, at: corner })),
      );
      const names = new Set(corners.map(({ address }) => nameOf(address)));
      const beside = near.filter((one) => !names.has(nameOf(one)) && distanceToRing(at, one.ring) <= reachMm);
      if (corners.length + beside.length < 3) continue;
      const kind = beside.length > 0 ? 'tee' : corners.length === 3 ? 'wye' : 'cross';
      const key = patternOf([...corners.map(({ address }) => address), ...beside]);
      if (!found.has(key)) found.set(key, { kind, corners, beside: beside.map(({ piece, i, j }) => ({ piece, i, j })) });
    }
  return [...found.values()];
}

/** Where a straight side runs along another the other way round, a joint from it; null where it does not, or by less than `leastMm`. */
function overlapOf(
  [a, b]: readonly [Point, Point],
  [c, d]: readonly [Point, Point],
  reachMm: number,
  leastMm: number,
): readonly [Point, Point] | null {
  const along = unit(subtract(b, a));
  if (dot(along, unit(subtract(d, c))) > -0.999) return null;
  const off = (p: Point): number => -cross(along, subtract(p, a));
  if (Math.min(off(c), off(d)) < -REACH_MM || Math.max(off(c), off(d)) > reachMm) return null;
  const length = distance(a, b);
  const from = Math.max(0, dot(subtract(d, a), along));
  const to = Math.min(length, dot(subtract(c, a), along));
  const on = (run: number): Point => [a[0] + along[0] * run, a[1] + along[1] * run];
  return to - from >= leastMm ? [on(from), on(to)] : null;
}

/** The stretches of joint that two pieces share along straight sides, each of the lattice once. */
export function sharedSidesOf(repeat: Repeat, jointMm: number, leastMm: number): SharedSide[] {
  const reachMm = jointMm * REACH_SHARE + REACH_MM;
  const all = piecesRound(repeat);
  const found = new Map<string, SharedSide>();
  for (const own of all.filter(isOwn))
    own.ring.forEach((from, k) => {
      const to = own.ring[(k + 1) % own.ring.length];
      if (distance(from, to) < leastMm) return;
      const { minX, minY, maxX, maxY } = boxOf([from, to]);
      for (const other of all) {
        const { box } = other;
        if (other === own || box.minX > maxX + reachMm || box.maxX < minX - reachMm) continue;
        if (box.minY > maxY + reachMm || box.maxY < minY - reachMm) continue;
        other.ring.forEach((c, m) => {
          const shared = overlapOf([from, to], [c, other.ring[(m + 1) % other.ring.length]], reachMm, leastMm);
          const key = patternOf([own, other]) + (shared ? ` ${Math.round(distance(...shared))}` : '');
          if (!shared || found.has(key)) return;
          const { piece, i, j } = other;
          found.set(key, {
            pieces: [
              { piece: own.piece, i: 0, j: 0 },
              { piece, i, j },
            ],
            from: shared[0],
            to: shared[1],
          });
        });
      }
    });
  return [...found.values()];
}
