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
            list: (jobId) => (down[phone] ? away() : Promise.resolve({ records: [...of(jobId).values()], came: of(jobId).size })),
            send: (jobId, items) => {
              if (down[phone]) return away();
              received += items.length;
              for (const item of items) of(jobId).set(item.id, item);
              return lost > 0 && lost-- ? away() : Promise.resolve(items);
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

/** An outbox over a server that answers each record by its name. */
function outboxOver(answerOf: (item: Item) => string | null, most = 20) {
  const stored = new Set<string>();
  const sizes: number[] = [];
  const kept = passingRecords<Item>();
  const outbox = useOutbox<Item>(
    {
      kind: 'entries',
      most,
      list: () => Promise.resolve({ records: [], came: 0 }),
      send: (_, items) => {
        sizes.push(items.length);
        const code = items.map(answerOf).find((one) => one !== null);
        if (code) return Promise.reject(new ServerError(code, code));
        for (const { id } of items) stored.add(id);
        return Promise.resolve(items);
      },
      merge: (before, came) => [...new Map([...before, ...came].map((item) => [item.id, item])).values()],
    },
    kept,
  );
  return { outbox, stored, sizes, kept };
}
const written = (...ids: string[]): Item[] => ids.map((id) => ({ id }));

test.each([
  ['400', 'request/invalid'],
  ['413', 'request/too-large'],
  ['422', 'job/refused'],
  ['500', 'server/failed'],
])('a record that is refused with %s lies aside with its reason, and what was written after it goes out', async (_, code) => {
  let mended = false;
  const { outbox, stored, kept } = outboxOver(({ id }) => (id === 'bad' && !mended ? code : null));
  await outbox.look('job');
  void outbox.add(written('a', 'bad', 'b'));
  void outbox.add(written('c'));
  await settled();
  await jest.advanceTimersByTimeAsync(20_000);
  await settled();
  expect([...stored].sort()).toEqual(['a', 'b', 'c']);
  expect(outbox.aside.value).toEqual([{ item: { id: 'bad' }, why: code }]);
  expect([outbox.waiting.value, outbox.trouble.value]).toEqual([[], null]);
  // It outlives a reload, is in sight, and can be sent again or dropped.
  expect(await kept.list('job')).toEqual([{ item: { id: 'bad' }, why: code }]);
  mended = true;
  await outbox.tryAside('bad');
  expect([outbox.aside.value, stored.has('bad'), await kept.jobIds()]).toEqual([[], true, []]);
});

test('where nothing passes it is the server that fails: all waits, and goes out when it answers', async () => {
  let code: string | null = 'server/failed';
  const { outbox, stored } = outboxOver(() => code);
  await outbox.look('job');
  void outbox.add(written('a', 'b'));
  await settled();
  await jest.advanceTimersByTimeAsync(30_000);
  expect([outbox.aside.value, outbox.waiting.value.length, outbox.trouble.value]).toEqual([[], 2, 'server/failed']);
  for (code of ['network/unreachable', 'network/signed-out', 'server/busy', 'storage/full']) {
    await jest.advanceTimersByTimeAsync(5000);
    await settled();
    expect([outbox.aside.value, outbox.waiting.value.length, outbox.trouble.value]).toEqual([[], 2, code]);
  }
  code = null;
  await jest.advanceTimersByTimeAsync(5000);
  await settled();
  expect([[...stored], outbox.waiting.value, outbox.trouble.value]).toEqual([['a', 'b'], [], null]);
});

test('what was ticked and written down of a job that was deleted is told, not sent again and again, and let go of by the person', async () => {
  const { outbox, sizes, kept } = outboxOver(() => 'job/not-found');
  await outbox.look('job');
  void outbox.add(written('a', 'b'));
  await settled();
  await jest.advanceTimersByTimeAsync(60_000);
  expect([outbox.isGone.value, outbox.waiting.value.length, sizes]).toEqual([true, 2, [2]]);
  // Seen from another job, it is named with what is left of it.
  await outbox.look('other');
  await settled();
  expect(outbox.others.value).toEqual([{ jobId: 'job', count: 2, why: 'job/not-found', isGone: true }]);
  await outbox.letGo('job');
  expect([outbox.others.value, await kept.jobIds()]).toEqual([[], []]);
});

test('photos go by their size, not by their number', async () => {
  const stored: string[] = [];
  const sizes: number[] = [];
  const outbox = useOutbox<Item & { image: string }>(
    {
      kind: 'entries',
      most: 20,
      list: () => Promise.resolve({ records: [], came: 0 }),
      send: (_, items) => {
        const size = JSON.stringify(items).length;
        sizes.push(size);
        if (size > 1_000_000) return Promise.reject(new ServerError('request/too-large', 'too large'));
        stored.push(...items.map(({ id }) => id));
        return Promise.resolve(items);
      },
      merge: (before, came) => [...before, ...came],
    },
    passingRecords(),
  );
  await outbox.look('job');
  await outbox.add(Array.from({ length: 20 }, (_, k) => ({ id: `p${k}`, image: 'x'.repeat(420_000) })));
  await outbox.add([{ id: 'hours', image: '' }]);
  expect(stored).toHaveLength(21);
  expect(Math.max(...sizes)).toBeLessThan(1_000_000);
});
