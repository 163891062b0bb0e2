<script setup lang="ts">
import { changeLabel, type ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhArrowCounterClockwise } from '@phosphor-icons/vue';
import { productOf, type Job, type Surface } from '@azulejo/core/job/job';
import {
  ADHESIVE_NAMES,
  GROUT_NAMES,
  LOAD_NAMES,
  MORTAR_NAMES,
  PLACE_NAMES,
  SUBSTRATE_NAMES,
  WORK_NAMES,
} from '@azulejo/core/messages/en/works';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import { WORKS, worksOf, type Work, type WorksChoice } from '@azulejo/core/takeoff/works/works';
import ChoiceField from '../../../fields/ChoiceField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import YesNoField from '../../../fields/YesNoField.vue';
import { useEditSurface } from '../../useEditSurface.ts';
import { samePlace } from '../model.ts';
import { useJobStore } from '../../../stores/jobStore.ts';

/** Where a surface is, what it is laid on and in, and what else is done to it. */
const props = defineProps<{ job: Job; surface: Surface }>();
const jobs = useJobStore();
const edit = useEditSurface(() => props.surface.id);
const works = computed(() => worksOf(props.surface, productOf(props.job, props.surface)));
const room = computed(() => props.job.rooms.find(({ id }) => id === props.surface.roomId) ?? null);
const alike = computed(() =>
  props.job.surfaces.filter(({ id, roomId }) => id !== props.surface.id && roomId !== null && roomId === props.surface.roomId),
);

const optionsOf = <Name extends string>(names: Readonly<Record<Name, string>>) =>
  (Object.keys(names) as Name[]).map((value) => ({ value, label: names[value] }));

const set = (label: ChangeLabel, part: WorksChoice) =>
  edit(label, (surface) => {
    surface.works = { ...surface.works, ...part };
  });
const setDoes = (work: Work, does: boolean) =>
  edit(changeLabel('extraWork', work), (surface) => {
    surface.works = { ...surface.works, does: { ...surface.works?.does, [work]: does } };
  });
const asUsual = () =>
  edit('asThePlaceAsksFor', (surface) => {
    delete surface.works;
  });
const sameForRoom = () =>
  jobs.change(changeLabel('theSameForTheRoom', room.value?.name), (draft) => {
    for (const { id } of alike.value) {
      const other = draft.surfaces.find((one) => one.id === id);
      if (other) other.works = samePlace(props.surface.works, other.works);
    }
  });
</script>

<template>
  <section class="stack">
    <SwitchField
      data-field="works.place"
      label="The place is"
      :value="works.place"
      :options="optionsOf(PLACE_NAMES)"
      @choose="set('thePlace', { place: $event })"
    />
    <div class="two">
      <ChoiceField
        data-field="works.substrate"
        label="Laid on"
        :value="works.substrate"
        :options="optionsOf(SUBSTRATE_NAMES)"
        @choose="set('whatItIsLaidOn', { substrate: $event })"
      />
      <ChoiceField
        v-if="surface.kind !== 'wall'"
        label="Carries"
        :value="works.load"
        :options="optionsOf(LOAD_NAMES)"
        @choose="set('whatItCarries', { load: $event })"
      />
    </div>
    <YesNoField
      v-if="surface.kind === 'floor'"
      data-field="works.heated"
      label="Heated from below"
      :value="works.heated"
      @choose="set('heating', { heated: $event })"
    />
    <p v-if="works.substrate === 'oldTiles'" class="caution">{{ SAFETY.oldFloor }}</p>
    <h3>Bed and joints</h3>
    <div class="two">
      <ChoiceField
        data-field="works.adhesive"
        label="Adhesive"
        :value="works.adhesive"
        :options="optionsOf(ADHESIVE_NAMES)"
        @choose="set('adhesive', { adhesive: $event })"
      />
      <ChoiceField
        data-field="works.mortar"
        label="Colour of it"
        :value="works.mortar"
        :options="optionsOf(MORTAR_NAMES)"
        @choose="set('colourOfTheAdhesive', { mortar: $event })"
      />
      <ChoiceField
        data-field="works.grout"
        label="Grout"
        :value="works.grout"
        :options="optionsOf(GROUT_NAMES)"
        @choose="set('grout', { grout: $event })"
      />
    </div>
    <h3>What else is done</h3>
    <div class="two" data-field="works.does">
      <YesNoField v-for="work in WORKS" :key="work" :label="WORK_NAMES[work]" :value="works.does[work]" @choose="setDoes(work, $event)" />
    </div>
    <p v-if="works.does.membrane" class="caution">{{ SAFETY.waterproofing }}</p>
    <div class="row">
      <Button v-if="surface.works" text severity="secondary" @click="asUsual"
        ><PhArrowCounterClockwise :size="17" />As place and tile ask for</Button
      >
      <Button v-if="room && alike.length > 0 && surface.works" text severity="secondary" @click="sameForRoom"
        >The same place for all of {{ room.name }}</Button
      >
    </div>
  </section>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
  align-items: end;
}
</style>
