import { z } from 'zod';
import { cross, distance, subtract, unit } from '../../geometry/point.ts';
import type { Edge, EdgeRole } from '../../surface/edge.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import { freeRuns } from './freeRuns.ts';

/** What an edge ends in. */
export const TRIMS = ['none', 'profile', 'bullnose', 'dressed', 'mitre', 'skirting', 'skirtingTile', 'nosing', 'nosingTile'] as const;

/** What an edge ends in. */
export type Trim = (typeof TRIMS)[number];

/** Schema of what edges end in, by name; as its role has it where none is given. */
export const trimsSchema = z.record(z.string().max(80), z.enum(TRIMS));

/** An end that shows gets a profile; no other edge gets anything by itself. */
export const usualTrim = (role: EdgeRole): Trim => (role === 'exposed' ? 'profile' : 'none');

/** One edge with what it ends in: how long it runs free, and at which ends it meets another at a corner. */
export interface TrimRun {
  readonly edgeId: string;
  readonly trim: Trim;
  /** Each stretch that nothing stands before, mm. */
  readonly runsMm: readonly number[];
  /** Where each stretch begins and ends along the edge, mm. */
  readonly stretches: readonly (readonly [number, number])[];
  /** Ends at which it is mitred: corners where the same trim runs on. */
  readonly mitres: number;
  /** The edges it meets at a corner without going on along them: beyond them it may go on on another surface. */
  readonly corners: readonly string[];
}

/** Corners that turn by less are none: a curve runs on. */
export const CORNER_SINE = 0.1;

/** The edges of a surface that end in something, in their order. */
export function trimRuns(traced: Traced, trims: Readonly<Record<string, Trim>> = {}): TrimRun[] {
  const trimOf = (edge: Edge): Trim => (edge.isReveal ? 'none' : Object.hasOwn(trims, edge.id) ? trims[edge.id] : usualTrim(edge.role));
  const ids = [...new Set(traced.edges.map(({ id }) => id))];
  return ids.flatMap((edgeId): TrimRun[] => {
    const own = traced.edges.filter(({ id }) => id === edgeId);
    const trim = trimOf(own[0]);
    if (trim === 'none') return [];
    const stretches = freeRuns(traced, edgeId).filter(([from, to]) => to - from > 1);
    const met = cornersOf(traced.edges, edgeId);
    const corners = met.filter((neighbour) => trimOf(neighbour) !== trim).map(({ id }) => id);
    return [{ edgeId, trim, stretches, runsMm: stretches.map(([from, to]) => to - from), mitres: met.length - corners.length, corners }];
  });
}

/** The edges that an edge meets at its two ends, at a corner. */
function cornersOf(edges: readonly Edge[], edgeId: string): Edge[] {
  const turns = (a: Edge, b: Edge): boolean =>
    Math.abs(cross(unit(subtract(a.to, a.from)), unit(subtract(b.to, b.from)))) > CORNER_SINE && distance(a.to, b.from) < 1;
  return edges.flatMap((edge, k) => {
    if (edge.id !== edgeId) return [];
    const [before, after] = [edges[(k + edges.length - 1) % edges.length], edges[(k + 1) % edges.length]];
    return [
      ...(before.id !== edgeId && turns(before, edge) ? [before] : []),
      ...(after.id !== edgeId && turns(edge, after) ? [after] : []),
    ];
  });
}
