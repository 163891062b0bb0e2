import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { differences } from '@azulejo/core/job/edit/differences';
import { editJob } from '@azulejo/core/job/edit/editJob';
import type { Job } from '@azulejo/core/job/job';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { NEW_PLACES, type TestPlace } from '../../testing/databases.ts';
import { JobRepository } from '../jobs/jobRepository.ts';
import { documentOf } from '../jobs/jobRows.ts';
import { LayoutRepository } from '../layouts/layoutRepository.ts';
import { SiteRepository } from '../site/siteRepository.ts';
import type { Database } from './database.ts';
import { migrate, migrationNames } from './migrate.ts';

const NAMES = migrationNames();
const PICTURE = Buffer.from('not really a picture');
const HASH = createHash('sha256').update(PICTURE).digest('hex');

const before = (id: string): Job => ({ ...jobOfOne({ size: [2400, 1500], tile: [300, 300], jointMm: 3 }), id, name: `Kept in ${id}` });
const changed = (job: Job) => editJob(job, 'joint', (draft) => void (draft.surfaces[0].jointMm = 5));
const uuid = (state: number, k: number): string => `00000000-0000-4000-8000-${String(100 * state + k).padStart(12, '0')}`;

/** What a job of each state was stored with, in the tables as they were then. A new migration adds a line for what it brought. */
const STORED: Readonly<Record<string, (database: Database, id: string, state: number) => Promise<unknown>>> = {
  '001_jobs.sql': async (database, id, state) => {
    const job = changed(before(id)).job;
    if (state > 0) return;
    await database.query('INSERT INTO job (id, doc, version, position) VALUES ($1::text, $2::jsonb, 2, 1)', [id, JSON.stringify(job)]);
    await database.query(
      `INSERT INTO job_change (job_id, position, label, forward, inverse) VALUES ($1::text, 1, 'Wider joint', '[]'::jsonb, '[]'::jsonb)`,
      [id],
    );
  },
  '002_parts.sql': async (database, id) => {
    const { job, change } = changed(before(id));
    await database.query('INSERT INTO job (id, doc, version, position) VALUES ($1::text, $2::jsonb, 2, 1)', [
      id,
      JSON.stringify(documentOf(job)),
    ]);
    for (const [table, rows] of [
      ['surface', job.surfaces],
      ['product', job.products],
    ] as const)
      for (const row of rows)
        await database.query(`INSERT INTO ${table} (job_id, id, version, doc) VALUES ($1::text, $2::text, 2, $3::jsonb)`, [
          id,
          row.id,
          JSON.stringify(row),
        ]);
    await database.query(
      `INSERT INTO job_change (job_id, position, id, label, edits, inverse)
       VALUES ($1::text, 1, 'c1', 'Wider joint', $2::jsonb, $3::jsonb)`,
      [id, JSON.stringify(change.edits), JSON.stringify(differences(job, before(id)))],
    );
  },
  '003_ticks.sql': (database, id, state) =>
    database.query(
      `INSERT INTO tick (job_id, id, surface_id, label, state, turn) VALUES ($1::text, $2::uuid, 'wall', 'A1', 'cut', 1), ($1::text, $3::uuid, 'wall', 'A1', 'laid', 2)`,
      [id, uuid(state, 1), uuid(state, 2)],
    ),
  '004_entries.sql': (database, id, state) => {
    // Until photos had rows of their own they stood in the log.
    const image = state < NAMES.indexOf('005_photos.sql') ? `data:image/png;base64,${PICTURE.toString('base64')}` : `photo:${HASH}`;
    const data = { kind: 'photo', caption: 'Screed', image };
    return database.query(
      `INSERT INTO entry (job_id, id, surface_id, kind, at, written_by, data)
       VALUES ($1::text, $2::uuid, null, 'photo', '2027-03-28T01:30:00Z', 'Ines', $3::jsonb)`,
      [id, uuid(state, 3), JSON.stringify(data)],
    );
  },
  '005_photos.sql': async (database, id) => {
    await database.query(
      `INSERT INTO photo (job_id, hash, media, content) VALUES ($1::text, $2::text, 'image/png', decode($3::text, 'base64'))`,
      [id, HASH, PICTURE.toString('base64')],
    );
    await database.query('INSERT INTO site_count (job_id, came) VALUES ($1::text, 4)', [id]);
  },
  '006_own_history.sql': (database, id) =>
    database.query(`UPDATE job_change SET made_by = 'phone', person = 'Ines' WHERE job_id = $1::text`, [id]),
  '007_layouts.sql': (database, _id, state) =>
    new LayoutRepository(database).keep([{ key: HASH, content: Buffer.from(`laid ${state}`).toString('base64') }]),
};

