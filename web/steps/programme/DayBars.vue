<script setup lang="ts">
import { computed, ref } from 'vue';
import { describeHeld, dayWords, taskName, workName, clockWords } from '@azulejo/core/messages/en/programme';
import { hoursWords } from '@azulejo/core/messages/en/money';
import { isoDay, isWorkday } from '@azulejo/core/programme/calendar';
import type { PlannedTask, Programme } from '@azulejo/core/programme/programme';

/** The works as bars over days: dragged to another day by hand, or with the arrow keys. */
const props = defineProps<{ programme: Programme; isDated: boolean; chosen: string | null }>();
const emit = defineEmits<{ choose: [id: string]; move: [id: string, day: string] }>();

const DAY_PX = 58;
/** Idle days in a row from here on are drawn as one. */
const LONG_GAP = 10;
const days = computed(() => Math.max(5, Math.ceil(props.programme.ends / 24) + 1));
/** The days that are drawn, and what stands for a long stretch without work. */
const columns = computed(() => {
  const busy = [...new Set(props.programme.tasks.flatMap(({ stretches }) => stretches.map(([from]) => Math.floor(from / 24 + 1e-9))))];
  busy.sort((a, b) => a - b);
  const shown: { day: number; words: string; off: boolean; skips: number }[] = [];
  const put = (day: number): void =>
    void shown.push({
      day,
      words: dayWords(props.programme, day, props.isDated),
      off: !isWorkday(props.programme.calendar, day),
      skips: 0,
    });
  let next = 0;
  for (const day of [...busy, days.value - 1]) {
    if (day - next > LONG_GAP) {
      const skips = day - next - 2;
      put(next);
      shown.push({ day: next + 1, words: `${skips} days`, off: true, skips });
      next = day - 1;
    }
    for (; next <= day; next++) put(next);
  }
  return shown;
});
/** Where a day is drawn; within a stretch that is left out, at its place. */
const columnOf = (day: number): number => {
  const at = columns.value.findIndex((column) => day < column.day + Math.max(1, column.skips));
  return at < 0 ? columns.value.length : at;
};
/** The day that lies so many columns from another. */
const dayAt = (day: number, by: number): number => {
  const column = columns.value[Math.min(columns.value.length - 1, Math.max(0, columnOf(day) + by))];
  return column ? column.day : day + by;
};
/** Works place by place, in the order in which each begins. */
const rows = computed(() => {
  const places = [...new Set(props.programme.tasks.map(({ placeId }) => placeId))];
  return places.flatMap((placeId) => {
    const own = props.programme.tasks.filter((task) => task.placeId === placeId).sort((a, b) => a.start - b.start);
    return own.map((task, k) => ({ task, title: k === 0 ? task.placeName : null }));
  });
});
const xOf = (at: number): number => {
  const { startHour, hoursPerDay } = props.programme.calendar;
  const day = Math.floor(at / 24 + 1e-9);
  return (columnOf(day) + Math.min(1, Math.max(0, (at - 24 * day - startHour) / hoursPerDay))) * DAY_PX;
};
const bars = ({ stretches }: PlannedTask) =>
  stretches.map(([from, to]) => ({ left: xOf(from), width: Math.max(4, xOf(to - 1e-6) - xOf(from)) }));
const words = (task: PlannedTask): string =>
  `${workName(task)}: ${hoursWords(task.hours)} from ${dayWords(props.programme, Math.floor(task.start / 24), props.isDated)} ${clockWords(task.start)}. ${describeHeld(task, props.programme)}`;

