import type { Job } from '@azulejo/core/job/job';
import { describeDue, describeOpen } from '@azulejo/core/messages/en/log';
import { describeAmount, materialName } from '@azulejo/core/messages/en/materials';
import type { Plan } from '@azulejo/core/plan';
import { entriesOf, type Entry, type EntryOf } from '@azulejo/core/site/entry';
import { hoursDue, type HoursDue, type StateOf } from '@azulejo/core/site/hoursDue';
import { leftOfTiles } from '@azulejo/core/site/leftOfTiles';
import { stillOpen } from '@azulejo/core/site/stillOpen';
import { actualSize } from '@azulejo/core/tile/product';
import { isLaid, placeName } from './model.ts';

/** Hours that are asked for, as they are shown. */
export interface DueShown extends HoursDue {
  readonly key: string;
  readonly words: string;
}

/** Hours of what was ticked and not written down. */
export const dueHours = (job: Job, plan: Plan, entries: readonly Entry[], stateOf: StateOf): readonly DueShown[] =>
  hoursDue(plan.money.work, plan.surfaces, stateOf, entries).map((due) => ({
    ...due,
    key: `${due.task} ${due.surfaceId} ${due.upTo}`,
    words: describeDue(due, placeName(job, due.surfaceId)),
  }));

/** Something that is still open, as it is shown. */
export interface OpenShown {
  readonly words: string;
  /** The surface that can be said to be laid: every zone of it lies. */
  readonly lies: string | null;
}

/** All that is still open on a job; `now` by the clock, ms. */
export const openOf = (job: Job, plan: Plan, entries: readonly Entry[], stateOf: StateOf, now: number): readonly OpenShown[] =>
  stillOpen({
    surfaces: job.surfaces,
    planned: plan.surfaces,
    stateOf,
    entries,
    due: hoursDue(plan.money.work, plan.surfaces, stateOf, entries),
    now,
  }).map((one) => ({
    words: describeOpen(one, (id) => placeName(job, id)),
    lies: one.open === 'surface' && one.zonesLeft === 0 ? one.surfaceId : null,
  }));

/** Whole tiles that the order leaves once all is laid. */
export interface SpareTiles {
  readonly productId: string;
  readonly words: string;
  /** As it goes on the shelf. */
  readonly leftOver: EntryOf<'leftOver'>['data'];
}

/** What is left over and not on the shelf yet; nothing before all is laid. */
export function spareTiles(job: Job, { materials }: Plan, entries: readonly Entry[]): readonly SpareTiles[] {
  if (!isLaid(job)) return [];
  const shelved = new Set(entriesOf(entries, 'leftOver').map(({ data }) => data.productId));
  return materials.flatMap((line) => {
    const product = job.products.find(({ id }) => id === line.productId);
    if (line.item !== 'tiles' || !product || shelved.has(product.id)) return [];
    const pieces = Math.floor(leftOfTiles(line, entries));
    if (pieces < 1) return [];
    const { widthMm, heightMm } = actualSize(product);
    return [
      {
        productId: product.id,
        words: `${materialName(job, line)}: ${describeAmount(pieces, line.unit, job.tape)}`,
        leftOver: { kind: 'leftOver' as const, productId: product.id, name: product.name, widthMm, heightMm, pieces },
      },
    ];
  });
}
