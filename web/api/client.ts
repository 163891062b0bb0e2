import type { Glance } from '@azulejo/core/formats/glance';
import type { Change } from '@azulejo/core/job/edit/editJob';
import type { Job } from '@azulejo/core/job/job';
import type { Shape } from '@azulejo/core/surface/shapes/registry';

/** A job in the list. */
export interface JobEntry {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  readonly surfaceCount: number;
  readonly version: number;
  readonly updatedAt: string;
  /** Surfaces that the work is done on. */
  readonly laidCount: number;
  /** Lengths still to be measured since surfaces were copied. */
  readonly toMeasureAgain: number;
  /** The surfaces that changed last, those not laid first. */
  readonly latest: readonly { readonly id: string; readonly name: string; readonly laid: boolean; readonly shape: Shape }[];
}

/** Where a job stands on the server. */
export interface JobStanding {
  readonly version: number;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
}

/** A job as the server keeps it. */
export interface StoredJob extends JobStanding {
  readonly job: Job;
}

/** A stored job, and the parts of it that changed since the version that was known. */
export interface LatestJob extends StoredJob {
  readonly changed: readonly string[];
  /** Whether the change that was asked for is in its history. */
  readonly made: boolean;
}

/** Where a job stands after a change, and what others had changed since the version it was built on. */
export interface Saved extends JobStanding {
  readonly others: readonly string[];
}

/** A change on its way, known by its id when it is sent again. */
export interface SentChange extends Change {
  readonly id: string;
}

/** A day's copy of all jobs. */
export interface Copy {
  readonly day: string;
  readonly jobs: readonly { readonly id: string; readonly name: string; readonly client: string; readonly surfaceCount: number }[];
}

/** What the server put together anew when it started on damaged data. */
export interface Rescue {
  readonly at: string;
  readonly fromData: readonly string[];
  readonly fromCopies: readonly { readonly name: string; readonly day: string }[];
  readonly setAside: string;
}

/** A refusal by the server, or no answer at all (`network/unreachable`). */
export class ServerError extends Error {
  readonly code: string;
  readonly issues: readonly { readonly message: string }[];

  constructor(code: string, message: string, issues: ServerError['issues'] = []) {
    super(message);
    this.code = code;
    this.issues = issues;
  }

  /** The message with its reasons, for people. */
  get words(): string {
    return [this.message, ...this.issues.slice(0, 3).map(({ message }) => message)].join(' ');
  }
}

async function ask<T>(method: string, url: string, body?: object | string): Promise<T> {
  const type = typeof body === 'string' ? 'application/octet-stream' : 'application/json';
  let answer: Response;
  try {
    answer = await fetch(`/api${url}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': type }, body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
  } catch {
    throw new ServerError('network/unreachable', 'The server does not answer.');
  }
  if (answer.status === 204) return undefined as T;
  const content: unknown = await answer.json().catch(() => ({}));
  if (answer.ok) return content as T;
  const { code = 'server/failed', message = 'The server could not answer.', issues = [] } = content as Partial<ServerError>;
  throw new ServerError(code, message, issues);
}

const jobUrl = (id: string): string => `/jobs/${encodeURIComponent(id)}`;

/** The server's API. */
export const api = {
  listJobs: () => ask<JobEntry[]>('GET', '/jobs'),
  takeGlance: (id: string, sketch: readonly string[]) =>
    ask<Glance>('GET', `${jobUrl(id)}/glance?${new URLSearchParams({ sketch: sketch.join(',') }).toString()}`),
  startJob: (id: string, name: string, client: string, system: 'metric' | 'imperial') =>
    ask<{ id: string }>('POST', '/jobs', { id, name, client, system }),
  importJob: (text: string) => ask<{ id: string }>('POST', '/jobs/import', text),
  findJob: (id: string, since?: number, change?: string) => {
    const query = new URLSearchParams({ ...(since === undefined ? {} : { since: String(since) }), ...(change ? { change } : {}) });
    return ask<LatestJob>('GET', `${jobUrl(id)}?${query.toString()}`);
  },
  makeChange: (id: string, baseVersion: number, change: SentChange) => ask<Saved>('POST', `${jobUrl(id)}/changes`, { baseVersion, change }),
  undo: (id: string, baseVersion: number) => ask<StoredJob>('POST', `${jobUrl(id)}/undo`, { baseVersion }),
  redo: (id: string, baseVersion: number) => ask<StoredJob>('POST', `${jobUrl(id)}/redo`, { baseVersion }),
  deleteJob: (id: string, baseVersion: number) => ask<void>('DELETE', `${jobUrl(id)}?baseVersion=${baseVersion}`),
  listCopies: () => ask<Copy[]>('GET', '/copies'),
  bringBack: (day: string, jobId: string) => ask<{ id: string }>('POST', `/copies/${day}${jobUrl(jobId)}`, {}),
  findRescue: () => ask<Rescue | null>('GET', '/copies/rescue'),
  forgetRescue: () => ask<void>('DELETE', '/copies/rescue'),
};

/** Where an export can be downloaded. */
export const exportUrl = (jobId: string, exportId: string, surfaceId?: string): string =>
  `/api${jobUrl(jobId)}/exports/${exportId}${surfaceId ? `?surface=${encodeURIComponent(surfaceId)}` : ''}`;
