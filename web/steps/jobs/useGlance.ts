import { useIntersectionObserver } from '@vueuse/core';
import { shallowRef, watch, type Ref } from 'vue';
import type { Glance } from '@azulejo/core/formats/glance';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import { api } from '../../api/client.ts';

/** One job after the other, so that a long list asks for no more than it shows. */
let last: Promise<unknown> = Promise.resolve();

/** What a job of the list comes to, once its row is in sight; null before, and where it can't be told. */
export function useGlance(row: Ref<HTMLElement | null>, job: () => JobEntry): Ref<Glance | null> {
  const glance = shallowRef<Glance | null>(null);
  let asked = '';
  let isInSight = false;
  const ask = (): void => {
    const { id, version, latest } = job();
    if (!isInSight || asked === `${id} ${version}`) return;
    asked = `${id} ${version}`;
    last = last
      .then(() =>
        api.takeGlance(
          id,
          latest.map((surface) => surface.id),
        ),
      )
      .then(
        (taken) => (glance.value = taken),
        () => (glance.value = null),
      );
  };
  useIntersectionObserver(row, ([entry]) => {
    isInSight = entry.isIntersecting;
    ask();
  });
  watch(job, ask);
  return glance;
}
