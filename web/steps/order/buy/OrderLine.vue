<script setup lang="ts">
import { computed } from 'vue';
import { PhCaretDown, PhCaretRight, PhWarning } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { describeChance, describePacks, describeQuantity, explainMaterial, materialName } from '@azulejo/core/messages/en/materials';
import { LIKELY_TO_RUN_OUT, type Material } from '@azulejo/core/money/priceMaterials';
import { formatMoney } from '@azulejo/core/units/currency';
import CuttingFigures from './CuttingFigures.vue';
import MaterialForm from './MaterialForm.vue';

/** One line of the order; it opens to its figures. */
const props = defineProps<{ job: Job; line: Material; lineKey: string; open: boolean }>();
const emit = defineEmits<{ toggle: [] }>();
const name = computed(() => materialName(props.job, props.line));
const risky = computed(() => (props.line.chance ?? 0) > LIKELY_TO_RUN_OUT);
const how = computed(() => (props.open ? explainMaterial(props.job, props.line) : []));
</script>

<template>
  <tbody>
    <tr>
      <th scope="row">
        <button class="plain" type="button" :aria-expanded="open" :aria-label="`${name}: how it was computed`" @click="emit('toggle')">
          <PhCaretDown v-if="open" :size="16" /><PhCaretRight v-else :size="16" />{{ name }}
        </button>
      </th>
      <td class="num figure" :data-testid="`need-${lineKey}`">{{ describeQuantity(line, job.tape) }}</td>
      <td class="packs">{{ describePacks(line) }}</td>
      <td class="chance" :class="{ risky }"><PhWarning v-if="risky" :size="15" weight="bold" />{{ describeChance(line, job.tape) }}</td>
      <td class="num figure">{{ formatMoney(line.cost, job.currency) }}</td>
    </tr>
    <tr v-if="open" class="how">
      <td colspan="5">
        <div class="steps">
          <p v-for="step in how" :key="step">{{ step }}</p>
        </div>
        <CuttingFigures v-if="line.item === 'tiles'" :job="job" />
        <MaterialForm v-else :job="job" :item="line.item" :unit="line.unit" />
      </td>
    </tr>
  </tbody>
</template>

<style scoped>
tbody {
  border-top: 1px solid var(--line);
}
th,
td {
  text-align: left;
  padding: 0.5rem 0.7rem;
  vertical-align: baseline;
}
th {
  font-weight: 600;
  padding-left: 0.2rem;
}
.num {
  text-align: right;
  white-space: nowrap;
}
td.figure {
  font-size: 1.15rem;
}
.packs {
  white-space: nowrap;
}
.chance {
  color: var(--ink-soft);
  font-size: 0.9rem;
}
.chance.risky {
  color: var(--warn);
}
.chance svg {
  vertical-align: -2px;
  margin-right: 0.3rem;
}
button {
  display: flex;
  gap: 0.45rem;
  align-items: center;
  padding: 0.15rem 0.5rem;
  border-radius: 3px;
}
.how td {
  padding: 0 0.9rem 1.2rem 2.2rem;
}
.steps {
  color: var(--ink-soft);
  font-size: 0.93rem;
  columns: 2 22rem;
  column-gap: 2rem;
  margin-bottom: 1rem;
}
.steps p {
  break-inside: avoid;
  margin-bottom: 0.2rem;
}
@media (max-width: 860px) {
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
  }
  th,
  td {
    padding: 0.2rem 0.4rem;
  }
  tr > th {
    grid-column: 1 / -1;
  }
  .packs {
    grid-column: 1;
    padding-left: 1.9rem;
    white-space: normal;
  }
  tr > td:nth-child(2) {
    grid-column: 2;
    grid-row: 2;
  }
  .chance {
    grid-column: 1;
    padding-left: 1.9rem;
  }
  .how {
    display: block;
  }
  .how td {
    display: block;
    padding: 0.4rem 0.4rem 1rem;
  }
}
</style>
