<script setup lang="ts">
import type { Surface } from '@azulejo/core/job';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import SwitchField from '../../fields/SwitchField.vue';
import TextField from '../../fields/TextField.vue';
import { KIND_LABELS } from '../job/surfaceKinds.ts';
import { useEditSurface } from '../useEditSurface.ts';

const props = defineProps<{ surface: Surface }>();
const edit = useEditSurface(() => props.surface.id);
const kinds = SURFACE_KINDS.map((value) => ({ value, label: KIND_LABELS[value] }));

function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the surface.';
  edit('Name', (surface) => {
    surface.name = name;
  });
  return null;
}
function setKind(kind: Surface['kind']): void {
  edit('Kind of surface', (surface) => {
    surface.kind = kind;
  });
}
</script>

<template>
  <section class="stack">
    <h2>This surface</h2>
    <TextField label="Name" :value="surface.name" :longest="80" :commit="rename" />
    <SwitchField label="It is a" :value="surface.kind" :options="kinds" @choose="setKind" />
  </section>
</template>
