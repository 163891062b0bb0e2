import { add, distance, motion, type Point } from '../../geometry/point.ts';

/** One wall as the reconciliation sees it. */
export interface MeasuredWall {
  readonly id: string;
  readonly name: string;
  readonly lengthMm: number;
  readonly twice: boolean;
  /** Turn to the next wall, degrees, left positive. */
  readonly turnDeg: number;
  readonly turnMeasured: boolean;
}

/** One more distance between two corners, each named by the wall that starts there. */
export interface MeasuredCheck {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly mm: number;
  readonly twice: boolean;
}

/** A surface measured wall by wall. */
export interface MeasuredWalls {
  readonly headingDeg: number;
  readonly walls: readonly MeasuredWall[];
  readonly checks: readonly MeasuredCheck[];
  readonly spread: boolean;
}

/** A distance between two corners, with what it was read as and how sure it is (one sigma, mm). */
export interface DistanceReading {
  readonly kind: 'wall' | 'check';
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly mm: number;
  readonly sigma: number;
}

/** A tape from corner to corner is read to about this, mm (one sigma); twice the same counts for more. */
export const TAPE_SIGMA_MM = 1.5;

/** A turn that was sketched may be off by this, one taken with an instrument by this, degrees (one sigma). */
export const TURN_SIGMA_DEG = { sketched: 8, measured: 0.25 } as const;

/** Every distance that was read. A check that names no corner is left out; checkWalls refuses it. */
export function distanceReadings({ walls, checks }: MeasuredWalls): DistanceReading[] {
  const sigmaOf = (twice: boolean): number => TAPE_SIGMA_MM / (twice ? Math.SQRT2 : 1);
  const cornerOf = new Map(walls.map(({ id }, k) => [id, k]));
  return [
    ...walls.map(({ id, lengthMm, twice }, k): DistanceReading => {
      return { kind: 'wall', id, from: k, to: (k + 1) % walls.length, mm: lengthMm, sigma: sigmaOf(twice) };
    }),
    ...checks.flatMap(({ id, from, to, mm, twice }): DistanceReading[] => {
      const [a, b] = [cornerOf.get(from), cornerOf.get(to)];
      return a === undefined || b === undefined || a === b ? [] : [{ kind: 'check', id, from: a, to: b, mm, sigma: sigmaOf(twice) }];
    }),
  ];
}

/** The corners a walk along the walls comes to, and where it ends: at the first corner when the walls close. */
export function walkWalls({ headingDeg, walls }: MeasuredWalls): { readonly corners: Point[]; readonly end: Point } {
  let at: Point = [0, 0];
  let heading = headingDeg;
  const corners = walls.map(({ lengthMm, turnDeg }) => {
    const corner = at;
    at = add(at, motion(heading, [0, 0]).turn([lengthMm, 0]));
    heading += turnDeg;
    return corner;
  });
  return { corners, end: at };
}

/** How far a walk along the walls ends from where it started, mm. */
export function openByMm(walls: MeasuredWalls): number {
  const { corners, end } = walkWalls(walls);
  return distance(corners[0], end);
}
