import type { Point } from '@azulejo/core/geometry/point';
import type { Job } from '@azulejo/core/job/job';
import type { TaskId } from '@azulejo/core/labour/tasks';
import { paceInForce } from '@azulejo/core/labour/workHours';
import {
  CHECK_NAMES,
  describeBreakage,
  describeDoubtful,
  describeEntry,
  describeFigure,
  describeLearnt,
  describeUse,
} from '@azulejo/core/messages/en/log';
import { itemName } from '@azulejo/core/messages/en/materialNames';
import { mixName } from '@azulejo/core/messages/en/mixes';
import { TASK_NAMES } from '@azulejo/core/messages/en/money';
import type { Plan } from '@azulejo/core/plan';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { CHECKS, entriesOf, entrySchema, type Entry } from '@azulejo/core/site/entry';
import { learntPaces, taskFacts } from '@azulejo/core/site/learnt';
import { breakageFacts, learntUse, useFacts } from '@azulejo/core/site/learntUse';
import type { Taught } from '@azulejo/core/site/lessons';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';

/** What can be written down, in the order in which it is offered. */
export const WRITTEN = ['hours', 'mix', 'used', 'breakage', 'lot', 'note', 'photo', 'reading', 'change', 'snag'] as const;

/** A kind of thing that can be written down. */
export type Written = (typeof WRITTEN)[number];

/** Chosen in the place of a surface. */
export const WHOLE_JOB = '*';

/** What is filled in; it stays for the next entry of the kind. */
export interface Filled {
  surfaceId: string;
  task: string;
  hours: number;
  item: string;
  packs: number;
  productId: string;
  pieces: number;
  label: string;
  text: string;
  pin: [number, number] | null;
  code: string;
  check: (typeof CHECKS)[number];
  value: number;
  mixed: string;
  kg: number;
  image: string;
  /** The same in small. */
  small: string;
}

/** What a form begins with: the first surface that is not laid. */
export const startFilled = ({ surfaces }: Job): Filled => ({
  surfaceId: surfaces.find(({ laid }) => !laid)?.id ?? WHOLE_JOB,
  task: 'lay',
  // Nobody has worked before they say so.
  hours: 0,
  item: 'adhesive',
  packs: 1,
  productId: surfaces[0]?.productId ?? '',
  pieces: 1,
  label: '',
  text: '',
  pin: null,
  code: '',
  check: 'level',
  value: 0,
  mixed: '',
  kg: 0,
  image: '',
  small: '',
});

/** What is empty again once an entry is kept. */
export const NOTHING_SAID = { text: '', label: '', code: '', image: '', small: '', pin: null } as const;

/** A choice of a list. */
export interface Choice<Value extends string = string> {
  readonly value: Value;
  readonly label: string;
}

/** What can be chosen in the form. */
export interface EntryChoices {
  readonly surfaces: readonly Choice[];
  readonly tasks: readonly Choice<TaskId>[];
  readonly items: readonly Choice[];
  readonly products: readonly Choice[];
  readonly mixes: readonly (Choice & { readonly powderKg: number })[];
  readonly checks: readonly Choice<Filled['check']>[];
}

/** What can be chosen for a job; before there is a plan, every task. */
export function entryChoices(job: Job, plan: Plan | null): EntryChoices {
  const planned = new Set(plan?.money.work.map(({ task }) => task) ?? []);
  const items = plan?.materials.filter(({ item }) => item !== 'tiles').map(({ item }) => item) ?? [];
  const used = new Set(job.surfaces.map(({ productId }) => productId));
  return {
    surfaces: [{ value: WHOLE_JOB, label: 'the whole job' }, ...job.surfaces.map(({ id, name }) => ({ value: id, label: name }))],
    tasks: (Object.keys(TASK_NAMES) as TaskId[])
      .filter((task) => planned.size === 0 || planned.has(task))
      .map((value) => ({ value, label: TASK_NAMES[value] })),
    items: [...new Set(items)].map((value) => ({ value, label: itemName(value) })),
    products: job.products.filter(({ id }) => used.has(id)).map(({ id, name }) => ({ value: id, label: name })),
    mixes: (plan?.mixes ?? []).map((mix) => ({
      value: keyOfMix(mix),
      label: mixName(mix),
      powderKg: Math.round(100 * mix.powderKg) / 100,
    })),
    checks: CHECKS.map((value) => ({ value, label: CHECK_NAMES[value] })),
  };
}

