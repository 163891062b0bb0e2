import { ROUNDED_OFTEN, ROUNDING } from '../tolerances.ts';
import type { TaskId } from '../labour/tasks.ts';
import type { WorkHours } from '../labour/workHours.ts';
import {
  beginWork,
  dayAt,
  dayNumber,
  hoursIn,
  nextWorkTime,
  usualDay,
  workBack,
  workFrom,
  type WorkCalendar,
  type WorkingHours,
} from './calendar.ts';
import { calendarOf } from './calendarOf.ts';
import { draftTasks, type After, type Draft, type DraftRules, type PlaceToWork, type TaskPart } from './draftTasks.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';
import { RANK } from './steps.ts';

/** Why a work starts when it does. */
export type Held =
  | { readonly by: 'start' }
  | { readonly by: 'hands'; readonly id: string }
  | { readonly by: 'wait'; readonly id: string; readonly hours: number }
  | { readonly by: 'moved' };

/** One work in one place, laid on days. */
export interface PlannedTask {
  /** The task and its place: "lay room shower". */
  readonly id: string;
  readonly task: TaskId;
  /** Which of its coats, or of its days' portions, it is; null for all of it. */
  readonly part: TaskPart | null;
  readonly placeId: string;
  readonly placeName: string;
  /** Hours it takes, with the hands that are there meanwhile. */
  readonly hours: number;
  readonly stretches: readonly WorkingHours[];
  readonly start: number;
  readonly end: number;
  readonly held: Held;
  /** What it comes after, with the hours it waits for each. */
  readonly after: readonly After[];
  /** Whether the end of the job moves when it does. */
  readonly critical: boolean;
}

/** A work that comes later than what lies under it allows. */
export interface MissedWindow {
  readonly id: string;
  readonly afterId: string;
  readonly hours: number;
  readonly withinHours: number;
}

/** A job laid on days. */
export interface Programme {
  readonly calendar: WorkCalendar;
  readonly tasks: readonly PlannedTask[];
  /** When the last work ends, and when it may be used to the full, hours from the first midnight. */
  readonly ends: number;
  readonly fullLoad: number;
  readonly missed: readonly MissedWindow[];
}

/** Hours until a floor takes its full load after it was grouted (typical: seven days). */
const FULL_LOAD_HOURS = 7 * 24;

/** What a programme goes by. */
export interface ProgrammeRules extends DraftRules {
  /** The day it is looked at, ISO. */
  readonly today: string;
}

/**
 * Lays work on days, one gang of hands: of what may begin, the one that may begin first, in the order of the work. What
 * rests in one place leaves the hands free for another. Each work keeps its waits; a place is primed, laid, grouted as one.
 */
