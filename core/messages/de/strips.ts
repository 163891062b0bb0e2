import type { CutPiece } from '../../cuts/cutPiece.ts';
import { areEndsAlike, type Strip, type StripEnd, type StripPurpose } from '../../cuts/strips/strip.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeName, kindName } from './names.ts';

const PURPOSES: Readonly<Record<StripPurpose, string>> = { skirting: 'Sockel', nosing: 'Vorderkante' };

/** What a piece is cut as; of a strip what it is for. */
export const cutName = ({ kind, strip }: Pick<CutPiece, 'kind' | 'strip'>): string => (strip ? PURPOSES[strip.purpose] : kindName(kind));

/** What is done to a strip besides cutting it to size, a phrase each; its ends as it stands in its place, whichever way up it is marked. */
export function describeFinish({ ends, isFactory }: Strip): string[] {
  const [left, right] = ends;
  const atEnds = areEndsAlike(left, right)
    ? finished(left).map((how) => `beide Enden: ${how}`)
    : [...finished(left).map((how) => `linkes Ende am Ort: ${how}`), ...finished(right).map((how) => `rechtes Ende am Ort: ${how}`)];
  return [...(isFactory ? ['Werkskante nach oben'] : []), ...atEnds];
}

/** How an end is finished; nothing where it butts. */
function finished(end: StripEnd): string[] {
  if (end.kind === 'butts') return [];
  return [end.kind === 'shows' ? 'sichtbar, brechen und schleifen' : `auf ${Math.round(end.deg)}° Gehrung, gemessen an der Schauseite`];
}

/** Where a strip stands: along which edge, and from where to where from its right end as one faces it. */
export function describeStanding(
  label: string,
  { edgeId, alongMm, lengthMm }: Strip,
  names: Readonly<Record<string, string>>,
  tape: Tape,
): string {
  const [from, to] = [Math.max(0, alongMm), alongMm + lengthMm];
  return `${label} steht an der Kante "${edgeName(names[edgeId] ?? edgeId)}", ${formatLength(from, tape)} bis ${formatLengthWithUnit(to, tape)} von rechts, wenn man davorsteht.`;
}
