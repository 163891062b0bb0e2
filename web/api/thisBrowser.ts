import { newUuid } from '../saving/newUuid.ts';

const NAME = 'azulejo-browser';
let known: string | null = null;

/** What this browser is called: undo and redo are its own. Where nothing can be kept, as long as the page. */
export function thisBrowser(): string {
  if (known !== null) return known;
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(NAME);
  known = kept ?? newUuid();
  if (kept === null && typeof localStorage !== 'undefined') localStorage.setItem(NAME, known);
  return known;
}

/** Whoever holds it, as they said in the log; empty where nobody did. */
export const whoHolds = (): string => (typeof localStorage === 'undefined' ? '' : (localStorage.getItem('azulejo-who') ?? '').slice(0, 60));
