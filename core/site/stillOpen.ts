import type { Surface } from '../job/job.ts';
import { entriesOf, type Entry, type EntryOf } from './entry.ts';
import type { HoursDue, StateOf, TickedSurface } from './hoursDue.ts';
import { minutesLeft, type TimerKind } from './timer.ts';
import { isZoneLaid } from './zoneTicks.ts';

/** Something that stands between a job and its end. */
export type StillOpen =
  /** Surfaces of which nothing lies. */
  | { readonly open: 'notBegun'; readonly surfaceIds: readonly string[] }
  /** A surface that is begun and not said to be laid, and how many of its zones do not lie. */
  | { readonly open: 'surface'; readonly surfaceId: string; readonly zonesLeft: number; readonly of: number }
  | { readonly open: 'wait'; readonly timer: TimerKind; readonly minutes: number }
  | { readonly open: 'snags'; readonly count: number }
  | ({ readonly open: 'hours' } & HoursDue);

/** What is known of a job on site. */
export interface SiteState {
  readonly surfaces: readonly Pick<Surface, 'id' | 'laid'>[];
  readonly planned: readonly TickedSurface[];
  readonly stateOf: StateOf;
  readonly entries: readonly Entry[];
  readonly due: readonly HoursDue[];
  /** By the clock, ms. */
  readonly now: number;
}

/** All that is still open on a job: what is to be laid, waits that run, snags, hours that nobody wrote down. */
export function stillOpen({ surfaces, planned, stateOf, entries, due, now }: SiteState): StillOpen[] {
  const notBegun: string[] = [];
  const begun = surfaces.flatMap(({ id, laid }): StillOpen[] => {
    if (laid) return [];
    const zones = planned.find(({ surfaceId }) => surfaceId === id)?.zones.zones ?? [];
    const left = zones.filter((zone) => !isZoneLaid(zone, (label) => stateOf(id, label) === 'laid'));
    if (left.length === zones.length) notBegun.push(id);
    return left.length === zones.length ? [] : [{ open: 'surface', surfaceId: id, zonesLeft: left.length, of: zones.length }];
  });
  const waits = entriesOf(entries, 'timer').flatMap(({ id, at, data: { timer, minutes } }): StillOpen[] => {
    const left = minutesLeft({ id, timer, minutes, startedAt: Date.parse(at) }, now);
    return left > 0 ? [{ open: 'wait', timer, minutes: left }] : [];
  });
  const count = entriesOf(entries, 'snag').filter(({ data }) => !data.done).length;
  return [
    ...begun,
    ...(notBegun.length > 0 ? [{ open: 'notBegun' as const, surfaceIds: notBegun }] : []),
    ...waits,
    ...(count > 0 ? [{ open: 'snags' as const, count }] : []),
    ...due.map((one): StillOpen => ({ open: 'hours', ...one })),
  ];
}

/** That a job was closed, by the log; null while it is not. */
export const closedBy = (entries: readonly Entry[]): EntryOf<'closed'> | null => entriesOf(entries, 'closed').at(-1) ?? null;
