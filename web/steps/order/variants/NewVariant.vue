<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhPlus } from '@phosphor-icons/vue';
import { tapeOf, type Job } from '@azulejo/core/job/job';
import { MOST_VARIANTS } from '@azulejo/core/job/variants/variant';
import { heightsFor, setHeight, variantOf } from '@azulejo/core/job/variants/variants';
import { schoolName } from '@azulejo/core/messages/en/reasons';
import { patternName } from '@azulejo/core/messages/en/patterns';
import { layingOfKind, layingOfTile } from '@azulejo/core/pattern/suitLaying';
import { PATTERNS, type PatternId } from '@azulejo/core/pattern/registry';
import { SCHOOLS, type School } from '@azulejo/core/setout/choice/school';
import { BEST_SETOUT } from '@azulejo/core/setout/choice/setoutChoice';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../../fields/ChoiceField.vue';
import LengthField from '../../../fields/LengthField.vue';
import TroubleNote from '../../../fields/TroubleNote.vue';
import { useJobStore } from '../../../stores/jobStore.ts';
import { newId } from '../../newId.ts';
import { useAttempt } from '../../useAttempt.ts';

/** Another way to do a surface or a room: another tile, pattern, school, height, or packs; the rest is as it stands. */
const props = defineProps<{ job: Job }>();
const jobs = useJobStore();
const { trouble, attempt } = useAttempt(() => props.job.tape);
const AS_IT_IS = '*' as const;

const places = computed(() => [
  ...props.job.surfaces.map(({ id, name }) => ({ value: id, label: name })),
  ...props.job.rooms.map(({ id, name }) => ({ value: `room ${id}`, label: `all of ${name}` })),
]);
const place = ref(props.job.surfaces.find(({ kind }) => kind === 'wall')?.id ?? props.job.surfaces[0]?.id ?? '');
const surfaces = computed(() => {
  const room = place.value.startsWith('room ') ? place.value.slice(5) : null;
  return props.job.surfaces.filter(({ id, roomId }) => (room === null ? id === place.value : roomId === room));
});
const first = computed(() => surfaces.value[0]);
const placeName = computed(() => places.value.find(({ value }) => value === place.value)?.label ?? '');

const tile = ref<string>(AS_IT_IS);
const pattern = ref<PatternId | typeof AS_IT_IS>(AS_IT_IS);
const tiles = computed(() => [
  { value: AS_IT_IS, label: 'as it is' },
  ...props.job.products.map(({ id, name }) => ({ value: id, label: name })),
]);
const patterns = computed((): readonly { readonly value: PatternId | typeof AS_IT_IS; readonly label: string }[] => [
  { value: AS_IT_IS, label: 'as it is' },
  ...(Object.keys(PATTERNS) as PatternId[]).map((value) => ({ value, label: patternName(value) })),
]);
const school = ref<School | typeof AS_IT_IS>(AS_IT_IS);
const schools = [{ value: AS_IT_IS, label: 'as it is' }, ...SCHOOLS.map((value) => ({ value, label: schoolName(value) }))] as const;
/** How seldom all of it may run out; each is bought in other packs. */
const ODDS = [
  { percent: 10, name: '1 in 10' },
  { percent: 5, name: '1 in 20' },
  { percent: 1, name: '1 in 100' },
] as const;
const keepOdds = (percent: number, name: string) =>
  keep(`Bought to run out ${name}`, (draft) => {
    draft.buying = { ...draft.buying, mostRunOutPercent: percent };
  });
const heights = computed(() => (surfaces.value.length === 1 && first.value ? heightsFor(props.job, first.value) : []));
/** The walls whose height is one figure: of a room all of them are tiled as high. */
const walls = computed(() => surfaces.value.filter(({ kind, measured }) => kind === 'wall' && measured.shape.kind === 'rectangle'));
const ownHeight = computed(() => {
  const own = walls.value.flatMap(({ measured: { shape } }) => (shape.kind === 'rectangle' ? [shape.heightMm] : []));
  return own.length > 0 ? Math.max(...own) : null;
});

