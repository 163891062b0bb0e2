<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhCaretDown, PhCaretRight, PhTrash } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job';
import type { Fixture } from '@azulejo/core/surface/fixture';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import LengthField from '../../fields/LengthField.vue';
import TextField from '../../fields/TextField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { useEditSurface } from '../useEditSurface.ts';

const props = defineProps<{ fixture: Fixture; index: number; surface: Surface; tape: Tape; open: boolean }>();
const emit = defineEmits<{ toggle: []; remove: [] }>();
const edit = useEditSurface(() => props.surface.id);
const round = computed(() => props.fixture.outline.kind === 'round');

const size = computed(() => {
  const { outline } = props.fixture;
  return outline.kind === 'round'
    ? `⌀ ${formatLengthWithUnit(outline.diameterMm, props.tape)}`
    : `${formatLength(outline.widthMm, props.tape)} x ${formatLengthWithUnit(outline.heightMm, props.tape)}`;
});

const change = (label: string, recipe: (fixture: Fixture) => void) =>
  edit(label, ({ measured }) => {
    recipe(measured.fixtures[props.index]);
  });
const setLength = (key: 'xMm' | 'yMm' | 'clearanceMm') => (mm: number) =>
  change(`${props.fixture.name} ${key === 'clearanceMm' ? 'clearance' : 'place'}`, (fixture) => {
    fixture[key] = mm;
  });
const setSize = (key: 'widthMm' | 'heightMm' | 'diameterMm') => (mm: number) =>
  change(`${props.fixture.name} size`, ({ outline }) => {
    (outline as Record<string, unknown>)[key] = mm;
  });

function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the fixture.';
  change('Fixture name', (fixture) => {
    fixture.name = name;
  });
  return null;
}

/** Measuring from the other side keeps the fixture where it is. */
function setFrom(key: 'fromX' | 'fromY', value: string): void {
  change(`${props.fixture.name} measured from`, (fixture) => {
    if (fixture[key] === value) return;
    const { widthMm, heightMm } = props.surface.measured.shape;
    const { outline } = fixture;
    const [place, space, own] =
      key === 'fromX'
        ? ['xMm' as const, widthMm, outline.kind === 'rectangle' ? outline.widthMm : 0]
        : ['yMm' as const, heightMm, outline.kind === 'rectangle' ? outline.heightMm : 0];
    fixture[place] = Math.max(0, Math.round((space - fixture[place] - own) * 1e4) / 1e4);
    if (key === 'fromX') fixture.fromX = value as Fixture['fromX'];
    else fixture.fromY = value as Fixture['fromY'];
  });
}
</script>

<template>
  <div class="fixture" :class="{ open }">
    <button type="button" class="summary" :aria-expanded="open" @click="emit('toggle')">
      <PhCaretDown v-if="open" :size="16" /><PhCaretRight v-else :size="16" />
      <span class="grow"
        ><b>{{ fixture.name }}</b></span
      ><span class="soft figure">{{ size }}</span>
    </button>
    <div v-if="open" class="stack inside">
      <TextField label="Name" :value="fixture.name" :longest="60" :commit="rename" />
      <div v-if="fixture.outline.kind === 'rectangle'" class="two">
        <LengthField label="Width" :mm="fixture.outline.widthMm" :tape="tape" :commit="setSize('widthMm')" positive />
        <LengthField label="Height" :mm="fixture.outline.heightMm" :tape="tape" :commit="setSize('heightMm')" positive />
      </div>
      <div class="two">
        <LengthField
          v-if="fixture.outline.kind === 'round'"
          label="Outer diameter"
          :mm="fixture.outline.diameterMm"
          :tape="tape"
          :commit="setSize('diameterMm')"
          positive
        />
        <LengthField label="Clearance round it" :mm="fixture.clearanceMm" :tape="tape" :commit="setLength('clearanceMm')" />
      </div>
      <div class="two">
        <SwitchField
          label="Measured from"
          :value="fixture.fromX"
          :options="[
            { value: 'left', label: 'Left' },
            { value: 'right', label: 'Right' },
          ]"
          @choose="setFrom('fromX', $event)"
        />
        <LengthField :label="round ? 'to its centre' : 'to its near side'" :mm="fixture.xMm" :tape="tape" :commit="setLength('xMm')" />
        <SwitchField
          label="and from"
          :value="fixture.fromY"
          :options="[
            { value: 'bottom', label: 'Bottom' },
            { value: 'top', label: 'Top' },
          ]"
          @choose="setFrom('fromY', $event)"
        />
        <LengthField :label="round ? 'to its centre' : 'to its near side'" :mm="fixture.yMm" :tape="tape" :commit="setLength('yMm')" />
      </div>
      <SwitchField
        label="Under it"
        :value="fixture.tiledUnder ? 'tiled' : 'left out'"
        :options="[
          { value: 'left out', label: 'Left out' },
          { value: 'tiled', label: 'Tiled under' },
        ]"
        @choose="
          (value) =>
            change(`${fixture.name} tiled under`, (f) => {
              f.tiledUnder = value === 'tiled';
            })
        "
      />
      <Button severity="danger" text class="remove" @click="emit('remove')"><PhTrash :size="18" />Remove {{ fixture.name }}</Button>
    </div>
  </div>
</template>

<style scoped>
.fixture {
  border-top: 1px solid var(--line);
}
.summary {
  all: unset;
  box-sizing: border-box;
  width: 100%;
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.55rem 0.2rem;
  cursor: pointer;
}
.summary:focus-visible {
  outline: 3px solid var(--cobalt);
}
.inside {
  padding: 0.2rem 0 1rem 1.5rem;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
  align-items: start;
}
.remove {
  justify-self: start;
}
</style>
