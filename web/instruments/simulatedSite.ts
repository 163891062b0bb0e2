import type { Surface } from '@azulejo/core/job/job';
import { distance, type Point } from '@azulejo/core/geometry/point';
import { lengthAt } from '@azulejo/core/surface/measurements';
import { cornersOf } from '@azulejo/core/surface/reconcile/reconcileWalls';

/** Where the corners of demo surfaces really are, by wall, mm: what a careful survey would find. */
const SURVEYED: Readonly<Record<string, readonly Point[]>> = {
  'shop-floor': [
    [0, 0],
    [5211.4, 0],
    [5274.8, 3898.2],
    [3104.6, 3921.9],
    [3098.3, 4462.7],
    [-38.5, 4441.3],
  ],
};

/** The true length behind a key of the measured part, mm; null where there is nothing to aim at. */
export function trueLength({ id, measured }: Surface, key: string): number | null {
  const steps = key.split('.');
  const { shape } = measured;
  const corners = shape.kind === 'walls' ? cornersOf(shape) : null;
  const surveyed = corners && SURVEYED[id]?.length === corners.length ? SURVEYED[id] : corners;
  if (surveyed && shape.kind === 'walls') {
    const cornerOf = (wall: string): number => shape.walls.findIndex((other) => other.id === wall);
    const between = (a: number, b: number): number | null => (a === b ? null : distance(surveyed[a], surveyed[b % surveyed.length]));
    if (steps[0] === 'between') return between(Number(steps[1]), Number(steps[2]));
    if (steps[1] === 'walls') return between(Number(steps[2]), Number(steps[2]) + 1);
    if (steps[1] === 'checks') return between(cornerOf(shape.checks[Number(steps[2])].from), cornerOf(shape.checks[Number(steps[2])].to));
  }
  return lengthAt(measured, key);
}
