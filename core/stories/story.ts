import { checkJob } from '../job/checkJob.ts';
import type { Job, Surface } from '../job/job.ts';
import { startJob, startSurfaceOf } from '../job/startJob.ts';
import type { TaskId } from '../labour/tasks.ts';
import type { MaterialId } from '../takeoff/registry.ts';
import { describeLines } from '../messages/en/lines.ts';
import { describeMark } from '../messages/en/marks.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import { plan, type Plan } from '../plan.ts';
import type { Money } from '../money/planMoney.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Fixture } from '../surface/fixture.ts';
import type { Shape } from '../surface/shapes/registry.ts';
import { productSchema, type Product } from '../tile/product.ts';
import { METRIC_TAPE } from '../units/tape.ts';

/** A tile of a story: plain ceramic of 8 mm unless it is said otherwise, ten to a box of 20; lengths in mm. */
export const tile = (id: string, [widthMm, heightMm]: readonly [number, number], over: Partial<Product> = {}): Product =>
  productSchema.parse({
    id,
    name: id,
    material: 'ceramic',
    nominal: { widthMm, heightMm },
    measured: { widthMm, heightMm },
    thicknessMm: 8,
    piecesPerBox: 10,
    boxPrice: 20,
    ...over,
  });

type EdgePlace = readonly [edge: string, mm: number];

/** Something on a surface, placed from two edges as it is measured. */
export const fixture = (
  id: string,
  kind: Fixture['kind'],
  outline: Fixture['outline'],
  from: readonly [EdgePlace, EdgePlace],
  over: Partial<Fixture> = {},
): Fixture => ({
  id,
  name: id,
  kind,
  outline,
  from: from.map(([edge, mm]) => ({ edge, mm })) as Fixture['from'],
  tiledUnder: false,
  clearanceMm: 0,
  cover: null,
  ...over,
});

export const box = (widthMm: number, heightMm: number) => ({ kind: 'rectangle' as const, widthMm, heightMm });
export const round = (diameterMm: number) => ({ kind: 'round' as const, diameterMm });

/** Surfaces of a story, each by what differs from a plain one. */
interface Told {
  readonly id: string;
  readonly kind: Surface['kind'];
  readonly shape: Shape;
  readonly tile: string;
  readonly measured?: Partial<Surface['measured']>;
  readonly surface?: Partial<Surface>;
}

/** A job of a story; throws where it would be refused. */
export function jobOf(name: string, products: readonly Product[], told: readonly Told[], over: Partial<Job> = {}): Job {
  const empty = startJob('story', name, METRIC_TAPE);
  const surfaces = told.map(({ id, kind, shape, tile: productId, measured, surface }): Surface => {
    const plain = startSurfaceOf({ ...empty, products: [...products] }, id, id, kind, shape);
    return { ...plain, productId, ...surface, measured: { ...plain.measured, ...measured } };
  });
  const job = { ...empty, products: [...products], surfaces, ...over };
  const issues = checkJob(job);
  if (issues.length > 0) throw new Error(`${name} can't be: ${JSON.stringify(issues)}`);
  return job;
}

/** What a story asks of a plan, in the words and the units of a tiler. */
export interface Story {
  readonly job: Job;
  readonly plan: Plan;
  readonly of: (id: string) => SurfacePlan;
  /** The cut pieces of a surface as "width x height", mm to half a millimetre, with how many there are of each. */
  readonly sizes: (id: string) => Record<string, number>;
  /** The marks of one piece. */
  readonly marks: (id: string, label: string) => string[];
  readonly lines: (id: string) => string[];
  /** Quantity of a material before packs, in its own unit. */
  readonly needs: (item: MaterialId, variant?: string) => number;
  readonly packs: (item: MaterialId) => string[];
  /** Hours of a work over all surfaces, for one pair of hands. */
  readonly hours: (task: TaskId) => number;
  /** The works of all places in the order in which they begin, each once. */
  readonly days: () => TaskId[];
  readonly findings: () => string[];
  readonly money: Money;
}

/** Plans a story, once; as it was planned elsewhere, where that is handed in. */
export function tell(job: Job, planned: Plan = plan(job)): Story {
  const of = (id: string): SurfacePlan => {
    const found = planned.surfaces.find(({ surfaceId }) => surfaceId === id);
    if (!found) throw new Error(`no such surface is planned: ${id}`);
    return found;
  };
  const half = (mm: number): number => Math.round(2 * mm) / 2;
  return {
    job,
    plan: planned,
    of,
    sizes: (id) => {
      const counts: Record<string, number> = {};
      for (const { sizeMm } of of(id).cuts) {
        const key = `${half(sizeMm.widthMm)} x ${half(sizeMm.heightMm)}`;
        counts[key] = (counts[key] ?? 0) + 1;
      }
      return counts;
    },
    marks: (id, label) =>
      of(id)
        .cuts.filter((piece) => piece.label === label)
        .flatMap(({ marks }) => marks.map((mark) => describeMark(mark, METRIC_TAPE))),
    lines: (id) => describeLines(of(id).struck, thingNamesOf(of(id).traced), METRIC_TAPE),
    needs: (item, variant) =>
      planned.materials
        .filter((line) => line.item === item && (variant === undefined || line.variant === variant))
        .reduce((sum, { quantity }) => sum + quantity, 0),
    packs: (item) =>
      planned.materials.flatMap((line) => (line.item === item ? line.packs.map(({ count, size }) => `${count} of ${size}`) : [])),
    hours: (task) => planned.money.work.filter((one) => one.task === task).reduce((sum, { hours }) => sum + hours, 0),
    days: () => [...new Set([...planned.programme.tasks].sort((a, b) => a.start - b.start).map(({ task }) => task))],
    findings: () => [...new Set(planned.findings.map(({ code }) => code))].sort(),
    money: planned.money,
  };
}
