import type { Ref } from 'vue';
import { keepLabels } from '@azulejo/core/cuts/keptLabels';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import type { TickState } from '@azulejo/core/site/tick';
import { useTickStore } from '../../stores/tickStore.ts';
import { useEditSurface } from '../useEditSurface.ts';

/** Ticks pieces of a surface; with the first tick its labels and its start are kept, so that they stay on their pieces. */
export function useTicking(surface: Ref<Surface | null>, plan: Ref<SurfacePlan | null>) {
  const ticks = useTickStore();
  const edit = useEditSurface(() => surface.value?.id ?? '');

  /** Keeps the labels as they are counted now, and the tiles where they lie: what is cut must not move with a better start. */
  function keep(): void {
    const [on, planned] = [surface.value, plan.value];
    if (!on || planned?.surfaceId !== on.id) return;
    const counted = keepLabels(planned.fields, planned.labels, on.pattern.kind);
    const { x, y, turn } = planned.choice;
    edit('Labels kept', (draft) => {
      const { pins } = draft.setout;
      draft.counted = counted;
      draft.setout = { x, y, turn, ...(pins ? { pins } : {}) };
    });
  }

  /** Counts pieces anew from the bottom left. */
  const countAnew = (): void =>
    void edit('Labels counted anew', (draft) => {
      delete draft.counted;
    });

  const stateOf = (label: string): TickState => (surface.value ? ticks.stateOf(surface.value.id, label) : 'open');

  function tick(labels: readonly string[], state: TickState): void {
    const { value: on } = surface;
    if (!on) return;
    if (!on.counted) keep();
    void ticks.tick(on.id, labels, state);
  }

  return { keep, countAnew, stateOf, tick };
}
