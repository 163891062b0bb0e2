<script setup lang="ts">
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Faces } from '../../../board/faces.ts';
import SetoutPicture from '../../../board/SetoutPicture.vue';
import { useTape } from '../../../fields/useTape.ts';
import type { ShownSetout } from '../../../workers/planWorker.ts';
import { startFigures } from './startWords.ts';

/** One start to choose: how it looks, what it gains, and its figures. */
const props = defineProps<{
  start: ShownSetout;
  title: string;
  surface: Surface;
  faces: Faces;
  rank: number;
  inForce: boolean;
  compared: boolean;
  mayCompare: boolean;
}>();
const emit = defineEmits<{ choose: []; compare: [on: boolean] }>();
const tape = useTape();
const told = computed(() => startFigures(props.start, props.surface, tape.value));
</script>

<template>
  <li class="card" :class="{ on: inForce }">
    <button class="plain choose" type="button" :aria-pressed="inForce" @click="emit('choose')">
      <span class="picture"><SetoutPicture :plan="start.plan" :faces="faces" :label="`Start ${rank}, drawn to scale`" /></span>
      <span class="words">
        <b>{{ rank }}. {{ title }} <span v-if="rank === 1" class="tag">best</span><span v-if="inForce" class="tag laid">laid now</span></b>
        <span v-if="told.changes" class="changes">{{ told.changes }}</span>
        <span>{{ told.gain }}</span>
        <span class="small soft">{{ told.cost }}</span>
        <span class="small" :class="start.forgives.turns ? 'frail' : 'soft'">{{ told.forgives }}</span>
      </span>
    </button>
    <div class="foot">
      <span class="figure small">{{ told.rows[1].figure }} cuts, {{ told.rows[5].figure }} left over</span>
      <label v-if="mayCompare || compared" class="pick"
        ><input type="checkbox" :checked="compared" @change="emit('compare', ($event.target as HTMLInputElement).checked)" />Compare</label
      >
    </div>
  </li>
</template>

<style scoped>
.card {
  border-radius: 4px;
  background: var(--paper);
  overflow: hidden;
}
.card.on {
  box-shadow: inset 0 0 0 2px var(--cobalt);
}
.choose {
  display: grid;
  grid-template-columns: 116px minmax(0, 1fr);
  gap: 0.7rem;
  padding: 0.6rem;
  width: 100%;
  text-align: left;
}
.choose:hover {
  background: var(--cobalt-soft);
}
.choose:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: -3px;
}
.picture {
  height: 92px;
  background: var(--panel);
  border-radius: 3px;
  overflow: hidden;
}
.words {
  display: grid;
  gap: 0.15rem;
  align-content: start;
  line-height: 1.3;
}
.changes {
  font-weight: 600;
  font-size: 0.9rem;
}
.frail {
  color: var(--warn);
}
.tag {
  font: 600 0.78rem var(--figure);
  background: var(--tape);
  color: var(--tape-ink);
  padding: 0.02rem 0.4rem;
  border-radius: 2px;
  margin-left: 0.25rem;
}
.tag.laid {
  background: var(--cobalt-soft);
  color: var(--cobalt);
}
.foot {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0 0.7rem 0.4rem;
  min-height: 30px;
}
.pick {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  font-size: 0.9rem;
  cursor: pointer;
}
.pick input {
  accent-color: var(--cobalt);
  width: 1.05rem;
  height: 1.05rem;
  margin: 0;
}
@media (pointer: coarse) {
  .pick {
    min-height: 44px;
  }
}
</style>
