import type { LineOwner } from '../trial/boundary.ts';
import type { Axis } from './axisPlacement.ts';
import type { Candidate } from './candidate.ts';
import type { EdgeTally, Falls, SetoutFigures } from './figures.ts';
import { meanShare } from './scoreFigures.ts';
import { CARES, type Care, type Weights } from './ways.ts';

/** An edge, or the thing whose side it is, as a sentence names it. */
export interface Along {
  readonly id: string;
  readonly kind: LineOwner['kind'];
  readonly role: LineOwner['role'];
  readonly seen: number;
}

/** One thing that is true of a setout; its words live in messages/. Lengths in mm. */
export type Statement =
  | { readonly says: 'full'; readonly along: Along; readonly rest: EndSize | null }
  | { readonly says: 'even'; readonly axis: Axis; readonly mm: number; readonly edges: readonly [string, string] }
  | { readonly says: 'ends'; readonly axis: Axis; readonly sizes: readonly [EndSize, EndSize] }
  | { readonly says: 'narrowest'; readonly size: EndSize }
  | { readonly says: 'pieces'; readonly size: EndSize }
  | { readonly says: 'strips'; readonly size: EndSize }
  | { readonly says: 'square'; readonly along: Along }
  | { readonly says: 'runOff'; readonly along: Along; readonly mm: number }
  | { readonly says: 'middle'; readonly fixtureId: string; readonly offMm: number }
  | { readonly says: 'falls'; readonly fixtureId: string; readonly falls: Falls }
  | { readonly says: 'legs'; readonly some: boolean }
  | { readonly says: 'work'; readonly cutPieces: number; readonly minutes: number }
  | { readonly says: 'motifs'; readonly motifs: number };

/** The pieces along one edge: the narrowest and the widest that are cut; null where all are full. */
export interface EndSize {
  readonly along: Along;
  readonly cutMm: readonly [number, number] | null;
}

/** Why a setout: what it gains, what it costs, and what decides against the next one. */
export interface Reasons {
  readonly gain: Statement;
  readonly cost: Statement | null;
  /** What speaks against the rival: the runner-up of what the product chose; null where that is nothing. */
  readonly rival: Statement | null;
  /** Whether the rival is what the product would choose, and so the better one. */
  readonly rivalIsBest: boolean;
  /** How much better the rival is; negative where it is worse. */
  readonly behind: number;
}

/** Less than this decides nothing. */
const NOTICEABLE = 0.02;

/** Explains a setout against the best of its rivals that comes out otherwise; `isBest` where it is what the product chose. */
export function explainSetout(chosen: Candidate, rivals: readonly Candidate[], weights: Weights, isBest: boolean): Reasons {
  const others = rivals.filter((rival) => Math.abs(rival.score - chosen.score) > 1e-6 || rivals.length === 1);
  const rival = others.length === 0 ? null : others.reduce((a, b) => (b.score < a.score ? b : a));
  const behind = rival ? chosen.score - rival.score : 0;
  const differences = (rival ? CARES : []).map((care) => ({
    care,
    gain: weights[care] * ((rival?.costs[care] ?? 0) - chosen.costs[care]),
  }));
  const gains = differences.filter(({ gain }) => gain > NOTICEABLE).sort((a, b) => b.gain - a.gain);
  const losses = differences.filter(({ gain }) => gain < -NOTICEABLE).sort((a, b) => a.gain - b.gain);
  const gain = gains.map(({ care }) => speaksFor(care, chosen)).find((statement) => statement !== null) ?? endsStatement(chosen, rival);
  const cost =
    losses.map(({ care }) => speaksAgainst(care, chosen)).find((one) => one !== null && !sameThing(one, gain)) ??
    worstOf(chosen, weights, gain);
  const against = rival === null ? null : (gains.map(({ care }) => speaksAgainst(care, rival)).find((one) => one !== null) ?? null);
  return { gain, cost, rival: against, rivalIsBest: !isBest && behind > NOTICEABLE, behind };
}

/** What is least good about a setout by itself. */
function worstOf(chosen: Candidate, weights: Weights, gain: Statement): Statement | null {
  const ranked = CARES.map((care) => ({ care, cost: weights[care] * chosen.costs[care] }))
    .filter(({ care, cost }) => cost > NOTICEABLE && care !== 'pieces')
    .sort((a, b) => b.cost - a.cost);
  return ranked.map(({ care }) => speaksAgainst(care, chosen)).find((one) => one !== null && !sameThing(one, gain)) ?? null;
}

/** Whether a second sentence only tells what the first one told: the same kind of thing, or the pieces of the same edge. */
function sameThing(a: Statement, b: Statement): boolean {
  const told = edgesTold(b);
  return a.says === b.says || edgesTold(a).some((id) => told.includes(id));
}

