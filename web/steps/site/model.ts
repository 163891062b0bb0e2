import { caresOf } from '@azulejo/core/cuts/cutMethod';
import type { SeenPiece } from '@azulejo/core/cuts/backView';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { sharedHoles } from '@azulejo/core/cuts/sharedHoles';
import { tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import type { Words } from '@azulejo/core/messages/words';
import type { Plan } from '@azulejo/core/plan';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { nextInTurn, piecesInTurn, type Doing, type OutOfTurn } from '@azulejo/core/site/piecesInTurn';
import type { TickState } from '@azulejo/core/site/tick';
import { isZoneLaid } from '@azulejo/core/site/zoneTicks';
import { mixFor, type Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import { zoneMixes, type SurfaceMixes, type ZoneMix } from '@azulejo/core/takeoff/mixes/zoneMixes';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { LayingZone } from '@azulejo/core/zones/layingZones';

/** How far along a piece of the surface is. */
type StateOf = (label: string) => TickState;

/** What the next piece is taken from. */
export interface NextOn {
  readonly job: Job;
  readonly surface: Surface;
  readonly plan: SurfacePlan;
  readonly mixes: readonly Mix[];
  readonly doing: Doing;
  /** What it is told in. */
  readonly words: Words;
}

/** What of a surface no tick changes: its pieces in their turn, and the holes they share. */
export interface Turns {
  readonly pieces: readonly CutPiece[];
  readonly holes: ReturnType<typeof sharedHoles>;
}

/** The pieces of a surface in the order in which they are cut or laid. */
export const turnsOf = ({ job, surface, plan, doing }: NextOn): Turns => ({
  pieces: piecesInTurn(plan, surface.pattern, job.cutting, doing),
  holes: sharedHoles(plan.traced, plan.toCut),
});

/** The next piece of a surface as it is shown: one at a time. */
export interface NextPiece {
  readonly piece: CutPiece;
  readonly asMarked: SeenPiece;
  /** "249 x 300 mm" */
  readonly size: string;
  /** "Straight cut, snap cutter, from tile 4" */
  readonly kind: string;
  readonly marks: readonly string[];
  /** What to mind: holes shared with others, and of cutting it. */
  readonly minding: readonly string[];
}

/** The zone that a piece is laid in, as it is told. */
export interface ZoneAtHand {
  readonly zone: LayingZone;
  readonly words: string;
  /** Powder and water of its mix; null where nothing is mixed. */
  readonly mix: string | null;
  /** When the mix of the next zone is begun; empty in the last one. */
  readonly ahead: string;
}

/** What the view of one piece at a time shows. */
export interface NextModel {
  readonly labels: readonly string[];
  readonly left: number;
  readonly next: NextPiece | null;
  readonly zone: ZoneAtHand | null;
}

/** The next piece to be cut or laid on a surface, by what is done already; `seen` shows a piece as it is marked. */
export function nextModel(
  on: NextOn,
  { pieces, holes }: Turns,
  stateOf: StateOf,
  outOfTurn: OutOfTurn,
  seen: (piece: CutPiece) => SeenPiece,
): NextModel {
  const { doing } = on;
  const isDone = (label: string): boolean => (doing === 'cut' ? stateOf(label) !== 'open' : stateOf(label) === 'laid');
  const left = pieces.filter(({ label }) => !isDone(label));
  const next = nextInTurn(left, outOfTurn);
  return {
    labels: pieces.map(({ label }) => label),
    left: left.length,
    next: next && pieceModel(on, holes, next, seen(next)),
    zone: next && zoneModel(on, next.label),
  };
}

function pieceModel({ job, surface, plan, doing, words }: NextOn, shared: Turns['holes'], piece: CutPiece, asMarked: SeenPiece): NextPiece {
  const tape = words.read(tapeOf(job, surface));
  const { widthMm, heightMm } = piece.sizeMm;
  const product = job.products.find(({ id }) => id === piece.productId);
  const holes = (shared.get(piece.label) ?? []).map(words.describeSharedHole);
  const cares = product && doing === 'cut' ? words.describeCares(caresOf(piece, product)) : [];
  return {
    piece,
    asMarked,
    size: `${formatLength(widthMm, tape)} x ${formatLengthWithUnit(heightMm, tape)}`,
    kind: [words.cutName(piece), words.toolName(piece.tool), ...sourceOf(plan, piece.label, words)].join(', '),
    marks: [...asMarked.marks.map((mark) => words.describeMark(mark, tape)), ...(piece.strip ? words.describeFinish(piece.strip) : [])],
    minding: [...(piece.strip ? [words.describeStanding(piece.label, piece.strip, plan.traced.names, tape)] : []), ...holes, ...cares],
  };
}

function sourceOf({ offCuts }: SurfacePlan, label: string, { say }: Words): string[] {
  const source = offCuts.sources.get(label);
  if (!source) return [];
  return [source.blank === undefined ? say(source.isSheet ? 'cuts/fromSheet' : 'cuts/fromTile', source) : say('cuts/fromWhatIsThere')];
}

function zoneModel(on: NextOn, label: string): ZoneAtHand | null {
  const zone = on.plan.zones.zones.find(({ cuts }) => cuts.includes(label));
  return zone ? zoneAtHand(on, zone) : null;
}

/** A zone as it is told when it is laid. */
export function zoneAtHand({ job, surface, plan, mixes, words }: NextOn, zone: LayingZone): ZoneAtHand {
  const tape = words.read(tapeOf(job, surface));
  const { zones } = plan.zones;
  const adhesive = mixes.find(({ item, surfaces }) => item === 'adhesive' && surfaces.some(({ surfaceId }) => surfaceId === surface.id));
  const share = adhesive ? mixFor(adhesive, surface.id, zone.areaMm2 / 1e6) : null;
  return {
    zone,
    words: words.describeZone(zone, tape),
    mix: share && words.describeShare(share, tape),
    ahead: adhesive && zone.number < zones.length ? words.describeAhead(adhesive, tape) : '',
  };
}

/** The surface that is looked at: the one chosen, else the first that is not laid. */
export const surfaceAtHand = (surfaces: readonly Surface[], chosenId: string): Surface | null =>
  surfaces.find(({ id }) => id === chosenId) ?? surfaces.find(({ laid }) => !laid) ?? surfaces.at(0) ?? null;

/** A mix of the job, with what of it is stirred next. */
export interface MixAtHand {
  readonly mix: Mix;
  readonly stirred: readonly SurfaceMixes[];
  /** Of adhesive, what the zone takes that is being laid; undefined where all of a mix is used at once. */
  readonly now: ZoneMix | undefined;
}

/** What to stir next on a surface: of adhesive what the first zone takes that is not laid, of the rest as much as is used in time. */
export function mixesAtHand(plan: Plan, surfaceId: string, stateOf: StateOf): readonly MixAtHand[] {
  const planned = plan.surfaces.find((one) => one.surfaceId === surfaceId);
  const atHand = planned?.zones.zones.find((zone) => !isZoneLaid(zone, (label) => stateOf(label) === 'laid'))?.id;
  return plan.mixes.map((mix) => {
    const stirred = zoneMixes(mix, plan.surfaces);
    const own = stirred.find((one) => one.surfaceId === surfaceId)?.zones ?? [];
    return { mix, stirred, now: own.length > 1 ? own.find(({ zoneId }) => zoneId === atHand) : undefined };
  });
}
