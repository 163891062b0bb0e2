<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Blank } from '@azulejo/core/cuts/offCuts/blank';
import type { ShelfItem } from '@azulejo/core/formats/apiTypes';
import { productName, productOf, type Job, type Surface } from '@azulejo/core/job/job';
import { actualSize } from '@azulejo/core/tile/product';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { api } from '../../api/client.ts';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import { useTape } from '../../fields/useTape.ts';
import { useJobStore } from '../../stores/jobStore.ts';
import { useLogStore } from '../../stores/logStore.ts';
import { newId } from '../newId.ts';

/** Pieces of tile that are there already: cut before a tile is opened. What other jobs left over can be taken. */
const props = defineProps<{ job: Job; surface: Surface }>();
const jobs = useJobStore();
const log = useLogStore();
const tape = useTape();
const shelf = shallowRef<readonly ShelfItem[]>([]);
const taking = ref(false);
const look = async (): Promise<void> => {
  shelf.value = await api.listShelf().catch(() => []);
};
onMounted(() => {
  void look();
});

const blanks = computed(() => props.job.blanks ?? []);
const count = computed(() => blanks.value.reduce((sum, { pieces }) => sum + pieces, 0));
const products = computed(() =>
  props.job.products.filter(({ shape }) => shape.kind === 'rectangle').map(({ id, name }) => ({ value: id, label: name })),
);
/** What other jobs left of tiles that this one has, by the name of the tile. */
const offered = computed(() =>
  shelf.value.flatMap((item) => {
    const product = item.jobId === props.job.id ? undefined : props.job.products.find(({ name }) => name === item.name);
    return product ? [{ item, productId: product.id }] : [];
  }),
);

const edit = (label: ChangeLabel, recipe: (blanks: Blank[]) => void) =>
  jobs.change(label, (draft) => {
    const own = [...(draft.blanks ?? [])];
    recipe(own);
    if (own.length === 0) delete draft.blanks;
    else draft.blanks = own;
  });
function add(): void {
  const product = productOf(props.job, props.surface);
  const productId = product.shape.kind === 'rectangle' ? product.id : (products.value[0]?.value ?? product.id);
  const { widthMm, heightMm } = actualSize(props.job.products.find(({ id }) => id === productId) ?? product);
  edit('aPieceThatIsThere', (all) =>
    all.push({
      id: newId('blank'),
      productId,
      widthMm: Math.round(widthMm / 2),
      heightMm,
      sides: ['left', 'bottom', 'top'],
      pieces: 1,
      from: '',
    }),
  );
}
const change = (k: number, label: ChangeLabel, part: Partial<Blank>) => edit(label, (all) => (all[k] = { ...all[k], ...part }));
const remove = (k: number) => edit('aPieceLess', (all) => all.splice(k, 1));

const SIDES = [
  { side: 'left', label: 'left' },
  { side: 'right', label: 'right' },
  { side: 'bottom', label: 'bottom' },
  { side: 'top', label: 'top' },
] as const;
const toggle = (k: number, side: Blank['sides'][number]) =>
  edit('factoryEdges', (all) => {
    const { sides } = all[k];
    all[k] = { ...all[k], sides: sides.includes(side) ? sides.filter((one) => one !== side) : [...sides, side] };
  });

/** Takes what another job left: it is no longer offered to others. */
async function take({ item, productId }: { item: ShelfItem; productId: string }): Promise<void> {
  taking.value = true;
  const { widthMm, heightMm, pieces, jobName } = item;
  const issues = edit('takenFromTheShelf', (all) =>
    all.push({ id: newId('blank'), productId, widthMm, heightMm, sides: [], pieces, from: `left of ${jobName}`.slice(0, 80) }),
  );
  if (issues.length === 0) {
    await log.write({ kind: 'taken', entryId: item.id, pieces });
    await look();
  }
  taking.value = false;
}
</script>

<template>
  <details class="there" :open="blanks.length > 0">
    <summary>There already: {{ blanks.length === 0 ? 'nothing' : `${count} ${count === 1 ? 'piece' : 'pieces'}` }}</summary>
    <div class="stack">
      <p class="small soft">
        Broken and left-over pieces are cut before a tile is opened. Give the largest rectangle, as the tile lies, and which of its edges
        are factory ones.
      </p>
      <div v-for="(blank, k) in blanks" :key="blank.id" class="blank">
        <ChoiceField label="Of" :value="blank.productId" :options="products" @choose="change(k, 'tileOfAPiece', { productId: $event })" />
        <div class="sizes">
          <LengthField label="Width" :mm="blank.widthMm" :commit="(widthMm) => change(k, 'widthOfAPiece', { widthMm })" />
          <LengthField label="Height" :mm="blank.heightMm" :commit="(heightMm) => change(k, 'heightOfAPiece', { heightMm })" />
          <NumberField label="Pieces" :value="blank.pieces" :commit="(pieces) => change(k, 'piecesThatAreThere', { pieces })" />
          <Button text severity="secondary" aria-label="Take this piece out" @click="remove(k)"><PhTrash :size="18" /></Button>
        </div>
        <div class="row sides" role="group" aria-label="Factory edges">
          <span class="small soft">Factory edges</span>
          <Button
            v-for="{ side, label } in SIDES"
            :key="side"
            size="small"
            :severity="blank.sides.includes(side) ? undefined : 'secondary'"
            :outlined="!blank.sides.includes(side)"
            :aria-pressed="blank.sides.includes(side)"
            :label="label"
            @click="toggle(k, side)"
          />
        </div>
        <p v-if="blank.from" class="small soft">{{ blank.from }}</p>
      </div>
      <Button text severity="secondary" class="start" @click="add"><PhPlus :size="16" />A piece that is there</Button>
      <template v-if="offered.length > 0">
        <h3>Other jobs left</h3>
        <div v-for="one in offered" :key="one.item.id" class="row">
          <span class="grow small">
            {{ one.item.pieces }} of {{ productName(job, one.productId) }}, {{ formatLength(one.item.widthMm, tape) }} x
            {{ formatLengthWithUnit(one.item.heightMm, tape) }}, from {{ one.item.jobName }}
          </span>
          <Button size="small" severity="secondary" outlined label="Take" :disabled="taking" @click="take(one)" />
        </div>
      </template>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 600;
  padding: 0.3rem 0;
}
.blank {
  display: grid;
  gap: 0.4rem;
  padding-bottom: 0.7rem;
  border-bottom: 1px solid var(--line);
}
.sizes {
  display: grid;
  grid-template-columns: 1fr 1fr 4.5rem auto;
  gap: 0.5rem;
  align-items: end;
}
.sides {
  gap: 0.35rem;
}
.start {
  justify-self: start;
}
</style>
