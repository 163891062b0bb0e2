import type { MainEdges } from '../../surface/sides.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import type { EdgeTally, Falls, SetoutFigures } from './figures.ts';
import { KEPT_MM } from '../choice/pins.ts';
import { CARES, type Care, type Weights } from '../choice/ways.ts';

/** A sliver counts as much more than a cut piece of half the tile. */
const SLIVER_COST = 3;

/** The thinnest sliver counts as so many more that only just are some: a strip of a few mm can hardly be cut or held. */
const THIN_COST = 1;

/** An edge that is looked at more than a wall counts by so much more where its pieces are cut. */
const SEEN_FIRST = 1.5;
const FULL_SEEN_COST = 0.5;

/** A full piece there counts for nothing where slivers at the other end pay for it, in every third course or more (trade practice). */
const PAID_FOR_COST = 1 + FULL_SEEN_COST;
const PAYS_FOR = 3;
const LOOKED_AT = 0.5;

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
const EAR_COST = 0.3;
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
      if (seen > SEEN_FIRST) {
        const { id, lengthMm } = tally.owner;
        const cutMm = figures.interlocks ? cutInSight(tally) : tally.mainCutMm;
        const paid = PAID_FOR_COST * paidFor(lengthMm - tally.mainCutMm, figures, sides, id);
        // A side that ends the rows counts as a whole, however short it is: it is what one sees of them.
        const isEnd = id === sides.left || id === sides.right || id === sides.bottom || id === sides.top;
        fullSeen += (seen * (FULL_SEEN_COST * cutMm + paid)) / (isEnd ? Math.max(1, lengthMm) : longest);
      }
    }
  }
  let square = 0;
  for (const { owner, mm } of figures.runOffs)
    square += owner.seen * Math.max(1, owner.seen) * Math.min(1, mm / CROOKED_MM) * owner.lengthMm;
  let middle = 0;
  for (const { offMm, mostMm, weight } of figures.middles) middle += weight * Math.min(1, offMm / mostMm);
  let rounds = 0;
  for (const { falls } of figures.rounds) rounds += FALLS_COST[falls];
  return {
    slivers: (SLIVER_COST * slivers) / longest,
    ends: ends / longest,
    fullSeen,
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

/** Where tiles reach into each other's courses and every other one is whole, the halves between look so too; not where all are halved. */
const ALL_HALVED = 0.93;

/** How much of an edge looks cut, mm. */
const cutInSight = ({ owner, mainCutMm, halfMm }: EdgeTally): number =>
  mainCutMm > ALL_HALVED * owner.lengthMm ? mainCutMm : mainCutMm - halfMm;

/** Of so much of an edge with full pieces, what slivers at the other ends of its courses pay for, mm; where nobody looks they may. */
function paidFor(fullMm: number, { edges }: SetoutFigures, { left, right, bottom, top }: MainEdges, id: string): number {
  const other = id === left ? right : id === right ? left : id === bottom ? top : id === top ? bottom : null;
  let mm = 0;
  if (other !== null) for (const { owner, sliverMm } of edges) if (owner.id === other && owner.seen >= LOOKED_AT) mm += sliverMm;
  return Math.max(0, Math.min(fullMm, PAYS_FOR * mm));
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
  let beside = 0;
  for (const middle of middles) if (middle.axis === axis && middle.weight > beside) beside = middle.weight;
  const cost = BALANCE_COST - beside * (BALANCE_COST - BALANCE_COST_BESIDE_MIDDLE);
  return cost * less * Math.max(Math.abs(meanShare(a) - meanShare(b)), offWhereTurned(a, b));
}

/**
 * By which share of the piece the cuts of two edges differ where each edge has small ones and large ones, as along
 * turned patterns and hexagons: their means tell little, the narrowest and the widest both do.
 */
function offWhereTurned(a: EdgeTally, b: EdgeTally): number {
  if (a.cutMm < 1 || b.cutMm < 1) return 0;
  const off = Math.min(Math.abs(a.thinnestMm - b.thinnestMm), Math.abs(a.widestMm - b.widestMm));
  return off / Math.max(1, a.fullMm, b.fullMm);
}

/** Mean share of the piece that stays along an edge, full pieces and all. */
export const meanShare = ({ owner, cutMm, shareMm }: EdgeTally): number => 1 - (cutMm - shareMm) / Math.max(1, owner.lengthMm);

/** A place that was written down, to a ten-thousandth of a millimetre, scores so near to what it was. */
export const SAME_SCORE = 1 / 1000;
