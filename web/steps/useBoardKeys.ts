import { useEventListener } from '@vueuse/core';
import type { Ref } from 'vue';
import { isTyping } from '../shell/isTyping.ts';
import type { StepOnBoard } from './stepOnBoard.ts';

/** What keys can ask of the board. */
export interface BoardHandle {
  fit: () => void;
  zoomBy: (factor: number) => void;
}

/** What has keys of its own: they are not those of the drawing. */
const OWN_KEYS = '[role="dialog"], [role="combobox"], [role="listbox"]';
const OWN_ARROWS = 'input';
const OWN_PRESS = 'button, a, input, [role="button"]';

const isOthers = ({ key, target }: KeyboardEvent): boolean => {
  if (!(target instanceof Element)) return false;
  const own =
    key === 'Enter' || key === ' ' ? `${OWN_KEYS}, ${OWN_PRESS}` : key.startsWith('Arrow') ? `${OWN_KEYS}, ${OWN_ARROWS}` : OWN_KEYS;
  return target.closest(own) !== null;
};

/** The keys of the step, then those of the drawing. */
export function useBoardKeys(step: Ref<StepOnBoard>, boardRef: Readonly<Ref<BoardHandle | null>>): void {
  const drawingKeys: Record<string, () => void> = {
    '+': () => boardRef.value?.zoomBy(1.35),
    '=': () => boardRef.value?.zoomBy(1.35),
    '-': () => boardRef.value?.zoomBy(1 / 1.35),
    0: () => boardRef.value?.fit(),
  };

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    if (isOthers(event)) return;
    const act = step.value.keys?.[event.key.length === 1 ? event.key.toLowerCase() : event.key] ?? drawingKeys[event.key];
    if (!act) return;
    event.preventDefault();
    act(event);
  });
}
