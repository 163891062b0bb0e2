import type { Ref } from 'vue';
import { keepLabels } from '@azulejo/core/cuts/keptLabels';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { KeptCount, TickState } from '@azulejo/core/site/tick';
import { useTickStore } from '../../stores/tickStore.ts';
import { useEditSurface } from '../useEditSurface.ts';

/** Ticks pieces of a surface; with the first tick its labels and its start are kept, so that they stay on their pieces. */
export function useTicking(surface: Ref<Surface | null>, plan: Ref<SurfacePlan | null>) {
  const ticks = useTickStore();
  const edit = useEditSurface(() => surface.value?.id ?? '');

  /** How the labels are counted now, and where the tiles lie: what is cut must not move with a better start. */
  function countNow(): KeptCount | null {
    const [on, planned] = [surface.value, plan.value];
    if (!on || planned?.surfaceId !== on.id) return null;
    const { x, y, turn } = planned.choice;
    const { pins } = on.setout;
    return {
      counted: keepLabels(planned.fields, planned.labels, on.pattern.kind),
      setout: { x, y, turn, ...(pins ? { pins } : {}) },
    };
  }

  /** Keeps the labels as they are counted now. */
  function keep(): void {
    const kept = countNow();
    if (kept)
      edit('labelsKept', (draft) => {
        draft.counted = kept.counted;
        draft.setout = kept.setout;
      });
  }

  /** Counts pieces anew from the bottom left. */
  function countAnew(): void {
    if (surface.value) ticks.forgetCount(surface.value.id);
    edit('labelsCountedAnew', (draft) => {
      delete draft.counted;
    });
  }

  const stateOf = (label: string): TickState => (surface.value ? ticks.stateOf(surface.value.id, label) : 'open');

  function tick(labels: readonly string[], state: TickState): void {
    const { value: on } = surface;
    if (!on) return;
    // In one with the first tick: neither arrives without the other.
    void ticks.tick(on.id, labels, state, on.counted ? undefined : (countNow() ?? undefined));
  }

  return { keep, countAnew, stateOf, tick };
}
