import { computed, inject, onBeforeUnmount, provide, reactive, watch, type ComputedRef, type InjectionKey, type Ref } from 'vue';

const TROUBLED: InjectionKey<Set<string>> = Symbol('fields whose text is refused');

/** For a form: whether any of its fields holds text that was refused. */
export function useFieldTroubles(): ComputedRef<boolean> {
  const troubled = reactive(new Set<string>());
  provide(TROUBLED, troubled);
  return computed(() => troubled.size > 0);
}

/** For a field: tells the form round it, where there is one, while its text is refused. */
export function reportTrouble(id: string, trouble: Ref<string | null>): void {
  const troubled = inject(TROUBLED, null);
  if (!troubled) return;
  watch(trouble, (now) => (now === null ? troubled.delete(id) : troubled.add(id)));
  onBeforeUnmount(() => troubled.delete(id));
}