const keyOfMix = ({ item, variant }: Mix): string => `${item} ${variant ?? ''}`;

/** What is wrong with an entry, by the field of it. */
const EXPECTED: Readonly<Record<string, string>> = {
  hours: 'Expected more than 0 and no more than 24 hours.',
  code: 'Expected the code of the lot, as on the box.',
  text: 'Expected a few words.',
  image: 'Expected a photo.',
  pieces: 'Expected how many.',
  packs: 'Expected how many.',
  item: 'Expected what was mixed: the plan mixes nothing.',
  kg: 'Expected how many kilograms.',
};

/** An entry that can be kept, or why not. */
export type ReadEntry =
  { readonly ok: true; readonly data: Entry['data']; readonly surfaceId: string | null } | { readonly ok: false; readonly why: string };

/** Reads what was filled in as an entry of a kind. */
export function readEntry(kind: Written, filled: Filled, plan: Plan | null): ReadEntry {
  return checked(dataOf(kind, filled, plan), filled.surfaceId === WHOLE_JOB ? null : filled.surfaceId);
}

/** Hours of a work that is done up to a part of it, or why they can't be kept. */
export const readHours = (task: TaskId, hours: number, upTo: number): ReadEntry => checked({ kind: 'hours', task, hours, upTo }, null);

function checked(data: Entry['data'], surfaceId: string | null): ReadEntry {
  if (data.kind === 'hours' && data.hours === 0) return { ok: false, why: EXPECTED['hours'] };
  const read = entrySchema.shape.data.safeParse(data);
  if (!read.success) return { ok: false, why: EXPECTED[String(read.error.issues[0]?.path[0])] ?? 'That can not be kept as it is.' };
  return { ok: true, data: read.data, surfaceId };
}

function dataOf(kind: Written, filled: Filled, plan: Plan | null): Entry['data'] {
  const { surfaceId, task, hours, item, packs, productId, pieces, label, text, code, check, value, image, small } = filled;
  // A place can be pointed at on a surface that is planned.
  const pin = plan?.surfaces.some((one) => one.surfaceId === surfaceId) ? filled.pin : null;
  const picture = small === '' ? { image } : { image, small };
  switch (kind) {
    case 'hours':
      return { kind, task, hours };
    case 'breakage':
      return { kind, productId, label, pieces, why: text };
    case 'mix':
      return { kind, item: filled.mixed.split(' ')[0], kg: filled.kg };
    case 'change':
      return { kind, text, pin };
    case 'used':
      return { kind, item, packs, size: plan?.materials.find((line) => line.item === item)?.packs[0]?.size ?? 1 };
    case 'lot':
      return { kind, productId, code, pieces };
    case 'note':
      return { kind, text, pin };
    case 'photo':
      return { kind, ...picture, text, pin };
    case 'reading':
      return { kind, check, value, wanted: null, text };
    case 'snag':
      return { kind, text, pin, done: false, ...(image === '' ? {} : picture) };
  }
}

/** An entry of the log as it is shown, with the place it is pinned to. */
export interface ShownEntry {
  readonly entry: Entry;
  readonly words: string;
  readonly spot: { readonly plan: SurfacePlan; readonly pin: Point } | null;
  /** "Shower floor, Ines"; empty where neither is said. */
  readonly about: string;
}

/** The log day by day, the last first; waits have their place on site. `dayOf` names the day of a time. */
export function logDays(
  job: Job,
  plan: Plan | null,
  entries: readonly Entry[],
  dayOf: (at: string) => string,
): readonly (readonly [day: string, entries: readonly ShownEntry[]])[] {
  const byDay = new Map<string, ShownEntry[]>();
  for (const entry of [...entries].reverse()) {
    if (entry.data.kind === 'timer') continue;
    const about = [placeName(job, entry.surfaceId), entry.by].filter((words) => words !== '').join(', ');
    const day = dayOf(entry.at);
    byDay.set(day, [...(byDay.get(day) ?? []), { entry, words: describeEntry(job, entry), spot: spotOf(plan, entry), about }]);
  }
  return [...byDay];
}

