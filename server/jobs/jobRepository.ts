import type { JobEntry, JobStanding, Saved, SentChange, StoredJob } from '@azulejo/core/formats/apiTypes';
import { acceptChange } from '@azulejo/core/job/acceptChange';
import { applyEdits, PlaceGone } from '@azulejo/core/job/edit/applyEdits';
import { editJob } from '@azulejo/core/job/edit/editJob';
import { partOf, type Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import type { Database, Queryable } from '../db/database.ts';
import { turnsByKey } from '../db/inTurn.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';
import { builtOn, findInHistory, mark } from './history.ts';
import { JobMemory, type KnownJob } from './jobMemory.ts';
import { documentOf, jobOfRows, type JobRows } from './jobRows.ts';
import { movedOn, writeParameters, type Move } from './move.ts';

const SQL = readQueries(import.meta.url, [
  'listJobs',
  'findJob',
  'findStanding',
  'isMade',
  'insertJob',
  'writeJob',
  'forgetUndone',
  'forgetOldest',
  'forgetHistory',
  'deleteJob',
  'tidy',
]);

/** Changes of a job that can be undone; older ones are forgotten, this many at a time. */
const HISTORY = 400;
const FORGOTTEN_AT_ONCE = 20;

/** After so many writes, rows that were overwritten are cleared away. */
const WRITES_A_TIDYING = 300;

/** A write that others were quicker than is built anew this often. */
const TRIES = 8;

/** PostgreSQL's word for a key that is there already: the change was made before. */
const TAKEN = '23505';

/** Keeps jobs and their history. Every write names the version it builds on. */
export class JobRepository {
  private readonly database: Database;
  private readonly memory = new JobMemory();
  /** Changes of one job go one after the other: none finds that another was quicker, and builds its own anew. */
  private readonly inTurn = turnsByKey();
  private writes = 0;

  constructor(database: Database) {
    this.database = database;
  }

  list(): Promise<readonly JobEntry<Date>[]> {
    return this.database.query<JobEntry<Date>>(SQL.listJobs);
  }

  /** A job as it is stored, whether or not today's checks would let it in. Throws `job/not-found`. */
  async find(id: string, by = ''): Promise<StoredJob> {
    const { job, version } = await this.read(id);
    const standing = await this.standing(id, by);
    return version === standing.version ? { job, ...standing } : this.find(id, by);
  }

  /** A job with what tells this state of it from every other. Throws `job/not-found`. */
  async findStamped(id: string): Promise<{ job: Job; stamp: string }> {
    const { job, made, version } = await this.read(id);
    return { job, stamp: `${made} ${version}` };
  }

  /** The parts of a job that changed after a version of it, and whether a change is in its history. */
  async since(id: string, version: number, changeId: string): Promise<{ changed: string[]; made: boolean }> {
    const known = await this.read(id);
    return { changed: changedSince(known, version), made: await this.isMade(id, changeId) };
  }

  /** Adds a job; false when its id is taken. */
  async insert(job: Job): Promise<boolean> {
    const rows = [documentOf(job), job.surfaces, job.products].map((part) => JSON.stringify(part));
    return (await this.database.query(SQL.insertJob, [job.id, ...rows])).length > 0;
  }

  /**
   * Makes a change, unless it was made already. What others changed in other parts meanwhile stays.
   * Throws `job/not-found`, `job/changed-elsewhere`, `job/refused`, `request/invalid`, `server/busy`.
   */
  async makeChange(id: string, baseVersion: number, change: SentChange): Promise<Saved> {
    refuseWholeLists(change.edits);
    return this.inTurn(id, () => this.makeOne(id, baseVersion, change));
  }

  /** Where other processes write to the same database, a change may still be overtaken. */
  private async makeOne(id: string, baseVersion: number, change: SentChange): Promise<Saved> {
    for (let tries = 0; tries < TRIES; tries++) {
      const known = await this.latest(id, baseVersion);
      const others = changedSince(known, baseVersion);
      const touched = new Set(change.edits.map(partOf));
      const clash = others.filter((part) => touched.has(part));
      if (clash.length > 0 || baseVersion > known.version) {
        if (!(await this.isMade(id, change.id))) throw changedElsewhere(known.version, clash);
        return { ...(await this.standing(id, change.by)), others: others.filter((part) => !touched.has(part)) };
      }
      const after = changed(known, change.edits);
      const written = await this.write(known, { after, edits: change.edits, position: known.position + 1, change });
      if (written === 'made') return { ...(await this.standing(id, change.by)), others };
      if (written !== 'overtaken') {
        const last = { label: change.label, person: change.person ?? '', own: true };
        return { version: written.version, undoLabel: change.label, redoLabel: null, last, others };
      }
    }
    throw new ApiError('server/busy');
  }

  /**
   * Makes a change that follows from the job as it stands, together with other writes: all of it or nothing. Where
   * there is nothing to change, the other writes are made. Throws `job/not-found`, `server/busy`, and what they throw.
   */
  changeBeside(
    id: string,
    name: Pick<SentChange, 'id' | 'label'>,
    recipe: (draft: Job) => void,
    beside: (on: Queryable) => Promise<unknown>,
  ): Promise<void> {
    return this.inTurn(id, async () => {
      for (let tries = 0; tries < TRIES; tries++) {
        const known = await this.read(id);
        const { job: after, change } = editJob(known.job, name.label, recipe);
        if (change.edits.length === 0) return void (await this.database.transaction(beside));
        const move: Move = { after, edits: change.edits, position: known.position + 1, change: { ...change, id: name.id }, beside };
        if (typeof (await this.write(known, move)) !== 'string') return;
      }
      throw new ApiError('server/busy');
    });
  }

  /**
   * Takes back the last change that somebody made, whatever others did elsewhere meanwhile. Where others changed the
   * same after it, it stays, and is not asked for again. Throws `job/not-found`, `job/nothing-to-undo`,
   * `job/built-upon`, `server/busy`.
   */
  undo(id: string, by = ''): Promise<StoredJob> {
    return this.inTurn(id, () => this.moveInHistory(id, by, 'undo'));
  }

  /** Makes again what somebody took back last. Throws as undo does, and `job/nothing-to-redo`. */
  redo(id: string, by = ''): Promise<StoredJob> {
    return this.inTurn(id, () => this.moveInHistory(id, by, 'redo'));
  }

  /** What a job was before or after is not judged again: it was in force once. */
  private async moveInHistory(id: string, by: string, step: 'undo' | 'redo'): Promise<StoredJob> {
    for (let tries = 0; tries < TRIES; tries++) {
      const known = await this.read(id);
      const change = await findInHistory(this.database, id, by, step);
      const edits = step === 'undo' ? change.inverse : change.edits;
      const after = await builtOn(this.database, known.job, by, change, edits);
      const position = step === 'undo' ? known.position : known.position + 1;
      const beside = mark(known, change, step, after);
      const written = await this.write(known, { after, edits, position, change: null, beside });
      if (typeof written !== 'string') return this.find(id, by);
    }
    throw new ApiError('server/busy');
  }

  /** Puts a job in the place of the stored one of its id, and forgets how that came about. Throws `job/not-found`. */
  async replace(job: Job): Promise<void> {
    const known = await this.read(job.id);
    await this.database.query(SQL.forgetHistory, [job.id]);
    await this.write(known, { after: job, edits: [], position: 0, change: null });
  }

  /** Deletes a job. Throws `job/not-found`, `job/changed-elsewhere`. */
  async remove(id: string, baseVersion: number): Promise<void> {
    const removed = await this.database.query(SQL.deleteJob, [id, baseVersion]);
    if (removed.length === 0)
      await this.standing(id).then(({ version }) => {
        throw changedElsewhere(version, []);
      });
    this.memory.forget(id);
    await this.tidy();
  }

  /** Gives room back that overwritten and deleted rows took. */
  async tidy(): Promise<void> {
    this.writes = 0;
    await this.database.run(SQL.tidy);
  }

  /** Where a job stands for somebody. Throws `job/not-found`. */
  async standing(id: string, by = ''): Promise<JobStanding> {
    const [standing] = await this.database.query<JobStanding>(SQL.findStanding, [id, by]);
    if (!standing) throw new ApiError('job/not-found');
    return standing;
  }

  private async isMade(id: string, changeId: string): Promise<boolean> {
    return (await this.database.query(SQL.isMade, [id, changeId])).length > 0;
  }

  /** The job from memory, which a write finds out to be old; read where the writer knows a newer version. */
  private async latest(id: string, baseVersion: number): Promise<KnownJob> {
    const known = this.memory.get(id);
    return known && known.version >= baseVersion ? known : this.read(id);
  }

  private async read(id: string): Promise<KnownJob> {
    const [found] = await this.database.query<JobRows & Omit<KnownJob, 'job'>>(SQL.findJob, [id]);
    if (!found) {
      this.memory.forget(id);
      throw new ApiError('job/not-found');
    }
    const { version, made, position, parts, hasUndone } = found;
    const before = this.memory.get(id);
    if (before?.version === version && before.made === made) return before;
    return this.memory.keep({ job: jobOfRows(found), version, made, position, parts, hasUndone });
  }

  /** Writes a move; says where others were quicker, or where the change was made already. */
  private async write(known: KnownJob, move: Move): Promise<KnownJob | 'overtaken' | 'made'> {
    const { id } = known.job;
    let moved: readonly unknown[];
    try {
      const parameters = writeParameters(known, move);
      moved =
        (known.hasUndone && move.change) || move.beside
          ? await this.database.transaction(async (on) => {
              if (known.hasUndone && move.change) await on.query(SQL.forgetUndone, [id, move.change.by ?? '']);
              const written = await writeOrTakeBack(on, parameters);
              await move.beside?.(on);
              return written;
            })
          : await this.database.query(SQL.writeJob, parameters);
    } catch (error) {
      this.memory.forget(id);
      if (error instanceof Overtaken) return 'overtaken';
      if (error instanceof Error && 'code' in error && error.code === TAKEN && move.change) {
        // The key of the change, or its place in the history: then others were quicker.
        return (await this.isMade(id, move.change.id)) ? 'made' : 'overtaken';
      }
      throw error;
    }
    if (moved.length === 0) {
      this.memory.forget(id);
      return 'overtaken';
    }
    await this.afterWrite(id, move.position);
    return this.memory.keep(movedOn(known, move));
  }

  private async afterWrite(id: string, position: number): Promise<void> {
    if (position > HISTORY && position % FORGOTTEN_AT_ONCE === 0) await this.database.query(SQL.forgetOldest, [id, position - HISTORY]);
    if (++this.writes >= WRITES_A_TIDYING) void this.tidy().catch(() => undefined);
  }
}

class Overtaken extends Error {}

/** Within a transaction, a write that finds the job elsewhere takes back what went before it. */
async function writeOrTakeBack(on: Queryable, parameters: readonly unknown[]): Promise<readonly unknown[]> {
  const moved = await on.query(SQL.writeJob, parameters);
  if (moved.length === 0) throw new Overtaken('the job was changed meanwhile');
  return moved;
}

const changedSince = ({ parts }: KnownJob, version: number): string[] => Object.keys(parts).filter((part) => parts[part] > version);

const changedElsewhere = (version: number, parts: readonly string[]): ApiError =>
  new ApiError('job/changed-elsewhere', [], { version, parts });

/** Surfaces and tiles are changed one by one, so that nobody's are overwritten with a list of old ones. */
function refuseWholeLists(edits: readonly Edit[]): void {
  const whole = edits.find(({ op, path }) => op !== 'order' && path.length === 1 && (path[0] === 'surfaces' || path[0] === 'products'));
  if (whole) throw new ApiError('request/invalid', [], { reason: `expected edits of single ${String(whole.path[0])}, by id` });
  if (edits.some(({ path: [key] }) => key === 'id')) throw new ApiError('request/invalid', [], { reason: 'a job keeps its id' });
}

function changed({ job: before, version }: KnownJob, edits: readonly Edit[]): Job {
  let after: Job;
  try {
    after = applyEdits(before, edits);
  } catch (error) {
    if (error instanceof PlaceGone) throw changedElsewhere(version, [partOf(error.path.length > 0 ? error : { path: ['job'] })]);
    throw error;
  }
  const read = acceptChange(before, after);
  if (!read.ok) throw new ApiError('job/refused', read.issues);
  return read.value;
}
