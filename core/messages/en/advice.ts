import type { Finding } from '../../advice/finding.ts';
import { SLIVER_MM } from '../../setout/scoreSetout.ts';
import type { Figures } from '../../result.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeName } from './names.ts';

type Words = (figures: Figures, length: (mm: number | string) => string) => string;

/** The words for every finding: what will go wrong on site, and what mends it. */
export const ADVICE_WORDS = {
  'advice/nominal-size': ({ name, widthMm, heightMm }, length) =>
    `"${name}" is planned with the size on the box (${length(widthMm)} x ${length(heightMm)}). Real pieces differ and every cut will be off by it; measure a handful and enter their mean.`,
  'advice/sliver': ({ edge, cutMm }, length) =>
    `The ${edgeName(edge)} edge gets pieces of ${length(cutMm)}, too narrow to look right${Number(cutMm) < SLIVER_MM ? ', and strips like that break on the saw' : ''}. Move the setout, or let an edge that nobody sees take them.`,
  'advice/long-offset': ({ longestMm, limitMm }, length) =>
    `Pieces of ${length(longestMm)} bow a little. Shifted by half, the middle of one meets the ends of the next and they lip; shift by a third at most (sides over ${length(limitMm)}, unless the maker says otherwise).`,
  'advice/narrow-joint': ({ jointMm, smallestMm, kind }, length) =>
    `A joint of ${length(jointMm)} is under the usual ${length(smallestMm)} for a ${kind}: pieces that vary will not line up. Check the standard in force.`,
  'advice/no-perimeter-joint': ({ edge }) =>
    `No gap at the ${edgeName(edge)} edge. Tiles pushed tight have no room to move and lift or crack; leave a joint and fill it flexibly.`,
} as const satisfies Record<string, Words>;

/** The words for one finding. */
export function describeFinding({ code, figures }: Finding, tape: Tape): string {
  const words: Words | undefined = (ADVICE_WORDS as Record<string, Words>)[code];
  if (!words) throw new Error(`no words for this finding: ${code}`);
  return words(figures, (mm) => formatLengthWithUnit(Number(mm), tape));
}
