<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { PhDownloadSimple, PhPencilSimple, PhStorefront, PhTrash, PhUploadSimple } from '@phosphor-icons/vue';
import { productsCsv, type ProductTable } from '@azulejo/core/formats/productsCsv';
import type { Job } from '@azulejo/core/job/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { SHAPE_NAMES } from '@azulejo/core/messages/en/patterns';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Product } from '@azulejo/core/tile/product';
import { useJobStore } from '../../../stores/jobStore.ts';
import { simulatedSupplier } from '../../../supplier/simulatedSupplier.ts';
import type { Offer } from '../../../supplier/supplier.ts';
import { readText } from '../../readText.ts';
import { newId } from '../../newId.ts';
import { findTiles, offerText, sizeText, takeOffer, takeRows } from '../model.ts';
import TileSwatch from '../TileSwatch.vue';
import { usersOf } from './usersOf.ts';
import ReadingNote from '../../../fields/ReadingNote.vue';
import { useTape } from '../../../fields/useTape.ts';
import { useReading } from '../../../workers/useReading.ts';

const props = defineProps<{ job: Job; chosen: string }>();
const tape = useTape();
const emit = defineEmits<{ close: []; choose: [id: string]; edit: [product: Product] }>();
const jobs = useJobStore();
const wanted = ref('');
const offers = ref<ReadonlyMap<string, Offer> | null>(null);
const table = ref<ProductTable | null>(null);
const told = ref<string | null>(null);
const reading = useReading();

const found = computed(() => findTiles(props.job.products, wanted.value, tape.value));
const sizeOf = (product: Product): string => sizeText(product, tape.value);

function remove(product: Product): void {
  const users = usersOf(props.job, product.id);
  if (users.length > 0) {
    told.value = `"${product.name}" is laid on ${users.join(', ')}. Lay another tile there first.`;
    return;
  }
  jobs.change('deleteTile', (draft) => {
    draft.products = draft.products.filter(({ id }) => id !== product.id);
  });
  told.value = `"${product.name}" is off the list. Undo brings it back.`;
}

async function ask(): Promise<void> {
  try {
    offers.value = new Map((await simulatedSupplier.ask(props.job.products)).map((offer) => [offer.productId, offer]));
    told.value = null;
  } catch (error) {
    told.value = error instanceof Error ? error.message : 'The supplier does not answer.';
  }
}
function take(product: Product, offer: Offer): void {
  jobs.change('supplierPrice', (draft) => takeOffer(draft, offer));
  told.value = `"${product.name}" has the supplier's price and lots now.`;
}
const answerOf = ({ id }: Product): string => offerText(offers.value?.get(id), props.job.currency);

function save(): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([productsCsv(props.job.products)], { type: 'text/csv' }));
  link.download = 'tiles.csv';
  link.click();
  URL.revokeObjectURL(link.href);
}
async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  const text = file ? await readText(file) : undefined;
  input.value = '';
  if (text === undefined) return;
  told.value = null;
  try {
    table.value = await reading.read((reader) => reader.readProductsCsv(text));
    if (table.value === null) told.value = 'Stopped. Nothing was read.';
    else if (table.value.issues.length === 0) keepRows();
  } catch {
    told.value = 'The table could not be read. Expected rows of a CSV file as "Save as CSV" writes them.';
  }
}
function keepRows(): void {
  const { products: rows = [], given = [], ignored = [] } = table.value ?? {};
  const issues = jobs.change('readTiles', (draft) => takeRows(draft, { products: rows, given }, () => newId('tile')));
  table.value = null;
  told.value = issues[0]
    ? describeIssue(issues[0], tape.value)
    : `${rows.length === 1 ? 'One tile' : `${rows.length} tiles`} read from the table.${ignored.length > 0 ? ` Left out: ${ignored.join(', ')}.` : ''}`;
}
const placeOf = (path: readonly (string | number)[]): string =>
  path.length > 2 ? `Row ${path[1]}, ${path[2]}` : path.length > 1 ? `Row ${path[1]}` : 'Table';
