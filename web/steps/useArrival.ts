import { useTimeoutPoll } from '@vueuse/core';
import { computed, ref, watch, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Surface } from '@azulejo/core/job/job';
import { useBoardStore, type CutPart, type MeasurePart, type SetoutPart, type TilePart } from '../stores/boardStore.ts';
import { mendingAt } from './stepOfFinding.ts';

/** A plan may take so long before the field that hangs on it is there, ms; then the page is shown as it is. */
const WAITS_MS = 4000;
const LOOK_EVERY_MS = 60;

/** How long the field that was sought is marked, ms. */
const MARKED_MS = 5000;

/**
 * Follows a link to a field: opens the part it is in, scrolls to it, marks it for a moment and sets the focus there. A field
 * that is gone meanwhile leads to the nearest part of its form that is still there.
 */
export function useArrival(surface: ComputedRef<Surface | null>): void {
  const route = useRoute();
  const router = useRouter();
  const board = useBoardStore();
  const sought = computed(() => (typeof route.query['at'] === 'string' ? route.query['at'] : null));
  const since = ref(0);

  const { pause, resume } = useTimeoutPoll(look, LOOK_EVERY_MS, { immediate: false });

  function look(): void {
    const at = sought.value;
    if (at === null || !surface.value) return;
    const isLast = Date.now() - since.value > WAITS_MS;
    const found = fieldAt(at, isLast);
    if (!found && !isLast) return;
    pause();
    // Going anywhere takes the focus from a field: the address is put right first.
    void router.replace({ query: {} }).then(() => {
      if (found) show(found);
    });
  }

  watch(
    [sought, () => surface.value?.id],
    ([at]) => {
      if (at === null || !surface.value) return;
      openPart(at, surface.value);
      since.value = Date.now();
      resume();
    },
    { immediate: true, flush: 'post' },
  );

  function openPart(at: string, { measured, insets }: Surface): void {
    const path = at.split('.');
    const { name, part } = mendingAt(path.map((key) => (/^\d+$/.test(key) ? Number(key) : key)));
    if (name === 'measure') board.measurePart = part as MeasurePart;
    if (name === 'tile') board.tilePart = part as TilePart;
    if (name === 'setout') board.setoutPart = part as SetoutPart;
    if (name === 'cuts') board.cutPart = part as CutPart;
    const [first, of, third] = path;
    if (first === 'measured' && of === 'fixtures') board.chosenFixture = measured.fixtures.at(Number(third))?.id ?? null;
    if (first === 'measured' && (of === 'roles' || of === 'edgeGapsMm') && third) board.chosenEdge = third;
    board.chosenInset = first === 'insets' ? (insets.at(Number(of))?.id ?? null) : null;
  }
}

/** The field of a path, or the nearest that it lies in; the head of the form where none is there after all. */
function fieldAt(at: string, orHead: boolean): HTMLElement | null {
  const path = at.replace(/^insets\.\d+\./, '').split('.');
  for (let length = path.length; length > 0; length--) {
    const found = document.querySelector<HTMLElement>(`[data-field="${CSS.escape(path.slice(0, length).join('.'))}"]`);
    if (found) return found;
  }
  return orHead ? document.querySelector<HTMLElement>('main.panel h1') : null;
}

/** Scrolls to a field, marks it and sets the focus there. What is still being worked out may push it away: it is kept in sight until a hand moves. */
function show(field: HTMLElement): void {
  const inside = field.querySelector<HTMLElement>('input, select, button, [role="combobox"], [tabindex="0"]');
  const isOwn = field.matches('button, input');
  if (!isOwn && !inside) field.tabIndex = -1;
  const bring = (): void => field.scrollIntoView({ block: 'center' });
  bring();
  (isOwn ? field : (inside ?? field)).focus({ preventScroll: true });
  field.classList.add('sought');
  const grows = new ResizeObserver(bring);
  for (const child of field.closest('main')?.children ?? []) grows.observe(child);
  const letGo = (): void => {
    grows.disconnect();
    field.classList.remove('sought');
  };
  for (const event of ['wheel', 'pointerdown', 'keydown']) window.addEventListener(event, letGo, { once: true });
  setTimeout(letGo, MARKED_MS);
}
