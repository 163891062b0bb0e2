import { distance, type Point } from '../geometry/point.ts';
import type { Job } from '../job/job.ts';
import type { Pattern } from '../pattern/registry.ts';
import { trialModule } from '../pattern/trialModule.ts';
import { jobOfOne } from './testJob.ts';
import type { Fixture } from '../surface/fixture.ts';
import { wallsThrough } from '../surface/shapes/asWalls.ts';

const JOINT_MM = 3;

/** The corners of the trial surface at scale 1, metres; the second side is rounded. */
const CORNERS: readonly Point[] = [
  [0, 0],
  [1.31, 0.06],
  [1.25, 0.94],
  [0.05, 1.02],
];
const ROUNDED = 1;

/** Corners as walls, the one side bent outward. */
const skewWalls = (corners: readonly Point[]): Job['surfaces'][number]['measured']['shape'] =>
  wallsThrough(
    corners,
    corners.map((from, k) => ({ id: 'abcd'[k], name: '', curve: k === ROUNDED ? bulge(distance(from, corners[k + 1])) : null })),
  );

const bulge = (lengthMm: number) => ({ by: 'rise', riseMm: lengthMm * 0.14, bulges: 'out' }) as const;

/**
 * One skew surface with a hole, a pipe and a rounded end, laid in a pattern: the same for every kind, so
 * that they can be compared. `scale` 1 is about a metre across. For benches and the gallery.
 */
export function trialJob(pattern: Pattern, scale = 1): Job {
  const mm = (metres: number): number => metres * 1000 * scale;
  const shape = trialModule(pattern, JOINT_MM);
  const fixture = (id: string, outline: Fixture['outline'], x: number, y: number): Fixture => ({
    id,
    name: id,
    outline,
    kind: 'cutOut',
    cover: null,
    from: [
      { edge: 'a', mm: mm(y) },
      { edge: 'd', mm: mm(x) },
    ],
    tiledUnder: false,
    clearanceMm: 3,
  });
  const job = jobOfOne({
    size: [1000, 1000],
    tile: [shape.widthMm, shape.heightMm],
    jointMm: JOINT_MM,
    surface: { kind: 'floor', pattern },
    measured: {
      shape: skewWalls(CORNERS.map(([x, y]) => [mm(x), mm(y)])),
      fixtures: [
        fixture('tray', { kind: 'rectangle', widthMm: mm(0.26), heightMm: mm(0.2) }, 0.62, 0.34),
        fixture('pipe', { kind: 'round', diameterMm: mm(0.09) }, 0.24, 0.66),
      ],
    },
  });
  return { ...job, products: [{ ...job.products[0], shape: shape.shape ?? { kind: 'rectangle' } }] };
}