</script>

<template>
  <Dialog visible modal header="Tiles of this job" class="tiles" @update:visible="emit('close')">
    <div class="list">
      <div class="row tools">
        <InputText v-model="wanted" class="grow" placeholder="Search name, material, outline, size" aria-label="Search the tiles" />
        <Button severity="secondary" outlined @click="ask"><PhStorefront :size="18" />Ask the supplier</Button>
        <Button severity="secondary" outlined @click="save"><PhDownloadSimple :size="18" />Save as CSV</Button>
        <label class="p-button p-button-secondary p-button-outlined upload"
          ><PhUploadSimple :size="18" />Read CSV<input type="file" accept=".csv,text/csv" @change="read"
        /></label>
      </div>
      <p v-if="offers" class="small soft">
        Answers come from the {{ simulatedSupplier.name.toLowerCase() }}: prices and stock are made up.
      </p>
      <ReadingNote :shown="reading.isLong.value" @stop="reading.stop" />
      <p v-if="told" role="status">{{ told }}</p>
      <section v-if="table" class="read" role="alert">
        <p class="why">{{ table.issues.length === 1 ? 'One cell' : `${table.issues.length} cells` }} of the table can't be used:</p>
        <ul>
          <li v-for="(found_, k) in table.issues.slice(0, 12)" :key="k">
            <b>{{ placeOf(found_.path) }}:</b> {{ describeIssue(found_, tape) }}
          </li>
        </ul>
        <div class="row">
          <Button v-if="table.products.length > 0" @click="keepRows"
            >Keep the {{ table.products.length === 1 ? 'one good row' : `${table.products.length} good rows` }}</Button
          >
          <Button severity="secondary" text @click="table = null">Leave the list as it was</Button>
        </div>
      </section>
      <ul class="products">
        <li v-for="product in found" :key="product.id" :class="{ on: product.id === chosen }">
          <button type="button" class="plain pick" @click="emit('choose', product.id)">
            <TileSwatch :product="product" />
            <span class="words">
              <b>{{ product.name }}</b>
              <small
                >{{ SHAPE_NAMES[product.shape.kind] }} {{ sizeOf(product) }}, {{ product.material }},
                {{ formatLengthWithUnit(product.thicknessMm, tape) }} thick<template v-if="!product.measured"
                  >, not measured</template
                ></small
              >
              <small v-if="offers">{{ answerOf(product) }}</small>
            </span>
          </button>
          <Button v-if="offers?.get(product.id)" text class="take" @click="take(product, offers.get(product.id)!)">Take over</Button>
          <Button text severity="secondary" :aria-label="`Change ${product.name}`" @click="emit('edit', product)"
            ><PhPencilSimple :size="18"
          /></Button>
          <Button text severity="secondary" :aria-label="`Delete ${product.name}`" @click="remove(product)"><PhTrash :size="18" /></Button>
        </li>
      </ul>
      <p v-if="found.length === 0" class="soft">No tile has all of these words.</p>
    </div>
  </Dialog>
</template>

<style scoped>
.list {
  width: min(46rem, 84vw);
  display: grid;
  gap: 0.7rem;
}
.tools {
  flex-wrap: wrap;
}
.upload {
  cursor: pointer;
}
.upload input {
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
}
.upload:focus-within {
  outline: 3px solid var(--cobalt);
}
.read ul {
  margin: 0.3rem 0 0.6rem;
  padding-left: 1.1rem;
}
.products {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 52vh;
  overflow-y: auto;
}
.products li {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--line);
}
.products li.on {
  background: var(--cobalt-soft);
}
.pick {
  flex: 1;
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.5rem 0.4rem;
  min-height: 44px;
}
.words {
  display: grid;
  line-height: 1.3;
}
.words small {
  font-size: 0.86rem;
  color: var(--ink-soft);
}
.take {
  white-space: nowrap;
}
</style>
