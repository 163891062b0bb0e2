import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { editJob } from '@azulejo/core/job/edit/editJob';
import { JOB_VERSION, type Job } from '@azulejo/core/job/job';
import { seededNumbers } from '@azulejo/core/geometry/seededNumbers';
import { NEW_PLACES, type TestPlace } from '../../testing/databases.ts';
import { demoJob } from '../../testing/demoJob.ts';
import type { Database } from '../db/database.ts';
import { migrate, migrationNames } from '../db/migrate.ts';
import { SiteRepository } from '../site/siteRepository.ts';
import { bringJobsForward } from './bringJobsForward.ts';
import { JobRepository } from './jobRepository.ts';

const demo = demoJob('tidewater-bakehouse');
const PROCESSES = 3;

/** A process as the database sees it: connections and a memory of its own. */
interface Process {
  readonly database: Database;
  jobs: JobRepository;
}

describe.each(NEW_PLACES.filter(([name]) => name === 'PostgreSQL'))('several processes on one %s', (_name, newPlace) => {
  let place: TestPlace;
  let processes: Process[];

  beforeAll(async () => {
    place = await newPlace();
    const databases = await Promise.all(Array.from({ length: PROCESSES }, () => place.open()));
    processes = databases.map((database) => ({ database, jobs: new JobRepository(database) }));
  }, 60_000);
  afterAll(async () => {
    for (const { database } of processes) await database.close();
    await place.remove();
  });
  beforeEach(async () => {
    const [{ database }] = processes;
    // The first test finds a database without tables.
    await database.run("DO $$ BEGIN IF to_regclass('job') IS NOT NULL THEN DELETE FROM job; END IF; END $$");
    for (const one of processes) one.jobs = new JobRepository(one.database);
  });

  test('started at once on an empty database, each migration runs once', async () => {
    const ran = await Promise.all(processes.map(({ database }) => migrate(database)));
    expect(ran.flat().sort()).toEqual(migrationNames());
  });

  test('started at once on jobs of an older version, each is brought forward once', async () => {
    const [{ database, jobs }] = processes;
    const ids = ['a', 'b', 'c', 'd'];
    for (const id of ids) await jobs.insert({ ...demo, id, version: JOB_VERSION - 1 } as unknown as Job);
    await Promise.all(processes.map((one) => bringJobsForward(one.database, one.jobs)));
    const rows = await database.query<{ version: number; stored: number }>(
      `SELECT version, (doc ->> 'version')::integer AS stored FROM job`,
    );
    expect(rows).toEqual(ids.map(() => ({ version: 2, stored: JOB_VERSION })));
  });

  test('what one process saved is what the next one builds on, and what it no longer knows is not held against anybody', async () => {
    const [one, other] = processes.map(({ jobs }) => jobs);
    await one.insert(demo);
    await other.find(demo.id);
    const added = { ...demo.surfaces[1], id: 'added', name: 'Added' };
    const first = editJob(demo, 'addSurface', (draft) => void draft.surfaces.push(added));
    await one.makeChange(demo.id, 1, { id: 'add', ...first.change });
    // The other process still remembers the job without it; whoever changes it saw it elsewhere.
    const second = editJob(first.job, 'joint', (draft) => void (draft.surfaces[draft.surfaces.length - 1].jointMm = 7));
    await other.makeChange(demo.id, 2, { id: 'joint', ...second.change });
    // An edit that the remembered job would refuse is judged by the job as it stands.
    const gone = editJob(second.job, 'deleteSurface', (draft) => void draft.surfaces.pop());
    await one.makeChange(demo.id, 3, { id: 'delete', ...gone.change });
    await other.makeChange(demo.id, 4, {
      id: 'again',
      ...editJob(gone.job, 'broughtBack', (draft) => void draft.surfaces.push(added)).change,
    });
    expect((await one.find(demo.id)).job.surfaces.at(-1)).toEqual(added);
  });

  test.each([11])('many hands on many surfaces through all of them lose nothing and make nothing twice (seed %i)', async (seed) => {
    const random = seededNumbers(seed);
    await processes[0].jobs.insert(demo);
    const hands = Array.from({ length: 9 }, (_, k) => ({
      k,
      jobs: processes[k % PROCESSES].jobs,
      mm: demo.surfaces[k].jointMm,
      undone: 0,
    }));
    await Promise.all(
      hands.map(async (hand) => {
        let { job, version } = await hand.jobs.find(demo.id);
        for (let step = 0; step < 8; step++) {
          if (step > 2 && random() < 0.25) {
            ({ job, version } = await hand.jobs.undo(demo.id, `hand-${hand.k}`));
            hand.mm = job.surfaces[hand.k].jointMm;
            hand.undone++;
            continue;
          }
          hand.mm += 0.25;
          const { change, job: after } = editJob(job, `joint|${step}`, (draft) => void (draft.surfaces[hand.k].jointMm = hand.mm));
          const sent = { id: `${hand.k}-${step}`, ...change, by: `hand-${hand.k}` };
          const saved = await hand.jobs.makeChange(demo.id, version, sent);
          // The answer was lost, and the next process is asked.
          if (random() < 0.3) await processes[(hand.k + 1) % PROCESSES].jobs.makeChange(demo.id, version, sent);
          [job, version] = [after, saved.version];
        }
      }),
    );
    const { job, version } = await processes[0].jobs.find(demo.id);
    expect(hands.map(({ k }) => job.surfaces[k].jointMm)).toEqual(hands.map(({ mm }) => mm));
    expect(version).toBe(1 + 9 * 8);
    for (const { jobs } of processes) expect((await jobs.find(demo.id)).job).toEqual(job);
  });

  test('ticks through all of them are all told to whoever asks for what came since', async () => {
    await processes[0].jobs.insert(demo);
    const sites = processes.map(({ database, jobs }) => new SiteRepository(database, jobs));
    const tick = (k: number) => ({
      id: `00000000-0000-4000-8000-${String(k).padStart(12, '0')}`,
      surfaceId: demo.surfaces[0].id,
      label: `A${k}`,
      state: 'cut' as const,
      turn: 1,
    });
    const seen = new Set<string>();
    let since = 0;
    const look = async (): Promise<void> => {
      const came = await sites[0].since(demo.id, (id, from) => sites[0].listTicks(id, from), since);
      for (const { label } of came.records) seen.add(label);
      since = came.came;
    };
    let ticking = true;
    const looking = (async () => {
      while (ticking) await look();
    })();
    await Promise.all(Array.from({ length: 60 }, (_, k) => sites[k % PROCESSES].addTicks(demo.id, [tick(k)])));
    ticking = false;
    await looking;
    await look();
    expect(seen.size).toBe(60);
  });
});
