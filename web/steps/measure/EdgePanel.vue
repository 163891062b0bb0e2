<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhArrowCounterClockwise } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { roleName } from '@azulejo/core/messages/en/names';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { TRIM_NAMES } from '@azulejo/core/messages/en/works';
import type { Trim } from '@azulejo/core/takeoff/works/trims';
import { formatLength } from '@azulejo/core/units/formatLength';
import { EDGE_ROLES, type EdgeRole } from '@azulejo/core/surface/edge';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import StripFields from './StripFields.vue';
import TrimWidthFields from './TrimWidthFields.vue';
import { useBoardStore } from '../../stores/boardStore.ts';
import { useTape } from '../../fields/useTape.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { bareWalls, edgeRows, trimsOn } from './model.ts';

const props = defineProps<{ surface: Surface; plan: SurfacePlan | null }>();
const board = useBoardStore();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);

const edges = computed(() => (props.plan ? edgeRows(props.surface, props.plan) : []));
const roles = EDGE_ROLES.map((value) => ({ value, label: roleName(value) }));
const usedRoles = computed(() => EDGE_ROLES.filter((role) => edges.value.some((edge) => edge.role === role)));

const setRole = (id: string, role: EdgeRole): void => {
  edit(changeLabel('edge', id), ({ measured }) => {
    measured.roles[id] = role;
  });
};
const trims = computed(() => trimsOn(props.surface.kind).map((value) => ({ value, label: TRIM_NAMES[value] })));
const setTrim = (ids: readonly string[], trim: Trim) =>
  edit('whatAnEdgeEndsIn', (surface) => {
    surface.trims = { ...surface.trims, ...Object.fromEntries(ids.map((id) => [id, trim])) };
  });
const hasTrim = (trim: Trim): boolean => edges.value.some((edge) => edge.trim === trim);
const bare = computed(() => bareWalls(props.surface.kind, edges.value));
const setGap = (role: EdgeRole) => (mm: number) =>
  edit('perimeterGap', ({ measured }) => {
    measured.gapsMm[role] = mm;
  });
const setOwnGap = (id: string) => (mm: number) =>
  edit('gapAtAnEdge', ({ measured }) => {
    measured.edgeGapsMm[id] = mm;
  });
const dropOwnGap = (id: string): void => {
  edit('gapByRoleAgain', ({ measured }) => {
    Reflect.deleteProperty(measured.edgeGapsMm, id);
  });
};
</script>

<template>
  <section class="stack">
    <h3>What each edge meets, and the gap left there</h3>
    <div
      v-for="edge in edges"
      :key="edge.id"
      class="edge"
      :class="{ on: edge.id === board.chosenEdge }"
      @focusin="board.chosenEdge = edge.id"
      @pointerdown="board.chosenEdge = edge.id"
    >
      <ChoiceField
        :data-field="`measured.roles.${edge.id}`"
        :label="edge.name"
        :value="edge.role"
        :options="roles"
        @choose="setRole(edge.id, $event)"
      />
      <LengthField
        :data-field="`measured.edgeGapsMm.${edge.id}`"
        :label="`Gap, ${edge.name}`"
        :mm="edge.gapMm"
        :commit="setOwnGap(edge.id)"
      />
      <Button v-if="edge.own" text severity="secondary" :aria-label="`Gap of ${edge.name} by its role again`" @click="dropOwnGap(edge.id)"
        ><PhArrowCounterClockwise :size="18"
      /></Button>
      <p v-if="edge.standsMm !== 0" class="soft small stands">
        Tile ends <span class="figure">{{ formatLength(edge.gapMm + edge.standsMm, tape) }}</span> from the edge: the gap, and
        <span class="figure">{{ formatLength(edge.standsMm, tape) }}</span> for
        {{ edge.standsMm > 0 ? 'what stands there' : 'what it laps over' }}.
      </p>
    </div>
    <h3>What each edge ends in</h3>
    <FieldGrid>
      <ChoiceField
        v-for="edge in edges"
        :key="edge.id"
        :label="`${edge.name} ends in`"
        :value="edge.trim"
        :options="trims"
        @choose="setTrim([edge.id], $event)"
      />
    </FieldGrid>
    <TrimWidthFields :trims="[...new Set(edges.map(({ trim }) => trim))]" />
    <div v-if="bare.length > 0" class="row">
      <Button text severity="secondary" @click="setTrim(bare, 'skirtingTile')">Skirting from the tile along the walls</Button>
      <Button text severity="secondary" @click="setTrim(bare, 'skirting')">Skirting in lengths</Button>
    </div>
    <StripFields
      v-if="hasTrim('skirtingTile') || hasTrim('nosingTile')"
      :has-skirting="hasTrim('skirtingTile')"
      :has-nosing="hasTrim('nosingTile')"
    />
    <h3>Gap by role</h3>
    <FieldGrid three class="gaps">
      <LengthField
        v-for="role in usedRoles"
        :key="role"
        :data-field="`measured.gapsMm.${role}`"
        :label="roleName(role)"
        :mm="surface.measured.gapsMm[role]"
        :commit="setGap(role)"
      />
    </FieldGrid>
  </section>
</template>

<style scoped>
.edge {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 7.5rem 2.4rem;
  gap: 0.5rem;
  align-items: end;
  padding-left: 0.5rem;
}
.edge :deep(label)::first-letter,
.grid :deep(label)::first-letter,
.gaps :deep(label)::first-letter,
.edge :deep(.p-select-label)::first-letter {
  text-transform: uppercase;
}
.stands {
  grid-column: 1 / -1;
}
.edge.on {
  box-shadow: inset 4px 0 0 var(--cobalt);
}
.edge.on :deep(label) {
  color: var(--cobalt);
  font-weight: 600;
}
</style>
