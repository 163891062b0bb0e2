import { ref, type Ref } from 'vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';
import type { Tape } from '@azulejo/core/units/tape';
import { whenThingsChange } from '../fields/tryAgain.ts';

/** Keeps why a press or a choice could not be done, for the words beside it; a change that is made clears it. */
export function useAttempt(tape: () => Tape): {
  readonly trouble: Ref<string | null>;
  readonly attempt: (issues: readonly Issue[]) => void;
} {
  const trouble = ref<string | null>(null);
  const attempt = (issues: readonly Issue[]): void => {
    trouble.value = issues[0] ? describeIssue(issues[0], tape()) : null;
  };
  whenThingsChange(() => (trouble.value = null));
  return { trouble, attempt };
}
