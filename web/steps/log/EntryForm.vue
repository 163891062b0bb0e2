<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, reactive, ref } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import { CHECK_NAMES, ENTRY_NAMES } from '@azulejo/core/messages/en/log';
import { mixName } from '@azulejo/core/messages/en/mixes';
import { itemName } from '@azulejo/core/messages/en/materialNames';
import { TASK_NAMES } from '@azulejo/core/messages/en/money';
import type { Plan } from '@azulejo/core/plan';
import { CHECKS, entrySchema, type Entry } from '@azulejo/core/site/entry';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import type { TaskId } from '@azulejo/core/labour/tasks';
import ChoiceField from '../../fields/ChoiceField.vue';
import NumberField from '../../fields/NumberField.vue';
import TextField from '../../fields/TextField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useLogStore } from '../../stores/logStore.ts';
import { newUuid } from '../../stores/newUuid.ts';
import PinMap from './PinMap.vue';
import { shrinkPicture } from '../shrinkPicture.ts';

/** Something that happened, written down in three presses: what, how much, keep. */
const props = defineProps<{ job: Job; plan: Plan | null }>();
const log = useLogStore();
const KINDS = ['hours', 'mix', 'used', 'breakage', 'lot', 'note', 'photo', 'reading', 'change', 'snag'] as const;
type Kind = (typeof KINDS)[number];
const kind = ref<Kind | null>(null);
const trouble = ref<string | null>(null);
const WHOLE = '*';
/** Whoever holds the phone: said once, written beside every entry. */
const who = useLocalStorage('azulejo-who', '');
const setWho = (name: string): null => {
  who.value = name.trim();
  return null;
};

/** What is filled in; it stays for the next entry of the kind. */
const filled = reactive({
  surfaceId: props.job.surfaces.find(({ laid }) => !laid)?.id ?? WHOLE,
  task: 'lay' as string,
  hours: 1,
  item: 'adhesive' as string,
  packs: 1,
  productId: props.job.surfaces[0]?.productId ?? '',
  pieces: 1,
  label: '',
  text: '',
  pin: null as [number, number] | null,
  code: '',
  check: 'level' as (typeof CHECKS)[number],
  value: 0,
  mixed: '' as string,
  kg: 0,
  image: '',
  /** The same in small. */
  small: '',
});
const surfaces = computed(() => [
  { value: WHOLE, label: 'the whole job' },
  ...props.job.surfaces.map(({ id, name }) => ({ value: id, label: name })),
]);
const tasks = computed(() => {
  const ids = new Set(props.plan?.money.work.map(({ task }) => task) ?? []);
  return (Object.keys(TASK_NAMES) as TaskId[])
    .filter((task) => ids.size === 0 || ids.has(task))
    .map((value) => ({ value, label: TASK_NAMES[value] }));
});
const items = computed(() => {
  const lines = props.plan?.materials.filter(({ item }) => item !== 'tiles') ?? [];
  return [...new Set(lines.map(({ item }) => item))].map((value) => ({ value: value as string, label: itemName(value) }));
});
const products = computed(() => {
  const used = new Set(props.job.surfaces.map(({ productId }) => productId));
  return props.job.products.filter(({ id }) => used.has(id)).map(({ id, name }) => ({ value: id, label: name }));
});
const mixes = computed(() => (props.plan?.mixes ?? []).map((mix) => ({ value: keyOf(mix), label: mixName(mix), mix })));
const keyOf = ({ item, variant }: Mix): string => `${item} ${variant ?? ''}`;
/** What is mixed, and as much of it as one mix is planned to be. */
function chooseMix(key: string): void {
  [filled.mixed, filled.kg] = [key, Math.round(100 * (mixes.value.find(({ value }) => value === key)?.mix.powderKg ?? 0)) / 100];
}
function choose(one: Kind): void {
  kind.value = kind.value === one ? null : one;
  if (kind.value === 'mix' && filled.kg === 0 && mixes.value.length > 0) chooseMix(mixes.value[0].value);
}
const checks = CHECKS.map((value) => ({ value, label: CHECK_NAMES[value] }));

/** The surface it is about, to point at the place. */
const planned = computed(() => props.plan?.surfaces.find(({ surfaceId }) => surfaceId === filled.surfaceId) ?? null);

