import { useDocumentVisibility, useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { entriesOf } from '@azulejo/core/site/entry';
import { minutesLeft, runningTimers, TIMERS, type TimerKind } from '@azulejo/core/site/timer';
import { useLogStore } from '../../stores/logStore.ts';

const TICK_MS = 1000;

/** Another phone starts and ends waits too: looked at so often while this is in sight. */
const LOOK_EVERY_MS = 15_000;

/** Waits of a job, several at once, on every phone that has it open; they outlive a reload and a locked screen. */
export function useTimers(jobId: () => string) {
  const log = useLogStore();
  const now = ref(Date.now());
  const all = computed(() =>
    entriesOf(log.entries, 'timer').map(({ id, at, data: { timer, minutes } }) => ({ id, timer, minutes, startedAt: Date.parse(at) })),
  );
  /** Waits that were over when they were first seen, or were told since: each is told once. */
  const told = new Set<string>();
  let seen = new Set<string>();
  useIntervalFn(() => {
    now.value = Date.now();
    const over = runningTimers(all.value, now.value).filter((timer) => minutesLeft(timer, now.value) <= 0 && !told.has(timer.id));
    for (const { id } of over) told.add(id);
    if (over.some(({ id }) => seen.has(id))) callOut();
    seen = new Set(all.value.map(({ id }) => id));
  }, TICK_MS);
  const sight = useDocumentVisibility();
  useIntervalFn(() => {
    if (sight.value === 'visible') void log.look(jobId());
  }, LOOK_EVERY_MS);
  const timers = computed(() => runningTimers(all.value, now.value).map((timer) => ({ timer, left: minutesLeft(timer, now.value) })));
  return {
    timers,
    start: (timer: TimerKind, minutes: number = TIMERS[timer]): void => void log.write({ kind: 'timer', timer, minutes }),
    stop: (id: string): void => {
      const entry = log.entries.find((one) => one.id === id);
      if (entry) void log.withdraw(entry);
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
