import type { JobEntry, JobStanding, Saved, SentChange, StoredJob } from '@azulejo/core/formats/apiTypes';
import { acceptChange } from '@azulejo/core/job/acceptChange';
import { applyEdits, PlaceGone } from '@azulejo/core/job/edit/applyEdits';
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { editJob } from '@azulejo/core/job/edit/editJob';
import { partOf, type Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import type { Database, Queryable } from '../db/database.ts';
import { turnsByKey } from '../db/inTurn.ts';
import { readQueries } from '../db/readQueries.ts';
import { ApiError } from '../errors/apiError.ts';
import { builtOn, findInHistory, mark, othersSince } from './history.ts';
import { JobMemory, type KnownJob } from './jobMemory.ts';
import { documentOf, jobOfRows, type JobRows } from './jobRows.ts';
import { movedOn, writeParameters, type Move } from './move.ts';

const SQL = readQueries(import.meta.url, [
  'listJobs',
  'findJob',
  'findStanding',
  'findChange',
  'insertJob',
  'writeJob',
  'forgetUndone',
  'forgetOldest',
  'forgetHistory',
  'deleteJob',
  'holdJob',
  'tidy',
]);

/** Changes of a job that can be undone; older ones are forgotten, this many at a time. */
const HISTORY = 400;
const FORGOTTEN_AT_ONCE = 20;

/** After so many writes, rows that were overwritten are cleared away. */
const WRITES_A_TIDYING = 300;

/** The outcome of a move that others were quicker than: it is built anew. */
const OVERTAKEN = 'overtaken';

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

  /**
   * The parts of a job that changed after a version of it, and whether a change is in its history. What that change itself
   * touched is left out, unless others changed it since.
   */
  async since(id: string, version: number, changeId: string): Promise<{ changed: string[]; made: boolean }> {
    const known = await this.read(id);
    const changed = changedSince(known, version);
    const [own] = await this.database.query<{ position: number; madeBy: string; edits: Edit[] }>(SQL.findChange, [id, changeId]);
    if (!own) return { changed, made: false };
    const theirs = await othersSince(this.database, id, own.madeBy, own.position);
    const [mine, others] = [new Set(own.edits.map(partOf)), new Set(theirs.flatMap(({ edits }) => edits.map(partOf)))];
    return { changed: changed.filter((part) => !mine.has(part) || others.has(part)), made: true };
  }

  /** Adds a job; false when its id is taken. */
  async insert(job: Job): Promise<boolean> {
    const rows = [documentOf(job), job.surfaces, job.products].map((part) => JSON.stringify(part));
    return (await this.database.query(SQL.insertJob, [job.id, ...rows])).length > 0;
  }

  /**
   * Makes a change, unless it was made already. What others changed in other parts meanwhile stays.
   * Throws `job/not-found`, `job/changed-elsewhere`, `job/refused`, `request/invalid`.
   */
  async makeChange(id: string, baseVersion: number, change: SentChange): Promise<Saved> {
    refuseWholeLists(change.edits);
    return this.inTurn(id, () => this.moving(id, (on) => this.makeOne(on, id, baseVersion, change)));
  }

  private async makeOne(on: Queryable, id: string, baseVersion: number, change: SentChange): Promise<Saved | typeof OVERTAKEN> {
    const known = await this.latest(on, id, baseVersion);
    const others = changedSince(known, baseVersion);
    const touched = new Set(change.edits.map(partOf));
    const clash = others.filter((part) => touched.has(part));
    if (clash.length > 0 || baseVersion > known.version) {
      if (!(await isMade(on, id, change.id))) throw changedElsewhere(known.version, clash);
      return { ...(await standingOn(on, id, change.by)), others: others.filter((part) => !touched.has(part)) };
    }
    let after: Job;
    try {
      after = changed(known, change.edits);
    } catch (error) {
      // What is known may be old where another process changed it: only what stands now is judged.
      if ((await this.read(id, on)).version !== known.version) return OVERTAKEN;
      throw error;
    }
    const written = await this.write(on, known, { after, edits: change.edits, position: known.position + 1, change });
    if (written === OVERTAKEN) return OVERTAKEN;
    if (written === 'made') return { ...(await standingOn(on, id, change.by)), others };
    const last = { label: change.label, person: change.person ?? '', own: true };
    return { version: written.version, undoLabel: change.label, redoLabel: null, last, others };
  }

  /**
   * Moves a job on from what is known of it. Where another process was quicker, once more with the job held, so that
   * nobody is quicker again.
   */
  private async moving<Done>(id: string, move: (on: Queryable) => Promise<Done | typeof OVERTAKEN>): Promise<Done> {
    const first = await move(this.database);
    if (first !== OVERTAKEN) return first;
    const outcome = await this.database.transaction(async (on) => {
      await on.query(SQL.holdJob, [id]);
      try {
        const done = await move(on);
        if (done === OVERTAKEN) throw new Overtaken('a job that was held was written');
        return { done };
      } catch (error) {
        // A refusal is an answer, and what it wrote down stays.
        if (error instanceof ApiError) return { refused: error };
        this.memory.forget(id);
        throw error;
      }
    });
    if ('refused' in outcome) throw outcome.refused;
    return outcome.done;
  }

  /**
   * Makes a change that follows from the job as it stands, together with other writes: all of it or nothing. Where
   * there is nothing to change, the other writes are made. Throws `job/not-found`, and what they throw.
   */
  changeBeside(
    id: string,
    name: { readonly id: string; readonly label: ChangeLabel },
    recipe: (draft: Job) => void,
    beside: (on: Queryable) => Promise<unknown>,
  ): Promise<void> {
    return this.movingOn(id, async (on) => {
      const known = await this.read(id, on);
      const { job: after, change } = editJob(known.job, name.label, recipe);
      if (change.edits.length === 0) return void (await this.allOrNothing(on, beside));
      return this.write(on, known, {
        after,
        edits: change.edits,
        position: known.position + 1,
        change: { ...change, id: name.id },
        beside,
      });
    });
  }

  /**
   * Takes back the last change that somebody made, whatever others did elsewhere meanwhile. Where others changed the
   * same after it, it stays, and is not asked for again. Throws `job/not-found`, `job/nothing-to-undo`, `job/built-upon`.
   */
  undo(id: string, by = ''): Promise<StoredJob> {
    return this.moveInHistory(id, by, 'undo');
  }

  /** Makes again what somebody took back last. Throws as undo does, and `job/nothing-to-redo`. */
  redo(id: string, by = ''): Promise<StoredJob> {
    return this.moveInHistory(id, by, 'redo');
  }

  /** What a job was before or after is not judged again: it was in force once. */
  private async moveInHistory(id: string, by: string, step: 'undo' | 'redo'): Promise<StoredJob> {
    await this.movingOn(id, async (on) => {
      const known = await this.read(id, on);
      const change = await findInHistory(on, id, by, step);
      const edits = step === 'undo' ? change.inverse : change.edits;
      const after = await builtOn(on, known.job, by, change, edits);
      const position = step === 'undo' ? known.position : known.position + 1;
      return this.write(on, known, { after, edits, position, change: null, beside: mark(known, change, step, after) });
    });
    return this.find(id, by);
  }

  /**
   * Puts what is made of a job in its place, and forgets how it came about; where that is nothing, it stays as it is.
   * Throws `job/not-found`.
   */
  replace(id: string, make: (job: Job) => Job | null): Promise<void> {
    const beside = (on: Queryable): Promise<unknown> => on.query(SQL.forgetHistory, [id]);
    return this.movingOn(id, async (on) => {
      const known = await this.read(id, on);
      const after = make(known.job);
      return after === null ? undefined : this.write(on, known, { after, edits: [], position: 0, change: null, beside });
    });
  }

  /** A move of which nobody asks what it came to. */
  private movingOn(id: string, move: (on: Queryable) => Promise<unknown>): Promise<void> {
    return this.inTurn(id, () => this.moving(id, async (on) => ((await move(on)) === OVERTAKEN ? OVERTAKEN : undefined)));
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
  standing(id: string, by = ''): Promise<JobStanding> {
    return standingOn(this.database, id, by);
  }

  /** The job from memory, which a write finds out to be old; read where the writer knows a newer version, or it is held. */
  private async latest(on: Queryable, id: string, baseVersion: number): Promise<KnownJob> {
    const known = this.memory.get(id);
    return known && known.version >= baseVersion && on === this.database ? known : this.read(id, on);
  }

  private async read(id: string, on: Queryable = this.database): Promise<KnownJob> {
    const [found] = await on.query<JobRows & Omit<KnownJob, 'job'>>(SQL.findJob, [id]);
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
  private async write(on: Queryable, known: KnownJob, move: Move): Promise<KnownJob | typeof OVERTAKEN | 'made'> {
    const { id } = known.job;
    let moved: readonly unknown[];
    try {
      const parameters = writeParameters(known, move);
      const forgets = known.hasUndone && move.change;
      moved =
        forgets || move.beside
          ? await this.allOrNothing(on, async (inside) => {
              if (forgets) await inside.query(SQL.forgetUndone, [id, move.change?.by ?? '']);
              const written = await writeOrTakeBack(inside, parameters);
              await move.beside?.(inside);
              return written;
            })
          : await on.query(SQL.writeJob, parameters);
    } catch (error) {
      this.memory.forget(id);
      if (error instanceof Overtaken) return OVERTAKEN;
      if (error instanceof Error && 'code' in error && error.code === TAKEN && move.change && on === this.database) {
        // The key of the change, or its place in the history: then others were quicker.
        return (await isMade(on, id, move.change.id)) ? 'made' : OVERTAKEN;
      }
      throw error;
    }
    if (moved.length === 0) {
      this.memory.forget(id);
      return OVERTAKEN;
    }
    await this.afterWrite(on, id, move.position);
    return this.memory.keep(movedOn(known, move));
  }

  /** Within a transaction that is under way, or one of its own. */
  private allOrNothing<T>(on: Queryable, work: (inside: Queryable) => Promise<T>): Promise<T> {
    return on === this.database ? this.database.transaction(work) : work(on);
  }

  private async afterWrite(on: Queryable, id: string, position: number): Promise<void> {
    if (position > HISTORY && position % FORGOTTEN_AT_ONCE === 0) await on.query(SQL.forgetOldest, [id, position - HISTORY]);
    if (++this.writes >= WRITES_A_TIDYING) void this.tidy().catch(() => undefined);
  }
}

/** Where a job stands for somebody. Throws `job/not-found`. */
async function standingOn(on: Queryable, id: string, by = ''): Promise<JobStanding> {
  const [standing] = await on.query<JobStanding>(SQL.findStanding, [id, by]);
  if (!standing) throw new ApiError('job/not-found');
  return standing;
}

const isMade = async (on: Queryable, id: string, changeId: string): Promise<boolean> =>
  (await on.query(SQL.findChange, [id, changeId])).length > 0;

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
