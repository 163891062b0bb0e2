import { seededNumbers } from '../geometry/seededNumbers.ts';
import type { Job } from '../job/job.ts';
import type { Pattern } from '../pattern/registry.ts';
import type { EdgeRole } from '../surface/edge.ts';
import { wallsThrough } from '../surface/shapes/asWalls.ts';
import type { Shape } from '../surface/shapes/registry.ts';
import { jobOfOne } from './testJob.ts';

/** A room, or a small one with small tiles, so that every half millimetre of a repeat can be tried. */
export function roomToSearch(seed: number, scale: number): Job {
  const next = seededNumbers(seed);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)];
  const tile = [scale * (16 + Math.round(next() * 12)), scale * (11 + Math.round(next() * 6))] as const;
  const [widthMm, heightMm] = [scale * (110 + Math.round(next() * 1200) / 10), scale * (95 + Math.round(next() * 800) / 10)];
  const skew = (mm: number): number => (scale * Math.round(next() * mm * 10)) / 10;
  const shape = pick<() => Shape>([
    () => ({ kind: 'rectangle', widthMm, heightMm }),
    () => ({ kind: 'lShape', widthMm, heightMm, missingWidthMm: widthMm / 3, missingHeightMm: heightMm / 2.3, missing: 'top-right' }),
    () =>
      wallsThrough(
        [
          [0, 0],
          [widthMm, skew(6)],
          [widthMm - skew(8), heightMm],
          [skew(5), heightMm - skew(7)],
        ],
        ['a', 'b', 'c', 'd'].map((id) => ({ id, name: '', curve: null })),
      ),
  ])();
  const [first, second] = shape.kind === 'walls' ? ['d', 'a'] : ['left', 'bottom'];
  const role = (): EdgeRole => pick<EdgeRole>(['wall', 'wall', 'focal', 'hidden', 'exposed']);
  const roles = Object.fromEntries([first, second].map((id) => [id, role()]));
  const patterns: readonly Pattern[] = [
    { kind: 'stack', lay: 'lying' },
    { kind: 'runningBond', lay: 'lying', offset: pick([0.5, 1 / 3]), step: 'alternating' },
    { kind: 'runningBond', lay: 'upright', offset: 0.25, step: 'stepped' },
    { kind: 'herringbone', lay: 'lying', strips: 1 },
  ];
  const job = jobOfOne({ size: [widthMm, heightMm], tile, jointMm: pick([1, 2, 3]), gapMm: 2, surface: { pattern: pick(patterns) } });
  const [surface] = job.surfaces;
  const round = next() < 0.5;
  const fixtures =
    next() < 0.5
      ? []
      : [
          {
            id: 'f',
            name: 'Pipe',
            kind: round ? ('pipe' as const) : ('cutOut' as const),
            outline: round
              ? { kind: 'round' as const, diameterMm: 8 * scale }
              : { kind: 'rectangle' as const, widthMm: 24 * scale, heightMm: 20 * scale },
            from: [
              { edge: first, mm: 30 * scale + skew(20) },
              { edge: second, mm: 25 * scale + skew(20) },
            ] as [{ edge: string; mm: number }, { edge: string; mm: number }],
            tiledUnder: false,
            clearanceMm: 1,
            cover: null,
          },
        ];
  return { ...job, surfaces: [{ ...surface, measured: { ...surface.measured, shape, roles, fixtures } }] };
}
