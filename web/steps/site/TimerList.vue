<script setup lang="ts">
import { TIMERS, type TimerKind } from '@azulejo/core/site/timer';
import { words } from '../../words/useWords.ts';
import type { useTimers } from './useTimers.ts';

/** Waits in large figures, several at once. */
const props = defineProps<{ waits: ReturnType<typeof useTimers> }>();
const { timers, start, stop } = props.waits;
const kinds = Object.keys(TIMERS) as TimerKind[];
const usual = (kind: TimerKind): string => (TIMERS[kind] >= 60 ? `${TIMERS[kind] / 60} h` : `${TIMERS[kind]} min`);
</script>

<template>
  <section class="timers">
    <article v-for="{ timer, left } in timers" :key="timer.id" class="timer" :class="{ over: left <= 0 }">
      <p>{{ words.TIMER_NAMES[timer.timer] }}</p>
      <p class="figure left" role="timer">{{ words.leftWords(left) }}</p>
      <p v-if="left <= 0">{{ words.TIMER_OVER[timer.timer] }}</p>
      <button
        type="button"
        class="small-press"
        :aria-label="words.say('site/doneWith', { wait: words.TIMER_NAMES[timer.timer] })"
        @click="stop(timer.id)"
      >
        {{ words.say('site/done') }}
      </button>
    </article>
    <p v-if="timers.length === 0">{{ words.say('site/noWait') }}</p>
    <div class="start" role="group" :aria-label="words.say('site/startWait')">
      <button v-for="kind in kinds" :key="kind" type="button" class="press" @click="start(kind)">
        {{ words.TIMER_NAMES[kind] }} <b>{{ usual(kind) }}</b>
      </button>
    </div>
    <p class="note">{{ words.say('site/usualWaits') }}</p>
  </section>
</template>

<style scoped>
.timers {
  display: grid;
  gap: 0.8rem;
}
.timer {
  border: 3px solid currentColor;
  border-radius: 6px;
  padding: 0.7rem 0.9rem;
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  gap: 0.2rem 0.8rem;
}
.timer > p {
  grid-column: 1;
}
.timer.over {
  background: var(--site-ink);
  color: var(--site-ground);
}
.left {
  font-size: 2.6rem;
  line-height: 1;
}
.small-press {
  grid-column: 2;
  grid-row: 1 / span 2;
}
.start {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
.press,
.small-press {
  font: 600 1.05rem 'Barlow';
  min-height: 56px;
  padding: 0.4rem 0.8rem;
  border-radius: 6px;
  border: 2px solid currentColor;
  background: transparent;
  color: inherit;
  cursor: pointer;
}
.press b {
  display: block;
}
.note {
  font-size: 0.95rem;
}
</style>
