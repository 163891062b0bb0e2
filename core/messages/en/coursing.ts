import type { Courses, Coursing } from '../../setout/coursing/findCoursing.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** Why courses fit or do not, and what would make them: a sentence or two. */
export function describeCourses(courses: Courses, tape: Tape): string {
  const { count, takeMm, roomMm, jointsMm, overMm, fittingMm, fittingJointMm, underMm } = courses;
  const length = (mm: number): string => formatLengthWithUnit(mm, tape);
  const range = ([from, to]: readonly [number, number]): string =>
    length(from) === length(to) ? length(from) : `${formatLength(from, tape)} to ${length(to)}`;
  const pieces = `${count} ${count === 1 ? 'piece takes' : 'pieces take'} ${range(takeMm)}, the gaps leave ${range(roomMm)}`;
  if (jointsMm) return count === 1 ? `${pieces}.` : `${pieces}: joints of ${range(jointsMm)} fit.`;
  const off = overMm > 0 ? `${length(overMm)} too long` : `${length(underMm)} left bare`;
  const joint = fittingJointMm === null ? '' : ` a joint of ${length(fittingJointMm)},`;
  return `${pieces}: ${off}. It would fit with${joint} a tile of ${length(fittingMm)}, or a room ${length(Math.max(overMm, underMm))} ${overMm > 0 ? 'larger' : 'smaller'}.`;
}

/** How a tile is laid without a cut; where each direction would fit by itself and no joint suits both, that. */
export function describeCoursing({ across, up, fit }: Coursing, tape: Tape): string {
  const length = (mm: number): string => formatLengthWithUnit(mm, tape);
  if (!fit) return across?.jointsMm && up.jointsMm ? 'Each way fits by itself, but no one joint fits both.' : 'Needs a cut.';
  const gaps = Object.entries(fit.gapsMm).map(([end, mm]) => `${end} ${length(mm)}`);
  const count = across ? `${across.count} by ${up.count} pieces` : `${up.count} whole ${up.count === 1 ? 'course' : 'courses'}`;
  return `${count}, joint ${length(fit.jointMm)}, gaps: ${gaps.join(', ')}.`;
}
