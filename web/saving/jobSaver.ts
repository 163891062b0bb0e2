import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import type { LatestJob, SentChange, StoredJob } from '@azulejo/core/formats/apiTypes';
import { api, isUnreachable, ServerError } from '../api/client.ts';
import { lastSeen } from './lastSeen.ts';
import { newUuid } from './newUuid.ts';
import { plain } from './plain.ts';
import { failureOf, meaningOf, RETRY_MS } from './failure.ts';
import type { KeptQueue, KeptQueues } from './keptQueues.ts';
import {
  addChange,
  dropParked,
  parkFirst,
  putOnTop,
  settleConflict,
  startQueue,
  takeBack,
  takeBackSent,
  takeLatest,
  takeSaved,
  tryParked,
  type QueueState,
} from './queueState.ts';

/** What a saver tells of. */
export interface SaverEvents {
  /** Something changed: the job, what waits, or why it can't be saved. */
  changed(): void;
  /** A change was saved, for other windows to follow. */
  saved(version: number): void;
  /** Whether a part changed on the server by no more than what was ticked here. */
  isOwn?(part: string, before: Job, now: Job): boolean;
}

/** A failure that nobody can explain is tried this often before the change is put aside. */
const UNEXPLAINED_TRIES = 4;

/** Saves the changes of one job, one after the other, until each is answered; also while another job is on screen. */
export class JobSaver {
  state: QueueState;
  /** Why the first change is not saved yet; null when nothing keeps it. */
  trouble: string | null = null;
  /** The job was deleted elsewhere; what is shown is all there is of it. */
  isGone = false;
  isSending = false;
  private readonly kept: KeptQueues;
  private readonly windowId: string;
  private readonly events: SaverEvents;
  /** Changes taken back before they were sent, the last one last. */
  private takenBack: readonly SentChange[] = [];
  private tries = 0;
  /** Parts that others changed before the version known here, not looked at yet. */
  private unseen: readonly string[] = [];
  private lastInTurn: Promise<unknown> = Promise.resolve();
  /** The state that was kept for when the server is away. */
  private seen: StoredJob | null = null;
  private loop: Promise<void> | null = null;

  constructor(state: QueueState, kept: KeptQueues, windowId: string, events: SaverEvents) {
    [this.state, this.kept, this.windowId, this.events] = [state, kept, windowId, events];
  }

  /** Opens a job with what was left unsaved of it. Throws ServerError. */
  static async open(jobId: string, kept: KeptQueues, windowId: string, events: SaverEvents): Promise<JobSaver> {
    const left = await kept.take(jobId).catch((): readonly KeptQueue[] => []);
    const unsaved = left.filter(({ waiting }) => waiting.length > 0);
    const sent = unsaved.flatMap(({ waiting }) => waiting);
    const latest = await api
      .findJob(jobId, unsaved.length > 0 ? Math.min(...unsaved.map(({ version }) => version)) : undefined, sent[0]?.id)
      .catch((error: unknown) => lastSeenOf(jobId, error));
    const waiting = sent.filter(({ id }) => !latest.made || id !== sent[0].id);
    const empty = startQueue(
      latest,
      [],
      left.flatMap(({ parked }) => parked),
    );
    const known = { ...empty, waiting, wasSent: waiting.length > 0 };
    const saver = new JobSaver(waiting.length === 0 ? empty : takeLatest(known, latest), kept, windowId, events);
    for (const queue of left) if (queue.windowId !== windowId) await kept.forget(queue).catch(() => undefined);
    saver.keep();
    void saver.send();
    return saver;
  }

  get undoLabel(): string | null {
    return this.state.waiting.at(-1)?.label ?? this.state.base.undoLabel;
  }

  get redoLabel(): string | null {
    return this.takenBack.at(-1)?.label ?? (this.state.waiting.length === 0 ? this.state.base.redoLabel : null);
  }

  /** Makes a change; returns why not when it can't be, and then changes nothing. */
  change(label: ChangeLabel, recipe: (draft: Job) => void): readonly Issue[] {
    const added = addChange(this.state, newChangeId(), label, recipe);
    if (!added.ok) return added.issues;
    if (added.value === this.state) return [];
    this.takenBack = [];
    this.become(added.value);
    void this.send();
    return [];
  }

  /** Settles when nothing more can be sent: all is saved, or something keeps the first. */
  send(): Promise<void> {
    this.loop ??= this.inTurn(() => this.sendWaiting()).finally(() => {
      this.loop = null;
      if (this.state.waiting.length > 0 && !this.state.conflict && !this.isGone && this.trouble === null) void this.send();
    });
    return this.loop;
  }

  /** Takes the own last change back: one that was not sent yet here, else the last that was saved. Throws ServerError. */
  async undo(): Promise<void> {
    const back = takeBack(this.state) ?? (this.trouble === null ? null : takeBackSent(this.state, newChangeId()));
    if (!back) return this.moveInHistory('undo');
    this.takenBack = [...this.takenBack, back.change];
    this.become(back.state);
  }

  async redo(): Promise<void> {
    const again = this.takenBack.at(-1);
    if (!again) return this.moveInHistory('redo');
    this.takenBack = this.takenBack.slice(0, -1);
    this.become(putOnTop(this.state, [{ ...again, id: newChangeId() }]));
    void this.send();
  }

