<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { layAlike } from '@azulejo/core/job/layAlike';
import { edgeName, roleName } from '@azulejo/core/messages/en/names';
import type { Laying } from '@azulejo/core/pattern/laying';
import { layingOfTile } from '@azulejo/core/pattern/suitLaying';
import { EDGE_ROLES, type EdgeRole, type Gaps } from '@azulejo/core/surface/edge';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import { SURFACE_KINDS } from '@azulejo/core/surface/surface';
import type { Tape } from '@azulejo/core/units/tape';
import ChoiceField from '../../fields/ChoiceField.vue';
import ColourField from '../../fields/ColourField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import LengthField from '../../fields/LengthField.vue';
import { provideTape } from '../../fields/useTape.ts';
import { useJobStore } from '../../stores/jobStore.ts';
import PatternChoice from '../tile/pattern/PatternChoice.vue';
import ProductPicker from '../tile/ProductPicker.vue';
import { GROUTS } from '@azulejo/core/madeUp/grouts';
import { useDraft } from '../useDraft.ts';
import { useAttempt } from '../useAttempt.ts';
import { KIND_LABELS } from './surfaceKinds.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

/** Tile, pattern, joint, gaps and edges for all surfaces of a room in one go. */
const props = defineProps<{ job: Job; room: Job['rooms'][number] }>();
const emit = defineEmits<{ close: [] }>();
const jobs = useJobStore();
const tape = (): Tape => props.job.tape;
provideTape(tape);
const { trouble, attempt } = useAttempt(tape);
const hasTroubles = useFieldTroubles();

const faces = computed(() => props.job.surfaces.filter(({ roomId }) => roomId === props.room.id));
const kinds = computed(() => SURFACE_KINDS.filter((kind) => faces.value.some((face) => face.kind === kind)));
/** What is laid already stays, unless it is asked for. */
const chosen = ref<string[]>(faces.value.filter(({ laid }) => !laid).map(({ id }) => id));
const chosenFaces = computed(() => faces.value.filter(({ id }) => chosen.value.includes(id)));
const pick = (kind: Surface['kind'] | null): void => {
  chosen.value = faces.value.filter((face) => kind === null || face.kind === kind).map(({ id }) => id);
};

const model = chosenFaces.value[0] ?? faces.value[0];
const laying = shallowRef<Laying>(model);
const jointColour = ref(model.jointColour);
const gapsMm = ref<Partial<Gaps>>({});
const roles = ref<Record<string, EdgeRole>>({});

function chooseTile(id: string): void {
  const product = props.job.products.find((one) => one.id === id);
  const next = product && layingOfTile(product, laying.value, props.job.products, props.job.consumption.kerfMm);
  if (next) laying.value = next;
}
function setJoint(jointMm: number): [] {
  laying.value = { ...laying.value, jointMm };
  return [];
}

const { leave, warning } = useDraft(
  () => JSON.stringify([chosen.value, laying.value, jointColour.value, gapsMm.value, roles.value]),
  () => emit('close'),
);

/** Edges that several of the chosen surfaces have, by name. */
const edges = computed(() => {
  const counts = new Map<string, number>();
  for (const { measured } of chosenFaces.value)
    for (const id of new Set(outlineOf(measured.shape).edgeIds)) counts.set(id, (counts.get(id) ?? 0) + 1);
  return [...counts].filter(([, count]) => 2 * count >= chosenFaces.value.length).map(([id]) => id);
});
const AS_IT_IS = 'asItIs';
const roleOptions = [{ value: AS_IT_IS, label: 'as it is' }, ...EDGE_ROLES.map((value) => ({ value, label: roleName(value) }))];
function setRole(edge: string, role: string): void {
  const rest = Object.entries(roles.value).filter(([other]) => other !== edge);
  roles.value = Object.fromEntries(role === AS_IT_IS ? rest : [...rest, [edge, role as EdgeRole]]);
}

