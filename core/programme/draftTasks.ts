import { ROUNDED_OFTEN } from '../tolerances.ts';
import type { TaskId } from '../labour/tasks.ts';
import type { Labour, WorkHours } from '../labour/workHours.ts';
import type { Speaker, Spoken } from '../takeoff/materialKind.ts';
import type { Drinks } from '../takeoff/materials/primer.ts';
import { saidFor, type MaterialRules } from '../takeoff/registry.ts';
import { inQuarters, type Effort, type usualDay } from './calendar.ts';
import type { ProgrammeChoice } from './programmeChoice.ts';
import { coatRest, isShared, RESTS, restOf, SPREAD_ON, shiftOf, type Climate, type Rest } from './steps.ts';

/** What a work comes after: hours it waits, and within how many it has to follow. */
export interface After {
  readonly id: string;
  readonly hours: number;
  /** Who the wait comes from: the person, the data sheet of what rests, or what is usual, shifted by the site. */
  readonly from: Speaker;
  readonly withinHours: number | null;
}

/** A room, or a surface that is in none: worked on as one. */
export interface PlaceToWork {
  readonly id: string;
  readonly name: string;
  readonly surfaces: readonly { readonly id: string }[];
}

/** A part of a work: one of its coats, or what is done of it for one day. */
export interface TaskPart {
  readonly kind: 'coat' | 'day';
  readonly number: number;
  readonly of: number;
}

/** One work in one place, before it is laid on days. */
export interface Draft extends Effort {
  /** The task and its place, "lay room shower"; of a part that is not the last, with its number: "lay.1 room shower". */
  readonly id: string;
  readonly task: TaskId;
  readonly part: TaskPart | null;
  readonly place: PlaceToWork;
  readonly after: readonly After[];
}

/** A working day as it is in the mean. */
type UsualDay = ReturnType<typeof usualDay>;

/** What works are drafted by. */
export interface DraftRules {
  readonly programme?: ProgrammeChoice | undefined;
  readonly labour?: Labour | undefined;
  readonly climate: Climate;
  /** What is set for materials: their data sheets know waits. */
  readonly materials?: MaterialRules['materials'];
  readonly habits?: MaterialRules['habits'];
  /** How the ground of a surface drinks; as usual where it is not known. */
  readonly drinks?: (surfaceId: string) => Drinks;
}

/** A part's name; the last one bears that of the whole work, which others come after. */
const idOf = (task: TaskId, place: PlaceToWork, part: TaskPart | null): string =>
  part === null || part.number === part.of ? `${task} ${place.id}` : `${task}.${part.number} ${place.id}`;

/** The works of each place with what each comes after. */
export const draftTasks = (work: readonly WorkHours[], places: readonly PlaceToWork[], rules: DraftRules, day: UsualDay): Draft[] =>
  places.flatMap((place) => draftsOf(work, place, rules, day));

/** A work of a place as a whole. */
interface Whole extends Effort {
  readonly task: TaskId;
  readonly coats: number;
  readonly after: readonly (After & { readonly task: TaskId })[];
}

function draftsOf(work: readonly WorkHours[], place: PlaceToWork, rules: DraftRules, day: UsualDay): Draft[] {
  const own = new Set(place.surfaces.map(({ id }) => id));
  const here = work.filter(({ surfaceId }) => own.has(surfaceId));
  const tasks = [...new Set(here.map(({ task }) => task))];
  const wholes = tasks.map((task): Whole => {
    const mine = here.filter((one) => one.task === task);
    return {
      task,
      hours: mine.reduce((sum, { hours }) => sum + hours, 0),
      isShared: isShared(task),
      coats: Math.max(1, ...mine.map(({ coats = 1 }) => coats)),
      after: [],
    };
  });
  const order = restsIn(wholes, day);
  const whole = wholes.map((one) => ({
    ...one,
    after: order.filter(({ before }) => before === one.task).map((rest) => ({ ...afterOf(rest, place, rules), task: rest.after })),
  }));
  return inParts(whole, place, rules, day);
}

/** What follows what in a place that has these works: a primer's window runs to what is spread on it. */
function restsIn(wholes: readonly Whole[], day: UsualDay): Rest[] {
  const has = (task: TaskId): boolean => wholes.some((one) => one.task === task);
  const spread = SPREAD_ON.find(has);
  const hoursOf = (task: TaskId): number => {
    const found = wholes.find((one) => one.task === task);
    return found ? found.hours / (found.isShared ? day.handHours / day.hours : 1) : 0;
  };
  // What takes the day between the lines and the first tile is done before the primer, not on it.
  const late = spread === 'lay' && [...BEFORE_LAYING, 'prime' as const].reduce((sum, task) => sum + hoursOf(task), DRIES_HOURS) > day.hours;
  const own = RESTS.filter((rest) => {
    if (!has(rest.after) || !has(rest.before)) return false;
    if (rest.after !== 'prime') return true;
    return rest.withinHours === null ? !late : rest.before === spread;
  });
  if (!late || !has('prime')) return own;
  const before = (after: TaskId): Rest => ({ after, before: 'prime', hours: 0, withinHours: null, how: 'nothing' });
  return [...own, ...BEFORE_LAYING.filter(has).map(before)];
}

