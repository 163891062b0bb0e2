import { computed, type Ref } from 'vue';
import { orderFor, settingsOf, tripsFor, type CutSetting } from '@azulejo/core/cuts/cutOrder';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';

/** The cuts of a surface as they are made, trip by trip. */
export function useCutList(job: Ref<Job | null>, surface: Ref<Surface | null>, plan: Ref<SurfacePlan | null>) {
  const order = computed(() => (surface.value ? orderFor(surface.value.pattern, job.value?.cutting) : 'hardestLast'));
  const trips = computed(() => (plan.value && surface.value ? tripsFor(plan.value, surface.value.pattern, job.value?.cutting) : []));
  return {
    order,
    trips,
    settingOf: (id: string | null): CutSetting | null => settingsOf(trips.value).find((setting) => setting.id === id) ?? null,
    settingWith: (label: string | null): CutSetting | null =>
      settingsOf(trips.value).find(({ pieces }) => pieces.some((piece) => piece.label === label)) ?? null,
  };
}
