import type { TaskId } from '../labour/tasks.ts';
import { HOURS_PER_DAY, type Labour, type WorkHours } from '../labour/workHours.ts';
import type { Speaker, Spoken } from '../takeoff/materialKind.ts';
import type { Drinks } from '../takeoff/materials/primer.ts';
import { saidFor, type MaterialRules } from '../takeoff/registry.ts';
import { dayNumber, nextWorkTime, workFrom, type Stretch, type WorkCalendar } from './calendar.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';
import { isShared, RANK, RESTS, restOf, shiftOf, type Climate, type Rest } from './steps.ts';

/** Why a work starts when it does. */
export type Held =
  | { readonly by: 'start' }
  | { readonly by: 'hands'; readonly id: string }
  | { readonly by: 'wait'; readonly id: string; readonly hours: number }
  | { readonly by: 'moved' };

/** What a work comes after: hours it waits, and within how many it has to follow. */
export interface After {
  readonly id: string;
  readonly hours: number;
  /** Who the wait comes from: the person, the data sheet of what rests, or what is usual, shifted by the site. */
  readonly from: Speaker;
  readonly withinHours: number | null;
}

/** One work in one place, laid on days. */
export interface PlannedTask {
  /** The task and its place: "lay room shower". */
  readonly id: string;
  readonly task: TaskId;
  readonly placeId: string;
  readonly placeName: string;
  /** Hours for all hands there are. */
  readonly hours: number;
  readonly stretches: readonly Stretch[];
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
export interface ProgrammeRules {
  readonly programme?: ProgrammeChoice | undefined;
  readonly labour?: Labour | undefined;
  readonly climate: Climate;
  /** What is set for materials: their data sheets know waits. */
  readonly materials?: MaterialRules['materials'];
  readonly habits?: MaterialRules['habits'];
  /** How the ground of a surface drinks; as usual where it is not known. */
  readonly drinks?: (surfaceId: string) => Drinks;
  /** The day it is looked at, ISO. */
  readonly today: string;
}

/** A room, or a surface that is in none: worked on as one. */
export interface Place {
  readonly id: string;
  readonly name: string;
  readonly surfaces: readonly { readonly id: string }[];
}

interface Draft {
  readonly id: string;
  readonly task: TaskId;
  readonly place: Place;
  readonly hours: number;
  readonly after: readonly After[];
}

/**
 * Lays work on days, one gang of hands: of what may begin, the one that may begin first, in the order of the work. What
 * rests in one place leaves the hands free for another. Each work keeps its waits; a place is primed, laid, grouted as one.
 */
export function planProgramme(work: readonly WorkHours[], places: readonly Place[], rules: ProgrammeRules): Programme {
  const { programme = {}, labour = {}, today } = rules;
  const calendar: WorkCalendar = {
    startDay: programme.startDay ?? today,
    startHour: programme.startHour ?? 8,
    hoursPerDay: labour.hoursPerDay ?? HOURS_PER_DAY,
    daysOff: programme.daysOff ?? [0, 6],
    holidays: programme.holidays ?? [],
  };
  const drafts = draftTasks(work, places, rules);
  const placed = new Map<string, Omit<PlannedTask, 'critical'>>();
  let [free, last] = [0, null as string | null];
  const waiting = [...drafts];
  while (waiting.length > 0) {
    const ready = waiting.filter(({ after }) => after.every(({ id }) => placed.has(id)));
    const timed = ready.map((draft) => {
      const { at, held, dueAt } = earliest(draft, placed, programme, calendar);
      const start = meetsWindow(draft, nextWorkTime(calendar, Math.max(at, free)), drafts, calendar);
      return { draft, at, held, dueAt, start, end: workFrom(calendar, start, draft.hours).at(-1)?.[1] ?? start };
    });
    // What would keep the hands beyond a window that is open has to wait, unless it is what closes it;
    // and one window is closed before another is opened.
    const due = timed.filter(({ dueAt }) => dueAt < Infinity);
    const fitting = timed.filter(
      (one) =>
        !(due.length > 0 && WINDOWED.has(one.draft.task)) &&
        due.every((other) => other === one || nextWorkTime(calendar, Math.max(one.end, other.at)) <= other.dueAt),
    );
    const choice = fitting.length > 0 ? fitting : timed;
    choice.sort(
      (a, b) => a.start - b.start || sooner(a.dueAt, b.dueAt) || opensWindow(a.draft, b.draft) || byOrder(places, a.draft, b.draft),
    );
    const next = choice[0];
    const { draft } = next;
    const { start } = next;
    const stretches = workFrom(calendar, start, draft.hours);
    const end = stretches.at(-1)?.[1] ?? start;
    const held: Held = next.at > free + 1e-9 ? next.held : last === null ? { by: 'start' } : { by: 'hands', id: last };
    placed.set(draft.id, {
      id: draft.id,
      task: draft.task,
      placeId: draft.place.id,
      placeName: draft.place.name,
      hours: draft.hours,
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

const idOf = (task: TaskId, place: Place): string => `${task} ${place.id}`;

/** The works of each place with what each comes after; to the quarter of an hour. */
function draftTasks(work: readonly WorkHours[], places: readonly Place[], rules: ProgrammeRules): Draft[] {
  const hands = 1 + (rules.labour?.helpers ?? 0);
  return places.flatMap((place) => {
    const own = new Set(place.surfaces.map(({ id }) => id));
    const here = work.filter(({ surfaceId }) => own.has(surfaceId));
    const tasks = [...new Set(here.map(({ task }) => task))];
    return tasks.map((task): Draft => {
      const hours = here.filter((one) => one.task === task).reduce((sum, one) => sum + one.hours, 0);
      const after = RESTS.filter((rest) => rest.before === task && tasks.includes(rest.after)).map((rest) => afterOf(rest, place, rules));
      return { id: idOf(task, place), task, place, hours: Math.ceil((4 * hours) / (isShared(task) ? hands : 1) - 1e-6) / 4, after };
    });
  });
}

/** What a rest in a place comes to: as the person says, else as the data sheet does, else as usual; both shifted by the site. */
function afterOf(rest: Rest, place: Place, { programme = {}, climate, materials, habits, drinks = () => 'usual' }: ProgrammeRules): After {
  const own = place.surfaces.map(({ id }) => drinks(id));
  const slowest = own.includes('little') ? 'little' : own.includes('usual') ? 'usual' : (own[0] ?? 'usual');
  const item = restOf(rest);
  const { stated } = item && materials ? saidFor(item, { materials, habits }) : { stated: {} as Record<string, Spoken | undefined> };
  const said = stated['restHours'];
  const person = programme.waits?.[`${rest.after}>${rest.before}`];
  return {
    id: idOf(rest.after, place),
    hours: person ?? (said?.value ?? rest.hours) * shiftOf(rest, climate, slowest),
    from: person !== undefined ? 'job' : (said?.from ?? 'typical'),
    withinHours: rest.withinHours === null ? null : (stated['withinHours']?.value ?? rest.withinHours),
  };
}

/** The first time a work may begin, and what holds it until then. */
function earliest(
  { id, after }: Draft,
  placed: ReadonlyMap<string, Pick<PlannedTask, 'end'>>,
  { notBefore = {} }: ProgrammeChoice,
  calendar: WorkCalendar,
): { readonly at: number; readonly held: Held; readonly dueAt: number } {
  const dueAt = Math.min(Infinity, ...after.map((one) => (placed.get(one.id)?.end ?? 0) + (one.withinHours ?? Infinity)));
  let best: { at: number; held: Held } = { at: 0, held: { by: 'start' } };
  for (const one of after) {
    const at = (placed.get(one.id)?.end ?? 0) + one.hours;
    if (at > best.at) best = { at, held: { by: 'wait', id: one.id, hours: one.hours } };
  }
  const moved = Object.hasOwn(notBefore, id) ? 24 * dayNumber(calendar, notBefore[id]) : 0;
  return moved > best.at ? { at: moved, held: { by: 'moved' }, dueAt } : { ...best, dueAt };
}

/** More days than a primer is put off for. */
const MOST_PUT_OFF = 14;

/** What opens a window is put off until what closes it can follow in time: nothing is primed on the eve of a weekend. */
function meetsWindow({ id, task, hours, place }: Draft, start: number, drafts: readonly Draft[], calendar: WorkCalendar): number {
  if (!WINDOWED.has(task)) return start;
  const next = drafts.flatMap((other) =>
    other.place === place ? other.after.filter((one) => one.id === id && one.withinHours !== null) : [],
  );
  let at = start;
  for (let tries = 0; tries < MOST_PUT_OFF; tries++) {
    const end = workFrom(calendar, at, hours).at(-1)?.[1] ?? at;
    if (next.every((one) => nextWorkTime(calendar, end + one.hours) - end <= (one.withinHours ?? Infinity))) return at;
    at = nextWorkTime(calendar, 24 * (Math.floor(at / 24 + 1e-9) + 1));
  }
  return start;
}

/** Of two times the sooner one first; never is no time. */
const sooner = (a: number, b: number): number => (a === b ? 0 : a - b);

/** What begins a window that the next work has to meet comes after what begins none. */
const opensWindow = (a: Draft, b: Draft): number => Number(WINDOWED.has(a.task)) - Number(WINDOWED.has(b.task));
const WINDOWED: ReadonlySet<TaskId> = new Set(RESTS.filter(({ withinHours }) => withinHours !== null).map(({ after }) => after));

const byOrder = (places: readonly Place[], a: Draft, b: Draft): number =>
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
      return withinHours !== null && hours > withinHours + 1e-6 ? [{ id, afterId, hours, withinHours }] : [];
    }),
  );
}
