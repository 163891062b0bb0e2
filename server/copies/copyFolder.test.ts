import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Job } from '@azulejo/core/job/job';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import type { Entry } from '@azulejo/core/site/entry';
import type { SiteRecords } from '@azulejo/core/site/siteRecords';
import type { JobRepository } from '../jobs/jobRepository.ts';
import { takeOutPhotos, type Photo } from '../site/photos.ts';
import type { SiteRepository } from '../site/siteRepository.ts';
import { CopyFolder, today } from './copyFolder.ts';

const job: Job = { ...jobOfOne({ size: [2400, 1500], tile: [300, 300], jointMm: 3 }), id: 'wall' };
const PICTURE = `data:image/png;base64,${Buffer.from('a picture').toString('base64')}`;
const photo = (id: number, image = PICTURE): Entry => ({
  id: `00000000-0000-4000-8000-${String(id).padStart(12, '0')}`,
  at: '2027-03-01T08:00:00.000Z',
  by: '',
  surfaceId: null,
  replaces: null,
  data: { kind: 'photo', image, text: '', pin: null },
});

/** What the copies are made of: jobs with their versions and what is kept beside them. */
class Stored {
  readonly jobs = new Map<string, { job: Job; version: number; came: number; site: SiteRecords }>();
  readonly photos = new Map<string, Photo>();
  put(one: Job, entries: readonly Entry[] = [], version = 1): void {
    const out = takeOutPhotos(entries);
    for (const picture of out.photos) this.photos.set(picture.hash, picture);
    this.jobs.set(one.id, { job: one, version, came: entries.length, site: { ticks: [], entries: out.entries } });
  }
  private of(id: string) {
    const found = this.jobs.get(id);
    return found ? Promise.resolve(found) : Promise.reject(new Error('job/not-found'));
  }
  readonly repository = {
    list: () => Promise.resolve([...this.jobs].map(([id, { version }]) => ({ id, version }))),
    find: (id: string) => this.of(id),
  } as unknown as JobRepository;
  readonly site = {
    count: async (id: string) => (await this.of(id)).came,
    find: async (id: string) => (await this.of(id)).site,
    findPhoto: (_: string, hash: string) => Promise.resolve(this.photos.get(hash) ?? null),
  } as unknown as SiteRepository;
}

let folder: string;
let stored: Stored;
let copies: CopyFolder;
const copyOn = (day: string): Promise<void> => copies.copyAll(stored.repository, stored.site, day);
const fileOf = (day: string, ending = '.azulejo.json'): string => join(folder, 'copies', day, `wall${ending}`);
const photos = (): string[] => (existsSync(join(folder, 'copies', 'photos')) ? readdirSync(join(folder, 'copies', 'photos')) : []);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'azulejo-copies-'));
  [stored, copies] = [new Stored(), new CopyFolder(folder)];
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('a copy holds the job and what is beside it, photos in it; they are its owner’s alone', async () => {
  stored.put(job, [photo(1)]);
  await copyOn('2027-03-01');
  expect(await copies.find('2027-03-01', 'wall')).toEqual(job);
  expect((await copies.siteOf('2027-03-01', 'wall')).entries).toEqual([photo(1)]);
  expect(await copies.list()).toEqual([{ day: '2027-03-01', jobs: [{ id: 'wall', name: job.name, client: '', surfaceCount: 1 }] }]);
  for (const file of [fileOf('2027-03-01'), join(folder, 'copies', 'photos', photos()[0])]) expect(statSync(file).mode & 0o077).toBe(0);
});