const dragged = ref<{ id: string; fromX: number; days: number } | null>(null);
const offset = (id: string): number => (dragged.value?.id === id ? dragged.value.days * DAY_PX : 0);
function take(task: PlannedTask, event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  dragged.value = { id: task.id, fromX: event.clientX, days: 0 };
}
function drag(event: PointerEvent): void {
  if (dragged.value) dragged.value = { ...dragged.value, days: Math.round((event.clientX - dragged.value.fromX) / DAY_PX) };
}
function letGo(task: PlannedTask): void {
  const moved = dragged.value;
  dragged.value = null;
  if (moved?.id !== task.id) return;
  if (moved.days === 0) emit('choose', task.id);
  else moveBy(task, moved.days);
}
const moveBy = (task: PlannedTask, by: number): void => {
  const day = dayAt(Math.floor(task.start / 24), by);
  emit('move', task.id, isoDay(props.programme.calendar, day));
};
</script>

<template>
  <div class="scroll" role="group" aria-label="Works over days">
    <div class="grid" :style="{ '--day': `${DAY_PX}px`, '--days': columns.length }">
      <div class="head">
        <span class="name" />
        <span v-for="column in columns" :key="column.day" class="day" :class="{ off: column.off }">{{ column.words }}</span>
      </div>
      <div v-for="{ task, title } in rows" :key="task.id" class="work" :class="{ first: title !== null }">
        <span class="name"
          ><b v-if="title">{{ title }}</b
          ><span>{{ taskName(task) }}</span></span
        >
        <span class="lane">
          <span
            v-for="column in columns.filter(({ off }) => off)"
            :key="column.day"
            class="shade"
            :style="{ left: `${column.day * DAY_PX}px` }"
          />
          <button
            v-for="(bar, k) in bars(task)"
            :key="k"
            type="button"
            class="bar"
            :class="{ critical: task.critical, on: task.id === chosen }"
            :style="{ left: `${bar.left + offset(task.id)}px`, width: `${bar.width}px` }"
            :tabindex="k === 0 ? 0 : -1"
            :aria-label="words(task)"
            @pointerdown="take(task, $event)"
            @pointermove="drag"
            @pointerup="letGo(task)"
            @pointercancel="dragged = null"
            @keydown.right.prevent="moveBy(task, 1)"
            @keydown.left.prevent="moveBy(task, -1)"
            @keydown.enter.prevent="emit('choose', task.id)"
          />
        </span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  background: var(--panel);
  border-radius: 4px;
}
.grid {
  --name: 13rem;
  width: calc(var(--name) + var(--day) * var(--days));
}
.head,
.work {
  display: flex;
}
.name {
  flex: none;
  width: var(--name);
  padding: 0.2rem 0.8rem;
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--panel);
  display: grid;
  font-size: 0.93rem;
}
.day {
  flex: none;
  width: var(--day);
  font: 600 0.82rem var(--figure);
  padding: 0.4rem 0.2rem;
  text-align: center;
  line-height: 1.15;
}
.day.off {
  color: var(--ink-soft);
}
.work.first {
  border-top: 1px solid var(--line);
}
.work.first .name {
  padding-top: 0.5rem;
}
.lane {
  position: relative;
  flex: 1;
  background-image: repeating-linear-gradient(90deg, var(--line) 0 1px, transparent 1px var(--day));
}
.shade {
  position: absolute;
  inset-block: 0;
  width: var(--day);
  background: var(--paper);
}
.bar {
  position: absolute;
  bottom: 0.2rem;
  height: 1.35rem;
  border: 0;
  padding: 0;
  border-radius: 3px;
  background: var(--cobalt);
  cursor: grab;
  touch-action: pan-y;
}
.bar.critical {
  background: repeating-linear-gradient(-45deg, var(--chalk) 0 6px, color-mix(in srgb, var(--chalk) 78%, var(--panel)) 6px 9px);
}
.bar.on {
  box-shadow:
    0 0 0 2px var(--panel),
    0 0 0 4px var(--ink);
}
.bar:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}
@media (forced-colors: active) {
  .bar,
  .lane,
  .shade {
    forced-color-adjust: none;
  }
}
@media (max-width: 640px) {
  .grid {
    --name: 8.5rem;
  }
}
@media (pointer: coarse) {
  .work {
    min-height: 44px;
  }
}
</style>
