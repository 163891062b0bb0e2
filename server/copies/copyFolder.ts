import type { Copy } from '@azulejo/core/formats/apiTypes';
import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { NO_RECORDS, siteRecordsSchema, type SiteRecords } from '@azulejo/core/site/siteRecords';
import type { JobRepository } from '../jobs/jobRepository.ts';
import { hashOf, putBackPhotos, takeOutPhotos } from '../site/photos.ts';
import type { SiteRepository } from '../site/siteRepository.ts';

/** Days of copies that are kept. */
const DAYS = 14;
const DAY = /^\d{4}-\d\d-\d\d$/;
const ENDING = '.azulejo.json';
const SITE_ENDING = '.site.json';
const TICKS_ENDING = '.ticks.json';

/** Where photos lie, beside the days. */
const PHOTOS = 'photos';

type FindPhoto = (hash: string) => Promise<{ readonly media: string; readonly content: string } | null>;

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
    for (const { id, version } of await jobs.list()) {
      const mark = `${day} ${version} ${await site.count(id)}`;
      if (this.written.get(id) === mark) continue;
      const found = await jobs.find(id).catch(() => null);
      if (found) await this.write(found.job, await site.find(id).catch(() => NO_RECORDS), day, (hash) => site.findPhoto(id, hash));
      this.written.set(id, mark);
    }
    const old = (await this.days()).slice(DAYS);
    for (const one of old) await rm(join(this.folder, one), { recursive: true, force: true });
    if (old.length > 0) await this.forgetPhotos();
  }

  /** Copies one job, whatever was copied of it before; photos stand in its entries. */
  async copyOne(job: Job, whole: SiteRecords, day: string): Promise<void> {
    const { entries, photos } = takeOutPhotos(whole.entries);
    const byHash = new Map(photos.map((photo) => [photo.hash, photo]));
    await this.write(job, { ticks: whole.ticks, entries }, day, (hash) => Promise.resolve(byHash.get(hash) ?? null));
    this.written.delete(job.id);
  }

  /** A photo is written once, for all days that have it. */
  private async write(job: Job, beside: SiteRecords, day: string, find: FindPhoto): Promise<void> {
    const target = join(this.folder, day);
    await mkdir(target, { recursive: true, mode: 0o700 });
    await mkdir(join(this.folder, PHOTOS), { recursive: true, mode: 0o700 });
    for (const hash of beside.entries.flatMap((entry) => hashOf(entry) ?? [])) {
      const path = join(this.folder, PHOTOS, hash);
      const photo = existsSync(path) ? null : await find(hash).catch(() => null);
      if (photo) await writeWhole(path, `data:${photo.media};base64,${photo.content}`);
    }
    await writeWhole(join(target, fileOf(job.id)), writeJobFile(job));
    if (beside.ticks.length + beside.entries.length > 0)
      await writeWhole(join(target, fileOf(job.id, SITE_ENDING)), JSON.stringify(beside));
  }

  private async readPhoto(hash: string): Promise<{ media: string; content: string } | null> {
    const text = await readFile(join(this.folder, PHOTOS, hash), 'utf8').catch(() => '');
    const [, media, content] = /^data:([^;]+);base64,(.+)$/.exec(text) ?? [];
    return media ? { media, content } : null;
  }

  /** Photos that no day has any more. */
  private async forgetPhotos(): Promise<void> {
    const named = new Set<string>();
    for (const day of await this.days())
      for (const name of await readdir(join(this.folder, day)))
        if (name.endsWith(SITE_ENDING))
          for (const [, hash] of (await readFile(join(this.folder, day, name), 'utf8')).matchAll(/"photo:([0-9a-f]{64})"/g))
            named.add(hash);
    for (const hash of await readdir(join(this.folder, PHOTOS)).catch(() => []))
      if (!named.has(hash)) await rm(join(this.folder, PHOTOS, hash), { force: true });
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

  /** What was kept beside a job on a day, photos in it; nothing where that can't be read. Copies made before there was a log hold ticks alone. */
  async siteOf(day: string, id: string): Promise<SiteRecords> {
    const read = async (ending: string): Promise<unknown> =>
      JSON.parse(await readFile(join(this.folder, day, fileOf(id, ending)), 'utf8').catch(() => 'null'));
    try {
      const whole = siteRecordsSchema.safeParse(await read(SITE_ENDING));
      if (whole.success)
        return { ticks: whole.data.ticks, entries: await putBackPhotos(whole.data.entries, (hash) => this.readPhoto(hash)) };
      const ticks = siteRecordsSchema.shape.ticks.safeParse(await read(TICKS_ENDING));
      return ticks.success ? { ticks: ticks.data, entries: [] } : NO_RECORDS;
    } catch {
      return NO_RECORDS;
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

/** Today, as the folder of its copies is named. */
export function today(now = new Date()): string {
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
}
