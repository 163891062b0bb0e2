import type { SettingOutLine } from '../../setout/settingOutLines.ts';
import { formatLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** One line to strike, as two tape measures. */
export function describeLine({ axis, course, fromStartMm, fromEndMm }: SettingOutLine, tape: Tape): string {
  const [start, end] = axis === 'x' ? ['left', 'right'] : ['bottom', 'top'];
  const name = axis === 'x' ? 'Upright line' : 'Level line';
  const which = course === 2 ? ', second course' : '';
  const [a, b] = fromStartMm.map((mm) => formatLength(mm, tape));
  const measure = a === b ? `${a} from the ${start} at both ends` : `${a} and ${b} from the ${start}`;
  return `${name}${which}: ${measure} (${formatLength(fromEndMm[0], tape)} from the ${end}).`;
}
