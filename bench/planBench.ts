import { Memory } from '@azulejo/core/memory';
import type { Fixture } from '@azulejo/core/surface/fixture';
import { sharedArea } from '@azulejo/core/geometry/clip';
import { drawSurface } from '@azulejo/core/plan/layout/drawSurface';
import { layoutSteps } from '@azulejo/core/plan/layout/planSurfaceLayout';
import { shareOut } from '@azulejo/core/plan/share/shareOut';
import { planSurface } from '@azulejo/core/plan';
import { productOf, type Job } from '@azulejo/core/job/job';
import { repeatOf } from '@azulejo/core/pattern/registry';
import { tileRing } from '@azulejo/core/setout/place/layout';
import { placeRepeat } from '@azulejo/core/setout/place/placeRepeat';
import { traceSurface } from '@azulejo/core/surface/traceSurface';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { actualSize } from '@azulejo/core/tile/product';
import { median, timeOf } from './timing.ts';

const SIZES = [60, 1500, 30_000, 150_000];
const TILE_MM = 100;
const JOINT_MM = 2;
const PLANS = 15;

/** One size of floor: how long each way of planning it takes. */
export interface PlanRow {
  readonly pieces: number;
  readonly placeMs: number;
  readonly drawMs: number;
  readonly planMs: number;
  /** Parts of the whole plan. */
  readonly stages: PlanStages;
  readonly clipAllMs: number;
  readonly piecesPerSecond: number;
  /** How many times faster placing is than clipping every piece with the same library. */
  readonly ratio: number;
}

/** What the whole plan of a surface takes, part by part, ms. */
export interface PlanStages {
  /** Finding the best start, and laying the one in force. */
  readonly setOutMs: number;
  /** Every cut described and marked. */
  readonly cutsMs: number;
  /** Which tiles are opened for the cuts, quantities and zones. */
  readonly sharedMs: number;
}

/** A floor of about so many pieces with a door, a tray, a column and a pipe. */
export function floorOf(pieces: number): Job {
  const side = Math.sqrt(pieces) * (TILE_MM + JOINT_MM);
  const box = (id: string, share: number, size: number): Fixture => ({
    id,
    name: id,
    outline: { kind: 'rectangle', widthMm: size, heightMm: size },
    kind: 'cutOut',
    cover: null,
    from: [
      { edge: 'left', mm: side * share },
      { edge: 'bottom', mm: side * share },
    ],
    tiledUnder: false,
    clearanceMm: 3,
  });
  const pipe: Fixture = {
    id: 'pipe',
    name: 'pipe',
    outline: { kind: 'round', diameterMm: 60 },
    kind: 'cutOut',
    cover: null,
    from: [
      { edge: 'right', mm: side * 0.22 },
      { edge: 'top', mm: side * 0.31 },
    ],
    tiledUnder: false,
    clearanceMm: 4,
  };
  return jobOfOne({
    size: [side, side],
    tile: [TILE_MM, TILE_MM],
    jointMm: JOINT_MM,
    surface: {
      pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' },
      setout: { x: { rule: 'free', offsetMm: 31 }, y: { rule: 'free', offsetMm: 47 } },
    },
    measured: {
      fixtures: [box('tray', 0.05, side * 0.2), box('column', 0.6, side * 0.08), pipe],
      doorways: [{ id: 'door', edge: 'bottom', fromStartMm: side * 0.4, widthMm: side * 0.15, depthMm: 60 }],
    },
  });
}

/** Plans floors that differ by a little, one after the other. */
function freshPlans(pieces: number): () => unknown {
  let round = 0;
  return () => {
    const job = floorOf(pieces * (1 + ++round / 1000));
    return planSurface(job, job.surfaces[0]);
  };
}

/** Times the parts of plans that differ by a little: the middle of each. */
function stagesOf(pieces: number, rounds: number): PlanStages {
  const times = Array.from({ length: rounds }, (_, round): PlanStages => {
    // Other floors than those above.
    const memory = new Memory();
    const job = floorOf(pieces * (1 + (round + 0.5) / 1000));
    const stages = { setOutMs: 0, cutsMs: 0, sharedMs: 0 };
    const steps = layoutSteps(job, job.surfaces[0], memory);
    let at: keyof typeof stages = 'setOutMs';
    for (;;) {
      const before = performance.now();
      const step = steps.next();
      stages[at] += performance.now() - before;
      if (step.done) {
        stages.sharedMs = timeOf(() => shareOut(job, [step.value], memory));
        return stages;
      }
      if (step.value.stage === 'cuts') at = 'cutsMs';
    }
  });
  const middle = (of: keyof PlanStages): number => times.map((one) => one[of]).sort((a, b) => a - b)[Math.floor(rounds / 2)];
  return { setOutMs: middle('setOutMs'), cutsMs: middle('cutsMs'), sharedMs: middle('sharedMs') };
}

/** Times one size; every figure is of the same run on the same machine. */
export function benchPlan(pieces: number): PlanRow {
  const job = floorOf(pieces);
  const [surface] = job.surfaces;
  const traced = traceSurface(surface.measured);
  const repeat = repeatOf(surface.pattern, { ...actualSize(productOf(job, surface)), jointMm: JOINT_MM });
  const placement = { origin: [31, 47], turnDeg: 0 } as const;
  const rounds = pieces > 10_000 ? 7 : 25;
  const place = () => placeRepeat(traced.region, repeat, placement);
  for (let k = 0; k < 5; k++) place();
  const placeMs = median(rounds, place);
  const drawMs = median(rounds, () => drawSurface(job, surface));
  // A job that was never planned, each time: what is remembered of the last is no part of the figure.
  const planMs = median(PLANS, freshPlans(pieces));
  const stages = stagesOf(pieces, PLANS);
  const layout = place();
  const reach = Math.ceil(Math.sqrt(pieces)) + 3;
  const clipAllMs = timeOf(() => {
    for (let piece = 0; piece < repeat.pieces.length; piece++) {
      for (let j = -2; j < reach / repeat.pieces.length + 1; j++) {
        for (let i = -2; i < reach; i++) sharedArea([[tileRing(layout, { piece, i, j })]], traced.region);
      }
    }
  });
  const count = layout.wholeCount + layout.cutTiles.length;
  return {
    pieces: count,
    placeMs,
    drawMs,
    planMs,
    stages,
    clipAllMs,
    piecesPerSecond: count / (placeMs / 1000),
    ratio: clipAllMs / placeMs,
  };
}

/** All sizes of the budget. */
export const benchPlans = (): PlanRow[] => SIZES.map(benchPlan);
