<script setup lang="ts">
import Button from 'primevue/button';
import { computed, reactive, ref } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import { ENTRY_NAMES } from '@azulejo/core/messages/en/log';
import type { Plan } from '@azulejo/core/plan';
import ChoiceField from '../../fields/ChoiceField.vue';
import NumberField from '../../fields/NumberField.vue';
import TextField from '../../fields/TextField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useLogStore } from '../../stores/logStore.ts';
import { entryChoices, NOTHING_SAID, readEntry, startFilled, WRITTEN, type Filled, type Written } from './model.ts';
import PinMap from './PinMap.vue';
import { useWho } from './useWho.ts';
import { shrinkPicture } from '../shrinkPicture.ts';

/** Something that happened, written down in three presses: what, how much, keep. */
const props = defineProps<{ job: Job; plan: Plan | null }>();
const log = useLogStore();
const kind = ref<Written | null>(null);
const trouble = ref<string | null>(null);
const { who, setWho } = useWho();

const filled = reactive<Filled>(startFilled(props.job));
const choices = computed(() => entryChoices(props.job, props.plan));
/** What is mixed, and as much of it as one mix is planned to be. */
function chooseMix(key: string): void {
  [filled.mixed, filled.kg] = [key, choices.value.mixes.find(({ value }) => value === key)?.powderKg ?? 0];
}
function choose(one: Written): void {
  kind.value = kind.value === one ? null : one;
  const [first] = choices.value.mixes;
  if (kind.value === 'mix' && filled.kg === 0 && first) chooseMix(first.value);
}

/** The surface it is about, to point at the place. */
const planned = computed(() => props.plan?.surfaces.find(({ surfaceId }) => surfaceId === filled.surfaceId) ?? null);

/** Enter takes the figure of a field; only the button keeps the entry. */
function stay(event: KeyboardEvent): void {
  if (event.target instanceof HTMLInputElement) event.preventDefault();
}
function keep(): void {
  if (kind.value === null) return;
  const read = readEntry(kind.value, filled, props.plan);
  trouble.value = read.ok ? null : read.why;
  if (!read.ok) return;
  Object.assign(filled, NOTHING_SAID);
  // The form is free for the next at once; the entry is sent meanwhile.
  kind.value = null;
  void log.write(read.data, { surfaceId: read.surfaceId, by: who.value });
}
function chooseSurface(id: string): void {
  [filled.surfaceId, filled.pin] = [id, null];
}
async function takePhoto(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  try {
    const small = await shrinkPicture(file, 'small').catch(() => '');
    [filled.image, filled.small, trouble.value] = [await shrinkPicture(file, 'photo'), small, null];
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The photo could not be read.';
  }
}
const fill =
  <Key extends keyof typeof filled>(key: Key) =>
  (value: (typeof filled)[Key]) => {
    filled[key] = value;
    return [];
  };
const fillText = (key: 'text' | 'label' | 'code') => (text: string) => {
  filled[key] = text;
  return null;
};
</script>

<template>
  <section class="stack">
    <div class="kinds" role="group" aria-label="Write down">
      <Button
        v-for="one in WRITTEN"
        :key="one"
        :label="ENTRY_NAMES[one]"
        :severity="kind === one ? undefined : 'secondary'"
        :outlined="kind !== one"
        :aria-pressed="kind === one"
        @click="choose(one)"
      />
    </div>
    <form v-if="kind" class="form" @submit.prevent="keep" @keydown.enter="stay">
      <ChoiceField label="On" :value="filled.surfaceId" :options="choices.surfaces" @choose="chooseSurface" />
      <template v-if="kind === 'hours'">
        <ChoiceField label="Of" :value="filled.task" :options="choices.tasks" @choose="filled.task = $event" />
        <TextField label="By" :value="who" :longest="60" :commit="setWho" />
        <NumberField label="Hours" unit="h" :value="filled.hours" :commit="fill('hours')" />
      </template>
      <template v-else-if="kind === 'mix'">
        <ChoiceField label="Of" :value="filled.mixed" :options="choices.mixes" @choose="chooseMix" />
        <NumberField label="Powder" unit="kg" :value="filled.kg" :commit="fill('kg')" />
      </template>
      <template v-else-if="kind === 'used'">
        <ChoiceField label="Of" :value="filled.item" :options="choices.items" @choose="filled.item = $event" />
        <NumberField label="Packs" :value="filled.packs" :commit="fill('packs')" />
      </template>
      <template v-else-if="kind === 'breakage' || kind === 'lot'">
        <ChoiceField label="Tile" :value="filled.productId" :options="choices.products" @choose="filled.productId = $event" />
        <NumberField label="Pieces" :value="filled.pieces" :commit="fill('pieces')" />
        <TextField v-if="kind === 'lot'" label="Code on the box" :value="filled.code" :longest="40" :commit="fillText('code')" />
        <template v-else>
          <TextField label="Label of the piece" :value="filled.label" :longest="24" :commit="fillText('label')" />
          <TextField label="Why" :value="filled.text" :longest="500" :commit="fillText('text')" />
        </template>
      </template>
      <template v-else-if="kind === 'reading'">
        <ChoiceField label="What" :value="filled.check" :options="choices.checks" @choose="filled.check = $event" />
        <NumberField label="Reading" :value="filled.value" :commit="fill('value')" />
      </template>
      <template v-else>
        <label v-if="kind === 'photo' || kind === 'snag'" class="p-button p-button-secondary p-button-outlined upload"
          >{{ filled.image === '' ? 'Take or choose a photo' : 'Another photo'
          }}<input type="file" accept="image/*" capture="environment" @change="takePhoto"
        /></label>
        <img v-if="(kind === 'photo' || kind === 'snag') && filled.image !== ''" :src="filled.image" alt="The photo that will be kept" />
        <div v-if="planned" class="where">
          <span class="small soft">{{ filled.pin ? 'The place' : 'Tap the place, if it has one' }}</span>
          <PinMap
            :plan="planned"
            :pin="filled.pin"
            picks
            label="The surface, to point at the place"
            @pick="([x, y]) => (filled.pin = [x, y])"
          />
        </div>
        <TextField label="In words" :value="filled.text" :longest="500" :commit="fillText('text')" />
      </template>
      <TroubleNote :why="trouble" />
      <Button type="submit" label="Keep" />
    </form>
  </section>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(13rem, 45%), 1fr));
  gap: 0.5rem;
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 12rem), 1fr));
  gap: 0.8rem;
  align-items: end;
  background: var(--panel);
  border-radius: 4px;
  padding: 1rem;
}
.upload {
  position: relative;
}
.upload input {
  position: absolute;
  inset: 0;
  opacity: 0;
  width: 100%;
}
img {
  max-height: 9rem;
  border-radius: 3px;
}
</style>
