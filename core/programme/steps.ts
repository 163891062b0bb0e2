import { TASK_IDS, type TaskId } from '../labour/tasks.ts';
import type { Drinks } from '../takeoff/materials/primer.ts';
import type { MaterialId } from '../takeoff/registry.ts';

/** How long one kind of work has to rest before the next goes on, and within what time it has to come. */
export interface Rest {
  readonly after: TaskId;
  readonly before: TaskId;
  /** Hours between the end of one and the start of the other, typical; the data sheet decides. */
  readonly hours: number;
  /** The other has to begin within so many hours; null for no limit. */
  readonly withinHours: number | null;
  /** What goes on meanwhile: something sets, something dries, or nothing has to. */
  readonly how: 'sets' | 'dries' | 'nothing';
}

const rest = (after: TaskId, before: TaskId, hours: number, how: Rest['how'], withinHours: number | null = null): Rest => ({
  after,
  before,
  hours,
  withinHours,
  how,
});

/** What a primer lies under, the first of them that there is: its window runs to when that is spread. */
export const SPREAD_ON: readonly TaskId[] = ['level', 'bed', 'waterproof', 'lay'];

/** What follows what in one place, with the usual waits: all of it typical, and the data sheet on the bag decides. */
export const RESTS: readonly Rest[] = [
  // Nobody spreads anything round a box that is under its plate.
  ...(['board', 'prime', 'level', 'bed', 'waterproof', 'setOut'] as const).map((next) => rest('openBoxes', next, 0, 'nothing')),
  rest('board', 'prime', 0, 'nothing'),
  rest('board', 'level', 0, 'nothing'),
  rest('board', 'bed', 0, 'nothing'),
  rest('board', 'waterproof', 0, 'nothing'),
  rest('board', 'setOut', 0, 'nothing'),
  ...SPREAD_ON.map((spread) => rest('prime', spread, 2, 'dries', 24)),
  rest('prime', 'setOut', 2, 'dries'),
  rest('level', 'waterproof', 24, 'dries'),
  rest('level', 'setOut', 24, 'dries'),
  rest('bed', 'waterproof', 48, 'dries'),
  rest('bed', 'setOut', 48, 'dries'),
  rest('waterproof', 'setOut', 12, 'dries'),
  rest('setOut', 'cut', 0, 'nothing'),
  rest('cut', 'lay', 0, 'nothing'),
  rest('setOut', 'lay', 0, 'nothing'),
  // What frames the tiles goes into the bed before them, and so does what they stand on.
  rest('setOut', 'trim', 0, 'nothing'),
  // It is bedded, and nothing is spread before all is cut.
  rest('cut', 'trim', 0, 'nothing'),
  rest('trim', 'lay', 0, 'nothing'),
  rest('setOut', 'ledger', 0, 'nothing'),
  rest('ledger', 'lay', 0, 'nothing'),
  rest('lay', 'ledgerOff', 24, 'sets'),
  rest('ledgerOff', 'bottomRow', 0, 'nothing'),
  rest('ledgerOff', 'ledgerHoles', 0, 'nothing'),
  rest('ledgerHoles', 'ledgerSeal', 2, 'dries'),
  rest('ledgerHoles', 'bottomRow', 2, 'dries'),
  rest('ledgerSeal', 'bottomRow', 12, 'dries'),
  rest('lay', 'edging', 0, 'nothing'),
  rest('lay', 'scrape', 24, 'sets'),
  rest('lay', 'sealTile', 24, 'sets'),
  rest('lay', 'grout', 24, 'sets'),
  rest('lay', 'strips', 12, 'sets'),
  rest('lay', 'skirting', 24, 'sets'),
  rest('bottomRow', 'strips', 12, 'sets'),
  rest('bottomRow', 'scrape', 24, 'sets'),
  rest('scrape', 'sealTile', 0, 'nothing'),
  rest('scrape', 'grout', 0, 'nothing'),
  rest('bottomRow', 'sealTile', 24, 'sets'),
  rest('bottomRow', 'grout', 24, 'sets'),
  rest('edging', 'grout', 12, 'sets'),
  rest('strips', 'grout', 12, 'sets'),
  rest('sealTile', 'grout', 2, 'dries'),
  rest('grout', 'haze', 24, 'sets'),
  rest('grout', 'sealant', 24, 'dries'),
  rest('grout', 'refitBoxes', 12, 'sets'),
  rest('haze', 'refitBoxes', 0, 'nothing'),
  rest('refitBoxes', 'protect', 0, 'nothing'),
  rest('haze', 'sealant', 2, 'dries'),
  rest('skirting', 'sealant', 0, 'nothing'),
  rest('grout', 'sealGrout', 72, 'dries'),
  rest('haze', 'sealGrout', 2, 'dries'),
  rest('sealant', 'sealGrout', 24, 'sets'),
  rest('grout', 'protect', 24, 'sets'),
  rest('haze', 'protect', 2, 'dries'),
  rest('sealant', 'protect', 24, 'sets'),
  rest('sealGrout', 'protect', 2, 'dries'),
];