/** What is done between the lines and the first tile. */
const BEFORE_LAYING: readonly TaskId[] = ['setOut', 'cut', 'trim', 'ledger'];

/** A primer is touched no sooner, hours. */
const DRIES_HOURS = 2;

/** Works coat by coat, and what is primed for the day's portion alone. */
function inParts(wholes: readonly Whole[], place: PlaceToWork, rules: DraftRules, day: UsualDay): Draft[] {
  const prime = wholes.find(({ task }) => task === 'prime');
  const lay = wholes.find(({ task }) => task === 'lay');
  const isPortioned = prime !== undefined && lay !== undefined && lay.after.some(({ task }) => task === 'prime');
  const portions = isPortioned ? Math.max(1, Math.ceil((lay.hours + prime.hours) / day.handHours - ROUNDED_OFTEN)) : 1;
  return wholes.flatMap((whole): Draft[] => {
    const { task, hours, coats, isShared: shared } = whole;
    const isDaily = portions > 1 && (task === 'prime' || task === 'lay');
    const of = isDaily ? portions : coats;
    const parts = Array.from({ length: of }, (_, k): TaskPart | null =>
      of === 1 ? null : { kind: isDaily ? 'day' : 'coat', number: k + 1, of },
    );
    return parts.map((part, k): Draft => ({
      id: idOf(task, place, part),
      task,
      part,
      place,
      hours: inQuarters((hours * (k + 1)) / of) - inQuarters((hours * k) / of) || 0.25,
      isShared: shared,
      after: isDaily ? dayAfter(whole, place, part as TaskPart) : coatAfter(whole, place, parts, k, portions, rules),
    }));
  });
}

/** A coat comes after the one before it; the first after what the work comes after: of what is primed day by day, the first day's. */
function coatAfter(
  { task, after }: Whole,
  place: PlaceToWork,
  parts: readonly (TaskPart | null)[],
  k: number,
  portions: number,
  rules: DraftRules,
): After[] {
  const first: TaskPart = { kind: 'day', number: 1, of: portions };
  if (k === 0)
    return after.map(({ id, task: before, hours, from, withinHours }) => ({
      id: before === 'prime' && portions > 1 ? idOf('prime', place, first) : id,
      hours,
      from,
      withinHours,
    }));
  const { hours, from } = afterOf(coatRest(task), place, rules);
  return [{ id: idOf(task, place, parts[k - 1]), hours, from, withinHours: null }];
}

/** A day's portion is primed when the one before it lies, and laid on its own primer. */
function dayAfter({ task, after }: Whole, place: PlaceToWork, { number, of }: TaskPart): After[] {
  const part = (at: number): TaskPart => ({ kind: 'day', number: at, of });
  const own = after.map(({ id, task: before, hours, from, withinHours }): After => ({
    id: task === 'lay' && before === 'prime' ? idOf('prime', place, part(number)) : id,
    hours,
    from,
    withinHours,
  }));
  if (number === 1) return own;
  const previous: After = { id: idOf('lay', place, part(number - 1)), hours: 0, from: 'typical', withinHours: null };
  return task === 'prime' ? [previous] : [...own, previous];
}

/** What a rest in a place comes to: as the person says, else as the data sheet does, else as usual; both shifted by the site. */
function afterOf(
  rest: Rest,
  place: PlaceToWork,
  { programme = {}, climate, materials, habits, drinks = () => 'usual' }: DraftRules,
): After {
  const own = place.surfaces.map(({ id }) => drinks(id));
  const slowest = own.includes('little') ? 'little' : own.includes('usual') ? 'usual' : (own[0] ?? 'usual');
  const item = restOf(rest);
  const { stated } = item && materials ? saidFor(item, { materials, habits }) : { stated: {} as Record<string, Spoken | undefined> };
  const said = stated['restHours'];
  const person = programme.waits?.[`${rest.after}>${rest.before}`];
  return {
    id: idOf(rest.after, place, null),
    hours: person ?? (said?.value ?? rest.hours) * shiftOf(rest, climate, slowest),
    from: person !== undefined ? 'job' : (said?.from ?? 'typical'),
    withinHours: rest.withinHours === null ? null : (stated['withinHours']?.value ?? rest.withinHours),
  };
}