/** What a surface is called; empty for none. */
export const placeName = ({ surfaces }: Job, id: string | null): string => surfaces.find((surface) => surface.id === id)?.name ?? '';

function spotOf(plan: Plan | null, { surfaceId, data }: Entry): ShownEntry['spot'] {
  const planned = plan?.surfaces.find((one) => one.surfaceId === surfaceId);
  return planned && 'pin' in data && data.pin ? { plan: planned, pin: data.pin } : null;
}

/** Whether a job is laid: all its surfaces, and it has some. */
export const isLaid = ({ surfaces }: Pick<Job, 'surfaces'>): boolean => surfaces.length > 0 && surfaces.every(({ laid }) => laid);

/** What is written down, held against the plan. */
export interface AgainstPlan {
  readonly loggedHours: number;
  readonly broken: number;
  /** Pieces that were reckoned to break in all. */
  readonly expectedBroken: number;
  /** What was used, in words. */
  readonly uses: readonly string[];
  /** Hours by kind of work that any are written down of. */
  readonly bars: readonly { readonly name: string; readonly planned: number; readonly done: number }[];
}

/** What is written down, held against the plan; null where nothing is that can be. */
export function againstPlan(job: Job, { money, materials }: Plan, entries: readonly Entry[]): AgainstPlan | null {
  const facts = taskFacts(money.work, entries);
  const loggedHours = facts.reduce((sum, fact) => sum + fact.loggedHours, 0);
  const broken = entriesOf(entries, 'breakage').reduce((sum, { data }) => sum + data.pieces, 0);
  const uses = useFacts(materials, entries).map((fact) => describeUse(fact, isLaid(job)));
  if (loggedHours === 0 && broken === 0 && uses.length === 0) return null;
  return {
    loggedHours,
    broken,
    expectedBroken: materials.reduce((sum, line) => sum + (line.item === 'tiles' ? line.how.breakage : 0), 0),
    uses,
    bars: facts
      .filter((fact) => fact.loggedHours > 0)
      .map(({ task, plannedHours, loggedHours: done }) => ({ name: TASK_NAMES[task] ?? task, planned: plannedHours, done })),
  };
}

/** A kind of cut of which so many were made teaches something though none broke. */
const ENOUGH_CUTS = 20;

/** What a job taught, in words, and as it is kept. */
export interface LearntModel {
  readonly taught: readonly string[];
  /** Hours that can't be believed, to be looked at again. */
  readonly doubtful: readonly string[];
  readonly lessons: Taught;
}

/** What a job taught of paces, use and breakage; `isCut` tells of a piece whether it was cut. */
export function learntModel(
  job: Job,
  plan: Plan,
  entries: readonly Entry[],
  isCut: (surfaceId: string, label: string) => boolean,
): LearntModel {
  const laid = new Set(job.surfaces.filter((surface) => surface.laid).map(({ id }) => id));
  const { paces, doubtful } = learntPaces(plan.money.work, entries, laid, (task) => paceInForce(job, task).pace);
  const uses = useFacts(plan.materials, entries);
  const figures = learntUse(uses, job, isLaid(job));
  const cuts = plan.surfaces.flatMap(({ surfaceId, toCut: own }) =>
    own.map((piece) => ({ surfaceId, piece, isCut: laid.has(surfaceId) || isCut(surfaceId, piece.label) })),
  );
  const breakages = breakageFacts(cuts, entries, job.consumption.breakagePercent).filter(
    ({ percent, before, broken, cuts: made }) => percent !== before && (broken > 0 || made >= ENOUGH_CUTS),
  );
  return {
    taught: [...paces.map(describeLearnt), ...figures.map(describeFigure), ...(entries.length > 0 ? breakages.map(describeBreakage) : [])],
    doubtful: doubtful.map((one) => describeDoubtful(one, placeName(job, one.surfaceId))),
    lessons: { jobId: job.id, paces, figures, breakages, uses: isLaid(job) ? uses : [] },
  };
}
