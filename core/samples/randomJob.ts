import { seededNumbers } from '../geometry/seededNumbers.ts';
import type { Job, Surface } from '../job/job.ts';
import { PATTERNS, type Pattern } from '../pattern/registry.ts';
import { trialModule } from '../pattern/trialModule.ts';
import { fillParts } from '../pattern/suitLaying.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import type { CarriedJoint } from '../surface/carriedJoint.ts';
import type { Fixture } from '../surface/fixture.ts';
import { SHAPES, type Shape } from '../surface/shapes/registry.ts';
import { wallsThrough } from '../surface/shapes/asWalls.ts';
import { frozen, jobOfOne } from './testJob.ts';

type Next = () => number;

/**
 * A made-up job of one surface as a seed has it: any outline, pattern, turn and joint; fixtures, a border, an
 * inset. Some can't be: checkJob says which.
 */
export function randomJob(seed: number): Job {
  const next = seededNumbers(seed);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)];
  const jointMm = pick([0, 1.5, 2, 3, 5, 8]);
  const { defaults } = pick(Object.values(PATTERNS).filter(({ id }) => id !== 'ashlar'));
  const pattern = defaults as Pattern;
  const module = trialModule(pattern, Math.max(jointMm, pattern.kind === 'sheet' ? 2 : 0));
  const shape = randomShape(next, pick);
  const edges = shape.kind === 'walls' ? shape.walls.map(({ id }) => id) : ['bottom', 'left'];
  const plain = jobOfOne({
    size: [2000, 1500],
    tile: [module.widthMm, module.heightMm],
    jointMm,
    gapMm: pick([0, 3, 5, 12]),
    measured: { shape, fixtures: randomFixtures(next, pick, edges), ...randomCarried(seed, edges) },
  });
  const products = [{ ...plain.products[0], shape: module.shape ?? { kind: 'rectangle' as const } }, ...madeUpTiles()];
  const laying = { ...plain.surfaces[0], pattern, turnDeg: next() < 0.6 ? 0 : pick([45, 90, 13.7, -30]), mirrored: next() < 0.2 };
  const surface: Surface = { ...laying, ...(fillParts(laying, products) ?? {}), ...randomExtras(next, pick, edges) };
  return frozen({ ...plain, products, surfaces: [surface] });
}

function randomShape(next: Next, pick: <T>(items: readonly T[]) => T): Shape {
  if (next() < 0.35) return pick(Object.values(SHAPES)).defaults as Shape;
  const count = 3 + Math.floor(next() * 6);
  const corners = Array.from({ length: count }, (_, k) => {
    const [angle, reach] = [((k + 0.6 * next()) * 2 * Math.PI) / count, 700 + 1500 * next()];
    return [reach * Math.cos(angle), reach * Math.sin(angle)] as const;
  });
  return wallsThrough(
    corners,
    corners.map((_, k) => ({
      id: `w${k}`,
      name: '',
      curve: next() < 0.2 ? { by: 'rise', riseMm: 10 + next() * 250, bulges: pick(['out', 'in'] as const) } : null,
    })),
  );
}

function randomFixtures(next: Next, pick: <T>(items: readonly T[]) => T, [first, second]: readonly string[]): Fixture[] {
  return Array.from({ length: Math.floor(next() * 4) }, (_, k): Fixture => ({
    id: `f${k}`,
    name: `Fixture ${k}`,
    kind: pick(['cutOut', 'column', 'pipe', 'socket'] as const),
    outline:
      next() < 0.5
        ? { kind: 'round', diameterMm: 20 + next() * 300 }
        : { kind: 'rectangle', widthMm: 30 + next() * 500, heightMm: 30 + next() * 300 },
    from: [
      { edge: first, mm: 100 + next() * 900 },
      { edge: second, mm: 100 + next() * 900 },
    ],
    tiledUnder: next() < 0.1,
    clearanceMm: pick([0, 3, 8]),
    cover: null,
  }));
}

/** Some have a movement joint that goes on through the tiles; drawn by itself, so that all else stays as its seed has it. */
function randomCarried(seed: number, edges: readonly string[]): Pick<Surface['measured'], 'carriedJoints'> {
  const next = seededNumbers(seed + 77_000);
  if (next() > 0.3) return {};
  const fromStartMm = 100 + next() * 900;
  const joint: CarriedJoint = {
    id: 'm',
    kind: 'movement',
    edge: edges[Math.floor(next() * edges.length)],
    fromStartMm,
    fromEndMm: next() < 0.6 ? fromStartMm : 100 + next() * 900,
    widthMm: 2 + Math.round(next() * 10),
    fill: next() < 0.5 ? 'sealant' : 'profile',
  };
  return { carriedJoints: [joint] };
}

function randomExtras(next: Next, pick: <T>(items: readonly T[]) => T, [first, second]: readonly string[]): Partial<Surface> {
  const border =
    next() < 0.35
      ? {
          productId: pick(['net-trim', 'slip-600']),
          run: pick(['along', 'soldier'] as const),
          corners: pick(['mitred', 'butted'] as const),
          fromEdgeMm: pick([0, 0, 150]),
        }
      : null;
  if (next() < 0.75) return { border };
  return {
    border,
    insets: [
      {
        id: 'rug',
        name: 'Rug',
        outline: next() < 0.3 ? { kind: 'round', diameterMm: 600 } : { kind: 'rectangle', widthMm: 700, heightMm: 500 },
        from: [
          { edge: first, mm: 300 },
          { edge: second, mm: 400 },
        ],
        productId: 'salt-square',
        parts: {},
        jointMm: 2,
        pattern: { kind: 'stack', lay: 'lying' },
        turnDeg: 0,
        mirrored: false,
        colours: { rule: { kind: 'one' }, others: [], byHand: {} },
        partColours: {},
        setout: { x: { rule: 'best' }, y: { rule: 'best' } },
        border: null,
      },
    ],
  };
}