/** What the chosen surfaces come to as the form stands. */
const laid = computed(() =>
  chosenFaces.value.map((face) =>
    layAlike(face, { laying: laying.value, jointColour: jointColour.value, gapsMm: gapsMm.value, roles: roles.value }),
  ),
);
const usedRoles = computed(() =>
  EDGE_ROLES.filter((role) =>
    laid.value.some(({ measured }) =>
      [...new Set(outlineOf(measured.shape).edgeIds)].some((id) => (measured.roles[id] ?? 'wall') === role),
    ),
  ),
);
/** The gap they all have; null where they differ. */
function commonGap(role: EdgeRole): number | null {
  const [first, ...rest] = laid.value.map(({ measured }) => measured.gapsMm[role]);
  return rest.every((mm) => mm === first) ? first : null;
}
const setGap =
  (role: EdgeRole) =>
  (mm: number): [] => {
    gapsMm.value = { ...gapsMm.value, [role]: mm };
    return [];
  };

function lay(): void {
  if (hasTroubles.value) return;
  const after = new Map(laid.value.map((surface) => [surface.id, surface]));
  const issues = jobs.change(changeLabel('layRoom', props.room.name), (draft) => {
    draft.surfaces = draft.surfaces.map((surface) => after.get(surface.id) ?? surface);
  });
  attempt(issues);
  if (issues.length === 0) emit('close');
}
</script>

<template>
  <Dialog visible modal :header="`Lay ${room.name}`" class="room-laying" @update:visible="leave">
    <div class="form">
      <div class="stack">
        <fieldset class="faces">
          <legend>Surfaces</legend>
          <div v-if="kinds.length > 1" class="row">
            <Button size="small" text label="All" @click="pick(null)" />
            <Button v-for="kind in kinds" :key="kind" size="small" text :label="`${KIND_LABELS[kind]}s`" @click="pick(kind)" />
          </div>
          <label v-for="face in faces" :key="face.id"
            ><Checkbox v-model="chosen" :value="face.id" /><span
              >{{ face.name }}<small v-if="face.laid" class="soft">, laid</small></span
            ></label
          >
        </fieldset>
        <FieldGrid v-if="edges.length > 0">
          <ChoiceField
            v-for="edge in edges"
            :key="edge"
            :label="`Edge: ${edgeName(edge)}`"
            :value="roles[edge] ?? AS_IT_IS"
            :options="roleOptions"
            @choose="setRole(edge, $event)"
          />
        </FieldGrid>
        <FieldGrid v-if="usedRoles.length > 0">
          <LengthField
            v-for="role in usedRoles"
            :key="role"
            :label="`Gap: ${roleName(role)}`"
            :mm="commonGap(role)"
            :commit="setGap(role)"
          />
        </FieldGrid>
      </div>
      <div class="stack">
        <ProductPicker label="Tile" :products="job.products" :chosen="laying.productId" @choose="chooseTile" />
        <FieldGrid>
          <LengthField label="Joint" :mm="laying.jointMm" :commit="setJoint" large />
          <ColourField label="Grout" :value="jointColour" :swatches="GROUTS" @choose="jointColour = $event" />
        </FieldGrid>
        <PatternChoice
          :laying="laying"
          :products="job.products"
          :kerf-mm="job.consumption.kerfMm"
          :joint-colour="jointColour"
          @choose="laying = $event"
        />
      </div>
    </div>
    <template #footer>
      <TroubleNote :why="trouble ?? warning" class="grow" />
      <Button label="Not now" severity="secondary" text @click="emit('close')" />
      <Button
        :label="chosen.length === 1 ? 'Lay one surface' : `Lay ${chosen.length} surfaces`"
        :disabled="chosen.length === 0"
        @click="lay"
      />
    </template>
  </Dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(15rem, 20rem) minmax(17rem, 25rem);
  gap: 1.6rem;
  padding-bottom: 0.4rem;
}
.faces {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  font-size: 0.875rem;
  color: var(--ink-soft);
  padding: 0;
}
.faces label {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 2.2rem;
  cursor: pointer;
}
@media (max-width: 760px) {
  .form {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
