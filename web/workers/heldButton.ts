/** What a pointer presses: while it is down nothing may move from under it, or the press is lost. */
const PRESSED = 'button, a, label, summary, [role="option"], [role="radio"]';

/** Whether something is pressed on a page, and when it is let go. */
export interface HeldButton {
  readonly isHeld: () => boolean;
  /** Settles once nothing is held and the press was taken. */
  readonly released: () => Promise<void>;
}

/** Watches the presses on a page. */
export function watchPresses(page: EventTarget): HeldButton {
  let held = false;
  let waiting: (() => void)[] = [];
  const letGo = (): void => {
    if (!held) return;
    held = false;
    // The press itself comes right after the pointer is lifted.
    setTimeout(() => {
      for (const go of waiting.splice(0)) go();
    });
  };
  page.addEventListener(
    'pointerdown',
    ({ target }) => {
      held = (target as Partial<Element> | null)?.closest?.(PRESSED) != null;
    },
    { capture: true },
  );
  for (const event of ['pointerup', 'pointercancel', 'blur']) page.addEventListener(event, letGo, { capture: true });
  return {
    isHeld: () => held,
    released: () =>
      new Promise((resolve) => {
        waiting = [...waiting, resolve];
      }),
  };
}

const NOTHING_HELD: HeldButton = { isHeld: () => false, released: () => Promise.resolve() };

/** The button that is held on this page; never one where there is no page. */
export const heldButton: HeldButton = typeof window === 'undefined' ? NOTHING_HELD : watchPresses(window);
