import { nextTick, onBeforeUnmount, ref, useId, watch } from 'vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue, Result } from '@azulejo/core/result';
import type { Tape } from '@azulejo/core/units/tape';
import { reportTrouble } from './fieldTroubles.ts';
import { thingsChanged, whenThingsChange } from './tryAgain.ts';

/** What a field for a figure is told. */
interface Figure {
  /** The figure in force, as it is written. */
  readonly shown: () => string;
  readonly read: (text: string) => Result<number>;
  /** Takes the figure, or says why not. */
  readonly commit: (value: number) => readonly Issue[];
  /** What the lengths in a reason are told in. */
  readonly tape?: () => Tape;
}

/**
 * The text of a field for a figure, from typing to taking. What can't be taken stays with its reason; it is
 * tried again whenever something else changes, so that no refusal outlives its cause.
 */
export function useFigure({ shown, read, commit, tape }: Figure) {
  const id = useId();
  const text = ref(shown());
  const trouble = ref<string | null>(null);
  /** Text that was taken a moment ago: Enter, leaving the field and its end may all take it, and once is meant. */
  let taken: string | null = null;
  reportTrouble(id, trouble);

  watch(shown, (now) => {
    if (trouble.value === null) text.value = now;
  });
  whenThingsChange(() => {
    if (trouble.value !== null && read(text.value).ok) take();
  });
  // What was typed and not entered is taken when the field goes; what can't be read goes with it.
  onBeforeUnmount(() => {
    if (text.value !== shown() && read(text.value).ok) take();
  });

  function take(): void {
    if (text.value === taken) return;
    if (text.value === shown()) return void (trouble.value = null);
    const typed = read(text.value);
    if (typed.ok) commitValue(typed.value);
    else trouble.value = describeIssue(typed.issues[0], tape?.());
  }

  function commitValue(value: number): void {
    const [first] = commit(value);
    trouble.value = first ? describeIssue(first, tape?.()) : null;
    if (first) return;
    taken = text.value;
    thingsChanged();
    // What is in force now, which the form may have settled otherwise.
    void nextTick(() => {
      text.value = shown();
      taken = null;
    });
  }

  return { id, text, trouble, take, commitValue };
}
