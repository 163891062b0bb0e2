import { proxy } from 'comlink';
import { computed, ref, shallowRef, type Ref } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { Drawing, SurfacePlan } from '@azulejo/core/plan/planned';
import type { PlanProgress } from '@azulejo/core/plan/layout/planSurfaceLayout';
import { briefOf, type SurfaceBrief } from '@azulejo/core/plan/layout/briefOf';
import { useBoardStore } from '../stores/boardStore.ts';
import { useJobStore } from '../stores/jobStore.ts';
import { handKept } from './keptPlan.ts';
import { newerOf } from './newerOf.ts';
import { drawer, planner } from './planner.ts';
import { useLatest } from './useLatest.ts';

interface Wanted {
  readonly job: Job;
  readonly surfaceId: string;
}

/** A result with the input it belongs to. */
interface Answer<T> extends Wanted {
  readonly result: T;
}

/** The drawing and the full plan of one surface; the drawing comes first and follows a moving hand. */
export function useSurfacePlan(surfaceId: Ref<string>) {
  const jobs = useJobStore();
  const board = useBoardStore();
  const surface = computed<Surface | null>(() => jobs.job?.surfaces.find(({ id }) => id === surfaceId.value) ?? null);

  const wanted = computed<Wanted | null>(() => {
    if (!jobs.job || !surface.value) return null;
    const preview = {
      ...(board.preview ? { setout: board.preview } : {}),
      ...(board.measuredPreview ? { measured: board.measuredPreview } : {}),
      ...(board.insetsPreview ? { insets: board.insetsPreview } : {}),
    };
    const moving = Object.keys(preview).length > 0;
    return { job: moving ? withPreview(jobs.job, surface.value, preview) : jobs.job, surfaceId: surfaceId.value };
  });

  /** The drawing shows what a hand rests on, too; it is not planned before it is chosen. */
  const shown = computed<Wanted | null>(() => {
    const { layingPreview } = board;
    if (!wanted.value || !surface.value || !layingPreview) return wanted.value;
    const { insetId, laying } = layingPreview;
    const insets = surface.value.insets.map((inset) => (inset.id === insetId ? { ...inset, ...laying } : inset));
    return { ...wanted.value, job: withPreview(wanted.value.job, surface.value, insetId === null ? laying : { insets }) };
  });

  const drawn = useLatest<Wanted, Answer<Drawing>>(shown, async (input) => ({
    ...input,
    result: await drawer.drawSurface(briefFor(input)),
  }));
  const progress = ref<PlanProgress | null>(null);
  const stopped = shallowRef<Wanted | null>(null);
  const isStopped = computed(() => stopped.value !== null && stopped.value === wanted.value);
  let working = false;
  // Progress comes by another way than the plan, and may come after it.
  const told = proxy((step: PlanProgress) => {
    if (working) progress.value = step;
  });
  const giveUp = (): void => void planner.giveUp();
  const planned = useLatest<Wanted, Answer<SurfacePlan>>(
    () => (isStopped.value ? null : wanted.value),
    async (input) => {
      working = true;
      try {
        await handKept(planner, input.job.id);
        const result = await planner.planSurface(briefFor(input), told);
        return result && { ...input, result };
      } finally {
        [working, progress.value] = [false, null];
      }
    },
    giveUp,
  );
  /** Stops working out the plan of what is on screen; a change starts it again. */
  function stop(): void {
    stopped.value = wanted.value;
    giveUp();
  }
  function again(): void {
    stopped.value = null;
  }

  const ofThisSurface = <T>(answer: Answer<T> | null): Answer<T> | null => (answer?.surfaceId === surfaceId.value ? answer : null);
  const plan = computed(() => ofThisSurface(planned.value.value)?.result ?? null);
  /** What is drawn: a plan that came before the drawing of the same job is newer than the last drawing. */
  const onScreen = computed(() => newerOf(ofThisSurface(drawn.value.value), ofThisSurface(planned.value.value), shown.value));
  const drawing = computed(() => onScreen.value.drawing);
  /** What is drawn is not yet what was asked for last. */
  const isBehind = computed(() => [drawn, planned].every(({ value }) => ofThisSurface<unknown>(value.value)?.job !== wanted.value?.job));
  const cuts = computed(() => onScreen.value.plan?.cuts ?? null);
  const toCut = computed(() => onScreen.value.plan?.toCut ?? null);
  const failed = computed(() => drawn.failed.value || planned.failed.value);
  return { surface, drawing, isBehind, plan, cuts, toCut, failed, progress, isStopped, stop, again };
}

/** What the worker is sent: the surface and its tiles, not the job with its pictures. */
function briefFor({ job, surfaceId }: Wanted): SurfaceBrief {
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) throw new Error(`the job has no such surface: ${surfaceId}`);
  return briefOf(job, surface);
}

function withPreview(job: Job, surface: Surface, preview: Partial<Surface>): Job {
  return { ...job, surfaces: job.surfaces.map((other) => (other.id === surface.id ? { ...other, ...preview } : other)) };
}
