<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhShuffle } from '@phosphor-icons/vue';
import { LAY_WORDS, PATTERN_NAMES, shareName } from '@azulejo/core/messages/en/patterns';
import { moduleOf, type Laying } from '@azulejo/core/pattern/laying';
import { innerJointOf, PATTERNS, type Pattern } from '@azulejo/core/pattern/registry';
import type { Issue } from '@azulejo/core/result';
import type { Product } from '@azulejo/core/tile/product';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import FieldGrid from '../../../fields/FieldGrid.vue';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import AshlarFields from './AshlarFields.vue';
import { useAttempt } from '../../useAttempt.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{
  pattern: Pattern;
  laying: Laying;
  products: readonly Product[];
  kerfMm: number;
  /** Tiles that the surface takes as it is planned now; null while that is worked out. */
  tiles: number | null;
  put: (next: Pattern) => readonly Issue[];
  putHere: () => (next: Pattern) => readonly Issue[];
}>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);
const choose = (next: Pattern): void => attempt(props.put(next));
const innerMm = computed(() => innerJointOf(props.pattern, moduleOf(props.laying, props.products)));

const liesBy = computed(() => PATTERNS[props.pattern.kind].liesBy ?? 'longSide');
const lays = computed(() => {
  const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
  return (['lying', 'upright'] as const).map((value) => ({ value, label: capital(LAY_WORDS[liesBy.value][value]) }));
});
const SHARES = [1 / 2, 1 / 3, 1 / 4];
const shares = computed(() => {
  if (props.pattern.kind !== 'runningBond') return [];
  const { offset } = props.pattern;
  const known = SHARES.map((value) => ({ value, label: shareName(value) }));
  return known.some(({ value }) => Math.abs(value - offset) < 0.002) ? known : [...known, { value: offset, label: shareName(offset) }];
});
const share = computed(() => {
  const offset = props.pattern.kind === 'runningBond' ? props.pattern.offset : 0;
  return shares.value.find(({ value }) => Math.abs(value - offset) < 0.002)?.value ?? offset;
});
const setShare = (offset: number) => (props.pattern.kind === 'runningBond' ? props.put({ ...props.pattern, offset }) : []);
</script>

<template>
  <h2>{{ PATTERN_NAMES[pattern.kind] }}</h2>
  <SwitchField
    v-if="'lay' in pattern"
    :label="liesBy === 'longSide' ? 'Long side' : 'It lies'"
    :value="pattern.lay"
    :options="lays"
    @choose="(lay) => 'lay' in pattern && choose({ ...pattern, lay })"
  />
  <template v-if="pattern.kind === 'runningBond'">
    <SwitchField
      data-field="pattern.offset"
      label="Each course shifted by"
      :value="share"
      :options="shares"
      @choose="(offset) => attempt(setShare(offset))"
    />
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
      data-field="pattern.strips"
      label="Strips in a block"
      :value="pattern.strips"
      :commit="(strips) => (pattern.kind === 'basketWeave' ? put({ ...pattern, strips }) : [])"
    />
    <p v-if="innerMm !== null" class="inner">
      Between the strips of a block: <b class="figure">{{ formatLengthWithUnit(innerMm, tape) }}</b>
    </p>
  </FieldGrid>
  <FieldGrid v-else-if="pattern.kind === 'corridor'">
    <NumberField
      label="Small tiles to a large one"
      :value="pattern.each"
      :commit="(each) => (pattern.kind === 'corridor' ? put({ ...pattern, each }) : [])"
    />
    <p v-if="innerMm !== null" class="inner">
      Between the small ones: <b class="figure">{{ formatLengthWithUnit(innerMm, tape) }}</b>
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
  <AshlarFields
    v-else-if="pattern.kind === 'ashlar'"
    :pattern="pattern"
    :laying="laying"
    :products="products"
    :kerf-mm="kerfMm"
    :tiles="tiles"
    :put="put"
    :put-here="putHere"
  />
  <TroubleNote :why="trouble" />
</template>

<style scoped>
.inner {
  align-self: end;
  padding-bottom: 0.5rem;
  font-size: 0.95rem;
}
.again {
  align-self: end;
}
</style>
