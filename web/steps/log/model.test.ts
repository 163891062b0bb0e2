import { describe, expect, test } from '@jest/globals';
import type { Job } from '@azulejo/core/job/job';
import { entrySchema, type Entry } from '@azulejo/core/site/entry';
import { demoJob, demoPlan } from '../../../testing/demoJob.ts';
import {
  againstPlan,
  entryChoices,
  learntModel,
  logDays,
  NOTHING_SAID,
  readEntry,
  startFilled,
  WHOLE_JOB,
  WRITTEN,
  type Filled,
  type Written,
} from './model.ts';
import { spareTiles } from './closingModel.ts';

const job = demoJob('tidewater-bakehouse');
const plan = demoPlan('tidewater-bakehouse');
const allLaid: Job = { ...job, surfaces: job.surfaces.map((surface) => ({ ...surface, laid: true })) };
const [shop] = plan.surfaces;

let made = 0;
const entry = (data: Entry['data'], rest: Partial<Entry> = {}): Entry => ({
  id: `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`,
  at: '2027-03-01T08:00:00Z',
  by: '',
  surfaceId: null,
  replaces: null,
  data,
  ...rest,
});
const hours = (task: string, spent: number, surfaceId: string | null = null): Entry =>
  entry({ kind: 'hours', task, hours: spent }, { surfaceId });
const never = (): boolean => false;

describe('what is filled in', () => {
  const PICTURE = 'data:image/png;base64,AAAA';
  /** What each kind needs before it can be kept. */
  const ENOUGH: Readonly<Record<Written, Partial<Filled>>> = {
    hours: { hours: 2 },
    mix: { mixed: 'adhesive ', kg: 12.5 },
    used: {},
    breakage: {},
    lot: { code: 'L4711' },
    note: { text: 'Damp by the window' },
    photo: { image: PICTURE },
    reading: { value: 1.5 },
    change: { text: 'Joint 3, not 2' },
    snag: { text: 'Chip by the door' },
  };
  const filled = (part: Partial<Filled>): Filled => ({ ...startFilled(job), ...part });

  test.each(WRITTEN)('%s is kept as the log takes it, on the surface that was chosen', (kind) => {
    const read = readEntry(kind, filled({ ...ENOUGH[kind], surfaceId: shop.surfaceId, pin: [100, 200] }), plan);
    if (!read.ok) throw new Error(read.why);
    expect(entrySchema.safeParse(entry(read.data)).success).toBe(true);
    expect(read.data.kind).toBe(kind);
    expect(read.surfaceId).toBe(shop.surfaceId);
    if ('pin' in read.data) expect(read.data.pin).toEqual([100, 200]);
  });

  test.each([
    ['hours', { hours: 25 }, /more than 0 and no more than 24 hours/],
    // A press too many keeps no hour.
    ['hours', {}, /more than 0 and no more than 24 hours/],
    ['lot', { code: ' ' }, /code of the lot/],
    ['note', { text: '' }, /a few words/],
    ['change', { text: '' }, /a few words/],
    ['photo', { image: '' }, /a photo/],
    ['breakage', { pieces: -1 }, /how many/],
    ['used', { packs: -1 }, /how many/],
    ['mix', { mixed: '', kg: 4 }, /what was mixed/],
    ['mix', { mixed: 'adhesive ', kg: -1 }, /how many kilograms/],
  ] as const)('%s with %j is refused in words', (kind, part, why) => {
    const read = readEntry(kind, filled(part), plan);
    expect(read.ok ? 'kept' : read.why).toMatch(why);
  });

  test('nothing can be pointed at on the whole job, or before there is a plan', () => {
    for (const read of [
      readEntry('note', filled({ text: 'x', surfaceId: WHOLE_JOB, pin: [1, 2] }), plan),
      readEntry('note', filled({ text: 'x', surfaceId: shop.surfaceId, pin: [1, 2] }), null),
    ])
      expect(read).toMatchObject({ ok: true, data: { pin: null } });
    expect(readEntry('note', filled({ text: 'x', surfaceId: WHOLE_JOB }), plan)).toMatchObject({ surfaceId: null });
  });

  test('a form begins on the first surface that is not laid, and is empty of words once an entry is kept', () => {
    expect(startFilled(job).surfaceId).toBe(job.surfaces.find(({ laid }) => !laid)?.id);
    expect(startFilled(allLaid).surfaceId).toBe(WHOLE_JOB);
    const after = { ...filled({ ...ENOUGH.photo, text: 'x', hours: 3 }), ...NOTHING_SAID };
    expect(readEntry('photo', after, plan).ok).toBe(false);
    expect(after.hours).toBe(3);
  });

  test('what can be chosen is what the plan has: its works, its materials once each, tiles that are laid', () => {
    const { tasks, items, products, mixes, surfaces } = entryChoices(job, plan);
    expect(new Set(tasks.map(({ value }) => value))).toEqual(new Set(plan.money.work.map(({ task }) => task)));
    expect(new Set(items.map(({ value }) => value)).size).toBe(items.length);
    expect(items.some(({ value }) => value === 'tiles')).toBe(false);
    for (const { value } of products) expect(job.surfaces.some(({ productId }) => productId === value)).toBe(true);
    expect(mixes).toHaveLength(plan.mixes.length);
    expect(surfaces).toHaveLength(job.surfaces.length + 1);
    // Without a plan every work can be chosen, and nothing that only a plan knows.
    const bare = entryChoices(job, null);
    expect(bare.tasks.length).toBeGreaterThan(tasks.length);
    expect([bare.items, bare.mixes]).toEqual([[], []]);
  });
});

