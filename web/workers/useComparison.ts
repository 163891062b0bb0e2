import { proxy } from 'comlink';
import { computed, onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { briefOf } from '@azulejo/core/plan/layout/briefOf';
import type { ComparisonProgress } from '@azulejo/core/compare/compareSetouts';
import type { ShownSetout } from './planWorker.ts';
import { searcher } from './planner.ts';

/** Setouts of a surface to choose from; looked for again whenever something else than the setout changes. */
export type Comparison = ReturnType<typeof useComparison>;

/** A hand that is still changing things is waited for, ms. */
const SETTLED_MS = 350;

/** Looks for the best starts of a surface away from the page; what is found so far is told, and it can be stopped. */
export function useComparison(job: Ref<Job | null>, surface: Ref<Surface | null>) {
  const shown = shallowRef<readonly ShownSetout[]>([]);
  const progress = shallowRef<ComparisonProgress | null>(null);
  const running = ref(false);
  const stopped = ref(false);
  const failed = ref(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let round = 0;
  const told = proxy((now: ComparisonProgress) => {
    if (running.value) progress.value = now;
  });

  /** What the search depends on: everything but where the tiles start now. */
  const brief = computed(() => {
    if (!job.value || !surface.value) return null;
    return JSON.stringify(briefOf(job.value, { ...surface.value, setout: { x: { rule: 'best' }, y: { rule: 'best' } } }));
  });

  async function look(): Promise<void> {
    if (!job.value || !surface.value) return;
    const own = ++round;
    [running.value, stopped.value, failed.value, progress.value] = [true, false, false, null];
    try {
      const found = await searcher.compare(briefOf(job.value, surface.value), told);
      if (own === round && found) shown.value = found;
    } catch {
      if (own === round) failed.value = true;
    } finally {
      if (own === round) [running.value, progress.value] = [false, null];
    }
  }
  function giveUp(): void {
    clearTimeout(timer);
    round++;
    if (running.value) void searcher.giveUp();
    [running.value, progress.value] = [false, null];
  }
  watch(
    brief,
    (now) => {
      giveUp();
      shown.value = [];
      if (now !== null) timer = setTimeout(() => void look(), SETTLED_MS);
    },
    { immediate: true },
  );
  onScopeDispose(giveUp);
  return {
    shown,
    progress,
    running,
    stopped,
    failed,
    stop: () => {
      giveUp();
      stopped.value = true;
    },
    again: () => void look(),
  };
}
