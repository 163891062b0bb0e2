import type { MainEdges } from '../../surface/sides.ts';
import type { Axis } from './axisPlacement.ts';
import type { EdgeTally, Falls, SetoutFigures } from './figures.ts';
import { KEPT_MM } from './pins.ts';
import { CARES, type Care, type Weights } from './ways.ts';

/** A sliver counts as much more than a cut piece of half the tile. */
const SLIVER_COST = 3;

/** The thinnest sliver counts as so many more that only just are some: a strip of a few mm can hardly be cut or held. */
const THIN_COST = 1;

/** An edge that is looked at more than a wall counts by so much more where its pieces are cut. */
const SEEN_FIRST = 1.5;
const FULL_SEEN_COST = 0.5;

/** Opposite ends that differ by a whole piece; less where the eye has another middle. */
const BALANCE_COST = 4;
const BALANCE_COST_BESIDE_MIDDLE = 1;

/** Sides are held against each other where neither is looked at more than so much as the other. */
const ALIKE = 1.25;

/** An edge that runs off the courses by so much looks as crooked as it can, mm; the more it is looked at, the more than others. */
const CROOKED_MM = 60;
const CROOKED_COST = 1.2;

/** A gap at an edge that is wider than it was meant to be, for every mm. */
const OPEN_COST = 0.05;

const MIDDLE_COST = 2;
const BESIDE_COST = 0.6;
const EAR_COST = 0.5;
const COST_AN_HOUR = 0.35;
const COST_A_PIECE = 0.02;

/** A motif that shows whole outweighs any end cut. */
const MOTIF_COST = 20;

/** A hole in mid-piece is the harder the fewer joints help (trade practice). */
const FALLS_COST: Readonly<Record<Falls, number>> = { piece: 1.1, joint: 0.25, crossing: 0.1, clear: 0 };

/** What speaks against a setout, by care; less is better. A motif speaks for it. */
export type Costs = Readonly<Record<Care, number>>;

/** Works out what speaks against a setout. */
export function costsOf(figures: SetoutFigures, sides: MainEdges): Costs {
  let longest = 1;
  for (const { owner } of figures.edges) if (owner.kind === 'edge' && owner.lengthMm > longest) longest = owner.lengthMm;
  let [slivers, ends, fullSeen, beside] = [0, 0, 0, 0];
  for (const tally of figures.edges) {
    const { kind, seen } = tally.owner;
    if (kind === 'other' || seen === 0) continue;
    slivers += seen * (tally.sliverMm + THIN_COST * tally.thinMm);
    if (kind === 'beside') beside += seen * tally.smallMm;
    else {
      ends += seen * (tally.smallMm + OPEN_COST * tally.openMm2);
      if (seen > SEEN_FIRST) fullSeen += seen * tally.cutMm;
    }
  }
  let square = 0;
  for (const { owner, mm } of figures.runOffs)
    square += owner.seen * Math.max(1, owner.seen) * Math.min(1, mm / CROOKED_MM) * owner.lengthMm;
  let middle = 0;
  for (const { offMm, mostMm } of figures.middles) middle += Math.min(1, offMm / mostMm);
  let rounds = 0;
  for (const { falls } of figures.rounds) rounds += FALLS_COST[falls];
  return {
    slivers: (SLIVER_COST * slivers) / longest,
    ends: ends / longest,
    fullSeen: (FULL_SEEN_COST * fullSeen) / longest,
    balance: balanceCost(figures, sides),
    square: (CROOKED_COST * square) / longest,
    middle: MIDDLE_COST * middle,
    beside: (BESIDE_COST * beside) / longest,
    rounds,
    ears: EAR_COST * figures.ears,
    work: (COST_AN_HOUR * figures.minutes) / 60,
    pieces: COST_A_PIECE * figures.opened,
    motifs: -MOTIF_COST * figures.motifs,
  };
}

/** A pin that is missed outweighs everything else; the less it is missed, the better. */
const MISSED_PIN_COST = 100;

/** What pins that are missed add to the score of a setout. */
export function pinCost({ missedPins }: SetoutFigures): number {
  let sum = 0;
  for (const mm of missedPins) if (mm > KEPT_MM) sum += MISSED_PIN_COST + mm / 10;
  return sum;
}

/** One figure for all that speaks against a setout. */
export function scoreOf(costs: Costs, weights: Weights): number {
  let sum = 0;
  for (const care of CARES) sum += weights[care] * costs[care];
  return sum;
}

function balanceCost(figures: SetoutFigures, sides: MainEdges): number {
  return sideCost(figures, 'x', sides.left, sides.right) + sideCost(figures, 'y', sides.bottom, sides.top);
}

function sideCost({ edges, middles }: SetoutFigures, axis: Axis, start: string | null, end: string | null): number {
  let a: EdgeTally | null = null;
  let b: EdgeTally | null = null;
  for (const tally of edges) {
    if (tally.owner.id === start) a = tally;
    else if (tally.owner.id === end) b = tally;
  }
  if (!a || !b) return 0;
  const [more, less] = a.owner.seen > b.owner.seen ? [a.owner.seen, b.owner.seen] : [b.owner.seen, a.owner.seen];
  if (more > ALIKE * less) return 0;
  const cost = middles.some((middle) => middle.axis === axis) ? BALANCE_COST_BESIDE_MIDDLE : BALANCE_COST;
  return cost * less * Math.abs(meanShare(a) - meanShare(b));
}

/** Mean share of the piece that stays along an edge, full pieces and all. */
export const meanShare = ({ owner, cutMm, shareMm }: EdgeTally): number => 1 - (cutMm - shareMm) / Math.max(1, owner.lengthMm);