export function planProgramme(work: readonly WorkHours[], places: readonly PlaceToWork[], rules: ProgrammeRules): Programme {
  const { programme = {} } = rules;
  const calendar = calendarOf(rules);
  const drafts = draftTasks(work, places, rules, usualDay(calendar));
  const following = followersOf(drafts);
  const placed = new Map<string, Omit<PlannedTask, 'critical'>>();
  let [free, last] = [0, null as string | null];
  const waiting = [...drafts];
  while (waiting.length > 0) {
    const dues = new Map<string, number>();
    const ready = waiting.filter(({ after }) => after.every(({ id }) => placed.has(id)));
    const timed = ready.map((draft) => {
      const { at, held } = earliest(draft, placed, programme, calendar);
      const dueAt = dueOf(draft, placed, following, dues, calendar);
      const soonest = Math.max(at, free);
      const atOnce = dueAt < Infinity;
      const begun = atOnce ? nextWorkTime(calendar, soonest) : beginWork(calendar, soonest, draft);
      const start = meetsWindow(draft, begun, following, calendar);
      return { draft, at, held, dueAt, atOnce, start, end: workFrom(calendar, start, draft, atOnce).at(-1)?.[1] ?? start };
    });
    // What would keep the hands beyond a window that is open has to wait, unless it is what closes it;
    // and one window is closed before another is opened.
    const due = timed.filter(({ dueAt }) => dueAt < Infinity);
    const fitting = timed.filter(
      (one) =>
        !(due.length > 0 && one.dueAt === Infinity && opens(one.draft, following)) &&
        due.every((other) => other === one || nextWorkTime(calendar, Math.max(one.end, other.at)) <= other.dueAt),
    );
    const choice = fitting.length > 0 ? fitting : timed;
    choice.sort(
      (a, b) =>
        a.start - b.start ||
        sooner(a.dueAt, b.dueAt) ||
        Number(opens(a.draft, following)) - Number(opens(b.draft, following)) ||
        byOrder(places, a.draft, b.draft),
    );
    const next = choice[0];
    const { draft } = next;
    const stretches = workFrom(calendar, next.start, draft, next.atOnce);
    const start = stretches[0]?.[0] ?? next.start;
    const end = stretches.at(-1)?.[1] ?? start;
    const held: Held = next.at > free + ROUNDING ? next.held : last === null ? { by: 'start' } : { by: 'hands', id: last };
    placed.set(draft.id, {
      id: draft.id,
      task: draft.task,
      part: draft.part,
      placeId: draft.place.id,
      placeName: draft.place.name,
      hours: hoursIn(stretches),
      stretches,
      start,
      end,
      held,
      after: draft.after,
    });
    [free, last] = [end, draft.id];
    waiting.splice(waiting.indexOf(draft), 1);
  }
  const critical = criticalOf([...placed.values()]);
  const tasks = [...placed.values()].map((task) => ({ ...task, critical: critical.has(task.id) }));
  const ends = Math.max(0, ...tasks.map(({ end }) => end));
  const loaded = tasks.filter(({ task }) => task === 'grout').map(({ end }) => end + FULL_LOAD_HOURS);
  return { calendar, tasks, ends, fullLoad: Math.max(ends, ...loaded), missed: missedWindows(tasks) };
}

/** The first time a work may begin, and what holds it until then. */
function earliest(
  { id, after }: Draft,
  placed: ReadonlyMap<string, Pick<PlannedTask, 'end'>>,
  { notBefore = {} }: ProgrammeChoice,
  calendar: WorkCalendar,
): { readonly at: number; readonly held: Held } {
  let best: { at: number; held: Held } = { at: 0, held: { by: 'start' } };
  for (const one of after) {
    const at = (placed.get(one.id)?.end ?? 0) + one.hours;
    if (at > best.at) best = { at, held: { by: 'wait', id: one.id, hours: one.hours } };
  }
  const moved = Object.hasOwn(notBefore, id) ? 24 * dayNumber(calendar, notBefore[id]) : 0;
  return moved > best.at ? { at: moved, held: { by: 'moved' } } : best;
}

/** More days than a primer is put off for. */
const MOST_PUT_OFF = 14;

/** The works that come after each, by its id. */
type Followers = ReadonlyMap<string, readonly Draft[]>;

function followersOf(drafts: readonly Draft[]): Followers {
  const following = new Map<string, Draft[]>();
  for (const draft of drafts) for (const { id } of draft.after) following.set(id, [...(following.get(id) ?? []), draft]);
  return following;
}

/** When a work has to begin at the latest, so that what closes a window that is open can still follow in time. */
function dueOf(
  draft: Draft,
  placed: ReadonlyMap<string, Pick<PlannedTask, 'end'>>,
  following: Followers,
  known: Map<string, number>,
  calendar: WorkCalendar,
): number {
  const before = known.get(draft.id);
  if (before !== undefined) return before;
  const own = draft.after.map(({ id, withinHours }) => (placed.get(id)?.end ?? Infinity) + (withinHours ?? Infinity));
  const later = (following.get(draft.id) ?? []).map((next) => {
    const wait = next.after.find(({ id }) => id === draft.id)?.hours ?? 0;
    return workBack(calendar, dueOf(next, placed, following, known, calendar) - wait, draft);
  });
  const due = Math.min(Infinity, ...own, ...later);
  known.set(draft.id, due);
  return due;
}