  /** Looks at the job as it is stored now. Throws ServerError when it is not there. */
  look(): Promise<void> {
    return this.inTurn(() => this.takeStored());
  }

  settle(choice: 'mine' | 'theirs'): void {
    this.become(settleConflict(this.state, choice, newChangeId()));
    void this.send();
  }

  tryParked(changeId: string): void {
    this.become(tryParked(this.state, changeId));
    void this.send();
  }

  dropParked(changeId: string): void {
    this.become(dropParked(this.state, changeId));
  }

  /** Forgets what waits, for a job that was let go of. */
  async letGo(): Promise<void> {
    this.become({ ...this.state, waiting: [], parked: [] });
    await this.lastInTurn;
  }

  private become(state: QueueState): void {
    this.state = state;
    this.keep();
    this.events.changed();
  }

  private keep(): void {
    const { base, waiting, parked } = this.state;
    if (base !== this.seen) void lastSeen.keep(`job/${base.job.id}`, plain(base));
    this.seen = base;
    void this.kept
      .keep({ jobId: base.job.id, windowId: this.windowId, version: base.version, waiting: plain(waiting), parked: plain(parked) })
      .catch(() => undefined);
  }

  /** Writes and looks go one after the other, in the order they were asked for. */
  private inTurn(work: () => Promise<void>): Promise<void> {
    const done = this.lastInTurn.then(work, work);
    this.lastInTurn = done.catch(() => undefined);
    return done;
  }

  private async sendWaiting(): Promise<void> {
    this.isSending = true;
    try {
      while (this.state.waiting.length > 0 && !this.state.conflict && !this.isGone) await this.sendFirst();
    } finally {
      this.isSending = false;
      this.events.changed();
    }
  }

  private async sendFirst(): Promise<void> {
    if (this.unseen.length > 0)
      return this.takeStored().catch((error: unknown) => this.handleTrouble(failureOf(error, 'The change could not be saved.')));
    const { base, waiting } = this.state;
    this.state = { ...this.state, wasSent: true };
    try {
      const saved = await api.makeChange(base.job.id, base.version, waiting[0]);
      [this.trouble, this.tries] = [null, 0];
      this.become(takeSaved(this.state, saved));
      this.events.saved(saved.version);
      this.unseen = saved.others;
      if (this.unseen.length > 0) await this.takeStored();
    } catch (error) {
      await this.handleTrouble(failureOf(error, 'The change could not be saved.'));
    }
  }

  private async handleTrouble(failure: ServerError): Promise<void> {
    const meaning = meaningOf(failure);
    if (meaning === 'elsewhere') return this.takeStored().catch(() => this.pause(failure));
    if (meaning === 'gone') {
      this.isGone = true;
      this.events.changed();
      return;
    }
    const isAside = meaning === 'refused' || (meaning === 'unexplained' && ++this.tries >= UNEXPLAINED_TRIES);
    if (!isAside) return this.pause(failure);
    [this.trouble, this.tries] = [null, 0];
    this.become(parkFirst(this.state, failure.words));
  }

  private async pause(failure: ServerError): Promise<void> {
    this.trouble = failure.words;
    this.events.changed();
    await new Promise<void>((resolve) => {
      setTimeout(resolve, RETRY_MS);
    });
  }

  /** Takes the stored job with all that others changed since it was last looked at. */
  private async takeStored(): Promise<void> {
    const { base } = this.state;
    try {
      const latest = await api.findJob(base.job.id, base.version);
      if (latest.version === base.version && this.unseen.length === 0 && !this.isAnother(latest.job)) return;
      const changed = [...latest.changed, ...this.unseen].filter((part) => !this.events.isOwn?.(part, base.job, latest.job));
      this.unseen = [];
      this.become(takeLatest(this.state, { ...latest, changed }));
    } catch (error) {
      if (error instanceof ServerError && error.code === 'job/not-found') {
        this.isGone = true;
        this.events.changed();
      }
      throw error;
    }
  }

  /** The job as it is stored, also where its version is the one that is known. */
  private async lookAgain(): Promise<void> {
    const latest = await api.findJob(this.state.base.job.id, this.state.base.version);
    this.become(takeLatest(this.state, latest));
  }

  /** A job read back from a file may stand at the same version. */
  private isAnother(job: Job): boolean {
    return JSON.stringify(job) !== JSON.stringify(this.state.base.job);
  }

  private moveInHistory(move: 'undo' | 'redo'): Promise<void> {
    return this.inTurn(async () => {
      await this.sendWaiting();
      if (this.state.waiting.length > 0 || this.state.conflict || this.isGone) return;
      this.isSending = true;
      try {
        const { base } = this.state;
        const stored = await api[move](base.job.id);
        this.become(startQueue(stored, [], this.state.parked));
        this.events.saved(stored.version);
      } catch (error) {
        // It stays, and the step before it is next: the labels follow.
        if (error instanceof ServerError && error.code === 'job/built-upon') await this.lookAgain();
        throw error;
      } finally {
        this.isSending = false;
        this.events.changed();
      }
    });
  }
}

/** A job as it was last seen, where no server is met; throws on otherwise. */
async function lastSeenOf(jobId: string, error: unknown): Promise<LatestJob> {
  const seen = isUnreachable(error) ? await lastSeen.find<StoredJob>(`job/${jobId}`) : null;
  if (!seen) throw error;
  return { ...seen, changed: [], made: false };
}

const newChangeId = newUuid;
