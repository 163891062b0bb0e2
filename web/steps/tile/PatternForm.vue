<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhShuffle } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job';
import { PATTERN_NAMES, PATTERN_SUITS, shareName } from '@azulejo/core/messages/en/patterns';
import { fittingStrips } from '@azulejo/core/pattern/kinds/basketWeave';
import { innerJointOf, PATTERNS, type Pattern, type PatternId } from '@azulejo/core/pattern/registry';
import { actualSize, type Product } from '@azulejo/core/tile/product';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import FieldGrid from '../../fields/FieldGrid.vue';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import PatternPreview from './PatternPreview.vue';

const props = defineProps<{ surface: Surface; product: Product; tape: Tape }>();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => props.tape);
const pattern = computed(() => props.surface.pattern);
const module = computed(() => ({ ...actualSize(props.product), jointMm: props.surface.jointMm }));
const innerMm = computed(() => innerJointOf(pattern.value, module.value));
const SHARES = [1 / 2, 1 / 3, 1 / 4];

/** Every kind in the chosen tile; null where the tile can't be laid so. */
const candidates = computed(() =>
  (Object.keys(PATTERNS) as PatternId[]).map((id) => ({
    id,
    name: PATTERN_NAMES[id],
    pattern: id === pattern.value.kind ? pattern.value : startOf(id),
  })),
);
function startOf(id: PatternId): Pattern | null {
  const { lay } = pattern.value;
  if (id !== 'basketWeave') return { ...PATTERNS[id].defaults, lay };
  const strips = fittingStrips(module.value);
  return strips === null ? null : { kind: id, lay, strips };
}
const put = (next: Pattern) =>
  edit('Pattern', (surface) => {
    surface.pattern = next;
  });
const choose = (next: Pattern | null): void => {
  if (next) attempt(put(next));
};
const setLay = (lay: Pattern['lay']): void => choose({ ...pattern.value, lay });
const setShare = (offset: number) => (pattern.value.kind === 'runningBond' ? put({ ...pattern.value, offset }) : []);
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
        :disabled="candidate.pattern === null"
        @click="choose(candidate.pattern)"
      >
        <PatternPreview v-if="candidate.pattern" :pattern="candidate.pattern" :product="product" :joint-mm="surface.jointMm" />
        <span v-else class="none soft small">This tile is too square for it.</span>
        <span>{{ candidate.name }}</span>
      </button>
    </div>
    <p v-if="trouble" class="why" role="alert">{{ trouble }}</p>
    <p class="soft small">{{ PATTERN_SUITS[pattern.kind] }}</p>
    <SwitchField
      :label="pattern.kind === 'herringbone' || pattern.kind === 'basketWeave' ? 'It starts' : 'Long side'"
      :value="pattern.lay"
      :options="[
        { value: 'lying', label: 'Lying' },
        { value: 'upright', label: 'Upright' },
      ]"
      @choose="setLay"
    />
    <template v-if="pattern.kind === 'runningBond'">
      <SwitchField label="Each course shifted by" :value="share" :options="shares" @choose="(offset) => attempt(setShare(offset))" />
      <FieldGrid>
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
      </FieldGrid>
    </template>
    <SwitchField
      v-else-if="pattern.kind === 'herringbone'"
      label="Strips"
      :value="pattern.strips"
      :options="[
        { value: 1, label: 'Single' },
        { value: 2, label: 'Double' },
      ]"
      @choose="(strips) => pattern.kind === 'herringbone' && choose({ ...pattern, strips: strips === 2 ? 2 : 1 })"
    />
    <FieldGrid v-else-if="pattern.kind === 'basketWeave'">
      <NumberField
        label="Strips in a block"
        :value="pattern.strips"
        :commit="(strips) => (pattern.kind === 'basketWeave' ? put({ ...pattern, strips }) : [])"
      />
      <p v-if="innerMm !== null" class="inner">
        Between the strips of a block: <b class="figure">{{ formatLengthWithUnit(innerMm, tape) }}</b>
      </p>
    </FieldGrid>
    <FieldGrid v-else-if="pattern.kind === 'randomStagger'">
      <NumberField
        label="End joints apart"
        unit="%"
        :value="Math.round(pattern.apart * 1000) / 10"
        :commit="(percent) => (pattern.kind === 'randomStagger' ? put({ ...pattern, apart: percent / 100 }) : [])"
      />
      <Button
        severity="secondary"
        outlined
        class="again"
        @click="pattern.kind === 'randomStagger' && choose({ ...pattern, seed: (pattern.seed + 1) % 10000 })"
        ><PhShuffle :size="18" />Another stagger</Button
      >
    </FieldGrid>
  </section>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.5rem;
}
.kinds button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  display: grid;
  gap: 0.35rem;
  align-content: start;
  font-weight: 600;
  font-size: 0.92rem;
  padding: 0.4rem;
  border-radius: 4px;
}
.kinds button:disabled {
  cursor: default;
  font-weight: 400;
  color: var(--ink-soft);
}
.kinds button.on {
  box-shadow: inset 0 0 0 3px var(--cobalt);
  background: var(--cobalt-soft);
}
.kinds button:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 2px;
}
.none {
  display: grid;
  place-content: center;
  text-align: center;
  background: var(--paper);
  aspect-ratio: 5 / 3;
  padding: 0.3rem;
  font-weight: 400;
}
.inner {
  align-self: end;
  padding-bottom: 0.5rem;
  font-size: 0.95rem;
}
.again {
  align-self: end;
}
</style>
