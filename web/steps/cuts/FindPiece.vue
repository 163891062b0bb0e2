<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import FieldFrame from '../../fields/FieldFrame.vue';
import { words } from '../../words/useWords.ts';
import { FIND_FIELD } from './findField.ts';

/** Finds a piece by the label that stands on it. */
const props = defineProps<{ labels: readonly string[] }>();
const emit = defineEmits<{ found: [label: string] }>();
const text = ref('');
const asked = computed(() => text.value.trim().toUpperCase());
const match = computed(() => props.labels.find((label) => label.toUpperCase() === asked.value) ?? null);
const begins = computed(() => props.labels.filter((label) => label.toUpperCase().startsWith(asked.value)).slice(0, 6));
const trouble = computed(() =>
  asked.value === '' || begins.value.length > 0
    ? null
    : words.value.say('cuts/noneCalled', { label: asked.value, like: props.labels[0] ?? 'A1' }),
);

function go(): void {
  const [only, ...more] = begins.value;
  const label = match.value ?? (more.length === 0 ? only : null);
  if (label && asked.value !== '') emit('found', label);
}
</script>

<template>
  <div>
    <FieldFrame :id="FIND_FIELD" :label="words.say('cuts/findByLabel')" :trouble="trouble">
      <InputText
        :id="FIND_FIELD"
        v-model="text"
        :placeholder="labels[0]"
        :maxlength="24"
        autocomplete="off"
        autocapitalize="characters"
        @input="match !== null && emit('found', match)"
        @keydown.enter.prevent="go"
      />
    </FieldFrame>
    <div v-if="asked !== '' && match === null && begins.length > 0" class="begins">
      <button v-for="label in begins" :key="label" type="button" class="plain" @click="emit('found', label)">{{ label }}</button>
    </div>
  </div>
</template>

<style scoped>
.begins {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  padding-top: 0.4rem;
}
.begins button {
  font: 600 1rem var(--figure);
  padding: 0.25rem 0.55rem;
  border-radius: 3px;
  box-shadow: inset 0 0 0 1px var(--line-strong);
}
</style>