test('every migration has what was stored in its state', () => expect(Object.keys(STORED)).toEqual(NAMES));

describe.each(NEW_PLACES)('what was stored in every earlier state comes through all migrations: %s', (_name, newPlace) => {
  let place: TestPlace;
  let database: Database;
  const idOf = (state: number): string => `state-${state + 1}`;
  const since = (name: string): readonly string[] => NAMES.map((_, state) => idOf(state)).slice(NAMES.indexOf(name));

  beforeAll(async () => {
    place = await newPlace();
    database = await place.open();
    for (const [state, name] of NAMES.entries()) {
      expect(await migrate(database, NAMES.slice(0, state + 1))).toEqual([name]);
      for (const known of NAMES.slice(0, state + 1)) await STORED[known](database, idOf(state), state);
    }
  }, 60_000);
  afterAll(async () => {
    await database.close();
    await place.remove();
  });

  test('jobs, piece by piece', async () => {
    const jobs = new JobRepository(database);
    expect((await jobs.list()).map(({ id }) => id).sort()).toEqual(NAMES.map((_, state) => idOf(state)));
    for (const [state] of NAMES.entries()) {
      const id = idOf(state);
      const found = await jobs.find(id);
      expect(found.job).toEqual(changed(before(id)).job);
      const saved = await jobs.makeChange(id, found.version, {
        id: 'new',
        ...editJob(found.job, 'jobName', (draft) => void (draft.name = 'New')).change,
      });
      expect(saved.version).toBe(found.version + 1);
    }
  });

  test('their history, from the state on in which it can be followed; undone by whoever made it', async () => {
    const jobs = new JobRepository(database);
    await expect(jobs.undo(idOf(0), 'phone')).rejects.toMatchObject({ code: 'job/nothing-to-undo' });
    for (const id of since('002_parts.sql')) {
      const by = since('006_own_history.sql').includes(id) ? 'phone' : '';
      const { job } = await jobs.find(id);
      const own = await jobs.undo(id, by);
      // Since then nobody's name was changed by the one who asks where changes have makers.
      const undone = by === '' ? await jobs.undo(id, by) : own;
      expect(undone.job.surfaces[0].jointMm).toBe(before(id).surfaces[0].jointMm);
      expect(undone.job.surfaces[0].measured).toEqual(job.surfaces[0].measured);
    }
  });

  test('layouts, as they were kept first', async () => {
    const [kept] = await new LayoutRepository(database).find([HASH]);
    expect(Buffer.from(kept.content, 'base64').toString()).toBe(`laid ${NAMES.indexOf('007_layouts.sql')}`);
  });

  test('ticks, the log and its photos, each to be told of from now on', async () => {
    const site = new SiteRepository(database, new JobRepository(database));
    for (const id of since('003_ticks.sql')) expect(await site.listTicks(id)).toMatchObject([{ label: 'A1', state: 'laid', turn: 2 }]);
    for (const id of since('004_entries.sql')) {
      const [entry] = await site.listEntries(id);
      expect(entry).toMatchObject({ at: '2027-03-28T01:30:00.000Z', by: 'Ines', data: { kind: 'photo', image: `photo:${HASH}` } });
      expect(await site.findPhoto(id, HASH)).toEqual({ media: 'image/png', content: PICTURE.toString('base64') });
      const { came } = await site.since(id, (job, from) => site.listTicks(job, from), 0);
      expect(came).toBeGreaterThan(0);
    }
  });
});
