import { fenceSettings, type CutSetting, type CutTrip } from '@azulejo/core/cuts/cutOrder';
import type { Surface } from '@azulejo/core/job/job';
import { describeCutting, describeTicked, tripName } from '@azulejo/core/messages/en/cutting';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Tick, TickState } from '@azulejo/core/site/tick';

/** Which cuts are listed. */
export type Listed = 'all' | 'open';

/** A trip to the saw as it is listed. */
export interface ShownTrip {
  readonly number: number;
  readonly name: string;
  /** Pieces of the whole trip, listed or not. */
  readonly count: number;
  readonly settings: readonly CutSetting[];
}

/** What the list of cuts shows. */
export interface CutListModel {
  readonly trips: readonly ShownTrip[];
  readonly labels: readonly string[];
  /** In how many trips, how often the fence is set. */
  readonly order: string;
  /** How many are cut and laid. */
  readonly told: string;
  /** Whether any piece is cut or laid. */
  readonly isTicked: boolean;
  /** Ticked under a label that no piece has any longer. */
  readonly strays: readonly string[];
}

/** What is ticked, of all surfaces of a job: the tick in force of each piece, and how many wait to be sent. */
export interface Ticked {
  readonly inForce: Iterable<Tick>;
  readonly waiting: number;
}

/** The cuts of a surface in the order in which they are made, with how far they are. */
export function cutList(
  surface: Surface,
  plan: SurfacePlan,
  trips: readonly CutTrip[],
  { inForce, waiting }: Ticked,
  listed: Listed,
): CutListModel {
  const own = [...inForce].filter(({ surfaceId, state }) => surfaceId === surface.id && state !== 'open');
  const states = new Map(own.map(({ label, state }) => [label, state]));
  const stateOf = (label: string): TickState => states.get(label) ?? 'open';
  const labels = plan.cuts.map(({ label }) => label);
  const known = new Set(labels);
  return {
    trips: trips.map((trip, k) => ({
      number: k + 1,
      name: tripName(trip, k + 1),
      count: trip.settings.reduce((sum, { pieces }) => sum + pieces.length, 0),
      settings: trip.settings.filter(({ pieces }) => listed === 'all' || pieces.some(({ label }) => stateOf(label) === 'open')),
    })),
    labels,
    order: describeCutting(plan.cuts, trips, fenceSettings(trips)),
    told: describeTicked(labels.map(stateOf), waiting),
    isTicked: own.length > 0,
    strays: own.map(({ label }) => label).filter((label) => !known.has(label)),
  };
}
