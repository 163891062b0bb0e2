<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { DRAWING_UNITS, pathPoints, type DrawingUnit, type OutlineFile } from '@azulejo/core/formats/outline/drawnPath';
import { cutOutsWithin } from '@azulejo/core/formats/outline/cutOutsWithin';
import { outlineShape } from '@azulejo/core/formats/outline/outlineShape';
import { layersOf, outlinesOf } from '@azulejo/core/formats/outline/readOutline';
import { boxOf } from '@azulejo/core/geometry/ring';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { FIXTURE_NAMES } from '@azulejo/core/messages/en/shapes';
import type { Result } from '@azulejo/core/result';
import { startMeasured } from '@azulejo/core/job/startJob';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import type { Fixture } from '@azulejo/core/surface/fixture';
import { MOST_WALLS } from '@azulejo/core/surface/shapes/walls';
import type { Shape } from '@azulejo/core/surface/shapes/registry';
import { LONGEST_MM } from '@azulejo/core/units/lengthSchema';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import LengthField from '../../fields/LengthField.vue';
import { useTape } from '../../fields/useTape.ts';
import ReadingNote from '../../fields/ReadingNote.vue';
import YesNoField from '../../fields/YesNoField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { useReading } from '../../workers/useReading.ts';

/** An outline out of a DXF or SVG drawing. */
const tape = useTape();
const emit = defineEmits<{ shape: [shape: Shape | null, cutOuts: readonly Fixture[]] }>();
const file = shallowRef<OutlineFile | null>(null);
const unit = ref<DrawingUnit | ''>('');
const layer = ref('');
const which = ref(0);
const toleranceMm = ref(1);
const fileName = ref<string | null>(null);
const troubles = ref<readonly string[]>([]);
const reading = useReading();
const MOST_BYTES = 4_000_000;

const units = [{ value: '', label: 'Choose' }, ...(Object.keys(DRAWING_UNITS) as DrawingUnit[]).map((value) => ({ value, label: value }))];
const mmPerUnit = computed(() => file.value?.mmPerUnit ?? (unit.value === '' ? null : DRAWING_UNITS[unit.value]));
const layers = computed(() => [
  { value: '', label: 'All' },
  ...(file.value ? layersOf(file.value) : []).map((value) => ({ value, label: value })),
]);
const joined = computed(() =>
  file.value && mmPerUnit.value !== null ? outlinesOf(file.value, layer.value || null, toleranceMm.value / mmPerUnit.value) : null,
);
const outlines = computed(() =>
  (joined.value?.outlines ?? []).map((path, value) => {
    const box = boxOf(pathPoints(path));
    const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY].map((size) => size * (mmPerUnit.value ?? 1));
    return { value, label: `${formatLength(wide, tape.value)} x ${formatLengthWithUnit(high, tape.value)} (${path.layer})` };
  }),
);
/** The chosen outline as walls, or why it can't be a surface. */
const outcome = computed<{ shape: Shape | null; why: string | null }>(() => {
  const path = joined.value?.outlines[which.value];
  if (!path || mmPerUnit.value === null)
    return { shape: null, why: joined.value ? 'No line closes. Allow a wider gap, or choose another layer.' : null };
  const box = boxOf(pathPoints(path));
  const mm = Math.max(box.maxX - box.minX, box.maxY - box.minY) * mmPerUnit.value;
  if (mm > LONGEST_MM)
    return { shape: null, why: describeIssue({ code: 'outline/too-large', figures: { mm, mostMm: LONGEST_MM } }, tape.value) };
  const shape = outlineShape(path, mmPerUnit.value);
  const walls = shape.walls.length;
  if (walls > MOST_WALLS)
    return { shape: null, why: describeIssue({ code: 'outline/too-many-walls', figures: { walls, most: MOST_WALLS } }) };
  const [issue] = checkMeasured(startMeasured(shape));
  if (!issue) return { shape, why: null };
  // Lengths and turns are the drawing's.
  const code = issue.code === 'shape/crosses-itself' ? 'outline/crosses-itself' : issue.code;
  return { shape: null, why: describeIssue({ ...issue, code }, tape.value) };
});
/** What lies within the chosen outline: holes and islands, which the surface may have as cut-outs. */
const within = computed(() => {
  const all = joined.value?.outlines ?? [];
  const chosen = all[which.value];
  const nothing = { cutOuts: [], deeper: 0, left: 0 };
  if (!chosen || mmPerUnit.value === null || !outcome.value.shape) return nothing;
  return cutOutsWithin(chosen, all, mmPerUnit.value, (number) => `${FIXTURE_NAMES.cutOut} ${number}`);
});
const takesCutOuts = ref(true);
/** What becomes of those that are no cut-outs. */
const notTaken = computed(() => {
  const { deeper, left } = within.value;
  const parts = [
    ...(deeper > 0 ? [`${deeper} more ${deeper === 1 ? 'lies' : 'lie'} within those and ${deeper === 1 ? 'is' : 'are'} left out.`] : []),
    ...(left > 0 ? [`${left} can't be taken: measure ${left === 1 ? 'it' : 'them'} on the surface.`] : []),
  ];
  return parts.join(' ');
});
watch([outcome, within, takesCutOuts], () => emit('shape', outcome.value.shape, takesCutOuts.value ? within.value.cutOuts : []));
watch([layer, file], () => (which.value = 0));

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  if (!chosen) return;
  const text = chosen.size > MOST_BYTES ? '' : await chosen.text();
  fileName.value = chosen.name;
  // The same file can be chosen again once it is mended.
  input.value = '';
  [file.value, unit.value, layer.value] = [null, '', ''];
  if (chosen.size > MOST_BYTES) {
    troubles.value = [`The file has ${(chosen.size / 1e6).toFixed(1)} MB. Expected at most 4 MB: save the outline alone.`];
    return;
  }
  troubles.value = [];
  const read = await reading.read(async (reader): Promise<Result<OutlineFile>> => reader.readOutline(text)).catch(() => undefined);
  // Another file was chosen meanwhile, and is told of instead.
  if (read === null && reading.isBusy()) return;
  if (!read) {
    troubles.value = [read === null ? 'Stopped. Nothing was read.' : 'The file could not be read. Expected DXF or SVG, saved as text.'];
    return;
  }
  troubles.value = read.ok ? [] : read.issues.slice(0, 5).map((found) => describeIssue(found, tape.value));
  file.value = read.ok ? read.value : null;
}
const setTolerance = (mm: number): [] => {
  toleranceMm.value = mm;
  return [];
};
</script>

