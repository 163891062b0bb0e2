import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyEdits } from '@azulejo/core/job/edit/applyEdits';
import { editJob } from '@azulejo/core/job/edit/editJob';
import { partOf } from '@azulejo/core/job/edit/edit';
import type { LatestJob, SentChange } from '@azulejo/core/formats/apiTypes';
import type { Job } from '@azulejo/core/job/job';
import { startSurface } from '@azulejo/core/job/startJob';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { trials } from '../../testing/trials.ts';
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

const one = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
const two: Job = { ...one, surfaces: [...one.surfaces, { ...startSurface(one, 'two', 'Two', 'wall', 2000, 1000), productId: 't' }] };
const base = { job: two, version: 1, undoLabel: null, redoLabel: null };

type Recipe = (draft: Job) => void;
const joint =
  (mm: number, id = 's'): Recipe =>
  (draft) => {
    const found = draft.surfaces.find((surface) => surface.id === id);
    if (found) found.jointMm = mm;
  };
const named =
  (name: string): Recipe =>
  (draft) => {
    draft.name = name;
  };
const without =
  (id: string): Recipe =>
  (draft) => {
    draft.surfaces = draft.surfaces.filter((surface) => surface.id !== id);
  };

/** Makes a change; throws where it is refused. */
function added(state: QueueState, id: string, recipe: Recipe, label = id): QueueState {
  const next = addChange(state, id, `joint|${label}`, recipe);
  if (!next.ok) throw new Error(JSON.stringify(next.issues));
  return next.value;
}
const jointOf = (job: Job, id = 's') => job.surfaces.find((surface) => surface.id === id)?.jointMm;

/** The stored job after somebody else changed it. */
function theirs(state: QueueState, ...recipes: readonly Recipe[]): LatestJob {
  const edited = recipes.map((recipe) => editJob(state.base.job, 'joint', recipe));
  const edits = edited.flatMap(({ change }) => change.edits);
  const job = edits.length === 0 ? state.base.job : applyEdits(state.base.job, edits);
  return { ...state.base, job, version: state.base.version + recipes.length, changed: edits.map(partOf), made: false };
}

describe('a change', () => {
  test('shows at once; one that can not be is refused and changes nothing; one that changes nothing is none', () => {
    const state = added(startQueue(base), 'a', joint(5));
    expect([jointOf(state.job), jointOf(state.base.job), state.waiting.length]).toEqual([5, 3, 1]);
    expect(addChange(state, 'b', 'joint', joint(-1)).ok).toBe(false);
    expect(added(state, 'c', joint(5))).toBe(state);
  });

  test('made again and again is one, until it is on its way; held and let go where it began it is none', () => {
    let state = startQueue(base);
    for (const mm of [4, 5, 6]) state = added(state, `k${mm}`, joint(mm), 'Joint');
    expect(state.waiting.map(({ id }) => id)).toEqual(['k4']);
    expect(added(state, 'back', joint(3), 'Joint').waiting).toEqual([]);
    const sent = { ...state, wasSent: true };
    expect(added(sent, 'k7', joint(7), 'Joint').waiting.map(({ id }) => id)).toEqual(['k4', 'k7']);
    // Another field, another surface and another name are changes of their own.
    expect(added(state, 'n', named('New'), 'Joint').waiting).toHaveLength(2);
    expect(added(state, 't', joint(6, 'two'), 'Joint').waiting).toHaveLength(2);
    expect(added(state, 'l', joint(7), 'Another').waiting).toHaveLength(2);
  });

  test('that is saved leaves the queue, and what waits behind it stays on top', () => {
    const state = added(added(startQueue(base), 'a', joint(5)), 'b', named('New'));
    const saved = takeSaved({ ...state, wasSent: true }, { version: 2, undoLabel: 'a', redoLabel: null, others: [] });
    expect([saved.base.version, jointOf(saved.base.job), saved.base.job.name === 'New']).toEqual([2, 5, false]);
    expect([saved.job.name, saved.waiting.map(({ id }) => id), saved.wasSent]).toEqual(['New', ['b'], false]);
  });

  test('that was not sent is taken back; one on its way is not, but by a change of its own', () => {
    const state = added(added(startQueue(base), 'a', joint(5)), 'b', named('New'));
    const back = takeBack(state);
    expect([back?.change.id, back?.state.waiting.map(({ id }) => id), back?.state.job.name]).toEqual(['b', ['a'], two.name]);
    const [first] = [added(startQueue(base), 'a', joint(5))];
    expect(takeBack({ ...first, wasSent: true })).toBeNull();
    const undone = takeBackSent({ ...first, wasSent: true }, 'u');
    expect([undone?.state.waiting.map(({ id }) => id), jointOf(undone?.state.job ?? two)]).toEqual([['a', 'u'], 3]);
    expect(takeBackSent(state, 'u')).toBeNull();
    expect(takeBack(startQueue(base))).toBeNull();
  });
});

