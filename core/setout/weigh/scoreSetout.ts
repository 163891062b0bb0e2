import { VISIBILITY } from '../../surface/edge.ts';
import type { MainEdges } from '../../surface/sides.ts';
import type { Layout } from '../place/layout.ts';
import { wholeMotifs } from './wholeMotifs.ts';
import type { EdgeCut, EdgeSummary } from '../edges/edgeCuts.ts';

/** Under this share of the piece a cut is a sliver (trade practice: under a third). */
export const SLIVER_SHARE = 1 / 3;

/** Under this many mm a cut is a sliver, however small the piece. */
export const SLIVER_MM = 50;

const IMBALANCE_WEIGHT = 4;
const SLIVER_PENALTY = 3;
const CUT_COUNT_WEIGHT = 0.02;

/** A motif that shows whole outweighs any end cut. */
const MOTIF_WEIGHT = 20;

/** Whether what stays of a piece is too narrow to look right; a piece narrow by nature is judged by its share. */
export const isSliver = (depthMm: number, fullMm: number): boolean =>
  depthMm < fullMm * SLIVER_SHARE || (depthMm < SLIVER_MM && fullMm >= 2 * SLIVER_MM);

/** Whether an edge leaves a piece too narrow to look right. */
export const isThin = ({ thinnestMm, fullMm }: EdgeCut): boolean => isSliver(thinnestMm, fullMm);

/**
 * How much speaks against a setout; less is better. Each edge counts by how visible it is and how
 * much of its side it takes: full pieces nothing, large cuts a little, slivers a lot. Opposite cuts
 * that differ count by the less visible of the two, so that a hidden edge may take any misfit.
 * Figured sheets are placed whole first. `beside` are the sides of what stands in the field: strips and thin ears there count too.
 */
export function scoreSetout(
  edges: readonly EdgeSummary[],
  beside: readonly EdgeSummary[],
  layouts: readonly Layout[],
  sides: MainEdges,
): number {
  const looks = edges.map((edge) => ({ edge, weight: VISIBILITY[edge.role] * shareOfSide(edge, edges) }));
  const cuts = looks.reduce((sum, { edge, weight }) => sum + weight * meanPenalty(edge), 0);
  const imbalance = [
    [sides.left, sides.right],
    [sides.bottom, sides.top],
  ].reduce((sum, [a, b]) => sum + imbalanceOf(edges, a, b), 0);
  const cutCount = layouts.reduce((sum, { cutTiles }) => sum + cutTiles.length, 0);
  const wholeCount = layouts.reduce((sum, layout) => sum + layout.wholeCount, 0);
  const count = cutCount / Math.sqrt(Math.max(1, cutCount + wholeCount));
  const motifs = layouts.reduce((sum, layout) => sum + wholeMotifs(layout), 0);
  return cuts + thinBeside(beside, edges) + IMBALANCE_WEIGHT * imbalance + CUT_COUNT_WEIGHT * count - MOTIF_WEIGHT * motifs;
}

/** Slivers along the sides of fixtures, by their length against the longest edge. */
function thinBeside(beside: readonly EdgeSummary[], edges: readonly EdgeSummary[]): number {
  const longest = Math.max(...edges.map(({ lengthMm }) => lengthMm));
  const thin = beside.flatMap(({ cuts }) => cuts.filter(isThin));
  return (SLIVER_PENALTY * thin.reduce((sum, cut) => sum + cutLength(cut), 0)) / longest;
}

function shareOfSide(edge: EdgeSummary, edges: readonly EdgeSummary[]): number {
  return edge.lengthMm / Math.max(...edges.map((other) => other.lengthMm));
}

const cutLength = ({ alongMm }: EdgeCut): number => alongMm[1] - alongMm[0];

function meanPenalty({ cuts, lengthMm }: EdgeSummary): number {
  const sum = cuts.reduce((total, cut) => total + penalty(cut) * cutLength(cut), 0);
  return Math.min(1 + SLIVER_PENALTY + 1, sum / lengthMm);
}

const meanOf = ({ endsMm }: EdgeCut): number => (endsMm[0] + endsMm[1]) / 2;

function penalty(cut: EdgeCut): number {
  const { fullMm } = cut;
  const share = meanOf(cut) / fullMm;
  const size = share >= 0.5 ? 1 - 0.4 * (share - 0.5) : 1 + 2 * (0.5 - share);
  return size + (isThin(cut) ? SLIVER_PENALTY : 0);
}

function imbalanceOf(edges: readonly EdgeSummary[], a: string | null, b: string | null): number {
  const first = edges.find(({ id }) => id === a);
  const second = edges.find(({ id }) => id === b);
  if (!first || !second) return 0;
  const weight = Math.min(VISIBILITY[first.role], VISIBILITY[second.role]);
  return weight * Math.abs(meanShare(first) - meanShare(second));
}

/** Mean share of the piece that stays along an edge; one where every piece is full. */
function meanShare({ cuts }: EdgeSummary): number {
  const length = cuts.reduce((sum, cut) => sum + cutLength(cut), 0);
  return length === 0 ? 1 : cuts.reduce((sum, cut) => sum + (meanOf(cut) / cut.fullMm) * cutLength(cut), 0) / length;
}