function dataOf(of: Kind): Entry['data'] {
  const { task, hours, item, packs, productId, pieces, label, text, code, check, value, image, small } = filled;
  const pin = planned.value ? filled.pin : null;
  const line = props.plan?.materials.find((one) => one.item === item);
  switch (of) {
    case 'hours':
      return { kind: 'hours', task, hours };
    case 'breakage':
      return { kind: 'breakage', productId, label, pieces, why: text };
    case 'mix':
      return { kind: 'mix', item: filled.mixed.split(' ')[0], kg: filled.kg };
    case 'change':
      return { kind: 'change', text, pin };
    case 'used':
      return { kind: 'used', item, packs, size: line?.packs[0]?.size ?? 1 };
    case 'lot':
      return { kind: 'lot', productId, code, pieces };
    case 'note':
      return { kind: 'note', text, pin };
    case 'photo':
      return { kind: 'photo', image, ...(small === '' ? {} : { small }), text, pin };
    case 'reading':
      return { kind: 'reading', check, value, wanted: null, text };
    case 'snag':
      return { kind: 'snag', text, pin, done: false, ...(image === '' ? {} : { image, ...(small === '' ? {} : { small }) }) };
  }
}
const EXPECTED: Readonly<Record<string, string>> = {
  hours: 'Expected between 0 and 24 hours.',
  code: 'Expected the code of the lot, as on the box.',
  text: 'Expected a few words.',
  image: 'Expected a photo.',
  pieces: 'Expected how many.',
  packs: 'Expected how many.',
  item: 'Expected what was mixed: the plan mixes nothing.',
  kg: 'Expected how many kilograms.',
};
/** Enter takes the figure of a field; only the button keeps the entry. */
function stay(event: KeyboardEvent): void {
  if (event.target instanceof HTMLInputElement) event.preventDefault();
}
function keep(): void {
  if (kind.value === null) return;
  const data = dataOf(kind.value);
  const read = entrySchema.safeParse({ id: newUuid(), at: new Date().toISOString(), by: '', surfaceId: null, replaces: null, data });
  if (!read.success) {
    trouble.value = EXPECTED[String(read.error.issues[0]?.path[1])] ?? 'That can not be kept as it is.';
    return;
  }
  trouble.value = null;
  const surfaceId = filled.surfaceId === WHOLE ? null : filled.surfaceId;
  [filled.text, filled.label, filled.code, filled.image, filled.small, filled.pin] = ['', '', '', '', '', null];
  // The form is free for the next at once; the entry is sent meanwhile.
  kind.value = null;
  void log.write(read.data.data, { surfaceId, by: who.value });
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
        v-for="one in KINDS"
        :key="one"
        :label="ENTRY_NAMES[one]"
        :severity="kind === one ? undefined : 'secondary'"
        :outlined="kind !== one"
        :aria-pressed="kind === one"
        @click="choose(one)"
      />
    </div>
    <form v-if="kind" class="form" @submit.prevent="keep" @keydown.enter="stay">
      <ChoiceField label="On" :value="filled.surfaceId" :options="surfaces" @choose="chooseSurface" />
      <template v-if="kind === 'hours'">
        <ChoiceField label="Of" :value="filled.task" :options="tasks" @choose="filled.task = $event" />
        <TextField label="By" :value="who" :longest="60" :commit="setWho" />
        <NumberField label="Hours" unit="h" :value="filled.hours" :commit="fill('hours')" />
      </template>
      <template v-else-if="kind === 'mix'">
        <ChoiceField label="Of" :value="filled.mixed" :options="mixes" @choose="chooseMix" />
        <NumberField label="Powder" unit="kg" :value="filled.kg" :commit="fill('kg')" />
      </template>
      <template v-else-if="kind === 'used'">
        <ChoiceField label="Of" :value="filled.item" :options="items" @choose="filled.item = $event" />
        <NumberField label="Packs" :value="filled.packs" :commit="fill('packs')" />
      </template>
      <template v-else-if="kind === 'breakage' || kind === 'lot'">
        <ChoiceField label="Tile" :value="filled.productId" :options="products" @choose="filled.productId = $event" />
        <NumberField label="Pieces" :value="filled.pieces" :commit="fill('pieces')" />
        <TextField v-if="kind === 'lot'" label="Code on the box" :value="filled.code" :longest="40" :commit="fillText('code')" />
        <template v-else>
          <TextField label="Label of the piece" :value="filled.label" :longest="24" :commit="fillText('label')" />
          <TextField label="Why" :value="filled.text" :longest="500" :commit="fillText('text')" />
        </template>
      </template>
      <template v-else-if="kind === 'reading'">
        <ChoiceField label="What" :value="filled.check" :options="checks" @choose="filled.check = $event" />
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