describe('what others saved', () => {
  test('in another part goes under what waits; the same made by both is no change any more', () => {
    const state = added(startQueue(base), 'a', joint(5));
    const latest = takeLatest(state, theirs(state, joint(4, 'two')));
    expect([latest.conflict, jointOf(latest.job), jointOf(latest.job, 'two'), latest.waiting.length]).toEqual([null, 5, 4, 1]);
    const same = takeLatest(state, theirs(state, joint(5)));
    expect([same.conflict, same.waiting, jointOf(same.job)]).toEqual([null, [], 5]);
  });

  test('in the same part is put before the person: mine on top of theirs, or theirs without what changed the same', () => {
    const state = added(added(startQueue(base), 'a', joint(5)), 'n', named('Mine'));
    const met = takeLatest(state, theirs(state, joint(4)));
    expect([met.conflict?.parts, jointOf(met.job)]).toEqual([['surfaces/s'], 5]);
    const mine = settleConflict(met, 'mine', 'x');
    expect([jointOf(mine.job), mine.job.name, mine.conflict, mine.waiting.map(({ id }) => id)]).toEqual([5, 'Mine', null, ['a', 'n']]);
    const their = settleConflict(met, 'theirs', 'x');
    expect([jointOf(their.job), their.job.name, their.waiting.map(({ id }) => id)]).toEqual([4, 'Mine', ['n']]);
    expect(settleConflict(state, 'mine', 'x')).toBe(state);
  });

  test('took a surface away that was changed here: it comes back with mine, in its place, or stays away', () => {
    const state = added(startQueue(base), 'a', joint(5));
    const met = takeLatest(state, theirs(state, without('s')));
    expect(met.conflict?.parts).toEqual(['surfaces/s']);
    const mine = settleConflict(met, 'mine', 'back');
    expect([mine.job.surfaces.map(({ id }) => id), jointOf(mine.job), mine.waiting.map(({ id }) => id)]).toEqual([
      ['s', 'two'],
      5,
      ['back'],
    ]);
    const their = settleConflict(met, 'theirs', 'back');
    expect([their.job.surfaces.map(({ id }) => id), their.waiting]).toEqual([['two'], []]);
  });
});

