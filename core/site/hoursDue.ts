import type { TaskId } from '../labour/tasks.ts';
import type { WorkHours } from '../labour/workHours.ts';
import { entriesOf, type Entry } from './entry.ts';
import type { TickState } from './tick.ts';
import { isZoneLaid } from './zoneTicks.ts';

/** Work whose pieces are ticked. */
const TICKED = ['cut', 'lay', 'strips'] as const satisfies readonly TaskId[];

/** Work whose pieces are ticked. */
export type TickedTask = (typeof TICKED)[number];

/** Work that is done by what is ticked, and of which no hours are written down. */
export interface HoursDue {
  readonly surfaceId: string;
  readonly task: TickedTask;
  /** Which part of the work on the surface is done, 0 to 1. */
  readonly upTo: number;
  /** What the plan gives for the part that is not written down, in quarters of an hour. */
  readonly hours: number;
}

/** What of a surface is looked at: its pieces, its zones. */
export interface TickedSurface {
  readonly surfaceId: string;
  readonly toCut: readonly { readonly label: string; readonly minutes: number; readonly strip?: object }[];
  readonly zones: { readonly zones: readonly { readonly id: string; readonly areaMm2: number; readonly cuts: readonly string[] }[] };
}

/** How far along a piece of a surface is. */
export type StateOf = (surfaceId: string, label: string) => TickState;

/** A part of a whole, by how much each of its things weighs; nothing is no part. */
function shareOf<T>(things: readonly T[], weightOf: (thing: T) => number, isDone: (thing: T) => boolean): number {
  const weigh = (some: readonly T[]): number => some.reduce((sum, thing) => sum + weightOf(thing), 0);
  const all = weigh(things);
  return all > 0 ? weigh(things.filter(isDone)) / all : 0;
}

/** Which part of each work on a surface is done by what is ticked, 0 to 1: cuts by the minutes they take, laying by its zones. */
export function shareDone({ surfaceId, toCut, zones }: TickedSurface, stateOf: StateOf): Readonly<Record<TickedTask, number>> {
  const isLaid = (label: string): boolean => stateOf(surfaceId, label) === 'laid';
  return {
    cut: shareOf(
      toCut,
      ({ minutes }) => minutes,
      ({ label }) => stateOf(surfaceId, label) !== 'open',
    ),
    lay: shareOf(
      zones.zones,
      ({ areaMm2 }) => areaMm2,
      (zone) => isZoneLaid(zone, isLaid),
    ),
    strips: shareOf(
      toCut.filter(({ strip }) => strip !== undefined),
      () => 1,
      ({ label }) => isLaid(label),
    ),
  };
}

/** Up to which part of a work its hours are written down; where an entry does not say, as far as the plan would be in that time. */
function shareWritten({ task, surfaceId, hours }: WorkHours, entries: readonly Entry[]): number {
  let share = 0;
  for (const { surfaceId: on, data } of entriesOf(entries, 'hours'))
    if (on === surfaceId && data.task === task) share = Math.max(share, data.upTo ?? Math.min(1, share + data.hours / hours));
  return share;
}

/** Work that was ticked since hours were last written down of it, from a quarter of an hour on; in the order of the work. */
export function hoursDue(
  work: readonly WorkHours[],
  surfaces: readonly TickedSurface[],
  stateOf: StateOf,
  entries: readonly Entry[],
): HoursDue[] {
  const done = new Map(surfaces.map((surface) => [surface.surfaceId, shareDone(surface, stateOf)]));
  return work.flatMap((one): HoursDue[] => {
    const task = TICKED.find((ticked) => ticked === one.task);
    const upTo = task && done.get(one.surfaceId)?.[task];
    if (!task || upTo === undefined) return [];
    const since = upTo - shareWritten(one, entries);
    const hours = Math.round(4 * one.hours * since) / 4;
    return hours > 0 ? [{ surfaceId: one.surfaceId, task, upTo, hours }] : [];
  });
}
