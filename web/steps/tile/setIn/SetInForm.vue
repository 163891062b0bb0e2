<script setup lang="ts">
import Button from 'primevue/button';
import { PhPlus } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { PLAIN_LAYING } from '@azulejo/core/job/startJob';
import type { Border } from '@azulejo/core/pattern/edging';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { BEST_SETOUT } from '@azulejo/core/setout/choice/setoutChoice';
import { lineOfEdge, measuresAt, type Fixture } from '@azulejo/core/surface/fixture';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import { actualSize } from '@azulejo/core/tile/product';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { nextId } from '../../newId.ts';
import { useAttempt } from '../../useAttempt.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import InsetEditor from './InsetEditor.vue';
import BandRow from './BandRow.vue';
import BorderFields from './BorderFields.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null }>();
const tape = useTape();
const board = useBoardStore();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);

const setBorder = (border: Border | null) =>
  edit('border', (surface) => {
    surface.border = border;
  });

/** A band of the narrowest tile, at a third of the height. */
function addBand(): void {
  const narrow = (product: Job['products'][number]): number => Math.min(actualSize(product).widthMm, actualSize(product).heightMm);
  const [tile] = props.job.products
    .filter(({ shape, id }) => shape.kind === 'rectangle' && id !== props.surface.productId)
    .sort((a, b) => narrow(a) - narrow(b))
    .filter((product) => narrow(product) >= 40);
  if (!tile) return;
  const limits = props.plan?.traced.limits;
  const atMm = limits ? Math.round((limits.maxY - limits.minY) * 0.6) : 0;
  const id = nextId('band', props.surface.bands);
  attempt(edit('addABand', ({ bands }) => void bands.push({ id, productId: tile.id, run: 'along', way: 'level', atMm })));
}

/** A rug in the middle: half of the surface each way, in the same tile laid askew. */
function addArea(): void {
  const { traced } = props.plan ?? {};
  if (!traced) return;
  const { limits } = traced;
  const outline: Fixture['outline'] = {
    kind: 'rectangle',
    widthMm: Math.round((limits.maxX - limits.minX) / 2),
    heightMm: Math.round((limits.maxY - limits.minY) / 2),
  };
  const { ring, edgeIds } = outlineOf(props.surface.measured.shape);
  const [first, second] = [traced.sides.left ?? edgeIds[edgeIds.length - 1], traced.sides.bottom ?? edgeIds[0]];
  const lines = [first, second].map((edge) => lineOfEdge(ring, edgeIds, edge));
  const centre = [(limits.minX + limits.maxX) / 2, (limits.minY + limits.maxY) / 2] as const;
  const mm = lines[0] && lines[1] ? measuresAt({ outline }, [lines[0], lines[1]], centre).map(Math.round) : [0, 0];
  const id = nextId('inset', props.surface.insets);
  const { productId, parts, jointMm, pattern } = props.surface;
  attempt(
    edit('addAnInset', ({ insets }) => {
      insets.push({
        ...JSON.parse(JSON.stringify({ ...PLAIN_LAYING, productId, parts, jointMm, pattern })),
        id,
        name: `Inset ${insets.length + 1}`,
        outline,
        from: [
          { edge: first, mm: mm[0] },
          { edge: second, mm: mm[1] },
        ],
        turnDeg: 45,
        setout: BEST_SETOUT,
        border: null,
      });
    }),
  );
}

function layInset(id: string): void {
  board.chosenInset = id;
  board.tilePart = 'tile';
}
function removeInset(id: string): void {
  board.chosenInset = null;
  edit('removeAnInset', (surface) => {
    surface.insets = surface.insets.filter((inset) => inset.id !== id);
  });
}
</script>

<template>
  <section class="stack">
    <BorderFields :job="job" :border="surface.border" :commit="setBorder" />
  </section>
  <section class="stack">
    <h3>Bands</h3>
    <p v-if="surface.bands.length === 0" class="soft small">
      A row of other tiles between two courses. It goes into the nearest joint, so no course is cut for it.
    </p>
    <BandRow
      v-for="(band, k) in surface.bands"
      :key="band.id"
      :job="job"
      :band="band"
      :commit="(next) => edit('band', ({ bands }) => void (bands[k] = next))"
      @remove="edit('removeABand', (target) => void target.bands.splice(k, 1))"
    />
    <div>
      <Button severity="secondary" outlined @click="addBand"><PhPlus :size="18" />Add a band</Button>
    </div>
  </section>
  <section class="stack">
    <h3>Insets</h3>
    <p v-if="surface.insets.length > 0" class="soft small">Drag an inset on the drawing, or type where it lies.</p>
    <p v-if="surface.insets.length === 0" class="soft small">
      A rug, a panel, or another floor within this one, with its own tile, pattern and border.
    </p>
    <InsetEditor
      v-for="inset in surface.insets"
      :key="inset.id"
      :job="job"
      :surface="surface"
      :inset="inset"
      :plan="plan"
      @lay="layInset(inset.id)"
      @remove="removeInset(inset.id)"
    />
    <div>
      <Button severity="secondary" outlined @click="addArea"><PhPlus :size="18" />Add an inset</Button>
    </div>
    <TroubleNote :why="trouble" />
  </section>
</template>
