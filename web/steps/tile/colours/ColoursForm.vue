<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhEraser, PhShuffle, PhX } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { mixesWith } from '@azulejo/core/pattern/checkLaying';
import type { ColourRule, Colours } from '@azulejo/core/pattern/colours';
import { partName } from '@azulejo/core/messages/en/patterns';
import { mixOf, moduleOf, type Laying } from '@azulejo/core/pattern/laying';
import { partsOf } from '@azulejo/core/pattern/registry';
import AngleField from '../../../fields/AngleField.vue';
import ChoiceField from '../../../fields/ChoiceField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useAttempt } from '../../useAttempt.ts';
import { startRule, withCount, withoutTile, withTile } from '../model.ts';
import TileSwatch from '../TileSwatch.vue';
import type { EditedLaying } from '../useLaying.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ job: Job; surface: Surface; laying: Laying; edited: EditedLaying }>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);
/** The part of the pattern whose tiles are mixed here; null for the main one. */
const chosenPart = ref<string | null>(null);
const partNames = computed(() => Object.keys(partsOf(props.laying.pattern, moduleOf({ ...props.laying, parts: {} }, props.job.products))));
const part = computed(() => (chosenPart.value !== null && partNames.value.includes(chosenPart.value) ? chosenPart.value : null));
const MAIN = '*';
const partOptions = computed(() => [
  { value: MAIN, label: 'The main tile' },
  ...partNames.value.map((value) => ({ value, label: partName(value) })),
]);
const ownId = computed(() => (part.value === null ? props.laying.productId : (props.laying.parts[part.value] ?? '')));
const colours = computed(() => mixOf(props.laying, part.value));
const main = computed(() => props.job.products.find(({ id }) => id === ownId.value) ?? null);
const mixed = computed(() =>
  [ownId.value, ...colours.value.others].flatMap((id) => props.job.products.find((product) => product.id === id) ?? []),
);
const toAdd = computed(() =>
  props.job.products
    .filter((product) => main.value && mixesWith(main.value, product) && !mixed.value.some(({ id }) => id === product.id))
    .map(({ id, name }) => ({ value: id, label: name })),
);
const byHand = computed(() => Object.keys(colours.value.byHand).length);

const put = (next: Colours) =>
  props.edited.put(
    'colours',
    part.value === null ? { colours: next } : { partColours: { ...props.laying.partColours, [part.value]: next } },
  );
const choose = (next: Colours): void => attempt(put(next));

/** No tile is chosen. */
const NONE = '*';
const RULES = [
  { value: 'checkers', label: 'By turns (checkers)' },
  { value: 'rows', label: 'In courses' },
  { value: 'random', label: 'At random' },
  { value: 'gradient', label: 'From one to the other' },
  { value: 'byTurn', label: 'By the way a piece lies' },
  { value: 'one', label: 'One tile, others by hand' },
] as const;

const start = (kind: ColourRule['kind']): ColourRule => startRule(kind, mixed.value.length);
const add = (id: string): void => choose(withTile(colours.value, id));
const remove = (k: number): void => choose(withoutTile(colours.value, k));
const setCount = (k: number) => (count: number) => {
  const next = withCount(colours.value, k, count, mixed.value.length);
  return next ? put(next) : [];
};
</script>

<template>
  <section class="stack">
    <SwitchField
      v-if="partNames.length > 0"
      label="Which tiles of the pattern"
      :value="part ?? MAIN"
      :options="partOptions"
      @choose="(id) => (chosenPart = id === MAIN ? null : id)"
    />
    <p v-if="mixed.length < 2" class="soft small">
      Tiles of the same size and outline can be mixed: in checkers, in courses, at random, from one to the other, or piece by piece.
    </p>
    <ul class="tiles">
      <li v-for="(product, k) in mixed" :key="product.id">
        <TileSwatch :product="product" />
        <span class="grow">{{ product.name }}</span>
        <NumberField
          v-if="colours.rule.kind === 'rows'"
          label="courses"
          :value="colours.rule.rows[k] ?? 1"
          :commit="setCount(k)"
          class="count"
        />
        <NumberField
          v-else-if="colours.rule.kind === 'random' && mixed.length > 1"
          label="share"
          :value="colours.rule.shares[k] ?? 1"
          :commit="setCount(k)"
          class="count"
        />
        <Button v-if="k > 0" text severity="secondary" :aria-label="`Leave out ${product.name}`" @click="remove(k)"
          ><PhX :size="18"
        /></Button>
      </li>
    </ul>
    <ChoiceField
      v-if="toAdd.length > 0"
      label="Mix in"
      :value="NONE"
      :options="[{ value: NONE, label: 'Choose a tile' }, ...toAdd]"
      @choose="(id) => id !== NONE && add(id)"
    />
    <p v-else class="small soft">No other tile on the list has this size and outline. Add one with Own tile.</p>
    <ChoiceField
      v-if="mixed.length > 1"
      label="Mixed"
      :value="colours.rule.kind"
      :options="RULES"
      @choose="(kind) => choose({ ...colours, rule: start(kind) })"
    />
    <FieldGrid v-if="colours.rule.kind === 'gradient'">
      <AngleField
        label="Towards"
        :value="colours.rule.towardsDeg"
        :commit="(towardsDeg) => (colours.rule.kind === 'gradient' ? put({ ...colours, rule: { ...colours.rule, towardsDeg } }) : [])"
      />
    </FieldGrid>
    <Button
      v-if="mixed.length > 1 && 'seed' in colours.rule"
      severity="secondary"
      outlined
      @click="'seed' in colours.rule && choose({ ...colours, rule: { ...colours.rule, seed: (colours.rule.seed + 1) % 10000 } })"
      ><PhShuffle :size="18" />Draw again</Button
    >
    <template v-if="mixed.length > 1">
      <p class="small soft">Tap a piece on the drawing to give it the next tile by hand.</p>
      <Button v-if="byHand > 0" severity="secondary" outlined @click="choose({ ...colours, byHand: {} })"
        ><PhEraser :size="18" />{{ byHand === 1 ? 'Take back the one piece' : `Take back ${byHand} pieces` }} given by hand</Button
      >
    </template>
    <TroubleNote :why="trouble" />
  </section>
</template>

<style scoped>
.tiles {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.4rem;
}
.tiles li {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  min-height: 44px;
}
.count {
  width: 6rem;
}
</style>
