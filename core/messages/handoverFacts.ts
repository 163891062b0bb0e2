import type { Job, Surface } from '../job/job.ts';
import type { Plan } from '../plan.ts';
import { dayAt, isoDay } from '../programme/calendar.ts';
import { entriesOf, type Entry, type EntryOf } from '../site/entry.ts';
import { leftOfTiles } from '../site/leftOfTiles.ts';

type OrderLine = Plan['materials'][number];

/** A surface as it was laid, or is to be. */
export interface NotedSurface {
  readonly surface: Surface;
  readonly areaMm2: number;
}

/** A part of the note that stays with the client, in words. */
export interface HandoverPart {
  readonly heading: string;
  readonly lines: readonly string[];
}

/** What the note that stays with the client tells of, before it is put into words. */
export interface HandoverFacts {
  readonly laid: readonly NotedSurface[];
  readonly notLaid: readonly NotedSurface[];
  /** Lines of the order that went into what is laid and stay in the building, besides tiles. */
  readonly used: readonly OrderLine[];
  /** What was done otherwise; `place` is null where it is of the whole job. */
  readonly changes: readonly { readonly place: string | null; readonly text: string }[];
  readonly lots: readonly { readonly productId: string; readonly code: string }[];
  /** What is left over as it was written down at the end. */
  readonly keptTiles: readonly EntryOf<'leftOver'>['data'][];
  /** Before that: what the order leaves, in whole tiles. */
  readonly spareTiles: readonly { readonly line: OrderLine; readonly count: number }[];
  /** The days on which all is done and heavy things may stand on it; null without days. */
  readonly days: { readonly done: Date; readonly fullLoad: Date } | null;
  readonly care: CareFacts;
  readonly snags: readonly string[];
}

/** What is looked after: of what is laid, or of all in a note that is made before. */
export interface CareFacts {
  /** Names of tiles that acid etches. */
  readonly stones: readonly string[];
  /** Names of tiles that drink. */
  readonly porous: readonly string[];
  /** Surfaces whose grout is sealed; null where that is all of them. */
  readonly groutSealedOn: readonly string[] | null;
}

/** What stays in the building besides tiles. */
const STAYS: ReadonlySet<string> = new Set([
  'adhesive',
  'readyAdhesive',
  'grout',
  'readyGrout',
  'epoxyGrout',
  'sealant',
  'tileSealer',
  'groutSealer',
  'membrane',
]);

/** What stays with the client: what was laid and used, what is spare, how it is looked after, what is still to be done. */
export function handoverFacts(job: Job, plan: Plan, entries: readonly Entry[]): HandoverFacts {
  const kept = entriesOf(entries, 'leftOver');
  return {
    laid: surfacesOf(job, plan, true),
    notLaid: surfacesOf(job, plan, false),
    used: job.surfaces.some(({ laid }) => laid) ? plan.materials.filter((line) => STAYS.has(line.item) && isUsed(line, job)) : [],
    changes: entriesOf(entries, 'change').map(({ surfaceId, data }) => ({
      place: job.surfaces.find(({ id }) => id === surfaceId)?.name ?? null,
      text: data.text,
    })),
    lots: entriesOf(entries, 'lot').map(({ data }) => data),
    keptTiles: kept.map(({ data }) => data),
    spareTiles:
      kept.length > 0
        ? []
        : plan.materials.flatMap((line) => {
            const count = line.item === 'tiles' ? Math.floor(leftOfTiles(line, entries)) : 0;
            return count >= 1 ? [{ line, count }] : [];
          }),
    days: daysOf(job, plan),
    care: careOf(job, plan),
    snags: entriesOf(entries, 'snag').flatMap(({ data }) => (data.done ? [] : [data.text])),
  };
}

const surfacesOf = (job: Job, plan: Plan, isLaid: boolean): NotedSurface[] =>
  job.surfaces.flatMap((surface) => {
    const planned = plan.surfaces.find(({ surfaceId }) => surfaceId === surface.id);
    return planned && surface.laid === isLaid ? [{ surface, areaMm2: planned.extent.areaMm2 }] : [];
  });

/** Whether a line went into a surface that is laid. */
function isUsed({ how }: OrderLine, job: Job): boolean {
  if (!('surfaces' in how)) return true;
  const laid = new Set(job.surfaces.flatMap((surface) => (surface.laid ? [surface.id] : [])));
  return how.surfaces.some(({ surfaceId }) => laid.has(surfaceId));
}

function daysOf(job: Job, { programme }: Plan): HandoverFacts['days'] {
  if (!job.programme?.startDay || programme.tasks.length === 0) return null;
  const [done, fullLoad] = [programme.ends, programme.fullLoad].map(
    // At noon a day is the same day wherever it is read.
    (hours) => new Date(`${isoDay(programme.calendar, dayAt(hours))}T12:00:00`),
  );
  return { done, fullLoad };
}

function careOf(job: Job, plan: Plan): CareFacts {
  const isBegun = job.surfaces.some(({ laid }) => laid);
  const own = plan.surfaces.filter(({ surfaceId }) => !isBegun || job.surfaces.some(({ id, laid }) => id === surfaceId && laid));
  const ids = new Set(own.flatMap(({ figures }) => figures.tiles.map(({ productId }) => productId)));
  const tiles = job.products.filter(({ id }) => ids.has(id));
  const sealed = own.filter(({ figures }) => figures.works.does.sealGrout);
  return {
    stones: tiles.filter(({ material }) => material === 'natural stone').map(({ name }) => name),
    porous: tiles.filter((product) => product.porous).map(({ name }) => name),
    groutSealedOn:
      sealed.length > 0 && sealed.length === own.length
        ? null
        : job.surfaces.filter(({ id }) => sealed.some(({ surfaceId }) => surfaceId === id)).map(({ name }) => name),
  };
}
