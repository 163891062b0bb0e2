import { SAW_MM } from '../../tolerances.ts';
import type { Candidate } from '../tally/candidate.ts';
import type { EdgeTally } from '../tally/figures.ts';
import { schoolOf } from './schools.ts';

/** Ends that differ by less than this share of the piece look alike. */
const ALIKE_SHARE = 0.12;

/** Whether an edge comes out otherwise: full against cut, or with pieces that look another size. */
function looksOther(a: EdgeTally, b: EdgeTally): boolean {
  if (a.owner.kind !== 'edge' || a.owner.isReveal) return false;
  if (a.cutMm < 1 !== b.cutMm < 1) return true;
  const size = Math.max(a.widestMm, b.widestMm, 50);
  return (
    a.cutMm >= 1 && (Math.abs(a.thinnestMm - b.thinnestMm) > ALIKE_SHARE * size || Math.abs(a.widestMm - b.widestMm) > ALIKE_SHARE * size)
  );
}

/** The same pieces at other ends score and measure the same, but for what reckoning loses. */
const TWIN_SCORE = 0.02;
const TWIN_MM = SAW_MM;

/** Whether two setouts come to the same pieces at other ends, and so to the same score: one the mirror image of the other. */
function isMirrored(a: Candidate, b: Candidate): boolean {
  if (Math.abs(a.score - b.score) > TWIN_SCORE || Math.abs(a.turnDeg - b.turnDeg) > 0.05) return false;
  const sizes = ({ figures }: Candidate): (readonly [number, number])[] =>
    figures.edges
      .filter(({ owner }) => owner.kind === 'edge')
      .map(({ cutMm, thinnestMm, widestMm }): readonly [number, number] => (cutMm < 1 ? [0, 0] : [thinnestMm, widestMm]))
      .sort((p, q) => (Math.abs(p[1] - q[1]) < TWIN_MM ? p[0] - q[0] : p[1] - q[1]));
  const [own, other] = [sizes(a), sizes(b)];
  return own.every((mm, k) => Math.abs(mm[0] - other[k][0]) < TWIN_MM && Math.abs(mm[1] - other[k][1]) < TWIN_MM);
}

/** Whether two setouts differ so that one would want to see both. */
export function differInKind(a: Candidate, b: Candidate): boolean {
  if (isMirrored(a, b)) return false;
  if (Math.abs(a.turnDeg - b.turnDeg) > 0.05 || schoolOf(a) !== schoolOf(b)) return true;
  return a.figures.edges.some((tally, k) => looksOther(tally, b.figures.edges[k]));
}

/** The best few of a list, the best first, of which no two are alike in kind. The list is in order. */
export function fewAndDifferent<T>(
  ranked: readonly T[],
  of: (one: T) => { readonly candidate: Candidate; readonly kind: string },
  most: number,
): T[] {
  const kept: { readonly one: T; readonly candidate: Candidate; readonly kind: string }[] = [];
  for (const one of ranked) {
    if (kept.length >= most) break;
    const { candidate, kind } = of(one);
    if (kept.every((other) => other.kind !== kind || differInKind(other.candidate, candidate))) kept.push({ one, candidate, kind });
  }
  return kept.map(({ one }) => one);
}
