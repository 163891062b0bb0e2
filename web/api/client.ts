import { language } from '../words/language.ts';
import type { Glance } from '@azulejo/core/formats/glance';
import type { Job } from '@azulejo/core/job/job';
import type { Entry } from '@azulejo/core/site/entry';
import type { Tick } from '@azulejo/core/site/tick';
import { lastSeen } from '../saving/lastSeen.ts';
import { isAway, isSignedOut } from './reach.ts';
import { listOf, nothing, perhaps, thingWith, type Shape } from './shapes.ts';
import { thisBrowser, whoHolds } from './thisBrowser.ts';
import type {
  Copy,
  JobEntry,
  JobStanding,
  LatestJob,
  Rescue,
  Saved,
  SentChange,
  ShelfItem,
  StoredJob,
} from '@azulejo/core/formats/apiTypes';

/** A refusal by the server, or no answer at all (`network/unreachable`). */
export class ServerError extends Error {
  readonly code: string;
  readonly issues: readonly { readonly message: string }[];
  /** What else the server says of it. */
  readonly details: Readonly<Record<string, unknown>>;

  constructor(code: string, message: string, issues: ServerError['issues'] = [], details: ServerError['details'] = {}) {
    super(message);
    this.code = code;
    this.issues = issues;
    this.details = details;
  }

  /** The message with its reasons, for people. */
  get words(): string {
    return [this.message, ...this.issues.slice(0, 3).map(({ message }) => message)].join(' ');
  }
}

