import type { PlannedTask, Programme } from '../../programme/programme.ts';
import { figure } from './figures.ts';
import { TASK_NAMES } from './money.ts';

const hoursWords = (hours: number): string => `${figure(Math.round(hours * 4) / 4)} h`;

const taskName = ({ task, part }: Pick<PlannedTask, 'task' | 'part'>): string =>
  part === null ? TASK_NAMES[task] : `${TASK_NAMES[task]}, ${part.kind === 'coat' ? 'Schicht' : 'Teil'} ${part.number} von ${part.of}`;

/** What a work is called, with its place. */
export const workName = ({ placeName, ...task }: Pick<PlannedTask, 'task' | 'placeName' | 'part'>): string =>
  `${taskName(task)}, ${placeName}`;

/** Why a work starts when it does. */
export function describeHeld(task: PlannedTask, { tasks }: Pick<Programme, 'tasks'>): string {
  const { held } = task;
  const other = 'id' in held ? tasks.find(({ id }) => id === held.id) : undefined;
  switch (held.by) {
    case 'start':
      return 'Das Erste, was getan wird.';
    case 'moved':
      return 'Von Hand hierher gelegt.';
    case 'hands':
      return other ? `Wenn die Hände frei sind nach: ${workName(other)}.` : 'Wenn die Hände frei sind.';
    case 'wait':
      return `Wartet ${hoursWords(held.hours)} auf: ${other ? taskName(other) : 'was davor kommt'}.`;
  }
}
