<script setup lang="ts">
import Button from 'primevue/button';
import { PhCopy, PhTrash } from '@phosphor-icons/vue';
import { SET_NAMES } from '@azulejo/core/messages/en/sets';
import { SETS, type SetForm, type SetId } from '@azulejo/core/surface/sets/registry';
import { figuresOf } from '@azulejo/core/units/figuresOf';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import SwitchField from '../../fields/SwitchField.vue';

/** The figures of surfaces that are measured together. */
const form = defineModel<SetForm>({ required: true });
const kinds = (Object.keys(SETS) as SetId[]).map((value) => ({ value, label: SET_NAMES[value] }));

type Row = Record<string, number>;
/** Rows that can be added to: the steps of a flight, the walls of a shower. */
const ROWS = {
  stairFlight: {
    key: 'steps',
    name: 'Step',
    fields: [
      ['riserWidthMm', 'Riser, width'],
      ['riserHeightMm', 'Riser, height'],
      ['treadWidthMm', 'Tread, width'],
      ['treadDepthMm', 'Tread, depth'],
    ],
  },
  shower: {
    key: 'walls',
    name: 'Wall',
    fields: [
      ['widthMm', 'Width'],
      ['heightMm', 'Height'],
    ],
  },
} as const;
const PLAIN = {
  niche: [
    ['widthMm', 'Back, width'],
    ['heightMm', 'Back, height'],
    ['leftDepthMm', 'Depth, left'],
    ['rightDepthMm', 'Depth, right'],
    ['sillDepthMm', 'Depth, sill'],
    ['headDepthMm', 'Depth, head'],
  ],
  room: [
    ['widthMm', 'Left to right'],
    ['depthMm', 'Front to back'],
    ['heightMm', 'Tiled up to'],
  ],
} as const;

type FlightForm = Extract<SetForm, { kind: 'stairFlight' }>;
const TILED = [
  { value: 'both', label: 'Risers and treads' },
  { value: 'risers', label: 'Risers' },
  { value: 'treads', label: 'Treads' },
] as const;
/** What of a row is measured: nothing of what is not tiled. */
const fieldsOf = (now: FlightForm | Extract<SetForm, { kind: 'shower' }>): readonly (readonly [field: string, label: string])[] =>
  now.kind === 'shower'
    ? ROWS.shower.fields
    : ROWS.stairFlight.fields.filter(([field]) => now.tiled === 'both' || now.tiled.startsWith(field.slice(0, 5)));

const rowsOf = (now: SetForm): readonly Row[] => (now.kind === 'stairFlight' ? now.steps : now.kind === 'shower' ? now.walls : []);
const withRows = (rows: readonly Row[]): SetForm =>
  ({ ...form.value, [form.value.kind === 'stairFlight' ? 'steps' : 'walls']: rows }) as SetForm;
const setRow =
  (k: number, field: string) =>
  (mm: number): [] => {
    form.value = withRows(rowsOf(form.value).map((row, m) => (m === k ? { ...row, [field]: mm } : row)));
    return [];
  };
const setPlain =
  (field: string) =>
  (mm: number): [] => {
    form.value = { ...form.value, [field]: mm } as SetForm;
    return [];
  };
const valueOf = (field: string): number => figuresOf(form.value)[field];
function addRow(): void {
  const rows = rowsOf(form.value);
  form.value = withRows([...rows, rows[rows.length - 1]]);
}
function dropRow(k: number): void {
  form.value = withRows(rowsOf(form.value).filter((_, m) => m !== k));
}
</script>

<template>
  <SwitchField label="They make a" :value="form.kind" :options="kinds" @choose="form = SETS[$event].defaults" />
  <SwitchField
    v-if="form.kind === 'stairFlight'"
    label="Tiled are"
    :value="form.tiled"
    :options="TILED"
    @choose="form = { ...(form as FlightForm), tiled: $event }"
  />
  <template v-if="form.kind === 'stairFlight' || form.kind === 'shower'">
    <fieldset v-for="(row, k) in rowsOf(form)" :key="k" class="one">
      <legend>{{ ROWS[form.kind].name }} {{ k + 1 }}</legend>
      <FieldGrid>
        <LengthField
          v-for="[field, label] in fieldsOf(form)"
          :key="field"
          :label="`${label}, ${k + 1}`"
          :mm="row[field]"
          :commit="setRow(k, field)"
          positive
        />
      </FieldGrid>
      <Button v-if="rowsOf(form).length > (form.kind === 'shower' ? 2 : 1)" text severity="secondary" size="small" @click="dropRow(k)"
        ><PhTrash :size="16" />Without {{ ROWS[form.kind].name.toLowerCase() }} {{ k + 1 }}</Button
      >
    </fieldset>
    <div>
      <Button severity="secondary" outlined @click="addRow"><PhCopy :size="18" />Another like the last</Button>
    </div>
  </template>
  <FieldGrid v-else>
    <LengthField
      v-for="[field, label] in PLAIN[form.kind]"
      :key="`${form.kind} ${field}`"
      :label="label"
      :mm="valueOf(field)"
      :commit="setPlain(field)"
      positive
    />
  </FieldGrid>
</template>

<style scoped>
.one {
  border: 0;
  border-top: 1px solid var(--line);
  padding: 0.5rem 0 0;
  margin: 0;
}
legend {
  font-weight: 600;
  padding: 0;
}
</style>
