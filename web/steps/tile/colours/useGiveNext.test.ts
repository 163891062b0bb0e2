import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { computed, ref } from 'vue';
import { drawSurface } from '@azulejo/core/plan/layout/drawSurface';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { FakeServer } from '../../../stores/fakeServer.ts';

Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { useJobStore } = await import('../../../stores/jobStore.ts');
const { useGiveNext } = await import('./useGiveNext.ts');

const PLAIN = jobOfOne({
  size: [1200, 800],
  tile: [200, 200],
  jointMm: 3,
  surface: { colours: { rule: { kind: 'one' }, others: ['u', 'v'], byHand: {} } },
});
const MIXED = { ...PLAIN, products: ['t', 'u', 'v'].map((id) => ({ ...PLAIN.products[0], id })) };

beforeEach(() => {
  setActivePinia(createPinia());
});

test('a piece that is tapped before the last tap is drawn takes the tile after; another is as it was', async () => {
  const server = new FakeServer();
  server.add(MIXED);
  globalThis.fetch = server.fetch;
  const jobs = useJobStore();
  await jobs.open('job');
  const surface = computed(() => jobs.job?.surfaces[0] ?? null);
  const giveNext = useGiveNext(surface, ref(drawSurface(MIXED, MIXED.surfaces[0])));
  const given = (): number[] => Object.values(surface.value?.colours.byHand ?? {});
  giveNext([600, 400]);
  giveNext([600, 400]);
  expect(given()).toEqual([2]);
  giveNext([200, 200]);
  expect(given().sort()).toEqual([1, 2]);
  giveNext([600, 400]);
  expect(given().sort()).toEqual([0, 1]);
  giveNext([-50, 400]);
  expect(given()).toHaveLength(2);
});
