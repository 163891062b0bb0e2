import { describe, expect, test } from '@jest/globals';
import { caresOf } from '@azulejo/core/cuts/cutMethod';
import { tripsFor } from '@azulejo/core/cuts/cutOrder';
import { sharedHoles } from '@azulejo/core/cuts/sharedHoles';
import { tapeOf, type Job } from '@azulejo/core/job/job';
import type { Tick, TickState } from '@azulejo/core/site/tick';
import { wordsIn } from '@azulejo/core/messages/words';
import { demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { cutCard, cutList, type CardOf, type Listed } from './model.ts';

const job = demoJob('tidewater-bakehouse');
const plan = demoPlan('tidewater-bakehouse');
const withCuts = plan.surfaces.filter(({ toCut }) => toCut.length > 2);

let made = 0;
const tick = (surfaceId: string, label: string, state: TickState): Tick => ({
  id: `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`,
  surfaceId,
  label,
  state,
  turn: 1,
});

function surfaceWith(surfaceId: string, of: Job = job) {
  const surface = of.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) throw new Error(surfaceId);
  return surface;
}
function listOf(surfaceId: string, ticks: readonly Tick[] = [], listed: Listed = 'all', of: Job = job) {
  const surface = surfaceWith(surfaceId, of);
  const planned = plan.surfaces.find((one) => one.surfaceId === surfaceId);
  if (!planned) throw new Error(surfaceId);
  return cutList(surface, planned, tripsFor(planned, surface.pattern, of.cutting), { inForce: ticks, waiting: 0 }, listed, wordsIn('en'));
}
const piecesOf = ({ trips }: ReturnType<typeof cutList>): string[] =>
  trips.flatMap(({ settings }) => settings.flatMap(({ pieces }) => pieces.map(({ label }) => label)));

describe.each(withCuts.map((planned) => [planned.surfaceId, planned] as const))('the cuts of %s', (id, planned) => {
  const labels = planned.toCut.map(({ label }) => label);

  test('are listed once each, and so many as the trips say', () => {
    const list = listOf(id);
    expect(piecesOf(list).sort()).toEqual([...labels].sort());
    expect(list.trips.reduce((sum, { count }) => sum + count, 0)).toBe(labels.length);
    expect(list.trips.map(({ number }) => number)).toEqual(list.trips.map((_, k) => k + 1));
    expect([list.isTicked, list.strays]).toEqual([false, []]);
  });

  test('that are cut go from the list of what is still to cut, and the trips say what they said', () => {
    const ticks = labels.map((label, k) => tick(id, label, k % 2 === 0 ? 'cut' : 'laid'));
    for (const upTo of [1, Math.ceil(labels.length / 2), labels.length]) {
      const done = ticks.slice(0, upTo);
      const open = listOf(id, done, 'open');
      const left = labels.slice(upTo);
      // A setting is listed while any of its pieces is open, with all its pieces: the fence stands for all of them.
      for (const label of left) expect(piecesOf(open)).toContain(label);
      for (const { settings } of open.trips)
        for (const { pieces } of settings) expect(pieces.some(({ label }) => left.includes(label))).toBe(true);
      expect(open.trips.map(({ count }) => count)).toEqual(listOf(id).trips.map(({ count }) => count));
      expect(open.isTicked).toBe(true);
    }
    expect(piecesOf(listOf(id, ticks, 'open'))).toEqual([]);
  });
});

test('a tick of a piece that is no longer there is told; one taken back, and one of another surface, is not', () => {
  const [{ surfaceId }, { surfaceId: other }] = withCuts;
  const ticks = [tick(surfaceId, 'Z99', 'cut'), tick(surfaceId, 'Z98', 'open'), tick(other, 'Z97', 'cut')];
  expect(listOf(surfaceId, ticks).strays).toEqual(['Z99']);
  expect(listOf(surfaceId, ticks.slice(1)).isTicked).toBe(false);
});

test.each([
  ['carried to a saw far away, so many at a time', { order: null, perTrip: 4 }],
  ['zone by zone', { order: null, perTrip: null, byZone: true }],
  ['hardest first', { order: 'hardestFirst', perTrip: null }],
] as const)('%s they are the same cuts, none forgotten and none twice', (_, cutting) => {
  for (const { surfaceId, toCut: cuts } of withCuts) {
    const list = listOf(surfaceId, [], 'all', { ...job, cutting });
    expect(piecesOf(list).sort()).toEqual(cuts.map(({ label }) => label).sort());
    if (cutting.perTrip === null) continue;
    for (const { count } of list.trips) expect(count).toBeLessThanOrEqual(cutting.perTrip);
    expect(list.trips).toHaveLength(Math.ceil(cuts.length / cutting.perTrip));
  }
});

describe('a card of equal cuts', () => {
  const words = wordsIn('en');
  const cards = withCuts.flatMap((planned) => {
    const surface = surfaceWith(planned.surfaceId);
    const holes = sharedHoles(planned.traced, planned.toCut);
    const settings = tripsFor(planned, surface.pattern, job.cutting).flatMap((trip) => trip.settings);
    const own = {
      holes,
      edgeNames: planned.traced.names,
      offCuts: planned.offCuts as CardOf['offCuts'],
      surfaceId: surface.id,
      tape: tapeOf(job, surface),
    };
    return settings.map((setting) => ({ ...own, setting }));
  });
  const cardOf = (
    { tape, ...own }: (typeof cards)[number],
    chosenLabel: string | null,
    ticked: ReadonlyMap<string, TickState> = new Map(),
  ) => cutCard({ ...own, job, seen: own.setting.group.first, chosenLabel, stateOf: (label) => ticked.get(label) ?? 'open' }, words, tape);

  test('has the size and every mark of its pieces, and what to mind at them', () => {
    for (const one of cards) {
      const { first } = one.setting.group;
      const { size, marks, hard, minding } = cardOf(one, null);
      expect(size).toMatch(/^[\d.,' /"-]+ x [\d.,' /"-]+( mm)?$/);
      expect(marks).toHaveLength(first.marks.length + (first.strip ? words.describeFinish(first.strip).length : 0));
      const product = job.products.find(({ id }) => id === first.productId);
      const cares = product ? words.describeCares(caresOf(first, product)) : [];
      expect([...hard, ...minding]).toEqual(expect.arrayContaining(cares));
    }
    expect(cards.some((one) => cardOf(one, null).hard.length > 0)).toBe(true);
  });

  test('ticks the piece that is pointed at, else all; counts what is cut and laid', () => {
    for (const one of cards) {
      const labels = one.setting.pieces.map(({ label }) => label);
      expect(cardOf(one, null).meant).toEqual(labels);
      expect(cardOf(one, 'Z99').meant).toEqual(labels);
      expect(cardOf(one, labels[0]).meant).toEqual([labels[0]]);
      const ticked = new Map(labels.map((label, k): [string, TickState] => [label, (['laid', 'cut', 'open'] as const)[k % 3]]));
      const { cut, laid } = cardOf(one, null, ticked);
      expect([laid, cut]).toEqual([Math.ceil(labels.length / 3), labels.length - Math.floor(labels.length / 3)]);
    }
  });

  test('says of the chosen piece which tile it comes from; of none while that is being planned', () => {
    for (const one of cards) {
      const [{ label }] = one.setting.pieces;
      const tile = one.offCuts?.sources.get(label)?.tile;
      expect(cardOf(one, null).source).toBeNull();
      if (tile !== undefined) expect(cardOf(one, label).source).toMatch(new RegExp(`(tile|sheet) ${tile} `));
      expect(cardOf({ ...one, offCuts: null }, label).source).toBeNull();
    }
  });
});
