import { describe, expect, test } from '@jest/globals';
import { effectScope, nextTick, ref } from 'vue';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { watchPresses } from './heldButton.ts';
import { useLatest } from './useLatest.ts';
import { newerOf } from './newerOf.ts';

/** A computation that ends when it is told to, and may be given up. */
function slow() {
  const begun: { input: number; end: (output: number | null) => void; fail: () => void }[] = [];
  const compute = (input: number): Promise<number | null> =>
    new Promise((resolve, reject) => {
      begun.push({ input, end: resolve, fail: () => reject(new Error('no')) });
    });
  return { begun, compute };
}
const settle = async (): Promise<void> => {
  for (let k = 0; k < 5; k++) await nextTick();
};

describe('the newest result', () => {
  test('while one is computed only the newest input waits; the one under way is told to give up', async () => {
    const { begun, compute } = slow();
    const input = ref<number | null>(1);
    let givenUp = 0;
    const scope = effectScope();
    const latest = scope.run(() => useLatest(input, compute, () => givenUp++));
    for (const next of [2, 3, 4]) {
      input.value = next;
      await settle();
    }
    expect(begun.map((one) => one.input)).toEqual([1]);
    expect(givenUp).toBe(3);
    begun[0].end(null);
    await settle();
    expect(begun.map((one) => one.input)).toEqual([1, 4]);
    expect(latest?.value.value).toBeNull();
    begun[1].end(40);
    await settle();
    expect(latest?.value.value).toBe(40);
    scope.stop();
    expect(givenUp).toBe(3);
  });

  test('a computation that fails is told, and the next one that works takes that back', async () => {
    const { begun, compute } = slow();
    const input = ref<number | null>(1);
    const latest = effectScope().run(() => useLatest(input, compute));
    begun[0].fail();
    await settle();
    expect(latest?.failed.value).toBe(true);
    input.value = 2;
    await settle();
    begun[1].end(20);
    await settle();
    expect([latest?.failed.value, latest?.value.value]).toEqual([false, 20]);
    input.value = null;
    await settle();
    expect(latest?.value.value).toBeNull();
  });
});

describe('what is pressed', () => {
  test('is held until the pointer is lifted and the press was taken; what is no button holds nothing', async () => {
    const page = new EventTarget();
    const { isHeld, released } = watchPresses(page);
    const on = (name: string, isButton = true, button = 0): void => {
      const event = Object.assign(new Event(name), { button });
      Object.defineProperty(event, 'target', { value: { closest: () => (isButton ? {} : null) } });
      page.dispatchEvent(event);
    };
    on('pointerdown', false);
    expect(isHeld()).toBe(false);
    on('pointerdown', true, 2);
    expect(isHeld()).toBe(false);
    on('pointerdown');
    expect(isHeld()).toBe(true);
    const told: string[] = [];
    void released().then(() => told.push('released'));
    on('pointerup');
    await settle();
    expect([isHeld(), told]).toEqual([false, []]);
    await new Promise((resolve) => {
      setTimeout(resolve);
    });
    expect(told).toEqual(['released']);
  });
});

test('a plan that comes before the drawing of the same job is what is drawn; an older one is not', () => {
  const wall = () => jobOfOne({ size: [2000, 1000], tile: [200, 200], jointMm: 3 });
  const [before, now] = [wall(), wall()];
  const drawn = { job: before, result: 'drawn before' };
  expect(newerOf(drawn, { job: now, result: 'planned now' }, { job: now })).toEqual({ drawing: 'planned now', plan: 'planned now' });
  expect(newerOf({ job: now, result: 'drawn now' }, { job: before, result: 'planned before' }, { job: now })).toEqual({
    drawing: 'drawn now',
    plan: null,
  });
  expect(newerOf(drawn, { job: before, result: 'planned before' }, { job: now })).toEqual({
    drawing: 'drawn before',
    plan: 'planned before',
  });
});
