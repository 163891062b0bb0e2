import type { CornerFace, CornerSection } from '../../job/cornerSection.ts';
import type { Link } from '../../surface/link.ts';
import { formatLength } from '../../units/formatLength.ts';
import { nameInSet } from './sets.ts';
import type { Tape } from '../../units/tape.ts';

const shortName = ({ surface: { name } }: CornerFace): string => nameInSet(name);

/** What can be chosen of a corner, in words. */
export function cornerChoices({
  meets,
  a,
  b,
}: CornerSection): readonly { readonly value: NonNullable<Link['through']> | 'mitred' | 'neither'; readonly label: string }[] {
  const does = meets === 'inside' ? 'runs through' : 'laps over';
  return [
    { value: 'a', label: `${shortName(a)} ${does}` },
    { value: 'b', label: `${shortName(b)} ${does}` },
    ...(meets === 'outside' ? [{ value: 'mitred', label: 'Mitred' } as const] : []),
    { value: 'neither', label: 'Neither' },
  ];
}

/** What a corner takes off which face, or adds to it. */
export function describeCorner({ meets, run, a, b }: CornerSection, tape: Tape): string {
  const first = (face: CornerFace): string => shortName(face).replace(/^./, (letter) => letter.toUpperCase());
  const length = (mm: number): string => formatLength(mm, tape);
  const made = ({ tileMm, bedMm }: CornerFace): string => `${length(tileMm)} of tile and ${length(bedMm)} of bed`;
  if (run === null)
    return meets === 'inside'
      ? 'Both are reckoned to the corner as measured: where one is laid first, its tile and bed have to come off the other.'
      : 'Both end at the corner as measured, as beside a profile.';
  if (run === 'mitred') return `Both go on to the tip of the mitre: ${shortName(a)} by ${made(b)}, ${shortName(b)} by ${made(a)}.`;
  const [through, other] = run === 'a' ? [a, b] : [b, a];
  return meets === 'inside'
    ? `${first(through)} is laid first. ${first(other)} begins ${length(other.endMm)} from the corner: ${made(through)}, and a joint of ${length(other.gapMm)}.`
    : `${first(through)} goes on over the edge of ${shortName(other)}: ${made(other)}.`;
}
