import type { SettingOutLine } from '../../setout/lines/settingOutLines.ts';
import type { LineEnd, SlantingLine } from '../../setout/lines/slantingLines.ts';
import { formatLength, toShownStep } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** One slanting line, as a mark on each of the two edges it meets. */
export function describeSlant({ deg, ends }: SlantingLine, nameOf: (edge: string) => string, tape: Tape): string {
  const mark = ({ edge, fromEdge, mm }: LineEnd): string =>
    edge === fromEdge
      ? `${formatLength(mm, tape)} along a stretch of ${nameOf(edge)}`
      : `${formatLength(mm, tape)} along ${nameOf(edge)}, from its corner with ${nameOf(fromEdge)}`;
  return `Slanting line, ${Math.round(deg * 10) / 10}° from level: ${ends.map(mark).join('; to ')}.`;
}

/** One line to strike, as two tape measures. */
export function describeLine({ axis, course, fromStartMm, fromEndMm }: SettingOutLine, tape: Tape): string {
  const [start, end] = axis === 'x' ? ['left', 'right'] : ['bottom', 'top'];
  const name = axis === 'x' ? 'Upright line' : 'Level line';
  const which = course === 2 ? ', second course' : '';
  const [first, last] = axis === 'x' ? ['bottom', 'top'] : ['left', 'right'];
  const taped = (mm: readonly number[]): string => {
    const [a, b] = mm.map((one) => formatLength(one, tape));
    return a === b ? `${a} at both ends` : `${a} at the ${first} end, ${b} at the ${last} end`;
  };
  // The two measures make up the wall: one is read off the tape, the other is what is left of it.
  const fromEnd = fromEndMm.map((mm, k) => toShownStep(fromStartMm[k] + mm, tape) - toShownStep(fromStartMm[k], tape));
  return `${name}${which}: from the ${start} ${taped(fromStartMm)} (from the ${end} ${taped(fromEnd)}).`;
}
