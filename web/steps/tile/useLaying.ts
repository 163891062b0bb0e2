import { computed, type ComputedRef } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Laying } from '@azulejo/core/pattern/laying';
import type { Issue } from '@azulejo/core/result';
import { useEditSurface } from '../useEditSurface.ts';

/** What is laid in a field that is being edited, and how to change it. */
export interface EditedLaying {
  readonly laying: ComputedRef<Laying>;
  readonly put: (label: string, next: Partial<Laying>) => readonly Issue[];
}

/** The laying of a whole surface, or of one of its insets. */
export function useLaying(surface: () => Surface, areaId: () => string | null): EditedLaying {
  const edit = useEditSurface(() => surface().id);
  const holderIn = (target: Surface): Surface | Surface['areas'][number] => target.areas.find(({ id }) => id === areaId()) ?? target;
  return {
    laying: computed(() => holderIn(surface())),
    put: (label, next) => edit(label, (target) => void Object.assign(holderIn(target), JSON.parse(JSON.stringify(next)))),
  };
}
