import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { computed, nextTick, ref } from 'vue';
import { drawSurface } from '@azulejo/core/plan/layout/drawSurface';
import { endCuts } from '@azulejo/core/setout/edges/endCuts';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import type { Pin } from '@azulejo/core/setout/choice/pins';
import { IMPERIAL_TAPE, METRIC_TAPE, type Tape } from '@azulejo/core/units/tape';
import { useBoardStore } from '../../stores/boardStore.ts';
import { FakeServer } from '../../stores/fakeServer.ts';

Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { useJobStore } = await import('../../stores/jobStore.ts');
const { useSetoutMoves } = await import('./useSetoutMoves.ts');

const FROM_CORNER = { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } as const;
const WALL = jobOfOne({
  size: [2314, 1215],
  tile: [297.5, 297.5],
  jointMm: 3,
  surface: { setout: { x: { rule: 'jointCentred' }, y: { rule: 'best' } } },
});

/** The worked wall, its joint on the centre line, as the board has it; the drawing may lag behind for ever. */
async function openWall(tape: Tape = METRIC_TAPE, job = WALL, isBehind = ref(false)) {
  const server = new FakeServer();
  server.add(job);
  globalThis.fetch = server.fetch;
  const jobs = useJobStore();
  const board = useBoardStore();
  await jobs.open('job');
  const surface = computed(() => jobs.job?.surfaces[0] ?? null);
  const first = drawSurface(job, job.surfaces[0]);
  const drawing = computed(() =>
    isBehind.value
      ? first
      : jobs.job && surface.value
        ? drawSurface(jobs.job, { ...surface.value, setout: board.preview ?? surface.value.setout })
        : null,
  );
  const moves = useSetoutMoves(
    surface,
    { drawing, isBehind },
    computed(() => tape),
  );
  const ends = () => (drawing.value ? endCuts(drawing.value.edges, drawing.value.choice.sides, 'x', drawing.value.choice.x) : null);
  return { jobs, board, moves, surface, left: () => Math.round((ends()?.start.cutsMm[0] ?? 0) * 1000) / 1000 };
}

beforeEach(() => {
  setActivePinia(createPinia());
});

describe('by hand', () => {
  test('a nudge moves one direction by a step of the tape and settles the other', async () => {
    const { moves, surface, left } = await openWall();
    expect(left()).toBe(249);
    moves.nudge('x', 1);
    expect(left()).toBe(250);
    moves.nudge('x', -10);
    expect(left()).toBe(240);
    expect(surface.value?.setout.x.rule).toBe('free');
    expect(surface.value?.setout.y.rule).not.toBe('best');
  });

  test('presses that come faster than the drawing add up: turns and nudges', async () => {
    const job = jobOfOne({ size: [2314, 1215], tile: [297.5, 297.5], jointMm: 3, surface: { kind: 'floor', setout: FROM_CORNER } });
    const { surface, moves } = await openWall(METRIC_TAPE, job, ref(true));
    for (let k = 0; k < 3; k++) moves.turnBy(0.1);
    moves.turnBy(1);
    expect(surface.value?.setout.turn).toEqual({ rule: 'byHand', deg: 1.3 });
    const { x } = surface.value?.setout ?? {};
    for (let k = 0; k < 4; k++) moves.nudge('x', 1);
    const moved = surface.value?.setout.x;
    expect(x?.rule === 'free' && moved?.rule === 'free' ? Math.round(1000 * (moved.offsetMm - x.offsetMm)) / 1000 : null).toBe(4);
    expect(surface.value?.setout.turn).toEqual({ rule: 'byHand', deg: 1.3 });
  });

  test('a rule and a nudge in one breath: the nudge begins where the rule puts the tiles, not where they were', async () => {
    const isBehind = ref(true);
    const { moves, surface, left } = await openWall(METRIC_TAPE, WALL, isBehind);
    moves.setRule('x', { rule: 'fullFromEnd' });
    moves.nudge('x', -1);
    moves.nudge('x', -1);
    expect(surface.value?.setout.x).toEqual({ rule: 'fullFromEnd' });
    isBehind.value = false;
    await nextTick();
    expect(left()).toBe(198.5);
    expect(surface.value?.setout.x.rule).toBe('free');
  });

  test('a place that is pinned before the last one is drawn stands beside it', async () => {
    const { moves, surface } = await openWall(METRIC_TAPE, WALL, ref(true));
    const pinAt = (x: number): Pin => ({ kind: 'jointUp', at: [x, 600] });
    for (const x of [400, 418]) moves.addPin(pinAt(x));
    expect(surface.value?.setout.pins).toEqual([pinAt(400), pinAt(418)]);
    moves.moveBy([3, 0]);
    moves.drop();
    expect(surface.value?.setout.pins).toHaveLength(2);
  });

  test('a turn by hand outlives a drag that comes before it is drawn', async () => {
    const job = jobOfOne({ size: [2314, 1215], tile: [297.5, 297.5], jointMm: 3, surface: { kind: 'floor', setout: FROM_CORNER } });
    const { moves, surface } = await openWall(METRIC_TAPE, job, ref(true));
    moves.turnBy(2);
    moves.moveBy([3, 0]);
    moves.drop();
    expect(surface.value?.setout.turn).toEqual({ rule: 'byHand', deg: 2 });
  });

  test('on a tape in inches a step is a sixteenth', async () => {
    const { moves, left } = await openWall(IMPERIAL_TAPE);
    moves.nudge('x', 16);
    expect(left()).toBeCloseTo(249 + 25.4, 3);
  });

  test('dragging is a preview until it is let go, then one change on a whole step', async () => {
    const { jobs, board, moves, surface, left } = await openWall();
    for (let k = 0; k < 5; k++) moves.moveBy([3.33, 1.07]);
    expect([surface.value?.setout.x.rule, Math.round(left())]).toEqual(['jointCentred', 266]);
    moves.drop();
    expect([board.preview, surface.value?.setout.x.rule]).toEqual([null, 'free']);
    expect(Number.isInteger(surface.value?.setout.x.rule === 'free' ? surface.value.setout.x.offsetMm : 0.5)).toBe(true);
    expect(jobs.waiting.length).toBeLessThanOrEqual(1);
  });

  test('rules and the best can be taken back at any time', async () => {
    const { moves, surface, left } = await openWall();
    moves.setRule('x', { rule: 'pieceCentred' });
    expect(left()).toBe(98.75);
    moves.best();
    expect([surface.value?.setout, left()]).toEqual([{ x: { rule: 'best' }, y: { rule: 'best' } }, 249]);
  });
});
