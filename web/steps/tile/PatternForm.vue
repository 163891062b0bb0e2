<script setup lang="ts">
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job';
import { PATTERNS, type Pattern, type PatternId } from '@azulejo/core/pattern/registry';
import { PATTERN_NAMES, shareName } from '@azulejo/core/messages/en/patterns';
import type { Product } from '@azulejo/core/tile/product';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useEditSurface } from '../useEditSurface.ts';
import PatternPreview from './PatternPreview.vue';

const props = defineProps<{ surface: Surface; product: Product }>();
const edit = useEditSurface(() => props.surface.id);
const pattern = computed(() => props.surface.pattern);
const SHARES = [1 / 2, 1 / 3, 1 / 4];

const candidates = computed(() =>
  (Object.keys(PATTERNS) as PatternId[]).map((id) => {
    const defaults: Pattern = PATTERNS[id].defaults;
    return { id, name: PATTERN_NAMES[id], pattern: id === pattern.value.kind ? pattern.value : { ...defaults, lay: pattern.value.lay } };
  }),
);
const choose = (next: Pattern): void => {
  edit('Pattern', (surface) => {
    surface.pattern = next;
  });
};
const setLay = (lay: Pattern['lay']): void => choose({ ...pattern.value, lay });
const setShare = (offset: number) =>
  edit('Pattern offset', (surface) => {
    if (surface.pattern.kind === 'runningBond') surface.pattern.offset = offset;
  });
const shares = computed(() => {
  if (pattern.value.kind !== 'runningBond') return [];
  const { offset } = pattern.value;
  const known = SHARES.map((value) => ({ value, label: shareName(value) }));
  return known.some(({ value }) => Math.abs(value - offset) < 0.002) ? known : [...known, { value: offset, label: shareName(offset) }];
});
const share = computed(() => {
  const offset = pattern.value.kind === 'runningBond' ? pattern.value.offset : 0;
  return shares.value.find(({ value }) => Math.abs(value - offset) < 0.002)?.value ?? offset;
});
</script>

<template>
  <section class="stack">
    <h2>Pattern</h2>
    <div class="kinds" role="radiogroup" aria-label="Pattern">
      <button
        v-for="candidate in candidates"
        :key="candidate.id"
        type="button"
        role="radio"
        :aria-checked="candidate.id === pattern.kind"
        :class="{ on: candidate.id === pattern.kind }"
        @click="choose(candidate.pattern)"
      >
        <PatternPreview :pattern="candidate.pattern" :product="product" :joint-mm="surface.jointMm" /><span>{{ candidate.name }}</span>
      </button>
    </div>
    <SwitchField
      label="Long side"
      :value="pattern.lay"
      :options="[
        { value: 'lying', label: 'Lying' },
        { value: 'upright', label: 'Upright' },
      ]"
      @choose="setLay"
    />
    <template v-if="pattern.kind === 'runningBond'">
      <SwitchField label="Each course shifted by" :value="share" :options="shares" @choose="setShare" />
      <div class="two">
        <NumberField
          label="or by this share"
          unit="%"
          :value="Math.round(pattern.offset * 1000) / 10"
          :commit="(percent) => setShare(percent / 100)"
        />
        <SwitchField
          label="Shifted"
          :value="pattern.step"
          :options="[
            { value: 'alternating', label: 'To and fro' },
            { value: 'stepped', label: 'In steps' },
          ]"
          @choose="(step) => pattern.kind === 'runningBond' && choose({ ...pattern, step })"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
}
.kinds button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  display: grid;
  gap: 0.35rem;
  font-weight: 600;
  padding: 0.4rem;
  border-radius: 4px;
}
.kinds button.on {
  box-shadow: inset 0 0 0 3px var(--cobalt);
  background: var(--cobalt-soft);
}
.kinds button:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 2px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1.6fr;
  gap: 0.7rem;
  align-items: start;
}
</style>
