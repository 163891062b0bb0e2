import type { Glance } from '@azulejo/core/formats/glance';
import type { Job } from '@azulejo/core/job/job';
import type { Entry } from '@azulejo/core/site/entry';
import type { Tick } from '@azulejo/core/site/tick';
import { lastSeen } from './lastSeen.ts';
import { isAway } from './reach.ts';
import type { Copy, JobEntry, LatestJob, Rescue, Saved, SentChange, ShelfItem, StoredJob } from '@azulejo/core/formats/apiTypes';

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
    isAway.value = true;
    throw new ServerError('network/unreachable', 'The server does not answer.');
  }
  isAway.value = false;
  if (answer.status === 204) return undefined as T;
  const content: unknown = await answer.json().catch(() => ({}));
  if (answer.ok) return content as T;
  const { code = 'server/failed', message = 'The server could not answer.', issues = [] } = content as Partial<ServerError>;
  throw new ServerError(code, message, issues);
}

/** Whether no server was met at all. */
export const isUnreachable = (error: unknown): boolean => error instanceof ServerError && error.code === 'network/unreachable';

const jobUrl = (id: string): string => `/jobs/${encodeURIComponent(id)}`;

/** What a new job begins with. */
interface NewJob {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  readonly system: 'metric' | 'imperial';
  /** Own figures of the person. */
  readonly habits: Job['habits'];
}

/** The server's API. */
export const api = {
  listTicks: (jobId: string) => ask<Tick[]>('GET', `${jobUrl(jobId)}/ticks`),
  listEntries: (jobId: string) => ask<Entry[]>('GET', `${jobUrl(jobId)}/entries`),
  addEntries: (jobId: string, entries: readonly Entry[]) => ask<{ added: number }>('POST', `${jobUrl(jobId)}/entries`, { entries }),
  listShelf: () => ask<ShelfItem[]>('GET', '/shelf'),
  addTicks: (jobId: string, ticks: readonly Tick[]) => ask<Tick[]>('POST', `${jobUrl(jobId)}/ticks`, { ticks }),
  listJobs: async () => {
    const jobs = await ask<JobEntry[]>('GET', '/jobs');
    void lastSeen.keep('jobs', jobs);
    return jobs;
  },
  takeGlance: (id: string, sketch: readonly string[]) =>
    ask<Glance>('GET', `${jobUrl(id)}/glance?${new URLSearchParams({ sketch: sketch.join(',') }).toString()}`),
  startJob: (job: NewJob) => ask<{ id: string }>('POST', '/jobs', job),
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
export const exportUrl = (jobId: string, exportId: string, surfaceId?: string, piece?: string): string => {
  const of = new URLSearchParams({ ...(surfaceId ? { surface: surfaceId } : {}), ...(piece ? { piece } : {}) }).toString();
  return `/api${jobUrl(jobId)}/exports/${exportId}${of && `?${of}`}`;
};
