<script setup lang="ts">
import { changeLabel, type ChangeCode } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhCaretDown, PhCaretRight, PhTrash } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { fixtureSize, type Fixture } from '@azulejo/core/surface/fixture';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TextField from '../../fields/TextField.vue';
import { coverOf } from './model.ts';
import FixtureCopies from './FixtureCopies.vue';
import FixtureSymbol from './FixtureSymbol.vue';
import OutlineEditor from './OutlineEditor.vue';
import PlacedFrom from './PlacedFrom.vue';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';
import { isSeenAsMiddle } from '@azulejo/core/setout/fields/ground';
import YesNoField from '../../fields/YesNoField.vue';

const props = defineProps<{ fixture: Fixture; index: number; surface: Surface; plan: SurfacePlan | null; open: boolean }>();
const tape = useTape();
const emit = defineEmits<{ toggle: []; remove: [] }>();
const edit = useEditSurface(() => props.surface.id);
const size = computed(() => {
  const { outline } = props.fixture;
  const { widthMm, heightMm } = fixtureSize(outline);
  return outline.kind === 'round'
    ? `⌀ ${formatLengthWithUnit(widthMm, tape.value)}`
    : `${formatLength(widthMm, tape.value)} x ${formatLengthWithUnit(heightMm, tape.value)}`;
});

const { trouble, attempt } = useAttempt(() => tape.value);
const change = (code: ChangeCode, recipe: (fixture: Fixture) => void) =>
  edit(changeLabel(code, props.fixture.name), ({ measured }) => {
    recipe(measured.fixtures[props.index]);
  });
const setClearance = (mm: number) =>
  change('fixtureClearance', (fixture) => {
    fixture.clearanceMm = mm;
  });
const setCover = (key: 'widthMm' | 'heightMm') => (mm: number) =>
  change('fixtureCover', (fixture) => {
    if (fixture.cover) fixture.cover[key] = mm;
  });

function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the fixture.';
  change('fixtureName', (fixture) => {
    fixture.name = name;
  });
  return null;
}
</script>

<template>
  <div class="fixture" :data-field="`measured.fixtures.${index}`">
    <button type="button" class="plain summary" :aria-expanded="open" @click="emit('toggle')">
      <PhCaretDown v-if="open" :size="16" /><PhCaretRight v-else :size="16" />
      <FixtureSymbol :kind="fixture.kind" />
      <span class="grow"
        ><b>{{ fixture.name }}</b></span
      ><span class="soft figure">{{ size }}</span>
    </button>
    <div v-if="open" class="stack inside">
      <TextField label="Name" :value="fixture.name" :longest="60" :commit="rename" />
      <OutlineEditor
        :outline="fixture.outline"
        :commit="(outline, part) => change(part === 'size' ? 'fixtureSize' : 'fixtureOutline', (f) => (f.outline = outline))"
      >
        <LengthField
          label="Clearance round it"
          :data-field="`measured.fixtures.${index}.clearanceMm`"
          :mm="fixture.clearanceMm"
          :commit="setClearance"
        />
      </OutlineEditor>
      <PlacedFrom
        :placed="fixture"
        :surface="surface"
        :plan="plan"
        :commit="(from) => change('fixturePlace', (f) => (f.from = from))"
        :measures="`fixtures.${index}.from`"
      />
      <FieldGrid v-if="fixture.cover">
        <LengthField label="Cover, width" :mm="fixture.cover.widthMm" :commit="setCover('widthMm')" positive />
        <LengthField label="Cover, height" :mm="fixture.cover.heightMm" :commit="setCover('heightMm')" positive />
      </FieldGrid>
      <FieldGrid>
        <SwitchField
          label="Under it"
          :value="fixture.tiledUnder ? 'tiled' : 'left out'"
          :options="[
            { value: 'left out', label: 'Left out' },
            { value: 'tiled', label: 'Tiled under' },
          ]"
          @choose="(value) => attempt(change('fixtureTiledUnder', (f) => (f.tiledUnder = value === 'tiled')))"
        />
        <YesNoField
          label="A cover hides the cut"
          :value="fixture.cover !== null"
          @choose="(covered) => change('fixtureCover', (f) => (f.cover = covered ? coverOf(fixture, tape) : null))"
        />
        <YesNoField
          label="Seen as the middle"
          :value="isSeenAsMiddle(fixture, surface.kind)"
          @choose="(seen) => change('fixtureSeenAsTheMiddle', (f) => (f.seenAsMiddle = seen))"
        />
      </FieldGrid>
      <TroubleNote :why="trouble" />
      <FixtureCopies :fixture="fixture" :surface="surface" :plan="plan" />
      <Button severity="danger" text class="remove" @click="emit('remove')"><PhTrash :size="18" />Remove {{ fixture.name }}</Button>
    </div>
  </div>
</template>

<style scoped>
.fixture {
  border-top: 1px solid var(--line);
}
.summary {
  width: 100%;
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.55rem 0.2rem;
  min-height: 44px;
}
.inside {
  padding: 0.2rem 0 1rem 1.5rem;
}
.remove {
  justify-self: start;
}
</style>