test('what did not change since the last copy of the day is not written again; what did, is', async () => {
  stored.put(job);
  await copyOn('2027-03-01');
  const long = new Date('2020-01-01');
  utimesSync(fileOf('2027-03-01'), long, long);
  await copyOn('2027-03-01');
  expect(statSync(fileOf('2027-03-01')).mtime).toEqual(long);
  stored.put({ ...job, name: 'Renamed' }, [], 2);
  await copyOn('2027-03-01');
  expect((await copies.find('2027-03-01', 'wall'))?.name).toBe('Renamed');
  // What came beside it counts too, and a new day has all.
  stored.put({ ...job, name: 'Renamed' }, [photo(1)], 2);
  await copyOn('2027-03-01');
  expect((await copies.siteOf('2027-03-01', 'wall')).entries).toHaveLength(1);
  await copyOn('2027-03-02');
  expect(await copies.days()).toEqual(['2027-03-02', '2027-03-01']);
});

test('fourteen days are kept, and a photo as long as any day has it', async () => {
  stored.put(job, [photo(1), photo(2, PICTURE.replace('YS', 'Yi'))]);
  await copyOn('2027-03-01');
  expect(photos()).toHaveLength(2);
  stored.put(job, [photo(1)], 2);
  for (let day = 2; day <= 15; day++) await copyOn(`2027-03-${String(day).padStart(2, '0')}`);
  const days = await copies.days();
  expect([days.length, days.at(-1)]).toEqual([14, '2027-03-02']);
  expect(photos()).toHaveLength(1);
  expect((await copies.siteOf('2027-03-15', 'wall')).entries).toEqual([photo(1)]);
});

test('a copy that is damaged hides no other, and half a file is none', async () => {
  stored.put(job);
  stored.put({ ...job, id: 'other', name: 'Other' });
  await copyOn('2027-03-01');
  writeFileSync(fileOf('2027-03-01'), readFileSync(fileOf('2027-03-01'), 'utf8').slice(0, 200));
  writeFileSync(fileOf('2027-03-01', '.site.json'), '{');
  expect(await copies.find('2027-03-01', 'wall')).toBeNull();
  expect((await copies.jobsOf('2027-03-01')).map(({ id }) => id)).toEqual(['other']);
  expect(await copies.siteOf('2027-03-01', 'wall')).toEqual({ ticks: [], entries: [] });
});

test('copies from before there was a log hold ticks alone, and are read', async () => {
  mkdirSync(join(folder, 'copies', '2026-01-01'), { recursive: true });
  const tick = { id: photo(1).id, surfaceId: 's', label: 'A1', state: 'cut', turn: 1 };
  writeFileSync(fileOf('2026-01-01', '.ticks.json'), JSON.stringify([tick]));
  expect(await copies.siteOf('2026-01-01', 'wall')).toEqual({ ticks: [tick], entries: [] });
});

test('an id that leads out of the folder leads nowhere', async () => {
  const out = { ...job, id: '../../../etc/passwd' };
  stored.put(out);
  await copyOn('2027-03-01');
  expect(readdirSync(join(folder, 'copies', '2027-03-01'))).toEqual([expect.not.stringContaining('/')]);
  expect((await copies.find('2027-03-01', out.id))?.id).toBe(out.id);
});

test('a job that is deleted while copies are made is passed over; one that is deleted is copied first, and copied again if it comes back', async () => {
  stored.put(job);
  const { repository } = stored;
  const list = await repository.list();
  stored.jobs.clear();
  await copies.copyAll(
    { ...repository, list: () => Promise.resolve(list) } as unknown as JobRepository,
    { ...stored.site, count: () => Promise.resolve(0) } as unknown as SiteRepository,
    '2027-03-01',
  );
  expect(await copies.jobsOf('2027-03-01')).toEqual([]);
  await copies.copyOne(job, { ticks: [], entries: [photo(1)] }, '2027-03-01');
  expect((await copies.siteOf('2027-03-01', 'wall')).entries).toEqual([photo(1)]);
  stored.put({ ...job, name: 'Back again' });
  await copyOn('2027-03-01');
  expect((await copies.find('2027-03-01', 'wall'))?.name).toBe('Back again');
});

test('a day is called by the calendar of the place, whatever the hour', () => {
  expect(today(new Date(2027, 0, 5, 23, 59))).toBe('2027-01-05');
  expect(today(new Date(2027, 11, 31, 0, 1))).toBe('2027-12-31');
});
