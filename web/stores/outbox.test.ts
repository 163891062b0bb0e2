import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { ServerError } from '../api/client.ts';
import { passingRecords, type KeptRecords } from './keptRecords.ts';

// A channel to other windows would keep the test alive.
Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { useOutbox } = await import('./outbox.ts');

interface Item {
  readonly id: string;
}

const settled = async (): Promise<void> => {
  for (let k = 0; k < 60; k++) await Promise.resolve();
};

/** What happens on a phone: something is ticked, the page is reloaded, the network comes and goes, answers are lost, time passes. */
const happening = fc.constantFrom(
  'add',
  'add',
  'add',
  'reload',
  'down',
  'up',
  'loseAnswer',
  'wait',
  'other job',
) satisfies fc.Arbitrary<string>;

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
});
afterEach(() => {
  jest.useRealTimers();
});

test('whatever happens to two phones, the server has every record in the end, each once, and nothing else', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.tuple(fc.integer({ min: 0, max: 1 }), happening), { maxLength: 40 }), async (events) => {
      const stored = new Map<string, Map<string, Item>>();
      const of = (jobId: string): Map<string, Item> => {
        const items = stored.get(jobId) ?? new Map<string, Item>();
        stored.set(jobId, items);
        return items;
      };
      const down = [false, false];
      let lost = 0;
      let received = 0;
      const made = new Map<string, string>();
      const kept: KeptRecords<Item>[] = [passingRecords(), passingRecords()];
      const jobs = ['job', 'job'];
      const away = () => Promise.reject(new ServerError('network/unreachable', 'The server does not answer.'));
      const opened = (phone: number) =>
        useOutbox<Item>(
          {
            kind: 'ticks',
            most: 2,
            list: (jobId) => (down[phone] ? away() : Promise.resolve([...of(jobId).values()])),
            send: (jobId, items) => {
              if (down[phone]) return away();
              received += items.length;
              for (const item of items) of(jobId).set(item.id, item);
              return lost > 0 && lost-- ? away() : Promise.resolve(null);
            },
            merge: (before, came) => [...new Map([...before, ...came].map((item) => [item.id, item])).values()],
          },
          kept[phone],
        );
      const phones = [opened(0), opened(1)];
      for (const [k, phone] of phones.entries()) await phone.look(jobs[k]);
      for (const [phone, event] of events) {
        if (event === 'add') {
          const id = `r${made.size}`;
          made.set(id, jobs[phone]);
          void phones[phone].add([{ id }]);
          expect(phones[phone].waiting.value.some((item) => item.id === id)).toBe(true);
        } else if (event === 'reload') {
          phones[phone] = opened(phone);
          void phones[phone].look(jobs[phone]);
        } else if (event === 'down' || event === 'up') down[phone] = event === 'down';
        else if (event === 'loseAnswer') lost++;
        else if (event === 'other job') {
          jobs[phone] = jobs[phone] === 'job' ? 'other' : 'job';
          void phones[phone].look(jobs[phone]);
        } else await jest.advanceTimersByTimeAsync(5000);
        await settled();
      }
      [down[0], down[1], lost] = [false, false, 0];
      // The phones are opened once more, with a network.
      for (const phone of [0, 1]) await opened(phone).look(jobs[phone]);
      await settled();
      await jest.advanceTimersByTimeAsync(20_000);
      await settled();
      const arrived = [...stored].flatMap(([jobId, items]) => [...items.keys()].map((id) => [id, jobId]));
      expect(new Map(arrived as [string, string][])).toEqual(made);
      expect(received).toBeGreaterThanOrEqual(made.size);
      for (const one of kept) expect(await one.jobIds()).toEqual([]);
    }),
    { numRuns: 150 },
  );
}, 60_000);