/** Between two coats of the same, hours (typical): a membrane an hour, a sealer some minutes. */
const COAT_HOURS: Readonly<Partial<Record<TaskId, number>>> = { prime: 1, waterproof: 1, ledgerSeal: 1, sealTile: 0.25, sealGrout: 0.25 };

/** How long a coat rests before the next. */
export const coatRest = (task: TaskId): Rest => ({
  after: task,
  before: task,
  hours: COAT_HOURS[task] ?? 1,
  withinHours: null,
  how: 'dries',
});

/** The order in which work of equal right is taken up. */
export const RANK: ReadonlyMap<TaskId, number> = new Map(TASK_IDS.map((task, k) => [task, k]));

/** Work that needs one pair of hands, however many there are. */
const ALONE: ReadonlySet<TaskId> = new Set<TaskId>(['openBoxes', 'setOut', 'cut', 'ledger', 'refitBoxes']);

/** Work that two pairs of hands do in half the time; the rest needs one. */
export const isShared = (task: TaskId): boolean => !ALONE.has(task);

/**
 * The material whose data sheet knows how long a work rests, where it is one. When grout may be sealed is another figure
 * than when the next work may go on, and stays as usual.
 */
const RESTS_BY: Readonly<Partial<Record<TaskId, MaterialId>>> = {
  prime: 'primer',
  level: 'leveller',
  waterproof: 'membrane',
  ledgerSeal: 'membrane',
  lay: 'adhesive',
  sealTile: 'tileSealer',
  grout: 'grout',
  sealant: 'sealant',
};

/** The material whose data sheet says how long a rest is; null where none does. */
export const restOf = ({ after, before, how }: Rest): MaterialId | null =>
  how === 'nothing' || before === 'sealGrout' || before === after ? null : (RESTS_BY[after] ?? null);

/** How much longer what sets or dries takes at a temperature: half as long again for about ten degrees less than 20, a third less for ten more; a hint. */
export const settingShift = (temperatureC: number): number => within(0.6, 2 ** ((20 - temperatureC) / 17), 2.5);

/** How much longer what dries takes in damp air: twice as long at 90 % as at 50; a hint. */
export const dryingShift = (humidityPercent: number): number => within(0.7, 2 ** ((humidityPercent - 50) / 40), 2.5);

/** How much longer a bed or a primer takes by how the ground drinks: half as long again where it does not, a fifth less where it does; a hint. */
export const SUCTION_SHIFT: Readonly<Record<Drinks, number>> = { little: 1.5, usual: 1, much: 0.8 };

/** What gives its water to the ground as well as to the air. */
const DRUNK: ReadonlySet<TaskId> = new Set(['prime', 'lay']);

/** What a place is like for what rests there. */
export interface Climate {
  readonly temperatureC: number;
  readonly humidityPercent: number;
}

/** How much longer a rest takes than usual. */
export function shiftOf({ how, after }: Rest, { temperatureC, humidityPercent }: Climate, drinks: Drinks): number {
  if (how === 'nothing') return 1;
  return settingShift(temperatureC) * (how === 'dries' ? dryingShift(humidityPercent) : 1) * (DRUNK.has(after) ? SUCTION_SHIFT[drinks] : 1);
}

const within = (low: number, value: number, high: number): number => Math.min(high, Math.max(low, value));
