<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { patternName } from '@azulejo/core/messages/en/patterns';
import { rateInForce, ratesOf } from '@azulejo/core/money/planMoney';
import { surchargeOf, type RateSet } from '@azulejo/core/money/rates';
import { coinDigits } from '@azulejo/core/units/currency';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import TextField from '../../../fields/TextField.vue';
import { newId } from '../../newId.ts';
import { useCharging } from './useCharging.ts';

/** The figures of the set of rates in force. */
const props = defineProps<{ job: Job }>();
const { set, setSets, setRates } = useCharging(() => props.job);
const rates = computed(() => rateInForce(props.job));
const patterns = computed(() => [...new Set(props.job.surfaces.map(({ pattern }) => pattern.kind))]);

interface Figure {
  readonly key: keyof RateSet;
  readonly label: string;
  readonly unit: string;
  readonly decimals?: number;
}
const figures = computed((): readonly Figure[] => {
  const { currency } = props.job;
  return [
    rates.value.by === 'hours'
      ? { key: 'perHour', label: 'An hour', unit: currency, decimals: coinDigits(currency) }
      : { key: 'perM2', label: 'A square metre', unit: currency, decimals: coinDigits(currency) },
    { key: 'minimum', label: 'Work at least', unit: currency, decimals: coinDigits(currency) },
    { key: 'trips', label: 'Trips', unit: '' },
    { key: 'perTrip', label: 'A trip', unit: currency, decimals: coinDigits(currency) },
    { key: 'markupPercent', label: 'On materials', unit: '%' },
    { key: 'overheadPercent', label: 'Overhead', unit: '%' },
    { key: 'discountPercent', label: 'Discount', unit: '%' },
    { key: 'taxPercent', label: 'Tax on work', unit: '%' },
    { key: 'materialTaxPercent', label: 'Tax on materials', unit: '%' },
  ];
});
const rename = (text: string): string | null =>
  text === '' ? 'Expected a name for these rates.' : (setRates('nameOfTheRates', { name: text }), null);
const add = () => {
  const id = newId('rates');
  setSets('anotherSetOfRates', (sets) => sets.push({ ...rates.value, id, name: `${rates.value.name}, another` }));
  set('ratesInForce', (charging) => (charging.rateSetId = id));
};
const remove = () =>
  setSets('aSetOfRatesLess', (sets) => {
    const at = sets.findIndex(({ id }) => id === rates.value.id);
    if (at >= 0 && sets.length > 1) sets.splice(at, 1);
  });
const setSurcharge =
  (pattern: RateSet['surcharges'] extends Partial<Record<infer Id, unknown>> | undefined ? Id : never) => (percent: number) =>
    setRates('surchargeByPattern', { surcharges: { ...rates.value.surcharges, [pattern]: percent } });
</script>

<template>
  <section class="stack">
    <TextField label="Name of these rates" :value="rates.name" :longest="60" :commit="rename" />
    <SwitchField
      label="Work is charged"
      :value="rates.by"
      :options="[
        { value: 'hours', label: 'By the hours it takes' },
        { value: 'area', label: 'By the square metre' },
      ]"
      @choose="setRates('howWorkIsCharged', { by: $event })"
    />
    <div class="figures">
      <NumberField
        v-for="figure in figures"
        :key="figure.key"
        :label="figure.label"
        :unit="figure.unit"
        :decimals="figure.decimals ?? 0"
        :value="Number(rates[figure.key])"
        :commit="(value) => setRates(changeLabel('rate', figure.key), { [figure.key]: value })"
      />
    </div>
    <template v-if="rates.by === 'area'">
      <h3>More for a pattern</h3>
      <div class="figures">
        <NumberField
          v-for="pattern in patterns"
          :key="pattern"
          :label="patternName(pattern)"
          unit="%"
          :value="surchargeOf(rates, pattern)"
          :commit="setSurcharge(pattern)"
        />
      </div>
    </template>
    <div class="row">
      <Button text severity="secondary" @click="add"><PhPlus :size="16" />Another set of rates</Button>
      <Button v-if="ratesOf(job).length > 1" text severity="secondary" @click="remove"><PhTrash :size="16" />Take this set out</Button>
    </div>
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
  gap: 0.7rem;
  align-items: end;
}
</style>