/** The edges whose cut pieces a statement gives. */
function edgesTold(statement: Statement): string[] {
  switch (statement.says) {
    case 'full':
      return statement.rest ? [statement.rest.along.id] : [];
    case 'ends':
      return statement.sizes.map(({ along }) => along.id);
    case 'even':
      return [...statement.edges];
    case 'narrowest':
    case 'pieces':
    case 'strips':
      return [statement.size.along.id];
    default:
      return [];
  }
}

const alongOf = ({ owner: { id, kind, role, seen } }: EdgeTally): Along => ({ id, kind, role, seen });
const sizeOf = (tally: EdgeTally): EndSize => ({
  along: alongOf(tally),
  cutMm: tally.cutMm < 1 ? null : [tally.thinnestMm, tally.widestMm],
});

const edgesOf = ({ edges }: SetoutFigures): EdgeTally[] => edges.filter(({ owner }) => owner.kind === 'edge' && !owner.isReveal);

/** The edge of which something is most; undefined where it is nothing anywhere. */
function most(tallies: readonly EdgeTally[], of: (tally: EdgeTally) => number): EdgeTally | undefined {
  const best = tallies.reduce<EdgeTally | undefined>((a, b) => (of(b) > (a ? of(a) : 0) ? b : a), undefined);
  return best && of(best) > 0 ? best : undefined;
}

/** What a setout gains by a care; null where there is nothing to say. */
function speaksFor(care: Care, chosen: Candidate): Statement | null {
  const { figures } = chosen;
  const edges = edgesOf(figures);
  switch (care) {
    case 'slivers': {
      if (figures.edges.some(({ sliverMm, owner }) => sliverMm > 0 && owner.seen > 0.5)) return null;
      return evenStatement(chosen) ?? fullStatement(chosen) ?? narrowestStatement(figures);
    }
    case 'ends':
    case 'fullSeen':
      return fullStatement(chosen) ?? endsStatement(chosen);
    case 'balance':
      return evenStatement(chosen) ?? fullStatement(chosen) ?? endsStatement(chosen);
    case 'square': {
      const off = new Set(figures.runOffs.map(({ owner }) => owner.id));
      const square = most(edges, ({ owner }) => (off.has(owner.id) ? 0 : owner.seen * owner.lengthMm));
      return square ? { says: 'square', along: alongOf(square) } : null;
    }
    case 'middle': {
      const [middle] = figures.middles.filter(({ offMm }) => offMm < 0.1);
      return middle ? { says: 'middle', fixtureId: middle.fixtureId, offMm: middle.offMm } : null;
    }
    case 'beside': {
      const full = figures.edges.find(({ owner, cutMm }) => owner.kind === 'beside' && owner.seen > 0.5 && cutMm < 1);
      return full ? { says: 'full', along: alongOf(full), rest: null } : null;
    }
    case 'rounds': {
      const easy = figures.rounds.find(({ falls }) => falls === 'crossing' || falls === 'joint');
      return easy ? { says: 'falls', fixtureId: easy.fixtureId, falls: easy.falls } : null;
    }
    case 'ears':
      return figures.ears === 0 ? { says: 'legs', some: false } : null;
    case 'work':
      return { says: 'work', cutPieces: figures.cutPieces, minutes: figures.minutes };
    case 'pieces':
      return null;
    case 'motifs':
      return figures.motifs > 0 ? { says: 'motifs', motifs: figures.motifs } : null;
  }
}

/** What a setout costs by a care; null where there is nothing to say. */
function speaksAgainst(care: Care, chosen: Candidate): Statement | null {
  const { figures } = chosen;
  const edges = edgesOf(figures);
  switch (care) {
    case 'slivers': {
      const thin = most(figures.edges, ({ sliverMm, owner }) => sliverMm * owner.seen);
      return thin ? { says: 'strips', size: sizeOf(thin) } : null;
    }
    case 'ends': {
      const small = most(edges, ({ smallMm, owner }) => smallMm * owner.seen);
      return small ? { says: 'pieces', size: sizeOf(small) } : null;
    }
    case 'fullSeen': {
      const cut = most(edges, ({ cutMm, owner }) => (owner.seen > 1.5 ? cutMm * owner.seen : 0));
      return cut ? { says: 'pieces', size: sizeOf(cut) } : null;
    }
    case 'balance':
      return unevenStatement(chosen);
    case 'square': {
      const [worst] = [...figures.runOffs].sort((a, b) => b.mm * b.owner.seen - a.mm * a.owner.seen);
      return worst ? { says: 'runOff', along: { ...worst.owner }, mm: worst.mm } : null;
    }
    case 'middle': {
      const [worst] = [...figures.middles].sort((a, b) => b.offMm / b.mostMm - a.offMm / a.mostMm);
      return worst && worst.offMm >= 1 ? { says: 'middle', fixtureId: worst.fixtureId, offMm: worst.offMm } : null;
    }
    case 'beside': {
      const small = most(
        figures.edges.filter(({ owner }) => owner.kind === 'beside'),
        ({ smallMm, owner }) => smallMm * owner.seen,
      );
      return small ? { says: 'pieces', size: sizeOf(small) } : null;
    }
    case 'rounds': {
      const hard = figures.rounds.find(({ falls }) => falls === 'piece');
      return hard ? { says: 'falls', fixtureId: hard.fixtureId, falls: hard.falls } : null;
    }
    case 'ears':
      return figures.ears > 0 ? { says: 'legs', some: true } : null;
    case 'work':
    case 'pieces':
      // How many tiles are opened for the cuts the cutting plan knows.
      return { says: 'work', cutPieces: figures.cutPieces, minutes: figures.minutes };
    case 'motifs':
      return figures.motifs === 0 ? { says: 'motifs', motifs: 0 } : null;
  }
}

