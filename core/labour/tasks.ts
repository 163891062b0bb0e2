import { movementProfiles } from '../takeoff/works/carriedRuns.ts';
import { PATTERNS } from '../pattern/registry.ts';
import { SUCTION } from '../takeoff/materials/primer.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';

/** What a pace counts: square metres, metres or things an hour. */
export type PaceUnit = 'm2' | 'm' | 'surface' | 'minutes';

/** Coats of what is brushed on, as the materials of the job say. */
export interface CoatsOf {
  readonly primer: number | null;
  readonly membrane: number;
  readonly tileSealer: number;
  readonly groutSealer: number;
}

/** Work on a surface: how much of it there is, and how fast it goes. */
export interface TaskKind {
  readonly unit: PaceUnit;
  /** So much an hour by one pair of hands, typical. */
  readonly pace: number;
  /** How much there is on a surface; 0 for none. */
  readonly amount: (surface: SurfaceFigures, coats: number) => number;
  /** How often it is gone over; once where left out. */
  readonly coats?: (surface: SurfaceFigures, coats: CoatsOf) => number;
  /** No face takes less, hours: mixing, reaching, cleaning (typical). */
  readonly leastHours?: number;
  /** How much slower this surface goes than the pace; 1 where left out. */
  readonly slower?: (surface: SurfaceFigures) => number;
}

const m2 = ({ areaMm2 }: SurfaceFigures): number => areaMm2 / 1e6;
const when = (does: boolean, amount: number): number => (does ? amount : 0);
const movementM = (s: SurfaceFigures): number => movementProfiles(s).reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000;

const runOf = ({ trims }: SurfaceFigures, ...wanted: readonly string[]): number =>
  trims.filter(({ trim }) => wanted.includes(trim)).reduce((sum, { runsMm }) => sum + runsMm.reduce((all, mm) => all + mm, 0), 0) / 1000;

/** Square metres an hour by the longest side of what is bedded, mm: small pieces are many, very large ones take two. */
function layingPace({ longestSideMm, tiles }: SurfaceFigures): number {
  if (tiles.some(({ piecesPerTile }) => piecesPerTile > 1)) return 1.4;
  if (longestSideMm <= 110) return 0.7;
  if (longestSideMm <= 210) return 1.1;
  if (longestSideMm <= 320) return 1.7;
  if (longestSideMm <= 460) return 2;
  return longestSideMm <= 700 ? 2.4 : 2;
}

/** The pace of laying that the others are told against: pieces of about 300 on a floor, m² an hour. */
const LAYING_M2 = 1.7;

const ledgerM = ({ ledgerRunsMm }: SurfaceFigures): number => ledgerRunsMm.reduce((sum, mm) => sum + mm, 0) / 1000;

/** Minutes a box takes: switched off, proved dead and its plate taken off; the plate on again, with longer screws (typical). */
const BOX_MINUTES = { open: 4, refit: 8 };

/** How much slower a surface is laid than pieces of about 300 on a floor. */
function layingSlower(s: SurfaceFigures): number {
  const place = { floor: 1, wall: 1.25, countertop: 1.6 }[s.kind];
  return (LAYING_M2 / layingPace(s)) * PATTERNS[s.pattern].slower * (s.isTurned ? 1.15 : 1) * place;
}

/** Every kind of work, in the order of the work. Paces are typical for one pair of hands. */
export const TASKS = {
  openBoxes: { unit: 'minutes', pace: 60, amount: ({ boxes }) => BOX_MINUTES.open * boxes },
  prime: {
    unit: 'm2',
    pace: 25,
    coats: (s, { primer }) => primer ?? SUCTION[s.works.substrate].coats,
    amount: (s, coats) => when(s.works.does.prime, coats * m2(s)),
  },
  level: { unit: 'm2', pace: 8, amount: (s) => (s.fill?.kind === 'leveller' ? s.fill.areaMm2 / 1e6 : 0) },
  bed: { unit: 'm2', pace: 2.2, amount: (s) => (s.fill?.kind === 'bed' ? s.fill.areaMm2 / 1e6 : 0) },
  board: { unit: 'm2', pace: 4, amount: (s) => when(s.works.does.board, m2(s)) },
  waterproof: {
    unit: 'm2',
    pace: 6,
    coats: (_, { membrane }) => membrane,
    amount: (s, coats) => when(s.works.does.membrane, coats * m2(s)),
  },
  setOut: { unit: 'surface', pace: 2, amount: () => 1, slower: (s) => Math.min(3, 0.4 + m2(s) / 12) },
  cut: { unit: 'minutes', pace: 60, amount: ({ cutMinutes }) => cutMinutes },
  trim: { unit: 'm', pace: 6, amount: (s) => runOf(s, 'profile', 'nosing') + movementM(s) },
  ledger: { unit: 'm', pace: 6, amount: ledgerM },
  lay: { unit: 'm2', pace: LAYING_M2, amount: (s) => m2(s) - s.ledgerRowMm2 / 1e6, slower: layingSlower, leastHours: 0.25 },
  ledgerOff: { unit: 'm', pace: 15, amount: ledgerM },
  // What the screws leave is filled, and where it is wet sealed again; dry before the bottom row.
  ledgerHoles: { unit: 'm', pace: 20, amount: ledgerM },
  ledgerSeal: {
    unit: 'm',
    pace: 20,
    coats: (_, { membrane }) => membrane,
    amount: (s, coats) => when(s.works.does.membrane, coats * ledgerM(s)),
  },
  bottomRow: { unit: 'm2', pace: LAYING_M2, amount: ({ ledgerRowMm2 }) => ledgerRowMm2 / 1e6, slower: layingSlower },
  edging: { unit: 'm', pace: 6, amount: (s) => runOf(s, 'bullnose', 'mitre') },
  strips: { unit: 'm', pace: 4, amount: (s) => runOf(s, 'skirtingTile', 'nosingTile') },
  skirting: { unit: 'm', pace: 5, amount: (s) => runOf(s, 'skirting') },
  // Levelling clips are knocked off, spacers taken out and what came up between the tiles is scraped, before anything fills the joints.
  scrape: { unit: 'm2', pace: 16, amount: (s) => when(s.works.does.clips || s.works.does.spacers, m2(s)) },
  sealTile: {
    unit: 'm2',
    pace: 15,
    coats: (_, { tileSealer }) => tileSealer,
    amount: (s, coats) => when(s.works.does.sealTile, coats * m2(s)),
  },
  // With first and second wash: one part is washed while the next is filled, so that they are one work and its clocks are the site's.
  grout: { unit: 'm2', pace: 6, amount: m2, leastHours: 0.1, slower: (s) => Math.max(1, Math.min(3, s.jointAreaMm2 / s.areaMm2 / 0.04)) },
  haze: { unit: 'm2', pace: 18, amount: (s) => when(s.works.does.haze, m2(s)) },
  sealant: { unit: 'm', pace: 14, amount: ({ sealed }) => sealed.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000 },
  refitBoxes: { unit: 'minutes', pace: 60, amount: ({ boxes }) => BOX_MINUTES.refit * boxes },
  sealGrout: {
    unit: 'm2',
    pace: 18,
    coats: (_, { groutSealer }) => groutSealer,
    amount: (s, coats) => when(s.works.does.sealGrout, coats * m2(s)),
  },
  protect: { unit: 'm2', pace: 40, amount: (s) => when(s.works.does.protect, m2(s)) },
} as const satisfies Record<string, TaskKind>;

/** The name of a kind of work. */
export type TaskId = keyof typeof TASKS;

/** All of them, in the order of the work. */
export const TASK_IDS = Object.keys(TASKS) as TaskId[];
