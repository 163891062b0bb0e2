<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { PhPlus } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { Fixture } from '@azulejo/core/surface/fixture';
import type { Tape } from '@azulejo/core/units/tape';
import { newId } from '../newId.ts';
import { useEditSurface } from '../useEditSurface.ts';
import FixtureEditor from './FixtureEditor.vue';

const props = defineProps<{ surface: Surface; tape: Tape }>();
const edit = useEditSurface(() => props.surface.id);
const open = ref<string | null>(null);

/** A new fixture starts in the middle, small enough for any surface. */
function add(kind: Fixture['outline']['kind']): void {
  const { widthMm, heightMm } = props.surface.measured.shape;
  const id = newId('fixture', props.surface.measured.fixtures);
  const side = Math.min(kind === 'round' ? 60 : 150, widthMm / 3, heightMm / 3);
  const outline: Fixture['outline'] = kind === 'round' ? { kind, diameterMm: side } : { kind, widthMm: side, heightMm: side };
  edit('Add fixture', ({ measured }) => {
    measured.fixtures.push({
      id,
      name: kind === 'round' ? 'Pipe' : 'Box',
      outline,
      fromX: 'left',
      xMm: Math.round(widthMm / 2 - (kind === 'round' ? 0 : side / 2)),
      fromY: 'bottom',
      yMm: Math.round(heightMm / 2 - (kind === 'round' ? 0 : side / 2)),
      tiledUnder: false,
      clearanceMm: 3,
    });
  });
  open.value = id;
}

function remove(id: string): void {
  edit('Remove fixture', ({ measured }) => {
    measured.fixtures = measured.fixtures.filter((other) => other.id !== id);
  });
}
</script>

<template>
  <section class="stack">
    <h2>Fixtures</h2>
    <FixtureEditor
      v-for="(fixture, k) in surface.measured.fixtures"
      :key="fixture.id"
      :fixture="fixture"
      :index="k"
      :surface="surface"
      :tape="tape"
      :open="open === fixture.id"
      @toggle="open = open === fixture.id ? null : fixture.id"
      @remove="remove(fixture.id)"
    />
    <p v-if="surface.measured.fixtures.length === 0" class="soft small">Pipes, boxes, trays: whatever the tiles have to go round.</p>
    <div class="row">
      <Button severity="secondary" outlined @click="add('rectangle')"><PhPlus :size="18" />Rectangular</Button>
      <Button severity="secondary" outlined @click="add('round')"><PhPlus :size="18" />Round</Button>
    </div>
    <p v-if="surface.measured.fixtures.length > 0" class="caution">{{ SAFETY.fixtures }}</p>
  </section>
</template>