const PAIRS = [
  ['x', 'left', 'right'],
  ['y', 'bottom', 'top'],
] as const;

const endsOf = (
  { sides, figures }: Candidate,
  [, start, end]: (typeof PAIRS)[number],
): readonly [EdgeTally | undefined, EdgeTally | undefined] => [
  figures.edges.find(({ owner }) => owner.id === sides[start]),
  figures.edges.find(({ owner }) => owner.id === sides[end]),
];

/** The narrowest of all cut pieces. */
function narrowestStatement({ edges }: SetoutFigures): Statement | null {
  const narrowest = most(edges, ({ cutMm, thinnestMm }) => (cutMm < 1 ? 0 : 1 / thinnestMm));
  return narrowest ? { says: 'narrowest', size: sizeOf(narrowest) } : null;
}

/** A visible end with full pieces against one with cuts. */
function fullStatement(chosen: Candidate): Statement | null {
  const found = PAIRS.flatMap((pair) => {
    const [a, b] = endsOf(chosen, pair);
    if (!a || !b || a.cutMm < 1 === b.cutMm < 1) return [];
    const [full, cut] = a.cutMm < 1 ? [a, b] : [b, a];
    return [{ full, cut }];
  }).sort((p, q) => q.full.owner.seen - p.full.owner.seen);
  return found.length === 0 ? null : { says: 'full', along: alongOf(found[0].full), rest: sizeOf(found[0].cut) };
}

/** Ends that are cut alike. */
function evenStatement(chosen: Candidate): Statement | null {
  for (const pair of PAIRS) {
    const [a, b] = endsOf(chosen, pair);
    if (!a || !b || a.cutMm < 1 || b.cutMm < 1) continue;
    const sizes = [a.thinnestMm, a.widestMm, b.thinnestMm, b.widestMm];
    if (Math.max(...sizes) - Math.min(...sizes) < 0.5)
      return { says: 'even', axis: pair[0], mm: a.thinnestMm, edges: [a.owner.id, b.owner.id] };
  }
  return null;
}

/** The direction whose ends differ most. */
function unevenStatement(chosen: Candidate): Statement | null {
  const pairs = PAIRS.flatMap((pair) => {
    const [a, b] = endsOf(chosen, pair);
    return a && b ? [{ axis: pair[0], a, b, off: Math.abs(meanShare(a) - meanShare(b)) }] : [];
  }).sort((p, q) => q.off - p.off);
  if (pairs.length === 0 || pairs[0].off < 0.01) return null;
  return { says: 'ends', axis: pairs[0].axis, sizes: [sizeOf(pairs[0].a), sizeOf(pairs[0].b)] };
}

/** How much an edge comes out otherwise than in a rival, mm: of its narrowest and its widest piece. */
function offBy(a: EdgeTally, b: EdgeTally): number {
  if (a.cutMm < 1 && b.cutMm < 1) return 0;
  if (a.cutMm < 1 || b.cutMm < 1) return 1000;
  return Math.abs(a.thinnestMm - b.thinnestMm) + Math.abs(a.widestMm - b.widestMm);
}

/** The ends of the direction that differs most from a rival; by itself, of that with the narrowest piece. */
function endsStatement(chosen: Candidate, rival: Candidate | null = null): Statement {
  const pairs = PAIRS.flatMap((pair) => {
    const [a, b] = endsOf(chosen, pair);
    if (!a || !b) return [];
    const [c, d] = rival ? endsOf(rival, pair) : [];
    const other = c && d ? offBy(a, c) + offBy(b, d) : 0;
    return [{ axis: pair[0], a, b, other, thin: Math.min(a.thinnestMm, b.thinnestMm) }];
  }).sort((p, q) => (Math.abs(q.other - p.other) > 1 ? q.other - p.other : p.thin - q.thin));
  if (pairs.length === 0) return { says: 'work', cutPieces: chosen.figures.cutPieces, minutes: chosen.figures.minutes };
  return { says: 'ends', axis: pairs[0].axis, sizes: [sizeOf(pairs[0].a), sizeOf(pairs[0].b)] };
}
