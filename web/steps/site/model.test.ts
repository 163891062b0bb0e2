import { describe, expect, test } from '@jest/globals';
import type { TickState } from '@azulejo/core/site/tick';
import { toolName } from '@azulejo/core/messages/en/names';
import { wordsIn } from '@azulejo/core/messages/words';
import { demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { zonesLaid } from '@azulejo/core/site/checksDue';
import { zoneTick } from '@azulejo/core/site/zoneTicks';
import { layModel } from './layModel.ts';
import { mixesAtHand, nextModel, surfaceAtHand, turnsOf, type NextOn } from './model.ts';

const job = demoJob('tidewater-bakehouse');
const plan = demoPlan('tidewater-bakehouse');

function on(surfaceId: string, doing: NextOn['doing']): NextOn {
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  const planned = plan.surfaces.find((one) => one.surfaceId === surfaceId);
  if (!surface || !planned) throw new Error(surfaceId);
  return { job, surface, plan: planned, mixes: plan.mixes, doing, words: wordsIn('en') };
}

/** A phone on which pieces are ticked one after the other. */
function ticking(of: NextOn) {
  const states = new Map<string, TickState>();
  const stateOf = (label: string): TickState => states.get(label) ?? 'open';
  const turns = turnsOf(of);
  const model = (asked: string | null = null, putOff: readonly string[] = []) =>
    nextModel(of, turns, stateOf, { asked, putOff }, (piece) => piece);
  return { states, stateOf, model };
}

const withCuts = plan.surfaces.filter(({ toCut }) => toCut.length > 2).map(({ surfaceId }) => surfaceId);

describe.each(withCuts)('%s, one piece at a time', (surfaceId) => {
  test('ticked until nothing is left, every piece was shown once, with its size, its tool and where it comes from', () => {
    const cutting = on(surfaceId, 'cut');
    const { states, model } = ticking(cutting);
    const came: string[] = [];
    for (let shown = model(); shown.next; shown = model()) {
      const { piece, size, kind, marks } = shown.next;
      expect(shown.left).toBe(cutting.plan.toCut.length - came.length);
      expect(size).toMatch(/^[\d.,' /"-]+ x [\d.,' /"-]+( mm)?$/);
      expect(kind).toContain(toolName(piece.tool));
      if (cutting.plan.offCuts.sources.has(piece.label)) expect(kind).toMatch(/from ((tile|sheet) \d+|a piece that is there)$/);
      const finish = piece.strip ? cutting.words.describeFinish(piece.strip) : [];
      expect(marks.slice(piece.marks.length)).toEqual(finish);
      came.push(piece.label);
      states.set(piece.label, 'cut');
    }
    expect(model()).toMatchObject({ left: 0, next: null, zone: null });
    expect([...came].sort()).toEqual(cutting.plan.toCut.map(({ label }) => label).sort());
  });

  test('what is cut is still to be laid, zone after zone; the last zone begins no other mix', () => {
    const laying = on(surfaceId, 'laid');
    const { states, model } = ticking(laying);
    for (const { label } of laying.plan.toCut) states.set(label, 'cut');
    const { zones } = laying.plan.zones;
    const numbers: number[] = [];
    for (let shown = model(); shown.next; shown = model()) {
      const { zone } = shown;
      const { piece, minding } = shown.next;
      states.set(piece.label, 'laid');
      if (piece.strip) {
        // Strips beside the surface are set when all zones lie, and it is told where.
        expect(zone).toBeNull();
        expect(minding[0]).toMatch(new RegExp(`^${piece.label} stands at the`));
        numbers.push(Infinity);
        continue;
      }
      expect(zone?.zone.cuts).toContain(piece.label);
      numbers.push(zone?.zone.number ?? 0);
      expect(zone?.ahead === '').toBe(zone?.mix === null || zone?.zone.number === zones.length);
    }
    expect(numbers.every((number, k) => k === 0 || number >= numbers[k - 1])).toBe(true);
  });
});

describe.each(plan.surfaces.map(({ surfaceId }) => surfaceId))('%s, zone by zone', (surfaceId) => {
  test('every zone comes once, in order, with its cuts; pressed, it and they are laid; a surface without a cut has its zones too', () => {
    const laying = on(surfaceId, 'laid');
    const states = new Map<string, TickState>();
    const model = () => layModel(laying, (label) => states.get(label) ?? 'open');
    const { zones } = laying.plan.zones;
    expect(model()).toMatchObject({ of: zones.length, left: zones.length });
    for (const zone of zones) {
      const { next } = model();
      expect([next?.zone.id, next?.missing]).toEqual([zone.id, zone.cuts]);
      for (const label of zone.cuts) states.set(label, 'cut');
      expect(model().next?.missing).toEqual([]);
      for (const label of next?.ticks ?? []) states.set(label, 'laid');
    }
    expect(model()).toEqual({ of: zones.length, left: 0, next: null });
    expect(zonesLaid(zones, (label) => states.get(label) === 'laid')).toBe(zones.length);
    // What is left to be laid beside the surface, and nothing of it, is told piece by piece.
    const rest = ticking(laying);
    for (const [label, state] of states) rest.states.set(label, state);
    expect(rest.model().left).toBe(laying.plan.toCut.filter(({ strip }) => strip).length);
  });
});

test('what is asked for comes at once, and what is put off comes last', () => {
  const { states, model } = ticking(on(withCuts[0], 'cut'));
  const { labels } = model();
  const [first, second] = labels;
  expect(model(labels.at(-1)).next?.piece.label).toBe(labels.at(-1));
  expect(model(null, [first]).next?.piece.label).toBe(second);
  states.set(second, 'cut');
  // Asked for though it is done: what is next comes.
  expect(model(second).next?.piece.label).toBe(first);
});

test('a surface is at hand until it is laid, unless another is chosen', () => {
  const [first, second, third] = job.surfaces.map((surface) => ({ ...surface, laid: false }));
  expect(surfaceAtHand([{ ...first, laid: true }, second, third], 'none')?.id).toBe(second.id);
  expect(surfaceAtHand([first, second, third], third.id)?.id).toBe(third.id);
  expect(surfaceAtHand([{ ...first, laid: true }], '')?.id).toBe(first.id);
  expect(surfaceAtHand([], '')).toBeNull();
});

test('of adhesive the zone at hand is stirred, of what is used at once a whole mix', () => {
  const surfaceId = plan.surfaces.find(({ zones }) => zones.zones.filter(({ cuts }) => cuts.length > 0).length > 2)?.surfaceId ?? '';
  const { plan: planned } = on(surfaceId, 'laid');
  const states = new Map<string, TickState>();
  const stateOf = (label: string): TickState => states.get(label) ?? 'open';
  planned.zones.zones.forEach(({ id, cuts }, k) => {
    const adhesive = mixesAtHand(plan, surfaceId, stateOf).find(({ mix, now }) => mix.item === 'adhesive' && now);
    expect(adhesive?.now?.zoneId).toBe(id);
    // Said of the zone, or of every piece that is cut for it.
    for (const label of k % 2 === 0 || cuts.length === 0 ? [zoneTick(id)] : cuts) states.set(label, 'laid');
  });
  for (const { mix, now } of mixesAtHand(plan, surfaceId, stateOf)) if (mix.item !== 'adhesive') expect(now).toBeUndefined();
  expect(mixesAtHand(plan, 'no such surface', stateOf).every(({ now }) => now === undefined)).toBe(true);
});
