<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import type { Job } from '@azulejo/core/job/job';
import { adviseTool, TOOL_NAMES, WAY_NAMES } from '@azulejo/core/messages/en/money';
import { TOOL_WAYS, type ToolId, type ToolLine } from '@azulejo/core/money/tools';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useCharging } from './useCharging.ts';

/** The tools that the cuts and the materials ask for, and how each is come by. */
const props = defineProps<{ job: Job; tools: readonly ToolLine[] }>();
const { set } = useCharging(() => props.job);
const ways = TOOL_WAYS.map((value) => ({ value, label: WAY_NAMES[value] }));
const setTool = (tool: ToolId, part: Partial<Pick<ToolLine, 'way' | 'buy' | 'perDay'>>) =>
  set(changeLabel('tool', tool), (charging) => {
    charging.tools = { ...charging.tools, [tool]: { way: 'have', ...charging.tools?.[tool], ...part } };
  });
</script>

<template>
  <section class="stack">
    <h2>Tools this takes</h2>
    <p v-if="tools.length === 0" class="soft">None beyond trowel, float and tape.</p>
    <div v-for="line in tools" :key="line.tool" class="tool">
      <SwitchField :label="TOOL_NAMES[line.tool]" :value="line.way" :options="ways" @choose="setTool(line.tool, { way: $event })" />
      <template v-if="line.way === 'hire' || line.way === 'buy'">
        <div class="prices">
          <NumberField label="To buy" :unit="job.currency" :decimals="2" :value="line.buy" :commit="(buy) => setTool(line.tool, { buy })" />
          <NumberField
            label="To hire, a day"
            :unit="job.currency"
            :decimals="2"
            :value="line.perDay"
            :commit="(perDay) => setTool(line.tool, { perDay })"
          />
        </div>
        <p class="small soft">{{ adviseTool(line, job.currency) }}</p>
      </template>
    </div>
  </section>
</template>

<style scoped>
.tool {
  display: grid;
  gap: 0.4rem;
}
.prices {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
}
</style>
