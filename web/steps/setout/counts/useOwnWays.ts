import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { wayOfWorkingSchema, type WayOfWorking } from '@azulejo/core/setout/choice/ways';

/** Where this browser keeps them. */
const KEY = 'azulejo-ways';

/** The ways of working that a person keeps for other jobs, by name. What can't be read any more is left out. */
export function useOwnWays() {
  const stored = useLocalStorage<unknown>(KEY, [], { serializer: { read: readJson, write: JSON.stringify } });
  const ways = computed<readonly WayOfWorking[]>(() => wayOfWorkingSchema.array().catch([]).parse(stored.value));
  return {
    ways,
    remember: (way: WayOfWorking): void => {
      stored.value = [...ways.value.filter(({ name }) => name !== way.name), JSON.parse(JSON.stringify(way)) as WayOfWorking];
    },
  };
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return [];
  }
}
