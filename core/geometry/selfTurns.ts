import { TOLERANCE_MM } from '../tolerances.ts';
import { oncePer } from '../oncePer.ts';
import { motion, type Motion, type Point } from './point.ts';
import { boxOf, mapRing, ringArea, type Ring } from './ring.ts';

/** Turns that are tried: all that an outline of the trade can have. */
const TURNS_DEG = [0, 180, 90, 270, 60, 120, 240, 300, 45, 135, 225, 315];

/** Turns that were found, by the slack; outlines are shared by all pieces of a tile, so each is looked at once. */
const knownOf = oncePer<Ring, Map<number, readonly Motion[]>>(() => new Map());

/**
 * The turns about its middle that bring an outline onto itself, the plain one first: four for a square,
 * six for a regular hexagon. `slackMm` is how far corners may miss. A flip is never a turn.
 */
export function selfTurns(ring: Ring, slackMm = 100 * TOLERANCE_MM): readonly Motion[] {
  const own = knownOf(ring);
  const turns = own.get(slackMm) ?? findTurns(ring, slackMm);
  own.set(slackMm, turns);
  return turns;
}

function findTurns(ring: Ring, slackMm: number): Motion[] {
  const middle = balancePoint(ring);
  return TURNS_DEG.map((turnDeg): Motion => {
    const { turn, unturn } = motion(turnDeg, [0, 0]);
    const about =
      (way: (p: Point) => Point) =>
      (p: Point): Point => {
        const [x, y] = way([p[0] - middle[0], p[1] - middle[1]]);
        return [x + middle[0], y + middle[1]];
      };
    return { turn: about(turn), unturn: about(unturn) };
  }).filter(({ turn }) => mapRing(ring, turn).every((p) => ring.some((q) => isNear(p, q, slackMm))));
}

const isNear = (p: Point, q: Point, slackMm: number): boolean => (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 <= slackMm ** 2;

/** The middle of the area of a ring. */
function balancePoint(ring: Ring): Point {
  const { minX, minY } = boxOf(ring);
  let [x, y] = [0, 0];
  ring.forEach(([ax, ay], k) => {
    const [bx, by] = ring[(k + 1) % ring.length];
    const twice = (ax - minX) * (by - minY) - (bx - minX) * (ay - minY);
    x += (ax + bx - 2 * minX) * twice;
    y += (ay + by - 2 * minY) * twice;
  });
  const area = ringArea(ring);
  return [minX + x / (6 * area), minY + y / (6 * area)];
}
