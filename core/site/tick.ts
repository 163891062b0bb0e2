import { z } from 'zod';
import { keptCountSchema } from '../cuts/keptLabels.ts';
import type { Job } from '../job/job.ts';
import { setoutChoiceSchema } from '../setout/choice/setoutChoice.ts';

/** How far along a piece is, in the order of the work. */
export const TICK_STATES = ['open', 'cut', 'laid'] as const;

/** How far along a piece is. */
export type TickState = (typeof TICK_STATES)[number];

/** How the pieces of a surface were counted, and where its tiles lay, when the first of them was ticked. */
const keptSchema = z.strictObject({ counted: z.array(keptCountSchema).max(80), setout: setoutChoiceSchema });

/** How the pieces of a surface were counted when cutting began. */
export type KeptCount = z.infer<typeof keptSchema>;

/** That a piece was ticked: a record that is added and never changed. */
export const tickSchema = z.strictObject({
  id: z.uuid().describe('Named by who makes it: sent again, it is not made twice'),
  surfaceId: z.string().min(1).max(40),
  label: z.string().min(1).max(24).describe('The label of the piece'),
  state: z.enum(TICK_STATES),
  turn: z.int().min(1).max(1_000_000).describe('One more than the greatest turn that its maker knew for the piece; no clock is trusted'),
  kept: keptSchema.optional().describe('With the first tick of a surface: kept with it, so that labels and tiles stay where they are'),
});

/** That a piece was ticked. */
export type Tick = z.infer<typeof tickSchema>;

/** A piece, whatever surface it is on. */
type PieceName = Pick<Tick, 'surfaceId' | 'label'>;

/** Names a piece in one text. */
export const pieceKey = ({ surfaceId, label }: PieceName): string => `${surfaceId}/${label}`;

/**
 * Whether one tick of a piece is in force over another: made with more known of the piece; of two made beside each
 * other, the one that is further along, so that nothing done is lost.
 */
export function isOver(a: Tick, b: Tick): boolean {
  if (a.turn !== b.turn) return a.turn > b.turn;
  const [rankA, rankB] = [a, b].map(({ state }) => TICK_STATES.indexOf(state));
  return rankA === rankB ? a.id > b.id : rankA > rankB;
}

/** The ticks in force, piece by piece, whatever the order in which they came. */
export function ticksInForce(ticks: Iterable<Tick>): Map<string, Tick> {
  const inForce = new Map<string, Tick>();
  for (const tick of ticks) {
    const key = pieceKey(tick);
    const before = inForce.get(key);
    if (!before || isOver(tick, before)) inForce.set(key, tick);
  }
  return inForce;
}

/** A tick for a piece, after what is in force for it. */
export const nextTick = (id: string, piece: PieceName, state: TickState, inForce: ReadonlyMap<string, Tick>): Tick => ({
  id,
  surfaceId: piece.surfaceId,
  label: piece.label,
  state,
  turn: (inForce.get(pieceKey(piece))?.turn ?? 0) + 1,
});

/** Writes into a job how a surface was counted, unless that is kept already or the surface is gone. */
export function keepCount(draft: Pick<Job, 'surfaces'>, surfaceId: string, kept: KeptCount | undefined): void {
  const surface = draft.surfaces.find(({ id }) => id === surfaceId);
  if (!surface || surface.counted || !kept) return;
  surface.counted = kept.counted;
  surface.setout = kept.setout;
}