describe('the log day by day', () => {
  const dayOf = (at: string): string => at.slice(0, 10);
  const entries = [
    entry({ kind: 'note', text: 'First', pin: [10, 20] }, { surfaceId: shop.surfaceId, by: 'Ines' }),
    entry({ kind: 'timer', of: 'slake', minutes: 5 } as unknown as Entry['data'], { at: '2027-03-02T07:00:00Z' }),
    hours('lay', 3),
    entry({ kind: 'note', text: 'Last', pin: null }, { at: '2027-03-02T09:00:00Z', by: 'Tom' }),
  ];

  test('the last day first, and on each what was written last; waits have their place elsewhere', () => {
    const days = logDays(job, plan, entries, dayOf);
    expect(days.map(([day, shown]) => [day, shown.map(({ words }) => words)])).toEqual([
      ['2027-03-02', ['Last']],
      ['2027-03-01', [expect.stringContaining('3'), 'First']],
    ]);
  });

  test('an entry says where and by whom, and points at its place where the surface is planned', () => {
    const [, [, [, first]]] = logDays(job, plan, entries, dayOf);
    expect(first.about).toBe(`${job.surfaces.find(({ id }) => id === shop.surfaceId)?.name}, Ines`);
    expect(first.spot).toMatchObject({ pin: [10, 20] });
    expect(logDays(job, null, entries, dayOf)[1][1][1].spot).toBeNull();
    expect(logDays(job, plan, entries, dayOf)[0][1][0].about).toBe('Tom');
  });
});

describe('held against the plan', () => {
  test('nothing is told before anything is written down that can be held against it', () => {
    expect(againstPlan(job, plan, [])).toBeNull();
    expect(againstPlan(job, plan, [entry({ kind: 'note', text: 'x', pin: null })])).toBeNull();
  });

  test('hours and breakages add up, and only works with hours are drawn', () => {
    const broken = entry({ kind: 'breakage', productId: job.products[0].id, label: '', pieces: 3, why: '' });
    const facts = againstPlan(job, plan, [hours('lay', 2), hours('lay', 3.5), hours('grout', 1), broken]);
    expect(facts).toMatchObject({ loggedHours: 6.5, broken: 3 });
    expect(facts?.bars.map(({ done }) => done).sort()).toEqual([1, 5.5]);
    const planned = plan.money.work.filter(({ task }) => task === 'lay').reduce((sum, one) => sum + one.hours, 0);
    expect(facts?.bars.find(({ done }) => done === 5.5)?.planned).toBeCloseTo(planned, 6);
  });
});

describe('what a job taught', () => {
  const laid = job.surfaces.find(({ id }) => id === shop.surfaceId);
  const oneLaid: Job = {
    ...job,
    surfaces: job.surfaces.map((surface) => (surface.id === laid?.id ? { ...surface, laid: true } : surface)),
  };
  const planned = plan.money.work.find(({ task, surfaceId }) => task === 'lay' && surfaceId === shop.surfaceId);

  test('a surface that is laid in other hours than planned teaches a pace; one that is not laid teaches none', () => {
    const slow = hours('lay', (planned?.hours ?? 0) * 1.25, shop.surfaceId);
    const { lessons, taught } = learntModel(oneLaid, plan, [slow], never);
    expect(lessons.paces.map(({ task }) => task)).toEqual(['lay']);
    expect(lessons.paces[0].pace).toBeCloseTo(lessons.paces[0].before / 1.25, 1);
    expect(taught.length).toBeGreaterThan(0);
    expect(learntModel(job, plan, [slow], never).lessons.paces).toEqual([]);
  });

  test('hours that no pace explains teach nothing, and are told', () => {
    const { lessons, doubtful } = learntModel(oneLaid, plan, [hours('lay', (planned?.hours ?? 0) * 9, shop.surfaceId)], never);
    expect(lessons.paces).toEqual([]);
    expect(doubtful).toHaveLength(1);
  });

  test('how far use strays is taught only once all is laid', () => {
    const line = plan.materials.find(({ item }) => item === 'adhesive');
    const used = entry({ kind: 'used', item: 'adhesive', packs: 20, size: line?.packs[0]?.size ?? 25 });
    expect(learntModel(job, plan, [used], never).lessons.uses).toEqual([]);
    expect(learntModel(allLaid, plan, [used], never).lessons.uses.map(({ item }) => item)).toEqual(['adhesive']);
  });
});

describe('what is left over', () => {
  test('nothing before all is laid; then whole tiles, until they are on the shelf', () => {
    expect(spareTiles(job, plan, [])).toEqual([]);
    const spare = spareTiles(allLaid, plan, []);
    expect(spare.length).toBeGreaterThan(0);
    for (const { leftOver, words } of spare) {
      expect(leftOver.pieces).toBeGreaterThanOrEqual(1);
      expect(Number.isInteger(leftOver.pieces)).toBe(true);
      expect(words).toContain(leftOver.name);
    }
    const shelved = spare.map(({ leftOver }) => entry(leftOver));
    expect(spareTiles(allLaid, plan, shelved)).toEqual([]);
    expect(spareTiles(allLaid, plan, shelved.slice(1)).map(({ productId }) => productId)).toEqual([spare[0].productId]);
  });
});
