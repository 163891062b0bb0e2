import { useLocalStorage } from '@vueuse/core';
import { ref } from 'vue';
import { habitsSchema, type Job } from '@azulejo/core/job/job';
import type { OwnFigures } from '@azulejo/core/takeoff/materialKind';

type Habits = NonNullable<Job['habits']>;

/** What new jobs begin with. */
const stored = useLocalStorage<Habits>('azulejo-habits', {}, { serializer: { read: readJson, write: JSON.stringify } });

/** The figures that a person keeps for other jobs; what can't be read any more is left out. */
export function useHabits() {
  const keptFor = ref<string | null>(null);
  return {
    habits: stored,
    keptFor,
    keep: (item: string, figures: OwnFigures): void => {
      stored.value = { ...stored.value, [item]: { ...stored.value[item], ...figures } };
      keptFor.value = item;
    },
  };
}

function readJson(text: string): Habits {
  try {
    return habitsSchema.catch({}).parse(JSON.parse(text));
  } catch {
    return {};
  }
}
