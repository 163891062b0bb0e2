/** What a pointer presses: while it is down nothing may move from under it, or the press is lost. */
const PRESSED = 'button, a, label, summary, [role="option"], [role="radio"]';

/** The button of a pointer that presses; another opens a menu, and the page is not told when it is lifted. */
const PRIMARY = 0;

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
    held = false;
    if (waiting.length === 0) return;
    // The press itself comes right after the pointer is lifted.
    setTimeout(() => {
      for (const go of waiting.splice(0)) go();
    });
  };
  page.addEventListener(
    'pointerdown',
    (event) => {
      held = (event as PointerEvent).button === PRIMARY && (event.target as Partial<Element> | null)?.closest?.(PRESSED) != null;
      if (!held) letGo();
    },
    { capture: true },
  );
  for (const event of ['pointerup', 'pointercancel']) page.addEventListener(event, letGo, { capture: true });
  // Of the page alone: a field that is left by the press itself lets go of nothing.
  page.addEventListener('blur', letGo);
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
