import { useIntervalFn, useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { byEnd, minutesLeft, TIMERS, timerSchema, type Timer, type TimerKind } from '@azulejo/core/site/timer';
import { newId } from '../newId.ts';

const TICK_MS = 1000;

/** Waits of this phone, several at once; they outlive a reload and a locked screen. */
export function useTimers() {
  const stored = useLocalStorage<readonly Timer[]>('azulejo-timers', [], { serializer: { read: readTimers, write: JSON.stringify } });
  const now = ref(Date.now());
  /** Waits that were over when it was last looked: each is told once. */
  const told = new Set(stored.value.filter((timer) => minutesLeft(timer, now.value) <= 0).map(({ id }) => id));
  useIntervalFn(() => {
    now.value = Date.now();
    for (const timer of stored.value)
      if (minutesLeft(timer, now.value) <= 0 && !told.has(timer.id)) {
        told.add(timer.id);
        callOut();
      }
  }, TICK_MS);
  const timers = computed(() => byEnd(stored.value).map((timer) => ({ timer, left: minutesLeft(timer, now.value) })));
  return {
    timers,
    start: (kind: TimerKind, minutes: number = TIMERS[kind]): void => {
      stored.value = [...stored.value, { id: newId('timer'), kind, startedAt: Date.now(), minutes }];
    },
    stop: (id: string): void => {
      stored.value = stored.value.filter((timer) => timer.id !== id);
    },
  };
}

/** A shake and three short tones, where the phone allows them. */
function callOut(): void {
  if ('vibrate' in navigator) navigator.vibrate([300, 150, 300]);
  try {
    const sound = new AudioContext();
    for (const at of [0, 0.35, 0.7]) {
      const tone = sound.createOscillator();
      tone.frequency.value = 880;
      tone.connect(sound.destination);
      tone.start(sound.currentTime + at);
      tone.stop(sound.currentTime + at + 0.2);
    }
  } catch {
    // Without sound the screen tells it.
  }
}

function readTimers(text: string): readonly Timer[] {
  try {
    return timerSchema.array().catch([]).parse(JSON.parse(text));
  } catch {
    return [];
  }
}
