import { ref, type Ref } from 'vue';
import { leaveField } from './leaveField.ts';

/** A form over the page that is kept or thrown away as a whole. */
interface Draft {
  /** For the dialog's own ways out, Escape, Back and the cross: what was typed goes at the second press, never at the first. */
  readonly leave: () => void;
  /** What to say after the first. */
  readonly warning: Ref<string | null>;
}

/** Guards a draft, `text` being all that is in it as it stands; buttons that say what they do close at once. */
export function useDraft(text: () => string, close: () => void): Draft {
  const before = text();
  const warning = ref<string | null>(null);
  let warnedOf: string | null = null;
  return {
    warning,
    leave: () => {
      // What is half typed in a field belongs to the draft.
      leaveField();
      const now = text();
      if (now === before || now === warnedOf) return close();
      warnedOf = now;
      warning.value = 'What you changed here is not kept yet. Once more, and it is thrown away.';
    },
  };
}
