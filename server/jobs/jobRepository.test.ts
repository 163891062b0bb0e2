import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { editJob } from '@azulejo/core/job/edit/editJob';
import type { Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import { NEW_PLACES, type TestPlace } from '../../testing/databases.ts';
import { demoJob } from '../../testing/demoJob.ts';
import type { Database } from '../db/database.ts';
import { migrate } from '../db/migrate.ts';
import { JobRepository } from './jobRepository.ts';

const demo = demoJob('tidewater-bakehouse');
let database: Database;
let jobs: JobRepository;
let sent = 0;

/** One person's window: what it last saw, and what it sends. */
class Window {
  job: Job = demo;
  version = 1;
  readonly by: string;
  constructor(by = '') {
    this.by = by;
  }
  async save(label: string, recipe: (draft: Job) => void, id = `c${++sent}`) {
    const { change, job } = editJob(this.job, 'joint', recipe);
    const standing = await jobs.makeChange(demo.id, this.version, { id, ...change, label, by: this.by, person: this.by });
    [this.job, this.version] = [job, standing.version];
    return standing;
  }
  async look(): Promise<void> {
    ({ job: this.job, version: this.version } = await jobs.find(demo.id));
  }
}
const surfaceNamed = (job: Job, id: string) => job.surfaces.find((surface) => surface.id === id);
const [first, second, third] = demo.surfaces.map(({ id }) => id);

describe.each(NEW_PLACES)('jobs in %s', (_database, newPlace) => {
  let place: TestPlace;
  beforeAll(async () => {
    place = await newPlace();
    database = await place.open();
    await migrate(database);
  }, 60_000);
  afterAll(async () => {
    await database.close();
    await place.remove();
  });
  beforeEach(async () => {
    await database.run('DELETE FROM job');
    jobs = new JobRepository(database);
    await jobs.insert(demo);
  });

  test('a job comes back as it was kept, surfaces and tiles in their order', async () => {
    expect((await jobs.find(demo.id)).job).toEqual(demo);
  });

  describe('two people on one job', () => {
    test('on two surfaces they never meet, and both stay', async () => {
      const [mine, theirs] = [new Window(), new Window()];
      await theirs.save('Theirs', (draft) => void (draft.surfaces[1].jointMm += 1));
      await mine.save('Mine', (draft) => void (draft.surfaces[2].jointMm += 1));
      const { job } = await jobs.find(demo.id);
      expect([job.surfaces[1].jointMm, job.surfaces[2].jointMm]).toEqual([demo.surfaces[1].jointMm + 1, demo.surfaces[2].jointMm + 1]);
    });
    test('on one surface the second is told, and nothing is overwritten', async () => {
      const [mine, theirs] = [new Window(), new Window()];
      await theirs.save('Theirs', (draft) => void (draft.surfaces[1].jointMm += 1));
      await expect(mine.save('Mine', (draft) => void (draft.surfaces[1].name = 'Mine'))).rejects.toMatchObject({
        code: 'job/changed-elsewhere',
        details: { version: 2, parts: [`surfaces/${second}`] },
      });
    });
    test('after one deleted a surface, the change of the other lands on the one that was meant; undone, theirs stays', async () => {
      const [mine, theirs] = [new Window(), new Window()];
      await theirs.save('Delete', (draft) => {
        draft.surfaces.splice(0, 1);
        draft.links = draft.links.filter(({ a, b }) => a.surface !== first && b.surface !== first);
      });
      await mine.save('Mine', (draft) => void (draft.surfaces[2].name = 'Mine'));
      const { job } = await jobs.find(demo.id);
      expect(job.surfaces.filter(({ name }) => name === 'Mine').map(({ id }) => id)).toEqual([third]);
      await mine.look();
      const undone = await jobs.undo(demo.id);
      expect(surfaceNamed(undone.job, third)?.name).toBe(demo.surfaces[2].name);
      expect(undone.job.surfaces.some(({ id }) => id === first)).toBe(false);
    });
    test('a surface deleted meanwhile is told as such', async () => {
      const [mine, theirs] = [new Window(), new Window()];
      await theirs.save('Delete', (draft) => {
        draft.surfaces.splice(0, 1);
        draft.links = draft.links.filter(({ a, b }) => a.surface !== first && b.surface !== first);
      });
      await expect(mine.save('Mine', (draft) => void (draft.surfaces[0].name = 'Mine'))).rejects.toMatchObject({
        code: 'job/changed-elsewhere',
        details: { parts: [`surfaces/${first}`] },
      });
    });
    test('what undoes mine is found where it is made: it brings back theirs, not what I once saw', async () => {
      const [mine, theirs] = [new Window(), new Window()];
      await theirs.save('Theirs', (draft) => void (draft.surfaces[1].jointMm = 7));
      mine.version = 2; // told of it, and put on top
      await mine.save('Mine', (draft) => void (draft.surfaces[1].jointMm = 9));
      expect((await jobs.undo(demo.id)).job.surfaces[1].jointMm).toBe(7);
    });
  });

  describe('undo and redo are one’s own', () => {
    const [ann, col] = [() => new Window('Ann'), () => new Window('Col')];
    const joints = async (): Promise<number[]> => (await jobs.find(demo.id)).job.surfaces.slice(0, 3).map(({ jointMm }) => jointMm);
    const [a, b, c] = demo.surfaces.map(({ jointMm }) => jointMm);

    test('what others did elsewhere stays, whoever was last', async () => {
      await ann().save('Floor joint', (draft) => void (draft.surfaces[0].jointMm = 7));
      await col().save('Wall joint', (draft) => void (draft.surfaces[1].jointMm = 8));
      expect(await jobs.standing(demo.id, 'Ann')).toMatchObject({
        undoLabel: 'Floor joint',
        redoLabel: null,
        last: { label: 'Wall joint', person: 'Col', own: false },
      });
      expect(await jobs.undo(demo.id, 'Ann')).toMatchObject({ undoLabel: null, redoLabel: 'Floor joint' });
      expect(await joints()).toEqual([a, 8, c]);
      await expect(jobs.undo(demo.id, 'Ann')).rejects.toMatchObject({ code: 'job/nothing-to-undo' });
      await jobs.undo(demo.id, 'Col');
      await jobs.redo(demo.id, 'Ann');
      expect(await joints()).toEqual([7, b, c]);
      await jobs.redo(demo.id, 'Col');
      expect(await joints()).toEqual([7, 8, c]);
      // A new change of one forgets what that one took back, and nothing of the other.
      await jobs.undo(demo.id, 'Ann');
      await jobs.undo(demo.id, 'Col');
      const again = ann();
      await again.look();
      await again.save('Third joint', (draft) => void (draft.surfaces[2].jointMm = 9));
      expect(await jobs.standing(demo.id, 'Ann')).toMatchObject({ undoLabel: 'Third joint', redoLabel: null });
      expect(await jobs.standing(demo.id, 'Col')).toMatchObject({ undoLabel: null, redoLabel: 'Wall joint' });
    });
    test('what others built on stays and is told, and the step before it comes next', async () => {
      const first = ann();
      await first.save('Other joint', (draft) => void (draft.surfaces[2].jointMm = 5));
      await first.save('Floor joint', (draft) => void (draft.surfaces[0].jointMm = 7));
      const second = col();
      await second.look();
      await second.save('Floor joint too', (draft) => void (draft.surfaces[0].jointMm = 8));
      await expect(jobs.undo(demo.id, 'Ann')).rejects.toMatchObject({
        code: 'job/built-upon',
        details: { label: 'Floor joint', theirs: 'Floor joint too', person: 'Col' },
      });
      expect(await joints()).toEqual([8, b, 5]);
      await jobs.undo(demo.id, 'Ann');
      expect(await joints()).toEqual([8, b, c]);
    });
    test('a surface that another took away is not brought back by undoing a figure of it', async () => {
      await ann().save('Joint', (draft) => void (draft.surfaces[0].jointMm = 7));
      const second = col();
      await second.look();
      await second.save('Delete', (draft) => {
        draft.surfaces.splice(0, 1);
        draft.links = draft.links.filter((link) => link.a.surface !== first && link.b.surface !== first);
      });
      await expect(jobs.undo(demo.id, 'Ann')).rejects.toMatchObject({ code: 'job/built-upon' });
      await jobs.undo(demo.id, 'Col');
      expect((await joints())[0]).toBe(7);
    });
  });

  test('sixteen people, each on a surface of their own, all at once: every change lands, and nobody is told to try again', async () => {
    const people = Array.from({ length: 16 }, () => new Window());
    for (let round = 1; round <= 6; round++)
      await Promise.all(
        people.map((one, k) =>
          one.save(`Round ${round}`, (draft) => void (draft.surfaces[k].jointMm = demo.surfaces[k].jointMm + round / 100)),
        ),
      );
    const { job, version } = await jobs.find(demo.id);
    expect(version).toBe(1 + 16 * 6);
    expect(job.surfaces.slice(0, 16).map(({ jointMm }) => jointMm)).toEqual(
      demo.surfaces.slice(0, 16).map(({ jointMm }) => jointMm + 0.06),
    );
  });

  test('a change sent again after a lost answer is made once, and is nobody else’s', async () => {
    const mine = new Window();
    await mine.save('Joint', (draft) => void (draft.surfaces[0].jointMm += 1), 'same');
    mine.version = 1;
    const again = await mine.save('Joint', (draft) => void (draft.surfaces[0].jointMm += 1), 'same');
    expect(again).toEqual({ version: 2, undoLabel: 'Joint', redoLabel: null, last: { label: 'Joint', person: '', own: true }, others: [] });
    expect((await jobs.find(demo.id)).job.surfaces[0].jointMm).toBe(demo.surfaces[0].jointMm + 1);
  });

  test('after a lost answer one’s own change is not taken for that of others; theirs on the same part is', async () => {
    const [mine, theirs] = [new Window('Ann'), new Window('Col')];
    await mine.save('Joint', (draft) => void (draft.surfaces[1].jointMm = 5.5), 'lost');
    expect(await jobs.since(demo.id, 1, 'lost')).toEqual({ changed: [], made: true });
    expect(await jobs.since(demo.id, 1, 'other')).toEqual({ changed: [`surfaces/${second}`], made: false });
    await theirs.look();
    await theirs.save('Elsewhere', (draft) => void (draft.surfaces[2].jointMm = 7));
    expect((await jobs.since(demo.id, 1, 'lost')).changed).toEqual([`surfaces/${third}`]);
    await theirs.save('Here too', (draft) => void (draft.surfaces[1].jointMm = 8));
    expect((await jobs.since(demo.id, 1, 'lost')).changed.sort()).toEqual([`surfaces/${second}`, `surfaces/${third}`].sort());
  });

  test('a long history goes back and forth exactly, is kept to a bound, and its rows are given back', async () => {
    const mine = new Window();
    const seen = [demo];
    for (let k = 0; k < 30; k++) {
      await mine.save(`Step ${k}`, (draft) => {
        draft.surfaces[k % 5].jointMm += 0.5;
        if (k % 7 === 0) draft.surfaces.push({ ...draft.surfaces[1], id: `added-${k}` });
        if (k % 7 === 3) draft.surfaces.splice(-1, 1);
      });
      seen.push(mine.job);
    }
    for (let k = 29; k >= 10; k--) expect((await jobs.undo(demo.id)).job).toEqual(seen[k]);
    for (let k = 11; k <= 30; k++) expect((await jobs.redo(demo.id)).job).toEqual(seen[k]);
    const [{ kept }] = await database.query<{ kept: number }>('SELECT count(*)::integer AS kept FROM job_change');
    expect(kept).toBe(30);
  });

  test.each<[string, Edit[]]>([
    ['a list replaced whole', [{ op: 'set', path: ['surfaces'], value: [] }]],
    ['the job itself taken away', [{ op: 'unset', path: ['products'] }]],
    ['another id', [{ op: 'set', path: ['id'], value: 'other' }]],
    ['a place far out', [{ op: 'set', path: ['surfaces', '100000000'], value: {} }]],
    ['into a text', [{ op: 'set', path: ['name', 'x'], value: 1 }]],
    ['an own prototype', [{ op: 'set', path: ['__proto__', 'x'], value: 1 }]],
    ['a surface that is none', [{ op: 'put', path: ['surfaces', { id: 'x' }], value: null, before: null }]],
    ['a surface of another name', [{ op: 'put', path: ['surfaces', { id: 'x' }], value: { ...demo.surfaces[0], id: 'y' }, before: null }]],
  ])('hostile edits are refused and change nothing: %s', async (_, edits) => {
    await expect(jobs.makeChange(demo.id, 1, { id: 'x', label: 'x', edits })).rejects.toMatchObject({
      code: expect.stringMatching(/^(request\/invalid|job\/refused|job\/changed-elsewhere)$/),
    });
    expect((await jobs.find(demo.id)).job).toEqual(demo);
  });
});
