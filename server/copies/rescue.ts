import { existsSync, renameSync } from 'node:fs';
import type { Database } from '../db/database.ts';
import { migrate } from '../db/migrate.ts';
import { bringJobsForward } from '../jobs/bringJobsForward.ts';
import { readQueries } from '../db/readQueries.ts';
import { JobRepository } from '../jobs/jobRepository.ts';
import { SiteRepository } from '../site/siteRepository.ts';
import type { Rescue } from '@azulejo/core/formats/apiTypes';
import type { CopyFolder } from './copyFolder.ts';
import { putTogether, readDamaged, type ReadRows, type Readable } from './readDamaged.ts';

const SQL = readQueries(import.meta.url, ['readEverything']);

/** Opens a database in a folder. */
export type Open = (folder: string) => Promise<Database>;

/** An open database and what had to be rescued for it; null when nothing had to. */
export interface Opened {
  readonly database: Database;
  readonly rescued: Rescue | null;
}

/**
 * Opens the data; where any of it can't be read, rescues what can be, takes the rest from the daily copies, and
 * puts the damaged files aside. A database of a newer version is not damage, and is refused.
 */
export async function openOrRescue(folder: string, open: Open, copies: CopyFolder, now = new Date()): Promise<Opened> {
  const isNew = !existsSync(`${folder}/PG_VERSION`);
  const database = await open(folder).catch((error: unknown) => {
    if (isNew) throw error;
    return null;
  });
  if (database) {
    try {
      await migrate(database);
      await bringJobsForward(database, new JobRepository(database));
      await readEverything(database);
      return { database, rescued: null };
    } catch (error) {
      if (isNew || !isDamage(error)) throw error;
    }
  }
  const readable = database ? await readDamaged(database) : [];
  await database?.close().catch(() => undefined);
  return startAgain(folder, open, copies, readable, now);
}

/** Goes back to the copy of a day: what is there now is put aside whole. Throws when there is no such copy. */
export async function goBackTo(day: string, folder: string, open: Open, copies: CopyFolder, now = new Date()): Promise<Opened> {
  const jobs = await copies.jobsOf(day);
  if (jobs.length === 0) throw new Error(`there is no copy of ${day}; there are: ${(await copies.days()).join(', ') || 'none'}`);
  const setAside = putAside(folder, 'before-going-back', now);
  const kept = await Promise.all(jobs.map(async (job): Promise<ReadRows> => ({ job, site: await copies.siteOf(day, job.id) })));
  const database = await fill(folder, open, kept);
  return {
    database,
    rescued: { at: now.toISOString(), fromData: [], fromCopies: jobs.map(({ name }) => ({ name, day })), lost: [], setAside },
  };
}

async function startAgain(folder: string, open: Open, copies: CopyFolder, readable: readonly Readable[], now: Date): Promise<Opened> {
  const copied = await newestCopies(copies);
  const rescued = new Map(readable.map((one) => [one.id, putTogether(one, copied.get(one.id) ?? null)]));
  for (const [id, copy] of copied) if (!rescued.has(id)) rescued.set(id, { ...copy, lost: 0 });
  const setAside = putAside(folder, 'damaged', now);
  const all = [...rescued.values()];
  const database = await fill(folder, open, all);
  const note: Rescue = {
    at: now.toISOString(),
    fromData: all.filter(({ day }) => day === '').map(({ job }) => job.name),
    fromCopies: all.filter(({ day }) => day !== '').map(({ job, day }) => ({ name: job.name, day })),
    lost: all.filter(({ lost }) => lost > 0).map(({ job, lost }) => ({ name: job.name, parts: lost })),
    setAside,
  };
  return { database, rescued: note };
}

/** The newest copy of every job, and its day. */
async function newestCopies(copies: CopyFolder): Promise<Map<string, ReadRows & { day: string }>> {
  const found = new Map<string, ReadRows & { day: string }>();
  for (const day of await copies.days())
    for (const job of await copies.jobsOf(day))
      if (!found.has(job.id)) found.set(job.id, { job, site: await copies.siteOf(day, job.id), day });
  return found;
}

async function fill(folder: string, open: Open, all: readonly ReadRows[]): Promise<Database> {
  const database = await open(folder);
  await migrate(database);
  const repository = new JobRepository(database);
  const beside = new SiteRepository(database, repository);
  for (const { job, site } of all) {
    await repository.insert(job);
    await beside.bringBack(job.id, site);
  }
  await bringJobsForward(database, repository);
  return database;
}

function putAside(folder: string, why: string, now: Date): string {
  const aside = `${folder}-${why}-${now.toISOString().replaceAll(':', '-').slice(0, 19)}`;
  if (existsSync(folder)) renameSync(folder, aside);
  return aside;
}

/** Reads every row of every table, so that damage is found at the start and not in the middle of a day. */
const readEverything = (database: Database): Promise<unknown> => database.query(SQL.readEverything);

/** PostgreSQL's class XX, or PGlite that fell over: not a full disk, not a newer version. */
const isDamage = (error: unknown): boolean =>
  error instanceof Error && (/^XX/.test('code' in error ? String(error.code) : '') || error.name === 'RuntimeError');
