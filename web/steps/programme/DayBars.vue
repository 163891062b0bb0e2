<script setup lang="ts">
import { computed, ref } from 'vue';
import { taskName } from '@azulejo/core/messages/en/programme';
import { dayAt, isoDay } from '@azulejo/core/programme/calendar';
import type { PlannedTask, Programme } from '@azulejo/core/programme/programme';
import { dayBars, dayFrom } from './model.ts';

/** The works as bars over days: dragged to another day by hand, or with the arrow keys. */
const props = defineProps<{ programme: Programme; isDated: boolean; chosen: string | null }>();
const emit = defineEmits<{ choose: [id: string]; move: [id: string, day: string] }>();

const DAY_PX = 58;
const model = computed(() => dayBars(props.programme, props.isDated));

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
  emit('move', task.id, isoDay(props.programme.calendar, dayFrom(model.value.columns, dayAt(task.start), by)));
};
</script>

<template>
  <div class="scroll" role="group" aria-label="Works over days">
    <div class="grid" :style="{ '--day': `${DAY_PX}px`, '--days': model.columns.length }">
      <div class="head">
        <span class="name" />
        <span v-for="(column, k) in model.columns" :key="k" class="day" :class="{ off: column.off }">{{ column.words }}</span>
      </div>
      <div v-for="{ task, title, words, bars } in model.rows" :key="task.id" class="work" :class="{ first: title !== null }">
        <span class="name"
          ><b v-if="title">{{ title }}</b
          ><span>{{ taskName(task) }}</span></span
        >
        <span class="lane">
          <span v-for="(column, k) in model.columns" v-show="column.off" :key="k" class="shade" :style="{ left: `${k * DAY_PX}px` }" />
          <button
            v-for="(bar, k) in bars"
            :key="k"
            type="button"
            class="bar"
            :class="{ critical: task.critical, on: task.id === chosen }"
            :style="{ left: `${bar.left * DAY_PX + offset(task.id)}px`, width: `${bar.width * DAY_PX}px` }"
            :tabindex="k === 0 ? 0 : -1"
            :aria-label="words"
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
