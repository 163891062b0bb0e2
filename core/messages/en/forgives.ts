import type { Forgiveness } from '../../compare/forgives.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { ThingNames } from '../thingNames.ts';
import { edgeInWords } from './names.ts';
import { nameAlong } from './reasons.ts';

/** What becomes of a start where a wall stands a little off, and what to measure once more where that decides. */
export function describeForgiveness({ offMm, now, worst, turns }: Forgiveness, names: ThingNames, tape: Tape): string {
  const off = formatLengthWithUnit(offMm, tape);
  if (!worst) return `Nothing is cut, also where a wall stands ${off} off.`;
  const left = formatLengthWithUnit(worst.mm, tape);
  const wall = edgeInWords(names.edges[worst.wall] ?? worst.wall);
  if (!turns)
    return now
      ? `Where a wall stands ${off} off the narrowest piece is still ${left}.`
      : `Where a wall stands ${off} off a piece of ${left} is cut.`;
  const at = worst.at.id === worst.wall ? 'there' : `at the ${nameAlong(worst.at, names)}`;
  return `Should the ${wall} stand ${off} further ${worst.isFurther ? 'out' : 'in'}, a strip of ${left} is cut ${at}: measure to it once more.`;
}
