import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { tickSchema, ticksInForce, type Tick } from '@azulejo/core/site/tick';

// A channel to other windows would keep the test alive.
Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { newUuid } = await import('../saving/newUuid.ts');
const { useTickStore } = await import('./tickStore.ts');

/** What a server of one job has, and whether it answers. */
let kept: Tick[] = [];
let down = false;
const settled = async (): Promise<void> => {
  for (let k = 0; k < 60; k++) await Promise.resolve();
};

beforeEach(() => {
  setActivePinia(createPinia());
  [kept, down] = [[], false];
  globalThis.fetch = (_url, init) => {
    if (down) return Promise.reject(new TypeError('no network'));
    if (init?.method === 'POST') kept.push(...(JSON.parse(String(init.body)) as { ticks: Tick[] }).ticks);
    const records = [...ticksInForce(kept).values()];
    return Promise.resolve(
      new Response(JSON.stringify(init?.method === 'POST' ? records : { records, came: kept.length }), { status: 200 }),
    );
  };
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
});
afterEach(() => {
  jest.useRealTimers();
});

test('ids are random and as the server expects them, without the browser’s own way', () => {
  const ids = Array.from({ length: 200 }, newUuid);
  expect(new Set(ids).size).toBe(200);
  const tick = { surfaceId: 's', label: 'A1', state: 'cut', turn: 1 } as const;
  for (const id of ids) expect(tickSchema.safeParse({ ...tick, id }).success).toBe(true);
});

test('a tick shows at once, waits for a server that is away, and arrives once', async () => {
  const ticks = useTickStore();
  await ticks.look('job');
  down = true;
  void ticks.tick('wall', ['A1', 'A2'], 'cut');
  await settled();
  expect([ticks.stateOf('wall', 'A1'), ticks.waiting.length, ticks.trouble]).toEqual(['cut', 2, 'The server does not answer.']);
  down = false;
  await jest.advanceTimersByTimeAsync(5000);
  await settled();
  expect([ticks.waiting.length, ticks.trouble, kept.length]).toEqual([0, null, 2]);
  expect(ticks.stateOf('wall', 'A2')).toBe('cut');
});

test('another phone’s later tick wins, and an answer that was overtaken takes nothing back', async () => {
  const ticks = useTickStore();
  await ticks.look('job');
  void ticks.tick('wall', ['A1'], 'cut');
  await settled();
  const [{ turn }] = kept;
  kept.push({ ...kept[0], id: newUuid(), state: 'open', turn: turn + 1 });
  await ticks.look('job');
  expect(ticks.stateOf('wall', 'A1')).toBe('open');
  // An old list arrives late.
  kept = [kept[0]];
  await ticks.look('job');
  expect(ticks.stateOf('wall', 'A1')).toBe('open');
});
