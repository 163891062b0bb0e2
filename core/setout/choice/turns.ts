import { ROUNDING } from '../../tolerances.ts';
import { distance, subtract, type Point } from '../../geometry/point.ts';
import type { Edge } from '../../surface/edge.ts';
import type { TurnChoice } from './setoutChoice.ts';

/** A turn that is settled. */
export type SettledTurn = Exclude<TurnChoice, { rule: 'best' }>;

/** A turn with the angle it comes to, degrees. */
export interface Turn {
  readonly choice: SettledTurn;
  readonly deg: number;
}

/** The setout as the surface is drawn. */
export const AS_DRAWN: Turn = { choice: { rule: 'asDrawn' }, deg: 0 };

/** An edge shorter than this is nothing to set out by, mm. */
const SHORT_MM = 250;

/** Turns nearer than this are one, degrees: a millimetre over three metres. */
const SAME_DEG = 0.02;

/** So many edges are tried, those first that are looked at most. */
const MOST_TURNS = 6;

/** The turn square to an edge, as near to how the surface is drawn as it can be, degrees; null where it is curved or there is none. */
export function turnToEdge(edges: readonly Edge[], id: string, diagonal: boolean): number | null {
  const own = edges.filter((edge) => edge.id === id);
  if (own.length === 0) return null;
  const [from, to] = [own[0].from, own[own.length - 1].to];
  const straight = own.every((edge) => Math.abs(offBy(degOf(edge.from, edge.to) - degOf(from, to), 360)) < 0.5);
  if (!straight || distance(from, to) < 1) return null;
  const off = offBy(degOf(from, to), 90);
  return (Math.abs(off) < ROUNDING ? 0 : off) + (diagonal ? 45 : 0);
}

/** The turns that a choice allows on some edges. */
export function turnsOf(edges: readonly Edge[], choice: TurnChoice, mayTurn: boolean): Turn[] {
  if (!mayTurn || choice.rule === 'asDrawn') return [AS_DRAWN];
  if (choice.rule === 'byHand') return [{ choice, deg: choice.deg }];
  if (choice.rule === 'edge') {
    const deg = turnToEdge(edges, choice.edge, choice.diagonal);
    return [deg === null ? AS_DRAWN : { choice, deg }];
  }
  const turns: Turn[] = [AS_DRAWN];
  for (const { id } of seenFirst(edges)) {
    const deg = turnToEdge(edges, id, false);
    if (deg === null || turns.length >= MOST_TURNS) continue;
    if (turns.every((turn) => Math.abs(offBy(turn.deg - deg, 90)) > SAME_DEG))
      turns.push({ choice: { rule: 'edge', edge: id, diagonal: false }, deg });
  }
  return turns;
}

/** The long edges, each once; those first that count most, and of those the longest. */
function seenFirst(edges: readonly Edge[]): { readonly id: string; readonly weight: number }[] {
  const byId = new Map<string, { mm: number; seen: number }>();
  for (const { id, seen, isReveal, from, to } of edges) {
    if (!isReveal) byId.set(id, { mm: (byId.get(id)?.mm ?? 0) + distance(from, to), seen });
  }
  return [...byId]
    .filter(([, { mm }]) => mm >= SHORT_MM)
    .map(([id, { mm, seen }]) => ({ id, weight: mm * seen }))
    .sort((a, b) => b.weight - a.weight);
}

const degOf = (from: Point, to: Point): number => {
  const [x, y] = subtract(to, from);
  return (Math.atan2(y, x) * 180) / Math.PI;
};

/** The least turn that two directions differ by, where every `every` degrees are the same. */
const offBy = (deg: number, every: number): number => deg - every * Math.round(deg / every);
