import { READS_ALIKE_MM } from '../tolerances.ts';
import { solveLinear } from '../geometry/solveLinear.ts';

/** One offset: along the straight line, and square to it, mm. */
export interface Offset {
  readonly alongMm: number;
  readonly outMm: number;
}

/** A smooth curve through measured offsets. */
export interface FittedCurve {
  /** The offset at a position along the line, mm. */
  readonly at: (alongMm: number) => number;
  /** How far the curve passes each measured offset by: measured less fitted, mm. */
  readonly errorsMm: readonly number[];
  readonly largestErrorMm: number;
}

/** A tape held to a curve is read to about this, mm: a fit that is nearer follows the slips of the hand. */
const READING_MM = 3 * READS_ALIKE_MM;

/**
 * Fits a smooth curve to offsets from the straight line between two corners; it meets the line at
 * both. Takes the fewest terms t(1-t)T(k), T(k) Chebyshev's polynomials, that come as near as a tape
 * can be read; with as many terms as offsets it runs through all of them.
 */
export function fitOffsets(offsets: readonly Offset[], chordMm: number): FittedCurve {
  for (let terms = 1; terms <= offsets.length; terms++) {
    const fitted = fitTerms(offsets, chordMm, terms);
    if (!fitted) continue;
    const spare = offsets.length - terms;
    const meanSquare = fitted.errorsMm.reduce((sum, e) => sum + e * e, 0) / Math.max(1, spare);
    if (Math.sqrt(meanSquare) <= READING_MM || spare === 0) return fitted;
  }
  throw new Error(`no curve fits these offsets: ${JSON.stringify(offsets)}`);
}

function fitTerms(offsets: readonly Offset[], chordMm: number, terms: number): FittedCurve | null {
  const rows = offsets.map(({ alongMm }) => basisAt(alongMm / chordMm, terms));
  const normal = range(terms).map((a) => range(terms).map((b) => rows.reduce((sum, row) => sum + row[a] * row[b], 0)));
  const right = range(terms).map((a) => rows.reduce((sum, row, k) => sum + row[a] * offsets[k].outMm, 0));
  const shares = solveLinear(normal, right);
  if (!shares) return null;
  const at = (alongMm: number): number => basisAt(alongMm / chordMm, terms).reduce((sum, value, k) => sum + value * shares[k], 0);
  const errorsMm = offsets.map(({ alongMm, outMm }) => outMm - at(alongMm));
  return { at, errorsMm, largestErrorMm: Math.max(...errorsMm.map(Math.abs)) };
}

function basisAt(t: number, terms: number): number[] {
  const x = 2 * t - 1;
  const chebyshev = [1, x];
  while (chebyshev.length < terms) chebyshev.push(2 * x * (chebyshev.at(-1) ?? 0) - (chebyshev.at(-2) ?? 0));
  return chebyshev.slice(0, terms).map((value) => 4 * t * (1 - t) * value);
}

const range = (count: number): number[] => Array.from({ length: count }, (_, k) => k);
