import { distance, type Point } from '../../geometry/point.ts';
import { readingNoise, seededNumbers } from '../../geometry/seededNumbers.ts';
import { judgeReadings, type Judgement } from './judgeReadings.ts';
import type { MeasuredCheck, MeasuredWalls } from './observations.ts';

/** A made-up room of some corners, none of them square, counter-clockwise. For trials of the reconciliation. */
export function skewRoom(seed: number, count: number): Point[] {
  const next = seededNumbers(seed);
  return Array.from({ length: count }, (_, k): Point => {
    const angle = (2 * Math.PI * (k + 0.35 * (next() - 0.5))) / count;
    const radius = 1600 + 1100 * next();
    return [radius * Math.cos(angle), 0.8 * radius * Math.sin(angle)];
  });
}

/** Measures a room: all walls, and no diagonals, just enough to fix it, or all of them. */
export function measureRoom(room: readonly Point[], noise: () => number, diagonals: 'none' | 'few' | 'all'): MeasuredWalls {
  const count = room.length;
  const read = (a: number, b: number): number => distance(room[a], room[b]) + noise();
  const walls = room.map((_, k) => {
    const [p, q, r] = [room[k], room[(k + 1) % count], room[(k + 2) % count]];
    const turn = Math.atan2(r[1] - q[1], r[0] - q[0]) - Math.atan2(q[1] - p[1], q[0] - p[0]);
    const turnDeg = (Math.atan2(Math.sin(turn), Math.cos(turn)) * 180) / Math.PI;
    return { id: `w${k}`, name: '', lengthMm: read(k, (k + 1) % count), twice: false, turnDeg, turnMeasured: false };
  });
  const checks: MeasuredCheck[] = [];
  for (let a = 0; a < count && diagonals !== 'none'; a++) {
    for (let b = a + 2; b < count - (a === 0 ? 1 : 0); b++) {
      if (diagonals === 'all' || a === 0) checks.push({ id: `c${a}-${b}`, from: `w${a}`, to: `w${b}`, mm: read(a, b), twice: false });
    }
  }
  return { headingDeg: 0, walls, checks, spread: false };
}

/** What is said of a noisy room of five to eight corners in which one reading is off by `slipMm`, and which one that is. */
export function judgeSlip(seed: number, slipMm: number, diagonals: 'few' | 'all'): { readonly judgement: Judgement; readonly id: string } {
  const next = seededNumbers(seed + 7000);
  const room = skewRoom(seed, 5 + Math.floor(4 * next()));
  const measured = measureRoom(room, readingNoise(seededNumbers(seed + 500), 1.5), diagonals);
  const at = Math.floor(next() * (measured.walls.length + measured.checks.length));
  const off = next() < 0.5 ? -slipMm : slipMm;
  const walls = measured.walls.map((wall, k) => (k === at ? { ...wall, lengthMm: wall.lengthMm + off } : wall));
  const checks = measured.checks.map((check, k) => (k + walls.length === at ? { ...check, mm: check.mm + off } : check));
  const id = at < walls.length ? walls[at].id : checks[at - walls.length].id;
  return { judgement: judgeReadings({ ...measured, walls, checks }), id };
}

/** Whether the reading that is off by `slipMm` is the one that is named, where all diagonals were read. */
export function nameOutlier(seed: number, slipMm: number): boolean {
  const { judgement, id } = judgeSlip(seed, slipMm, 'all');
  return judgement.verdict === 'one-off' && judgement.suspects[0].id === id;
}
