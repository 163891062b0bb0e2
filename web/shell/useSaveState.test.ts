import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import type { Job } from '@azulejo/core/job/job';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { FakeServer, refusal } from '../stores/fakeServer.ts';

// A channel to other windows would keep the test alive.
Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { useJobStore } = await import('../stores/jobStore.ts');
const { useLogStore } = await import('../stores/logStore.ts');
const { useTickStore } = await import('../stores/tickStore.ts');
const { useSaveState } = await import('./useSaveState.ts');

/** A server of one job whose changes, ticks and log can each be refused, or all of it be away. */
class Site extends FakeServer {
  records: { refuse: string | null; hold: Promise<void> | null } = { refuse: null, hold: null };
  readonly own = this.fetch;
  readonly everything = (async (url: string, init?: { method?: string; body?: string }) => {
    const [, kind] = /\/(ticks|entries)/.exec(url) ?? [];
    if (!kind) return this.own(url, init as RequestInit);
    await Promise.resolve();
    if (this.down) throw new TypeError('no network');
    if (init?.method !== 'POST') return this.answered(200, { records: [], came: 0 });
    if (this.records.hold) await this.records.hold;
    if (this.records.refuse !== null) {
      const [status, body] = refusal(400, this.records.refuse);
      return this.answered(status, body);
    }
    const sent = JSON.parse(init.body ?? '{}') as { ticks?: object[]; entries?: object[] };
    return this.answered(200, kind === 'ticks' ? (sent.ticks ?? []) : { added: sent.entries?.length, entries: sent.entries });
  }) as unknown as typeof fetch;
  private answered(status: number, content: object) {
    return { status, ok: status < 400, type: 'basic', json: () => Promise.resolve(structuredClone(content)) };
  }
}

let site: Site;
const settled = async (): Promise<void> => {
  for (let k = 0; k < 80; k++) await Promise.resolve();
};
const later = async (ms = 2500): Promise<void> => {
  await jest.advanceTimersByTimeAsync(ms);
  await settled();
};

beforeEach(() => {
  setActivePinia(createPinia());
  site = new Site();
  site.add(jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 }));
  globalThis.fetch = site.everything;
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
});
afterEach(() => {
  jest.useRealTimers();
});

async function opened() {
  const [jobs, ticks, log] = [useJobStore(), useTickStore(), useLogStore()];
  await jobs.open('job');
  await Promise.all([ticks.look('job'), log.look('job')]);
  await settled();
  return { jobs, ticks, log, save: useSaveState() };
}
const rename = (name: string) => (draft: Job) => void (draft.name = name);
const note = (text: string) => ({ kind: 'note', text, pin: null }) as const;

describe('one mark speaks for changes, ticks and the log', () => {
  test('all there is nothing to say; while something is on its way it says so', async () => {
    const { jobs, log, save } = await opened();
    expect([save.state.value, save.words.value]).toEqual(['saved', 'Saved']);
    let release = (): void => undefined;
    site.records.hold = new Promise((resolve) => (release = resolve));
    void log.write(note('Damp'));
    await settled();
    expect([save.state.value, save.waiting.value]).toEqual(['saving', 1]);
    release();
    await later();
    expect(save.state.value).toBe('saved');
    jobs.change('jobName', rename('Quay'));
    expect(save.state.value).toBe('saving');
    await later();
    expect(save.words.value).toBe('Saved');
  });

  test('without a server it says how many were not sent, and all goes out when it is back', async () => {
    const { jobs, ticks, log, save } = await opened();
    site.down = true;
    await ticks.tick('s', ['A1', 'A2'], 'cut');
    void log.write(note('Damp'));
    await later();
    expect([save.state.value, save.words.value]).toEqual(['unsaved', 'No server, 3 not sent']);
    jobs.change('jobName', rename('Quay'));
    await later();
    expect(save.state.value).toBe('unsaved');
    site.down = false;
    await later(9000);
    expect([save.state.value, save.words.value, save.waiting.value]).toEqual(['saved', 'Saved', 0]);
    expect(site.of().job.name).toBe('Quay');
  });

  test('what is refused is counted, a change alone called a change, and what waits is told first', async () => {
    const { jobs, log, save } = await opened();
    site.refusals = [refusal(422, 'job/refused')];
    jobs.change('jobName', rename('Quay'));
    await later();
    expect([save.state.value, save.words.value, save.refused.value]).toEqual(['parked', '1 change not saved', 1]);
    site.records.refuse = 'request/invalid';
    void log.write(note('Damp'));
    await later();
    expect([save.state.value, save.words.value]).toEqual(['parked', '2 things not saved']);
    site.down = true;
    void log.write(note('Dry again'));
    await later();
    expect(save.state.value).toBe('unsaved');
  });

  test('a job that is deleted elsewhere is told before all else', async () => {
    const { jobs, log, save } = await opened();
    site.jobs.clear();
    site.records.refuse = 'job/not-found';
    void log.write(note('Damp'));
    jobs.change('jobName', rename('Quay'));
    await later();
    expect([save.state.value, save.words.value]).toEqual(['gone', 'Deleted elsewhere']);
  });
});
