<script setup lang="ts">
import { computed } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import ChoiceField from '../../fields/ChoiceField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TextField from '../../fields/TextField.vue';
import { KIND_LABELS } from '../job/surfaceKinds.ts';
import { newId } from '../newId.ts';
import { useEditSurface } from '../useEditSurface.ts';

const props = defineProps<{ job: Job; surface: Surface }>();
const edit = useEditSurface(() => props.surface.id);
const kinds = SURFACE_KINDS.map((value) => ({ value, label: KIND_LABELS[value] }));
const rooms = computed(() => [{ value: '', label: 'None' }, ...props.job.rooms.map(({ id, name }) => ({ value: id, label: name }))]);

function rename(name: string): string | null {
  if (name === '') return 'Expected a name for the surface.';
  edit('surfaceName', (surface) => {
    surface.name = name;
  });
  return null;
}
function setKind(kind: Surface['kind']): void {
  edit('kindOfSurface', (surface) => {
    surface.kind = kind;
  });
}
function setRoom(id: string): void {
  edit('room', (surface) => {
    surface.roomId = id || null;
  });
}
function addRoom(name: string): string | null {
  if (name === '') return null;
  edit('newRoom', (surface, job) => {
    const id = newId('room');
    job.rooms.push({ id, name });
    surface.roomId = id;
  });
  return null;
}
</script>

<template>
  <section class="stack">
    <h3>This surface</h3>
    <TextField label="Name" :value="surface.name" :longest="80" :commit="rename" />
    <SwitchField label="It is a" :value="surface.kind" :options="kinds" @choose="setKind" />
    <div class="two">
      <ChoiceField v-if="job.rooms.length > 0" label="In the room" :value="surface.roomId ?? ''" :options="rooms" @choose="setRoom" />
      <TextField :key="job.rooms.length" label="In a new room" value="" :longest="80" placeholder="Washroom" :commit="addRoom" />
    </div>
  </section>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
  gap: 0.8rem;
}
</style>