function keep(name: string, recipe: (draft: Job) => void): readonly ReturnType<typeof jobs.change>[number][] {
  const variant = variantOf(props.job, newId('variant'), name.slice(0, 80), recipe);
  return jobs.change('anotherVariant', (draft) => {
    draft.variants = [...(draft.variants ?? []), variant];
  });
}
/** Lays the chosen surfaces in another tile or pattern; those that can't be laid so stay as they are. */
function keepLaying(): void {
  const { products, consumption } = props.job;
  const ids = new Set(surfaces.value.map(({ id }) => id));
  const product = products.find(({ id }) => id === tile.value);
  const names = [...(product ? [product.name] : []), ...(pattern.value === AS_IT_IS ? [] : [patternName(pattern.value)])];
  if (school.value !== AS_IT_IS) names.push(schoolName(school.value).toLowerCase());
  const { value: wanted } = pattern;
  const setout = school.value === AS_IT_IS ? null : { ...BEST_SETOUT, school: school.value };
  attempt(
    keep(`${placeName.value}: ${names.join(', ')}`, (draft) => {
      draft.surfaces = draft.surfaces.map((surface) => {
        if (!ids.has(surface.id)) return surface;
        const inTile = product ? layingOfTile(product, surface, products, consumption.kerfMm) : surface;
        const laid = inTile && wanted !== AS_IT_IS ? layingOfKind(wanted, inTile, products, consumption.kerfMm) : inTile;
        if (!laid) return surface;
        const { productId, parts, jointMm, pattern: kind, turnDeg, mirrored, colours, partColours } = laid;
        return {
          ...surface,
          ...(setout ? { setout } : {}),
          productId,
          parts,
          jointMm,
          pattern: kind,
          turnDeg,
          mirrored,
          colours,
          partColours,
        };
      });
    }),
  );
  [tile.value, pattern.value, school.value] = [AS_IT_IS, AS_IT_IS, AS_IT_IS];
}
const keepHeight = (mm: number, name: string) => {
  const ids = new Set(walls.value.map(({ id }) => id));
  return keep(`${placeName.value} ${name}`, (draft) => {
    for (const surface of draft.surfaces) if (ids.has(surface.id)) setHeight(surface, mm);
  });
};
const isFull = computed(() => (props.job.variants?.length ?? 0) >= MOST_VARIANTS);
</script>

<template>
  <section class="stack">
    <h2>Another way</h2>
    <p v-if="isFull" class="soft">A job keeps {{ MOST_VARIANTS }} variants. Take one out first.</p>
    <template v-else>
      <div class="fields">
        <ChoiceField label="Of" :value="place" :options="places" @choose="place = $event" />
        <ChoiceField label="In tile" :value="tile" :options="tiles" @choose="tile = $event" />
        <ChoiceField label="In pattern" :value="pattern" :options="patterns" @choose="pattern = $event" />
        <ChoiceField label="Set out" :value="school" :options="schools" @choose="school = $event" />
        <Button :disabled="tile === AS_IT_IS && pattern === AS_IT_IS && school === AS_IT_IS" @click="keepLaying"
          ><PhPlus :size="17" />Keep beside it</Button
        >
      </div>
      <div v-if="ownHeight !== null && first" class="row">
        <Button
          v-for="{ name, mm } in heights"
          :key="name"
          severity="secondary"
          outlined
          size="small"
          :label="`Tiled ${name}, ${formatLengthWithUnit(mm, tapeOf(job, first))}`"
          @click="attempt(keepHeight(mm, name))"
        />
        <LengthField
          class="height"
          :label="heights.length > 0 ? 'Or tiled to a height of' : 'Tiled to a height of'"
          :mm="ownHeight"
          :commit="(mm) => keepHeight(mm, `to ${formatLengthWithUnit(mm, job.tape)}`)"
        />
      </div>
      <div class="row" role="group" aria-label="Bought so that it runs out">
        <span class="small soft">All of it bought so that it runs out</span>
        <Button
          v-for="{ percent, name } in ODDS"
          :key="percent"
          severity="secondary"
          outlined
          size="small"
          :label="name"
          @click="attempt(keepOdds(percent, name))"
        />
      </div>
      <p class="small soft">Anything else: choose a variant, change it as you like, and choose the other one again.</p>
      <TroubleNote :why="trouble" />
    </template>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 12rem), 1fr));
  gap: 0.8rem;
  align-items: end;
}
.height {
  width: 12rem;
}
.row {
  align-items: end;
  flex-wrap: wrap;
}
.row > span {
  align-self: center;
}
</style>
