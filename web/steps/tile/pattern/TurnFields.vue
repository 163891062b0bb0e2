<script setup lang="ts">
import { computed } from 'vue';
import { canMirror, type Laying } from '@azulejo/core/pattern/laying';
import AngleField from '../../../fields/AngleField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useAttempt } from '../../useAttempt.ts';
import type { EditedLaying } from '../useLaying.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ laying: Laying; edited: EditedLaying }>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);

const STRAIGHT = [0, 45, 90, -45];
const turns = computed(() => {
  const known = STRAIGHT.includes(props.laying.turnDeg) ? STRAIGHT : [...STRAIGHT, props.laying.turnDeg];
  return known.map((value) => ({ value, label: value === 0 ? 'Straight' : `${value}°`.replace('-', '−') }));
});
const turn = (turnDeg: number) => props.edited.put('turnThePattern', { turnDeg });
</script>

<template>
  <SwitchField label="Turned" :value="laying.turnDeg" :options="turns" @choose="(deg) => attempt(turn(deg))" />
  <FieldGrid>
    <AngleField label="or by this angle" :value="laying.turnDeg" :commit="turn" />
    <SwitchField
      v-if="canMirror(laying)"
      label="Left and right"
      :value="laying.mirrored ? 'mirrored' : 'plain'"
      :options="[
        { value: 'plain', label: 'As it is' },
        { value: 'mirrored', label: 'Mirrored' },
      ]"
      @choose="(way) => attempt(edited.put('mirrorThePattern', { mirrored: way === 'mirrored' }))"
    />
  </FieldGrid>
  <TroubleNote :why="trouble" />
</template>
