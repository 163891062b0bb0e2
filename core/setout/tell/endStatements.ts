import { SEEN_MM } from '../../tolerances.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import type { Candidate } from '../tally/candidate.ts';
import { tallyOf, type EdgeTally } from '../tally/figures.ts';
import { meanShare } from '../tally/scoreFigures.ts';
import { alongOf, sizeOf, type Statement } from './statement.ts';

/** Cut pieces at both ends that differ by less are even, mm. */
const EVEN_MM = SEEN_MM;

const PAIRS = [
  ['x', 'left', 'right'],
  ['y', 'bottom', 'top'],
] as const;

/** The two edges that end a direction. */
interface Pair {
  readonly axis: Axis;
  readonly a: EdgeTally;
  readonly b: EdgeTally;
}

function pairsOf({ sides, figures }: Candidate): Pair[] {
  return PAIRS.flatMap(([axis, start, end]) => {
    const [a, b] = [tallyOf(figures, sides[start]), tallyOf(figures, sides[end])];
    return a && b ? [{ axis, a, b }] : [];
  });
}

const isFull = ({ cutMm }: EdgeTally): boolean => cutMm < 1;

/** Both ends of a direction, by how they come out: both full, one of them, both cut alike, or each by itself. */
function statementOf({ axis, a, b }: Pair): Statement {
  if (isFull(a) && isFull(b)) return { says: 'bothFull', axis, edges: [a.owner.id, b.owner.id] };
  if (isFull(a) || isFull(b)) {
    const [full, cut] = isFull(a) ? [a, b] : [b, a];
    return { says: 'full', along: alongOf(full), rest: sizeOf(cut) };
  }
  return Math.abs(a.thinnestMm - b.thinnestMm) < EVEN_MM && Math.abs(a.widestMm - b.widestMm) < EVEN_MM
    ? { says: 'even', axis, cutMm: [a.thinnestMm, a.widestMm], edges: [a.owner.id, b.owner.id] }
    : { says: 'ends', axis, sizes: [sizeOf(a), sizeOf(b)] };
}

/** A visible end with full pieces against one with cuts; null where there is none. */
export function fullStatement(chosen: Candidate): Statement | null {
  const [found] = pairsOf(chosen)
    .filter(({ a, b }) => isFull(a) !== isFull(b))
    .sort((p, q) => seenOfFull(q) - seenOfFull(p));
  return found ? statementOf(found) : null;
}

const seenOfFull = ({ a, b }: Pair): number => (isFull(a) ? a : b).owner.seen;

/** The same where the full end is one that is looked at; or only the parts between its tiles are cut. */
export function fullSeenStatement(chosen: Candidate): Statement | null {
  const full = fullStatement(chosen);
  return full?.says === 'full' && full.along.seen > 1 ? full : mainFullStatement(chosen);
}

/** An edge that is looked at, where of all pieces only the parts between the main tiles are cut; null where there is none. */
function mainFullStatement({ figures }: Candidate): Statement | null {
  const [seen] = figures.edges
    .filter(({ owner, cutMm, mainCutMm }) => owner.kind === 'edge' && owner.seen > 1 && cutMm >= 1 && mainCutMm < 1)
    .sort((p, q) => q.owner.seen - p.owner.seen);
  return seen ? { says: 'mainFull', along: alongOf(seen) } : null;
}

/** Ends that are cut alike; null where none are. */
export function evenStatement(chosen: Candidate): Statement | null {
  return (
    pairsOf(chosen)
      .map(statementOf)
      .find(({ says }) => says === 'even') ?? null
  );
}

/** The directions whose ends are cut alike. */
export const evenAxes = (chosen: Candidate): Axis[] =>
  pairsOf(chosen).flatMap((pair) => (statementOf(pair).says === 'even' ? [pair.axis] : []));

const unevenness = ({ a, b }: Pair): number => Math.abs(meanShare(a) - meanShare(b));

/** The direction whose ends differ most, or most more than those of another setout; null where they hardly do. */
export function unevenStatement(chosen: Candidate, than: Candidate | null): Statement | null {
  const others = than ? pairsOf(than) : [];
  const [worst] = pairsOf(chosen)
    .map((pair) => {
      const other = others.find(({ axis }) => axis === pair.axis);
      return { pair, off: unevenness(pair) - (other ? unevenness(other) : 0) };
    })
    .sort((p, q) => q.off - p.off);
  if (!worst || worst.off < 0.01) return null;
  const { axis, a, b } = worst.pair;
  return { says: 'ends', axis, sizes: [sizeOf(a), sizeOf(b)] };
}

/** Narrowest pieces that differ by less look alike, mm. */
const NOTICED_MM = 5;

/** What is narrower may be left to the joint when it is laid, mm. */
const LOST_MM = 3;

/** The edge with the narrowest piece of all; null where nothing is cut. */
export function narrowestEdge({ figures }: Candidate): EdgeTally | null {
  const cut = figures.edges.filter(({ cutMm, thinnestMm }) => cutMm >= 1 && Number.isFinite(thinnestMm));
  return cut.reduce<EdgeTally | null>((a, b) => (a && a.thinnestMm <= b.thinnestMm ? a : b), null);
}

/**
 * The narrowest piece of all and where it lies, if a rival has a clearly narrower one. Null where it has not, where nothing
 * is cut, where tiles end at something that has no name, and where what was tried of the rival is lost when it is laid.
 */
export function narrowestStatement(chosen: Candidate, rival: Candidate | null): Statement | null {
  const own = narrowestEdge(chosen);
  const other = rival && narrowestEdge(rival);
  const endsElsewhere = [chosen, rival].some((one) => one?.figures.edges.some(({ owner, cutMm }) => owner.kind === 'other' && cutMm >= 1));
  // Dots and the like are narrow wherever they are cut.
  if (!own || endsElsewhere || own.owner.isReveal || own.thinnestMm < own.thinnestMainMm) return null;
  if (rival && (!other || other.thinnestMm > own.thinnestMm - NOTICED_MM || other.thinnestMm < LOST_MM)) return null;
  return { says: 'narrowest', size: { along: alongOf(own), cutMm: [own.thinnestMm, own.thinnestMm] } };
}

/** How much an edge comes out otherwise than in a rival, mm: of its narrowest and its widest piece. */
function offBy(a: EdgeTally, b: EdgeTally): number {
  if (isFull(a) && isFull(b)) return 0;
  if (isFull(a) || isFull(b)) return 1000;
  return Math.abs(a.thinnestMm - b.thinnestMm) + Math.abs(a.widestMm - b.widestMm);
}

/** The ends of the direction that differs most from a rival; by itself, of that with the narrowest piece. */
export function endsStatement(chosen: Candidate, rival: Candidate | null = null): Statement {
  const others = rival ? pairsOf(rival) : [];
  const [told] = pairsOf(chosen)
    .map((pair) => {
      const { axis, a, b } = pair;
      const other = others.find((one) => one.axis === axis);
      return { pair, off: other ? offBy(a, other.a) + offBy(b, other.b) : 0, thin: Math.min(a.thinnestMm, b.thinnestMm) };
    })
    .sort((p, q) => (Math.abs(q.off - p.off) > 1 ? q.off - p.off : p.thin - q.thin));
  return told
    ? statementOf(told.pair)
    : (narrowestStatement(chosen, null) ?? { says: 'work', cutPieces: chosen.figures.cutPieces, less: false });
}

/** How both directions come out, one after the other. */
export const bothEndsStatements = (chosen: Candidate): Statement[] => pairsOf(chosen).map(statementOf);