<template>
  <label class="file">
    <span>DXF or SVG file</span>
    <b v-if="fileName">{{ fileName }}</b>
    <input type="file" accept=".dxf,.svg,image/svg+xml" :class="{ taken: fileName }" @change="take" />
  </label>
  <ReadingNote :shown="reading.isLong.value" @stop="reading.stop" />
  <p v-for="trouble in troubles" :key="trouble" class="why" role="alert">{{ trouble }}</p>
  <template v-if="file">
    <p class="small">
      {{ file.mmPerUnit === null ? 'The file does not say its unit.' : `The file is in ${file.unit}.` }}
      <template v-if="file.passedOver.length > 0">Passed over: {{ file.passedOver.join(', ') }}.</template>
    </p>
    <FieldGrid>
      <ChoiceField
        v-if="file.mmPerUnit === null"
        label="One unit is one"
        :value="unit"
        :options="units"
        @choose="unit = $event as DrawingUnit | ''"
      />
      <ChoiceField label="Layer or path" :value="layer" :options="layers" @choose="layer = $event" />
      <LengthField label="Close gaps up to" :mm="toleranceMm" :commit="setTolerance" />
      <ChoiceField v-if="outlines.length > 1" label="Outline" :value="which" :options="outlines" @choose="which = $event" />
    </FieldGrid>
    <p v-if="joined && joined.outlines.length > 0" class="soft small" data-testid="import-report">
      {{ joined.outlines.length }} closed {{ joined.outlines.length === 1 ? 'outline' : 'outlines'
      }}{{ joined.open.length > 0 ? `, ${joined.open.length} left open` : '' }}.
      {{
        joined.widestGap > 0 && mmPerUnit
          ? `The widest gap closed is ${formatLengthWithUnit(joined.widestGap * mmPerUnit, tape)}.`
          : 'No gap had to be closed.'
      }}
      <template v-if="joined.trimmed > 0">
        {{ joined.trimmed }} lines are drawn past their corners and were cut back to where they cross.
      </template>
    </p>
    <template v-if="within.cutOuts.length > 0">
      <YesNoField
        :label="
          within.cutOuts.length === 1
            ? 'Another outline lies within this one. Take it as a cut-out'
            : `${within.cutOuts.length} other outlines lie within this one. Take them as cut-outs`
        "
        :value="takesCutOuts"
        @choose="takesCutOuts = $event"
      />
    </template>
    <p v-if="notTaken" class="small" role="status">{{ notTaken }}</p>
    <TroubleNote :why="outcome.why" />
  </template>
</template>

<style scoped>
.file {
  display: grid;
  gap: 0.3rem;
  font-size: 0.9rem;
  color: var(--ink-soft);
}
.file input {
  font: inherit;
  color: var(--ink);
  padding: 0.8rem;
  border: 2px dashed var(--line-strong);
  border-radius: 4px;
}
/* The field is emptied once a file was read, and its name stands above: "no file chosen" would be untrue. */
.file input.taken {
  color: transparent;
}
.file input::file-selector-button {
  color: var(--ink);
}
</style>