describe('a change that is never taken', () => {
  test('is put aside with its reason, the rest goes on; it is tried again, or let go of', () => {
    const state = added(added(startQueue(base), 'a', joint(5)), 'b', named('New'));
    const parked = parkFirst(state, 'because');
    expect([jointOf(parked.job), parked.job.name, parked.waiting.map(({ id }) => id)]).toEqual([3, 'New', ['b']]);
    expect(parked.parked.map(({ change, why }) => [change.id, why])).toEqual([['a', 'because']]);
    const again = tryParked(parked, 'a');
    expect([jointOf(again.job), again.waiting.map(({ id }) => id), again.parked]).toEqual([5, ['b', 'a'], []]);
    expect(dropParked(parked, 'a').parked).toEqual([]);
    expect(dropParked(parked, 'b').parked).toHaveLength(1);
  });

  test('because its place is gone says so, and keeps nothing else from going on', () => {
    const state = added(added(startQueue(base), 'a', joint(5)), 'b', named('New'));
    const gone = putOnTop({ ...startQueue({ ...base, job: { ...two, surfaces: two.surfaces.slice(1) } }) }, state.waiting);
    expect(gone.parked.map(({ change }) => change.id)).toEqual(['a']);
    expect(gone.parked[0].why).toMatch(/no longer there/);
    expect(gone.job.name).toBe('New');
  });
});

/** What can happen to a queue, in any order. */
const happening = fc.oneof(
  fc.record({ what: fc.constant('mine' as const), mm: fc.integer({ min: 1, max: 8 }), id: fc.constantFrom('s', 'two') }),
  fc.record({ what: fc.constant('name' as const), name: fc.constantFrom('A', 'B', 'C') }),
  fc.record({ what: fc.constant('theirs' as const), mm: fc.integer({ min: 1, max: 8 }), id: fc.constantFrom('s', 'two') }),
  fc.record({ what: fc.constant('saved' as const) }),
  fc.record({ what: fc.constant('park' as const) }),
  fc.record({ what: fc.constant('try' as const) }),
  fc.record({ what: fc.constant('back' as const) }),
  fc.record({ what: fc.constant('settle' as const), choice: fc.constantFrom('mine' as const, 'theirs' as const) }),
);

test('whatever happens, what is shown is what is stored with what waits on top, and no change goes without a word', () => {
  fc.assert(
    fc.property(fc.array(happening, { maxLength: 30 }), (happenings) => {
      let state = startQueue(base);
      /** Changes that are accounted for: saved, taken back, put aside for good by the person, or overruled by theirs. */
      const done = new Set<string>();
      const made = new Set<string>();
      happenings.forEach((one, k) => {
        const id = `c${k}`;
        const held = (of: QueueState): SentChange[] => [...of.waiting, ...of.parked.map(({ change }) => change)];
        const before = held(state);
        if (state.conflict && one.what !== 'settle') return;
        if (one.what === 'mine' || one.what === 'name') {
          state = added(state, id, one.what === 'mine' ? joint(one.mm, one.id) : named(one.name), `by ${k}`);
        } else if (one.what === 'theirs') {
          state = takeLatest(state, theirs(state, joint(one.mm, one.id)));
          // What they did just so needs no doing.
          for (const change of before) if (!held(state).includes(change)) done.add(change.id);
        } else if (one.what === 'saved' && state.waiting.length > 0) {
          done.add(state.waiting[0].id);
          state = takeSaved(state, { version: state.base.version + 1, undoLabel: null, redoLabel: null, others: [] });
        } else if (one.what === 'park' && state.waiting.length > 0) state = parkFirst(state, 'why');
        else if (one.what === 'try' && state.parked.length > 0) state = tryParked(state, state.parked[0].change.id);
        else if (one.what === 'back') {
          const back = takeBack(state);
          if (back) {
            done.add(back.change.id);
            state = back.state;
          }
        } else if (one.what === 'settle') {
          state = settleConflict(state, one.choice, id);
          if (one.choice === 'theirs') for (const change of before) if (!held(state).includes(change)) done.add(change.id);
        }
        for (const change of held(state)) made.add(change.id);
        if (state.conflict) return;
        const shown = state.waiting.reduce((job, { edits }) => applyEdits(job, edits), state.base.job);
        expect(state.job).toEqual(shown);
      });
      const held = new Set([...state.waiting, ...state.parked.map(({ change }) => change)].map(({ id }) => id));
      for (const id of made) expect([id, held.has(id) || done.has(id)]).toEqual([id, true]);
    }),
    { numRuns: trials(300) },
  );
});