/** Asks the server. An answer counts only when it is of the shape that was asked for: a page of a proxy is none. */
async function ask<T>(method: string, url: string, shape: Shape, body?: object | string): Promise<T> {
  const type = typeof body === 'string' ? 'application/octet-stream' : 'application/json';
  let answer: Response;
  try {
    answer = await fetch(`/api${url}`, {
      method,
      // Where an answer would lead is a page of somebody else.
      redirect: 'manual',
      ...(body === undefined ? {} : { headers: { 'content-type': type }, body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
  } catch {
    throw unreachable();
  }
  const content: unknown = answer.status === 204 ? undefined : await answer.json().catch(() => NO_JSON);
  if (answer.ok && shape(content)) {
    [isAway.value, isSignedOut.value] = [false, false];
    return content as T;
  }
  throw refusalOf(answer, content);
}

const NO_JSON = Symbol('no JSON');

function refusalOf({ status, ok, type }: Response, content: unknown): ServerError {
  if (!ok && thingWith('code', 'message')(content)) {
    [isAway.value, isSignedOut.value] = [false, false];
    const { code, message, issues = [] } = content as Pick<ServerError, 'code' | 'message'> & Partial<ServerError>;
    return new ServerError(code, message, issues, content as ServerError['details']);
  }
  // None of the server's own words: something in between has answered.
  if (status === 413) return new ServerError('request/too-large', 'It is larger than the way to the server lets through.');
  if (ok || type === 'opaqueredirect' || (status >= 300 && status < 400) || [401, 403, 407].includes(status)) {
    isSignedOut.value = true;
    return new ServerError('network/signed-out', 'Not saved: you are asked to sign in again. What you change is kept here until then.');
  }
  return unreachable();
}

function unreachable(): ServerError {
  isAway.value = true;
  return new ServerError('network/unreachable', 'The server does not answer.');
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

/** Records that came since a count. */
export interface Came<Record> {
  readonly records: readonly Record[];
  readonly came: number;
}

const standing = thingWith('version', 'undoLabel', 'redoLabel');
const stored: Shape = (content) => standing(content) && thingWith('job')(content);
const came = thingWith('records', 'came');
const named = thingWith('id');
const record: Shape = (content) => thingWith('id', 'surfaceId')(content);

/** The server's API. */
export const api = {
  listTicks: (jobId: string, since: number) => ask<Came<Tick>>('GET', `${jobUrl(jobId)}/ticks?since=${since}`, came),
  listEntries: (jobId: string, since: number) => ask<Came<Entry>>('GET', `${jobUrl(jobId)}/entries?since=${since}`, came),
  addEntries: (jobId: string, entries: readonly Entry[]) =>
    ask<{ added: number; entries: Entry[] }>('POST', `${jobUrl(jobId)}/entries`, thingWith('added', 'entries'), { entries }),
  listShelf: () => ask<ShelfItem[]>('GET', '/shelf', listOf(named)),
  addTicks: (jobId: string, ticks: readonly Tick[]) => ask<Tick[]>('POST', `${jobUrl(jobId)}/ticks`, listOf(record), { ticks }),
  listJobs: async () => {
    const jobs = await ask<JobEntry[]>('GET', '/jobs', listOf(thingWith('id', 'name', 'version')));
    void lastSeen.keep('jobs', jobs);
    return jobs;
  },
  takeGlance: (id: string, sketch: readonly string[]) =>
    ask<Glance>('GET', `${jobUrl(id)}/glance?${new URLSearchParams({ sketch: sketch.join(',') }).toString()}`, thingWith('attention')),
  listLayouts: (id: string, release: string) =>
    ask<{ layouts: string[] }>('GET', `${jobUrl(id)}/layouts?${new URLSearchParams({ release }).toString()}`, thingWith('layouts')),
  startJob: (job: NewJob) => ask<{ id: string }>('POST', '/jobs', named, job),
  importJob: (text: string) => ask<{ id: string }>('POST', '/jobs/import', named, text),
  findJob: (id: string, since?: number, change?: string) => {
    const by = thisBrowser();
    const query = new URLSearchParams({ by, ...(since === undefined ? {} : { since: String(since) }), ...(change ? { change } : {}) });
    return ask<LatestJob>('GET', `${jobUrl(id)}?${query.toString()}`, stored);
  },
  makeChange: (id: string, baseVersion: number, change: SentChange) =>
    ask<Saved>('POST', `${jobUrl(id)}/changes`, standing, { baseVersion, change: { ...change, by: thisBrowser(), person: whoHolds() } }),
  findStanding: (id: string) =>
    ask<JobStanding>('GET', `${jobUrl(id)}/standing?${new URLSearchParams({ by: thisBrowser() }).toString()}`, standing),
  undo: (id: string) => ask<StoredJob>('POST', `${jobUrl(id)}/undo`, stored, { by: thisBrowser() }),
  redo: (id: string) => ask<StoredJob>('POST', `${jobUrl(id)}/redo`, stored, { by: thisBrowser() }),
  deleteJob: (id: string, baseVersion: number) => ask<void>('DELETE', `${jobUrl(id)}?baseVersion=${baseVersion}`, nothing),
  listCopies: () => ask<Copy[]>('GET', '/copies', listOf(thingWith('day', 'jobs'))),
  bringBack: (day: string, jobId: string) => ask<{ id: string }>('POST', `/copies/${day}${jobUrl(jobId)}`, named, {}),
  findRescue: () => ask<Rescue | null>('GET', '/copies/rescue', perhaps(thingWith('at', 'setAside'))),
  forgetRescue: () => ask<void>('DELETE', '/copies/rescue', nothing),
};

/** Where a picture of the log is: in the entry itself, or at its own address. */
export const pictureUrl = (jobId: string, image: string): string =>
  image.startsWith('photo:') ? `/api${jobUrl(jobId)}/photos/${image.slice('photo:'.length)}` : image;

/** Where an export can be downloaded, in the language that is spoken. */
export const exportUrl = (jobId: string, exportId: string, surfaceId?: string, piece?: string): string => {
  const of = new URLSearchParams({
    ...(surfaceId ? { surface: surfaceId } : {}),
    ...(piece ? { piece } : {}),
    ...(language.value === 'en' ? {} : { language: language.value }),
  }).toString();
  return `/api${jobUrl(jobId)}/exports/${exportId}${of && `?${of}`}`;
};
