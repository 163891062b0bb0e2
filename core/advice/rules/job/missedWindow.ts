import type { JobRule } from '../../finding.ts';

/** Work that comes later than what lies under it allows. */
export const missedWindow: JobRule = ({ programme: { missed, tasks } }) =>
  missed.map(({ id, afterId, hours, withinHours }) => {
    const [task, before] = [id, afterId].map((one) => tasks.find((other) => other.id === one));
    return {
      code: 'advice/missed-window',
      severity: 'warning',
      path: ['programme'],
      figures: { task: task?.task ?? id, place: task?.placeName ?? '', before: before?.task ?? afterId, hours, withinHours },
    };
  });
