<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { ref, useId, watch } from 'vue';
import type { Surface } from '@azulejo/core/job';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import SwitchField from '../../fields/SwitchField.vue';
import { KIND_LABELS } from '../job/surfaceKinds.ts';
import { useEditSurface } from '../useEditSurface.ts';

const props = defineProps<{ surface: Surface }>();
const edit = useEditSurface(() => props.surface.id);
const id = useId();
const name = ref('');
const trouble = ref(false);
watch(
  () => props.surface.name,
  (now) => {
    name.value = now;
  },
  { immediate: true },
);

function takeName(): void {
  trouble.value = name.value.trim() === '' || name.value.trim().length > 80;
  if (!trouble.value)
    edit('Name', (surface) => {
      surface.name = name.value.trim();
    });
}
</script>

<template>
  <section class="stack">
    <h2>This surface</h2>
    <div class="field">
      <label :for="id">Name</label>
      <InputText :id="id" v-model="name" :invalid="trouble" fluid autocomplete="off" @change="takeName" />
      <p v-if="trouble" class="why" role="alert">Expected a name of 1 to 80 letters.</p>
    </div>
    <SwitchField
      label="It is a"
      :value="surface.kind"
      :options="SURFACE_KINDS.map((value) => ({ value, label: KIND_LABELS[value] }))"
      @choose="
        (kind) =>
          edit('Kind of surface', (s) => {
            s.kind = kind;
          })
      "
    />
  </section>
</template>

<style scoped>
.field {
  display: grid;
  gap: 0.2rem;
}
label {
  font-size: 0.875rem;
  color: var(--ink-soft);
}
.why {
  color: var(--bad);
  font-size: 0.85rem;
}
</style>
