import type { SeenPiece } from '@azulejo/core/cuts/backView';
import { caresOf, HARDLY_DONE } from '@azulejo/core/cuts/cutMethod';
import { fenceSettings, type CutSetting, type CutTrip } from '@azulejo/core/cuts/cutOrder';
import type { OffCutPlan } from '@azulejo/core/cuts/offCuts/planOffCuts';
import type { SharedHole } from '@azulejo/core/cuts/sharedHoles';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { Words } from '@azulejo/core/messages/words';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Tick, TickState } from '@azulejo/core/site/tick';
import { isZoneTick } from '@azulejo/core/site/zoneTicks';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';

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
  words: Words,
): CutListModel {
  const own = [...inForce].filter(({ surfaceId, state }) => surfaceId === surface.id && state !== 'open');
  const states = new Map(own.map(({ label, state }) => [label, state]));
  const stateOf = (label: string): TickState => states.get(label) ?? 'open';
  const labels = plan.toCut.map(({ label }) => label);
  const known = new Set(labels);
  return {
    trips: trips.map((trip, k) => ({
      number: k + 1,
      name: words.tripName(trip, k + 1),
      count: trip.settings.reduce((sum, { pieces }) => sum + pieces.length, 0),
      settings: trip.settings.filter(({ pieces }) => listed === 'all' || pieces.some(({ label }) => stateOf(label) === 'open')),
    })),
    labels,
    order: words.describeCutting(plan.toCut, trips, fenceSettings(trips)),
    told: words.describeTicked(labels.map(stateOf), waiting),
    isTicked: own.length > 0,
    strays: own.map(({ label }) => label).filter((label) => !known.has(label) && !isZoneTick(label)),
  };
}

/** What a card of equal cuts is told from. */
export interface CardOf {
  readonly job: Job;
  readonly surfaceId: string;
  readonly setting: CutSetting;
  /** A piece as it is marked. */
  readonly seen: SeenPiece;
  /** Null while it is being planned. */
  readonly offCuts: OffCutPlan | null;
  /** With whom pieces share a hole, by label. */
  readonly holes: ReadonlyMap<string, readonly SharedHole[]>;
  /** The piece that is pointed at. */
  readonly chosenLabel: string | null;
  readonly stateOf: (label: string) => TickState;
  /** What edges are called where that is not their id. */
  readonly edgeNames: Readonly<Record<string, string>>;
}

/** Equal cuts as a card shows them. */
export interface CardModel {
  /** "249 x 300 mm" */
  readonly size: string;
  readonly marks: readonly string[];
  /** What a hand can hardly do of it, and what else to mind. */
  readonly hard: readonly string[];
  readonly minding: readonly string[];
  /** Which tile the chosen piece comes from; null where none is chosen, or that is still being planned. */
  readonly source: string | null;
  /** What a press ticks: the chosen piece, or all of the card. */
  readonly meant: readonly string[];
  readonly cut: number;
  readonly laid: number;
}

/** Where a strip among some pieces stands. */
function standingOf(
  label: string,
  pieces: CutSetting['pieces'],
  names: Readonly<Record<string, string>>,
  words: Words,
  tape: Tape,
): string[] {
  const strip = pieces.find((piece) => piece.label === label)?.strip;
  return strip ? [words.describeStanding(label, strip, names, tape)] : [];
}

/** A card of equal cuts. */
export function cutCard(of: CardOf, words: Words, tape: Tape): CardModel {
  const { job, surfaceId, setting, seen, offCuts, holes, chosenLabel, stateOf, edgeNames } = of;
  const { first } = setting.group;
  const labels = setting.pieces.map(({ label }) => label);
  const chosen = chosenLabel !== null && labels.includes(chosenLabel) ? chosenLabel : null;
  const product = job.products.find(({ id }) => id === first.productId);
  const cares = product ? caresOf(first, product) : [];
  const source = chosen === null ? undefined : offCuts?.sources.get(chosen);
  // With whom it shares its hole is told of the chosen piece, or of the only one.
  const holder = labels.length === 1 ? labels[0] : (chosen ?? '');
  return {
    size: `${formatLength(first.sizeMm.widthMm, tape)} x ${formatLengthWithUnit(first.sizeMm.heightMm, tape)}`,
    marks: [...seen.marks.map((mark) => words.describeMark(mark, tape)), ...(first.strip ? words.describeFinish(first.strip) : [])],
    hard: words.describeCares(cares.filter((care) => HARDLY_DONE.has(care))),
    minding: [
      ...(holes.get(holder) ?? []).map(words.describeSharedHole),
      ...words.describeCares(cares.filter((care) => !HARDLY_DONE.has(care))),
    ],
    source:
      source && chosen !== null
        ? [words.describeSource(chosen, source, job, surfaceId), ...standingOf(chosen, setting.pieces, edgeNames, words, tape)].join(' ')
        : null,
    meant: chosen === null ? labels : [chosen],
    cut: labels.filter((label) => stateOf(label) !== 'open').length,
    laid: labels.filter((label) => stateOf(label) === 'laid').length,
  };
}