/** Whether a work begins a window that another has to meet. */
const opens = (draft: Draft, following: Followers): boolean => closersOf(draft, following).length > 0;

const closersOf = (draft: Draft, following: Followers): readonly Draft['after'][number][] =>
  (following.get(draft.id) ?? []).flatMap((next) => closes(next, draft));

const closes = ({ after }: Draft, { id }: Draft): readonly Draft['after'][number][] =>
  after.filter((one) => one.id === id && one.withinHours !== null);

/** What opens a window is put off until what closes it can follow in time: nothing is primed on the eve of a weekend. */
function meetsWindow(draft: Draft, start: number, following: Followers, calendar: WorkCalendar): number {
  const closers = closersOf(draft, following);
  if (closers.length === 0) return start;
  // What is done between the two, such as the lines on what is primed.
  const last = new Set((following.get(draft.id) ?? []).filter((next) => closes(next, draft).length > 0));
  const between = [...leadingTo(last, draft, following)];
  let at = start;
  for (let tries = 0; tries < MOST_PUT_OFF; tries++) {
    const end = workFrom(calendar, at, draft).at(-1)?.[1] ?? at;
    const dry = end + Math.min(...closers.map(({ hours }) => hours));
    const ready = between.reduce((time, one) => workFrom(calendar, time, one).at(-1)?.[1] ?? time, dry);
    if (closers.every((one) => nextWorkTime(calendar, Math.max(ready, end + one.hours)) - end <= (one.withinHours ?? Infinity))) return at;
    at = nextWorkTime(calendar, 24 * (dayAt(at) + 1));
  }
  return start;
}

/** The works that come after one and before any of the last ones, however many steps lie between. */
function leadingTo(last: ReadonlySet<Draft>, from: Draft, following: Followers): ReadonlySet<Draft> {
  const known = new Map<Draft, boolean>();
  const leads = (one: Draft): boolean => {
    const before = known.get(one);
    if (before !== undefined) return before;
    // Every one is looked at once, also behind one that leads there.
    const found = (following.get(one.id) ?? []).filter((next) => last.has(next) || leads(next)).length > 0;
    known.set(one, found);
    return found;
  };
  leads(from);
  return new Set([...known].filter(([one, found]) => found && one !== from && !last.has(one)).map(([one]) => one));
}

/** Of two times the sooner one first; never is no time. */
const sooner = (a: number, b: number): number => (a === b ? 0 : a - b);

const byOrder = (places: readonly PlaceToWork[], a: Draft, b: Draft): number =>
  places.indexOf(a.place) - places.indexOf(b.place) || (RANK.get(a.task) ?? 0) - (RANK.get(b.task) ?? 0);

/** Works that the end of the job hangs on: from the last one back along what held each. */
function criticalOf(tasks: readonly Omit<PlannedTask, 'critical'>[]): Set<string> {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const found = new Set<string>();
  let at = [...tasks].sort((a, b) => b.end - a.end)[0] as Omit<PlannedTask, 'critical'> | undefined;
  while (at && !found.has(at.id)) {
    found.add(at.id);
    at = 'id' in at.held ? byId.get(at.held.id) : undefined;
  }
  return found;
}

function missedWindows(tasks: readonly PlannedTask[]): MissedWindow[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return tasks.flatMap(({ id, start, after }) =>
    after.flatMap(({ id: afterId, withinHours }): MissedWindow[] => {
      const hours = start - (byId.get(afterId)?.end ?? start);
      return withinHours !== null && hours > withinHours + ROUNDED_OFTEN ? [{ id, afterId, hours, withinHours }] : [];
    }),
  );
}
