import { worstFirst } from '@azulejo/core/advice/worstFirst';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import type { Glance, SurfaceAttention } from '@azulejo/core/formats/glance';

/** Whether all surfaces of a job are laid; a job without any is not. */
export const isDone = ({ surfaceCount, laidCount }: Pick<JobEntry, 'surfaceCount' | 'laidCount'>): boolean =>
  surfaceCount > 0 && laidCount === surfaceCount;

/** Jobs that stand together in the list. */
export interface JobGroup {
  readonly name: string;
  readonly jobs: readonly JobEntry[];
}

/** Jobs that something is left to do on, and those that are done; groups without jobs are left out. */
export const groupJobs = (jobs: readonly JobEntry[]): JobGroup[] =>
  [
    { name: 'In hand', jobs: jobs.filter((job) => !isDone(job)) },
    { name: 'All laid', jobs: jobs.filter(isDone) },
  ].filter((group) => group.jobs.length > 0);

/** What a row of the list says of a job. */
export interface JobRowModel {
  readonly isDone: boolean;
  /** "3 of 7 surfaces laid" */
  readonly progress: string;
  /** The share that is laid, percent; null where there is nothing to draw. */
  readonly laidPercent: number | null;
  /** The surface to go on with: the one not laid that changed last. */
  readonly next: JobEntry['latest'][number] | null;
  /** The surface with the worst of all that is found. */
  readonly worst: SurfaceAttention | null;
  /** "2 more surfaces need a look."; empty where none does. */
  readonly others: string;
}

/** How far a job is, what is next, and what needs a look. */
export function jobRow(job: JobEntry, glance: Glance | null): JobRowModel {
  const { surfaceCount, laidCount, latest } = job;
  const attention = glance?.attention ?? [];
  const [first] = worstFirst(attention.map((one) => one.first));
  const more = attention.length - 1;
  return {
    isDone: isDone(job),
    progress: progressOf(surfaceCount, laidCount),
    laidPercent: laidCount > 0 && laidCount < surfaceCount ? (100 * laidCount) / surfaceCount : null,
    next: latest.find(({ laid }) => !laid) ?? null,
    worst: attention.find((one) => one.first === first) ?? null,
    others: more < 1 ? '' : more === 1 ? 'One more surface needs a look.' : `${more} more surfaces need a look.`,
  };
}

function progressOf(all: number, laid: number): string {
  if (all === 0) return 'No surface yet';
  const surfaces = all === 1 ? '1 surface' : `${all} surfaces`;
  if (laid === 0) return surfaces;
  return laid === all ? `${surfaces}, all laid` : `${laid} of ${surfaces} laid`;
}
