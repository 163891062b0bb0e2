<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhX } from '@phosphor-icons/vue';
import type { Product } from '@azulejo/core/tile/product';
import { jointForSample, sampleFigures } from '@azulejo/core/tile/sampleSizes';
import { formatExactLength, formatLength } from '@azulejo/core/units/formatLength';
import LengthField from '../../../fields/LengthField.vue';
import { useTape } from '../../../fields/useTape.ts';

/** A handful of measured pieces: their mean is the size the plan uses. */
const props = defineProps<{ draft: Product; labels: readonly [string, string] }>();
const tape = useTape();
const draft = props.draft;
const next = ref<{ widthMm: number | null; heightMm: number | null }>({ widthMm: null, heightMm: null });
const figures = computed(() => sampleFigures(draft.sample));
const single = computed(() => draft.shape.kind === 'round');

function take(side: 'widthMm' | 'heightMm', mm: number): [] {
  next.value[side] = mm;
  if (single.value) next.value = { widthMm: mm, heightMm: mm };
  const { widthMm, heightMm } = next.value;
  if (widthMm !== null && heightMm !== null) {
    draft.sample.push({ widthMm, heightMm });
    next.value = { widthMm: null, heightMm: null };
    settle();
  }
  return [];
}
function settle(): void {
  const now = sampleFigures(draft.sample);
  const round = (mm: number): number => Math.round(mm * 100) / 100;
  draft.measured = now ? { widthMm: round(now.mean.widthMm), heightMm: round(now.mean.heightMm) } : null;
}
function remove(k: number): void {
  draft.sample.splice(k, 1);
  settle();
}
function setMean(side: 'widthMm' | 'heightMm', mm: number): [] {
  draft.sample = [];
  draft.measured = { ...(draft.measured ?? draft.nominal), [side]: mm };
  if (single.value) draft.measured = { widthMm: mm, heightMm: mm };
  return [];
}
</script>

<template>
  <fieldset class="sample">
    <legend>Measured</legend>
    <div class="pair">
      <LengthField :label="`${labels[0]}, mean`" :mm="draft.measured?.widthMm ?? null" :commit="(mm) => setMean('widthMm', mm)" positive />
      <LengthField
        v-if="!single"
        :label="`${labels[1]}, mean`"
        :mm="draft.measured?.heightMm ?? null"
        :commit="(mm) => setMean('heightMm', mm)"
        positive
      />
    </div>
    <div class="pair">
      <LengthField :label="`A piece: ${labels[0].toLowerCase()}`" :mm="next.widthMm" :commit="(mm) => take('widthMm', mm)" positive />
      <LengthField
        v-if="!single"
        :label="`A piece: ${labels[1].toLowerCase()}`"
        :mm="next.heightMm"
        :commit="(mm) => take('heightMm', mm)"
        positive
      />
    </div>
    <ul v-if="draft.sample.length > 0" class="pieces">
      <li v-for="(piece, k) in draft.sample" :key="k" class="figure">
        {{ formatLength(piece.widthMm, tape) }}<template v-if="!single"> x {{ formatLength(piece.heightMm, tape) }}</template
        ><Button text severity="secondary" :aria-label="`Leave out piece ${k + 1}`" @click="remove(k)"><PhX :size="14" /></Button>
      </li>
    </ul>
    <p class="small soft">
      <template v-if="figures && figures.count > 1">
        {{ figures.count }} pieces, range {{ formatExactLength(Math.max(figures.range.widthMm, figures.range.heightMm), tape) }}: a joint of
        at least {{ formatExactLength(jointForSample(figures), tape) }} takes that up.
      </template>
      <template v-else
        >Measure five pieces from different boxes, or type their mean; the plan then uses it instead of the size on the box.</template
      >
      {{ ' '
      }}<button v-if="draft.measured" type="button" class="plain link" @click="((draft.measured = null), (draft.sample = []))">
        Not measured after all
      </button>
    </p>
  </fieldset>
</template>

<style scoped>
.sample {
  border: 0;
  margin: 0;
  padding: 0.7rem 0.8rem;
  background: var(--paper);
  border-radius: 4px;
  display: grid;
  gap: 0.6rem;
}
legend {
  float: left;
  font-weight: 600;
  padding: 0;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
.pieces {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.8rem;
}
.pieces li {
  display: flex;
  align-items: center;
}
.link {
  color: var(--cobalt);
  text-decoration: underline;
}
</style>
