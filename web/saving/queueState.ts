import { changeLabel, type ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { acceptChange } from '@azulejo/core/job/acceptChange';
import { applyEdits, PlaceGone } from '@azulejo/core/job/edit/applyEdits';
import { bringBack, goneFrom } from '@azulejo/core/job/edit/bringBack';
import { differences } from '@azulejo/core/job/edit/differences';
import { partOf } from '@azulejo/core/job/edit/edit';
import { editJob } from '@azulejo/core/job/edit/editJob';
import type { Job } from '@azulejo/core/job/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { accepted, type Result } from '@azulejo/core/result';
import type { LatestJob, Saved, SentChange, StoredJob } from '@azulejo/core/formats/apiTypes';

/** A change the server will never take as it is, and why. */
export interface ParkedChange {
  readonly change: SentChange;
  readonly why: string;
}

/** Others changed the same part of the job while changes made here were not saved. */
export interface Conflict {
  readonly theirs: StoredJob;
  readonly mine: readonly SentChange[];
  /** The parts both changed. */
  readonly parts: readonly string[];
}

/** A job as the server has it, and what is still to be saved on top of it. Plain data; every step makes a new one. */
export interface QueueState {
  /** As the server last told. */
  readonly base: StoredJob;
  /** As it is shown: the base with everything that waits. */
  readonly job: Job;
  readonly waiting: readonly SentChange[];
  /** The first of `waiting` was sent at least once, and may be saved already. */
  readonly wasSent: boolean;
  readonly parked: readonly ParkedChange[];
  readonly conflict: Conflict | null;
}

/** A job just opened, with what was left unsaved when it was last open. */
export function startQueue(base: StoredJob, waiting: readonly SentChange[] = [], parked: readonly ParkedChange[] = []): QueueState {
  const empty: QueueState = { base, job: base.job, waiting: [], wasSent: false, parked, conflict: null };
  return { ...putOnTop(empty, waiting), wasSent: waiting.length > 0 };
}

/** Makes a change; refused where it would make the job untrue. A key held down is one change. */
export function addChange(state: QueueState, id: string, label: ChangeLabel, recipe: (draft: Job) => void): Result<QueueState> {
  const { job, change } = editJob(state.job, label, recipe);
  if (change.edits.length === 0) return accepted(state);
  const read = acceptChange(state.job, job);
  if (!read.ok) return read;
  const next = { ...state, job: read.value };
  const last = state.waiting.at(-1);
  if (last === undefined || !isSameMove(last, change.edits, label) || isOnItsWay(state, last))
    return accepted({ ...next, waiting: [...state.waiting, { id, label, edits: change.edits }] });
  const others = state.waiting.slice(0, -1);
  const before = others.reduce((at, { edits }) => applyEdits(at, edits), state.base.job);
  const edits = differences(before, read.value);
  return accepted({ ...next, waiting: edits.length === 0 ? others : [...others, { ...last, edits }] });
}

const isOnItsWay = ({ waiting, wasSent }: QueueState, change: SentChange): boolean => wasSent && waiting[0] === change;

/** The same figures moved again, as from a key held down. */
const isSameMove = (last: SentChange, edits: SentChange['edits'], label: ChangeLabel): boolean =>
  last.label === label &&
  JSON.stringify(last.edits.map(({ op, path }) => [op, path])) === JSON.stringify(edits.map(({ op, path }) => [op, path]));

/** The first change was saved. `others` is what others had changed meanwhile, in parts it does not touch. */
export function takeSaved(state: QueueState, { version, undoLabel, redoLabel, last }: Saved): QueueState {
  const [saved, ...waiting] = state.waiting;
  return {
    ...state,
    base: { job: applyEdits(state.base.job, saved.edits), version, undoLabel, redoLabel, ...(last ? { last } : {}) },
    waiting,
    wasSent: false,
  };
}

/**
 * Takes the job as it is stored now. Changes that wait go on top of it; where others changed the same part,
 * the person decides.
 */
export function takeLatest(state: QueueState, latest: LatestJob): QueueState {
  const { job, version, undoLabel, redoLabel, last } = latest;
  const base: StoredJob = { job, version, undoLabel, redoLabel, ...(last ? { last } : {}) };
  const theirs = new Set(latest.changed);
  const mine = stillToDo(job, state.waiting);
  const parts = [...new Set(mine.flatMap(({ edits }) => edits.map(partOf)))].filter((part) => theirs.has(part));
  if (parts.length > 0) return { ...state, waiting: mine, wasSent: false, conflict: { theirs: base, mine, parts } };
  return putOnTop({ ...state, base, job, waiting: [], wasSent: false }, mine);
}

/** Changes without those that somebody else made just so: two phones that do the same do not disagree. */
function stillToDo(job: Job, changes: readonly SentChange[]): SentChange[] {
  let now = job;
  return changes.filter((change) => {
    const applied = tryEdits(now, change);
    if (typeof applied === 'string') return true;
    const isDone = JSON.stringify(applied) === JSON.stringify(now);
    now = applied;
    return !isDone;
  });
}

/**
 * Settles a conflict: mine on top of theirs, or theirs as they stand, without what changed the same parts. A surface that
 * they deleted comes back with mine, by a change that has this id.
 */
export function settleConflict(state: QueueState, choice: 'mine' | 'theirs', id: string): QueueState {
  if (!state.conflict) return state;
  const { theirs, mine, parts } = state.conflict;
  const without = (some: readonly string[]): SentChange[] => mine.filter(({ edits }) => !edits.some((edit) => some.includes(partOf(edit))));
  const settled = { ...state, base: theirs, job: theirs.job, waiting: [], wasSent: false, conflict: null };
  if (choice === 'theirs') return putOnTop(settled, without(parts));
  const gone = goneFrom(theirs.job, state.job, parts);
  if (gone.length === 0) return putOnTop(settled, mine);
  const ids = gone.map((one) => one.id);
  const edits = differences(theirs.job, bringBack(theirs.job, state.job, ids));
  const back: SentChange = { id, label: changeLabel('broughtBack', gone.map(({ name }) => name).join(', ')), edits };
  return putOnTop(settled, [back, ...without(ids.map((one) => `surfaces/${one}`))]);
}

/** Puts the first change aside, with the reason, and goes on with the rest. */
export function parkFirst(state: QueueState, why: string): QueueState {
  const [first, ...rest] = state.waiting;
  const parked = [...state.parked, { change: first, why }];
  return putOnTop({ ...state, job: state.base.job, waiting: [], wasSent: false, parked }, rest);
}

/** Tries a parked change again, as the last one. */
export function tryParked(state: QueueState, changeId: string): QueueState {
  const again = state.parked.filter(({ change }) => change.id === changeId).map(({ change }) => change);
  return putOnTop(dropParked(state, changeId), again);
}

/** Lets go of a parked change. */
export const dropParked = (state: QueueState, changeId: string): QueueState => ({
  ...state,
  parked: state.parked.filter(({ change }) => change.id !== changeId),
});

/** Takes back the last change that was not sent; null where it may be saved already. */
export function takeBack(state: QueueState): { readonly state: QueueState; readonly change: SentChange } | null {
  const change = state.waiting.at(-1);
  if (change === undefined || isOnItsWay(state, change)) return null;
  const waiting = state.waiting.slice(0, -1);
  const job = waiting.reduce((at, { edits }) => applyEdits(at, edits), state.base.job);
  return { state: { ...state, waiting, job }, change };
}

/** Takes back the one change that was sent and never answered, by a change of its own: it may be saved already. */
export function takeBackSent(state: QueueState, id: string): { readonly state: QueueState; readonly change: SentChange } | null {
  const [change] = state.waiting;
  if (state.waiting.length !== 1) return null;
  const back: SentChange = { id, label: change.label, edits: differences(state.job, state.base.job) };
  return { state: { ...state, job: state.base.job, waiting: [change, back] }, change };
}

/** Changes on top of what is shown, one after the other; those that no longer fit are parked with the reason. */
export function putOnTop(state: QueueState, changes: readonly SentChange[]): QueueState {
  return changes.reduce<QueueState>((now, change) => {
    const applied = tryEdits(now.job, change);
    return typeof applied === 'string'
      ? { ...now, parked: [...now.parked, { change, why: applied }] }
      : { ...now, job: applied, waiting: [...now.waiting, change] };
  }, state);
}

/** The job with a change, or why it can't be. */
function tryEdits(job: Job, { edits }: SentChange): Job | string {
  try {
    const read = acceptChange(job, applyEdits(job, edits));
    return read.ok ? read.value : describeIssue(read.issues[0]);
  } catch (error) {
    if (error instanceof PlaceGone) return 'What it changed is no longer there.';
    throw error;
  }
}
