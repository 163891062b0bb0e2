<script setup lang="ts">
import { computed, toRef } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import { onScale } from '@azulejo/core/takeoff/mixes/zoneMixes';
import { useTape } from '../../fields/useTape.ts';
import { useTicking } from '../cuts/useTicking.ts';
import { words } from '../../words/useWords.ts';
import { mixesAtHand } from './model.ts';

/** What to stir next: of adhesive what the zone takes that is being laid, of the rest as much as is used in time. */
const props = defineProps<{ surface: Surface; plan: Plan }>();
const tape = useTape();
const emit = defineEmits<{ mixed: [mix: Mix, powderKg: number] }>();
const planned = computed(() => props.plan.surfaces.find(({ surfaceId }) => surfaceId === props.surface.id) ?? null);
const { stateOf } = useTicking(toRef(props, 'surface'), planned);
const mixes = computed(() => mixesAtHand(props.plan, props.surface.id, stateOf));
</script>

<template>
  <article v-for="{ mix, stirred, now } in mixes" :key="`${mix.item} ${mix.variant}`" class="mix">
    <h2>{{ words.mixName(mix) }}</h2>
    <p v-if="now">{{ words.say('site/zoneHere', { surface: surface.name, number: now.number }) }}</p>
    <p class="figure amount">
      {{ now ? words.describeShare(now, tape) : words.describeStirred(mix, stirred, tape) }}
    </p>
    <p v-for="line in now ? words.explainZoneMix(mix, now, tape) : words.explainMix(mix, stirred, tape)" :key="line">{{ line }}</p>
    <button type="button" class="press" @click="emit('mixed', mix, now ? onScale(now.powderKg) : mix.powderKg)">
      {{ words.say('site/mixedNow') }}
    </button>
  </article>
</template>

<style scoped>
.mix {
  border-top: 3px solid currentColor;
  padding-top: 0.5rem;
  font-size: 1.1rem;
  display: grid;
  gap: 0.2rem;
}
.press {
  font: 600 1.05rem 'Barlow';
  min-height: 56px;
  margin-top: 0.4rem;
  border-radius: 6px;
  border: 2px solid currentColor;
  background: transparent;
  color: inherit;
  cursor: pointer;
}
.amount {
  font-size: 2.2rem;
  line-height: 1.1;
}
</style>
