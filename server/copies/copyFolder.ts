import type { Copy } from '@azulejo/core/formats/apiTypes';
import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { siteRecordsSchema } from '@azulejo/core/site/siteRecords';
import type { JobRepository } from '../jobs/jobRepository.ts';
import type { SiteRecords, SiteRepository } from '../site/siteRepository.ts';

/** Days of copies that are kept. */
const DAYS = 14;
const DAY = /^\d{4}-\d\d-\d\d$/;
const ENDING = '.azulejo.json';
const SITE_ENDING = '.site.json';
const TICKS_ENDING = '.ticks.json';

const NOTHING: SiteRecords = { ticks: [], entries: [] };

/**
 * Copies of all jobs as job files, one folder a day, beside the database and readable without it. A job that
 * has not changed since the last copy of the day is not written again.
 */
export class CopyFolder {
  private readonly folder: string;
  /** What was written for a job last: the day and its version. */
  private readonly written = new Map<string, string>();

  constructor(dataFolder: string) {
    this.folder = join(dataFolder, 'copies');
  }

  /** Copies what changed since the last time, one job after the other, and forgets copies that are too old. */
  async copyAll(jobs: JobRepository, site: SiteRepository, day: string): Promise<void> {
    const target = join(this.folder, day);
    await mkdir(target, { recursive: true, mode: 0o700 });
    const entries = await jobs.list();
    for (const { id, version } of entries) {
      const beside = await site.find(id).catch(() => NOTHING);
      // Entries are only added, so that their number tells whether any came.
      const mark = `${day} ${version} ${beside.entries.length} ${JSON.stringify(beside.ticks)}`;
      if (this.written.get(id) === mark) continue;
      const found = await jobs.find(id).catch(() => null);
      if (found) await writeWhole(join(target, fileOf(id)), writeJobFile(found.job));
      if (found && beside.ticks.length + beside.entries.length > 0)
        await writeWhole(join(target, fileOf(id, SITE_ENDING)), JSON.stringify(beside));
      this.written.set(id, mark);
    }
    for (const old of (await this.days()).slice(DAYS)) await rm(join(this.folder, old), { recursive: true, force: true });
  }

  /** The days there are copies of, the newest first. */
  async days(): Promise<string[]> {
    const names = await readdir(this.folder).catch(() => []);
    return names
      .filter((name) => DAY.test(name))
      .sort()
      .reverse();
  }

  /** What the copies hold, the newest first. */
  async list(): Promise<Copy[]> {
    const days = await this.days();
    return Promise.all(
      days.map(async (day) => ({
        day,
        jobs: (await this.jobsOf(day)).map((job) => ({
          id: job.id,
          name: job.name,
          client: job.client,
          surfaceCount: job.surfaces.length,
        })),
      })),
    );
  }

  /** All jobs of a day that can be read. */
  async jobsOf(day: string): Promise<Job[]> {
    const names = await readdir(join(this.folder, day)).catch(() => []);
    const found = await Promise.all(names.filter((name) => name.endsWith(ENDING)).map((name) => readCopy(join(this.folder, day, name))));
    return found.flatMap((job) => job ?? []);
  }

  /** What was kept beside a job on a day; nothing where that can't be read. Copies made before there was a log hold ticks alone. */
  async siteOf(day: string, id: string): Promise<SiteRecords> {
    const read = async (ending: string): Promise<unknown> =>
      JSON.parse(await readFile(join(this.folder, day, fileOf(id, ending)), 'utf8').catch(() => 'null'));
    try {
      const whole = siteRecordsSchema.safeParse(await read(SITE_ENDING));
      if (whole.success) return whole.data;
      const ticks = siteRecordsSchema.shape.ticks.safeParse(await read(TICKS_ENDING));
      return ticks.success ? { ticks: ticks.data, entries: [] } : NOTHING;
    } catch {
      return NOTHING;
    }
  }

  /** One job of a day; null when there is none. */
  find(day: string, id: string): Promise<Job | null> {
    return readCopy(join(this.folder, day, fileOf(id)));
  }
}

const fileOf = (id: string, ending = ENDING): string => `${encodeURIComponent(id).replaceAll('.', '%2E')}${ending}`;

/** Never half a file: written beside, then put in its place. */
async function writeWhole(path: string, text: string): Promise<void> {
  await writeFile(`${path}.new`, text, { mode: 0o600, flush: true });
  await rename(`${path}.new`, path);
}

/** A copy is taken as it is: today's checks may be stricter than those it passed. */
async function readCopy(path: string): Promise<Job | null> {
  try {
    const data: unknown = JSON.parse(await readFile(path, 'utf8'));
    return typeof data === 'object' && data !== null && 'format' in data && data.format === 'azulejo-job' ? (data as Job) : null;
  } catch {
    return null;
  }
}
