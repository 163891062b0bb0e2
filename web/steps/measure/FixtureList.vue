<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { FIXTURE_NAMES } from '@azulejo/core/messages/en/shapes';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { FIXTURE_CATALOGUE, FIXTURE_KINDS, type FixtureKind } from '@azulejo/core/surface/fixtureCatalogue';
import { useBoardStore } from '../../stores/boardStore.ts';
import { nextId } from '../newId.ts';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { startFixture } from './startFixture.ts';
import FixtureEditor from './FixtureEditor.vue';
import FixtureSymbol from './FixtureSymbol.vue';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

const props = defineProps<{ surface: Surface; plan: SurfacePlan | null }>();
const tape = useTape();
const board = useBoardStore();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
const picking = ref(false);
/** Those that are met on this kind of surface. */
const kinds = computed(() => FIXTURE_KINDS.filter((kind) => FIXTURE_CATALOGUE[kind].on.includes(props.surface.kind)));

function add(kind: FixtureKind): void {
  const id = nextId('fixture', props.surface.measured.fixtures);
  const fixture = startFixture(props.surface.measured, kind, id, FIXTURE_NAMES[kind]);
  const issues = edit(changeLabel('addFixture', fixture.name), ({ measured }) => {
    measured.fixtures.push(fixture);
  });
  attempt(issues);
  picking.value = false;
  board.chosenFixture = id;
}

function remove(id: string): void {
  edit('removeFixture', ({ measured }) => {
    measured.fixtures = measured.fixtures.filter((other) => other.id !== id);
  });
}
</script>

<template>
  <section class="stack">
    <h3>Fixtures</h3>
    <FixtureEditor
      v-for="(fixture, k) in surface.measured.fixtures"
      :key="fixture.id"
      :fixture="fixture"
      :index="k"
      :surface="surface"
      :plan="plan"
      :open="board.chosenFixture === fixture.id"
      @toggle="board.chosenFixture = board.chosenFixture === fixture.id ? null : fixture.id"
      @remove="remove(fixture.id)"
    />
    <p v-if="surface.measured.fixtures.length === 0" class="soft small">
      Whatever the tiles have to go round, or run under. Drag it on the drawing, or type where it is.
    </p>
    <TroubleNote :why="trouble" />
    <div>
      <Button :aria-expanded="picking" severity="secondary" outlined @click="picking = !picking">Add a fixture</Button>
    </div>
    <div v-if="picking" class="catalogue" role="group" aria-label="Kinds of fixture">
      <button v-for="kind in kinds" :key="kind" class="plain" type="button" @click="add(kind)">
        <FixtureSymbol :kind="kind" :size="30" />{{ FIXTURE_NAMES[kind] }}
      </button>
    </div>
    <p v-if="surface.measured.fixtures.length > 0" class="caution">{{ SAFETY.fixtures }}</p>
  </section>
</template>

<style scoped>
.catalogue {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(6.2rem, 1fr));
  gap: 0.4rem;
}
.catalogue button {
  display: grid;
  justify-items: center;
  gap: 0.3rem;
  padding: 0.6rem 0.3rem;
  background: var(--paper);
  border-radius: 4px;
  font-size: 0.85rem;
  text-align: center;
  line-height: 1.2;
}
.catalogue button:hover {
  background: var(--cobalt-soft);
}
</style>
