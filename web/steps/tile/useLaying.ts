import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { computed, type ComputedRef } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Laying } from '@azulejo/core/pattern/laying';
import type { Issue } from '@azulejo/core/result';
import { useEditSurface } from '../useEditSurface.ts';

/** What is laid in a field that is being edited, and how to change it. */
export interface EditedLaying {
  readonly laying: ComputedRef<Laying>;
  readonly put: (label: ChangeLabel, next: Partial<Laying>) => readonly Issue[];
  /** Changes what is being edited now, however much later it is called: for what takes its time. */
  readonly putHere: () => (label: ChangeLabel, next: Partial<Laying>) => readonly Issue[];
}

/** The laying of a whole surface, or of one of its insets. */
export function useLaying(surface: () => Surface, insetId: () => string | null): EditedLaying {
  const holderIn = (target: Surface, inset = insetId()): Surface | Surface['insets'][number] | null =>
    inset === null ? target : (target.insets.find(({ id }) => id === inset) ?? null);
  const editOf = (surfaceId: () => string, inset: () => string | null): EditedLaying['put'] => {
    const edit = useEditSurface(surfaceId);
    return (label, next) =>
      edit(label, (target) => {
        const holder = holderIn(target, inset());
        if (holder) Object.assign(holder, JSON.parse(JSON.stringify(next)));
      });
  };
  return {
    laying: computed(() => holderIn(surface()) ?? surface()),
    put: editOf(() => surface().id, insetId),
    putHere: () => {
      const [surfaceId, inset] = [surface().id, insetId()];
      return editOf(
        () => surfaceId,
        () => inset,
      );
    },
  };
}
