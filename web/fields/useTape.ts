import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue';
import type { Tape } from '@azulejo/core/units/tape';

const TAPE: InjectionKey<ComputedRef<Tape>> = Symbol('tape');

/** Says what lengths are typed and shown in throughout a view. */
export function provideTape(tape: () => Tape): void {
  provide(TAPE, computed(tape));
}

/** What lengths are typed and shown in here; throws outside a view that says it. */
export function useTape(): ComputedRef<Tape> {
  const tape = inject(TAPE);
  if (!tape) throw new Error('a length is shown outside any view that says its tape: expected provideTape above it');
  return tape;
}
