import { onBeforeUnmount, onMounted, type Ref } from 'vue';
import type { Point } from '@azulejo/core/geometry/point';

/** What a hand does on the board; positions and moves in pixels. */
export interface HandActions {
  /** A drag began; true when it holds something, false when it moves the view. */
  readonly begin: (at: Point, wantsView: boolean) => boolean;
  readonly moveHeld: (by: Point) => void;
  readonly dropHeld: () => void;
  readonly moveView: (by: Point) => void;
  readonly zoom: (factor: number, about: Point) => void;
  readonly tap: (at: Point) => void;
}

const TAP_PX = 5;

/** Turns pointers, wheel and pinch into what they mean on the board. */
export function usePointers(host: Ref<HTMLElement | null>, actions: HandActions): void {
  const fingers = new Map<number, Point>();
  let dragging: 'held' | 'view' | null = null;
  let travelled = 0;

  const at = (event: PointerEvent | WheelEvent): Point => {
    const box = host.value?.getBoundingClientRect();
    return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
  };

  function down(event: PointerEvent): void {
    host.value?.setPointerCapture(event.pointerId);
    fingers.set(event.pointerId, at(event));
    if (fingers.size === 1) {
      travelled = 0;
      dragging = actions.begin(at(event), event.button !== 0 || event.altKey) ? 'held' : 'view';
    } else if (dragging === 'held') {
      actions.dropHeld();
      dragging = 'view';
    }
  }

  function move(event: PointerEvent): void {
    const before = fingers.get(event.pointerId);
    if (!before || !dragging) return;
    const now = at(event);
    const by: Point = [now[0] - before[0], now[1] - before[1]];
    travelled += Math.hypot(...by);
    if (fingers.size === 2) pinch(event.pointerId, before, now);
    else if (travelled > TAP_PX) (dragging === 'held' ? actions.moveHeld : actions.moveView)(by);
    fingers.set(event.pointerId, now);
  }

  function pinch(id: number, before: Point, now: Point): void {
    const other = [...fingers].find(([finger]) => finger !== id)?.[1];
    if (!other) return;
    const spread = (p: Point): number => Math.max(1, Math.hypot(p[0] - other[0], p[1] - other[1]));
    actions.zoom(spread(now) / spread(before), [(now[0] + other[0]) / 2, (now[1] + other[1]) / 2]);
    actions.moveView([(now[0] - before[0]) / 2, (now[1] - before[1]) / 2]);
  }

  function up(event: PointerEvent): void {
    if (!fingers.delete(event.pointerId) || fingers.size > 0) return;
    if (travelled <= TAP_PX) actions.tap(at(event));
    if (dragging === 'held') actions.dropHeld();
    dragging = null;
  }

  function wheel(event: WheelEvent): void {
    event.preventDefault();
    actions.zoom(Math.exp(-event.deltaY * 0.0015), at(event));
  }

  const listeners: [string, EventListener, AddEventListenerOptions?][] = [
    ['pointerdown', down as EventListener],
    ['pointermove', move as EventListener],
    ['pointerup', up as EventListener],
    ['pointercancel', up as EventListener],
    ['wheel', wheel as EventListener, { passive: false }],
  ];
  onMounted(() => listeners.forEach(([name, listener, options]) => host.value?.addEventListener(name, listener, options)));
  onBeforeUnmount(() => listeners.forEach(([name, listener]) => host.value?.removeEventListener(name, listener)));
}
