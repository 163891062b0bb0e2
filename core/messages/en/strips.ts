import type { CutPiece } from '../../cuts/cutPiece.ts';
import { areEndsAlike, type Strip, type StripEnd, type StripPurpose } from '../../cuts/strips/strip.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeInWords, kindName } from './names.ts';

const PURPOSES: Readonly<Record<StripPurpose, string>> = { skirting: 'Skirting', nosing: 'Nosing' };

/** What a piece is cut as: "Corner notch"; of a strip what it is for. */
export const cutName = ({ kind, strip }: Pick<CutPiece, 'kind' | 'strip'>): string => (strip ? PURPOSES[strip.purpose] : kindName(kind));

/** What is done to a strip besides cutting it to size, a phrase each; its ends as it stands in its place, whichever way up it is marked. */
export function describeFinish({ ends, isFactory }: Strip): string[] {
  const [left, right] = ends;
  const atEnds = areEndsAlike(left, right)
    ? finished(left).map((how) => `both ends: ${how}`)
    : [...finished(left).map((how) => `left end in its place: ${how}`), ...finished(right).map((how) => `right end in its place: ${how}`)];
  return [...(isFactory ? ['factory edge up'] : []), ...atEnds];
}

/** How an end is finished; nothing where it butts. */
function finished(end: StripEnd): string[] {
  if (end.kind === 'butts') return [];
  return [end.kind === 'shows' ? 'in sight, dress it' : `mitred at ${Math.round(end.deg)}°, the length is that of the face`];
}

/** Where a strip stands: along which edge, and from where to where from its right end as one faces it. */
export function describeStanding(
  label: string,
  { edgeId, alongMm, lengthMm }: Strip,
  names: Readonly<Record<string, string>>,
  tape: Tape,
): string {
  const [from, to] = [Math.max(0, alongMm), alongMm + lengthMm];
  return `${label} stands at the ${edgeInWords(names[edgeId] ?? edgeId)}, ${formatLength(from, tape)} to ${formatLengthWithUnit(to, tape)} from its right as you face it.`;
}
