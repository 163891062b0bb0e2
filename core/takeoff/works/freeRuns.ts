import { SAW_MM } from '../../tolerances.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { distance, dot, subtract, unit, type Point } from '../../geometry/point.ts';
import type { Edge } from '../../surface/edge.ts';
import type { Traced } from '../../surface/traceSurface.ts';

/** The boundary of the region strays from its edge by no more, mm. */
const ALONG_MM = SAW_MM;

/** The straight stretches of an edge in their order, each with how far its start is along the wall: over doorways too, mm. */
export function stretchesOf(edges: readonly Edge[], edgeId: string): { readonly edge: Edge; readonly startMm: number }[] {
  const own = edges.filter(({ id }) => id === edgeId);
  let start = 0;
  return own.map((edge, k) => {
    if (k > 0) start += distance(own[k - 1].from, own[k - 1].to) + distance(own[k - 1].to, edge.from);
    return { edge, startMm: start };
  });
}

/**
 * The stretches of an edge that tile comes up to, from its start, mm: none behind a cabinet. At the ends of the edge they
 * reach into the corner, and to the foot of what stands before it.
 */
export function freeRuns({ edges, region, fixtures }: Traced, edgeId: string): (readonly [number, number])[] {
  const widest = Math.max(0, ...edges.map(({ endMm }) => endMm), ...fixtures.map(({ fixture }) => fixture.clearanceMm));
  const runs: [number, number][] = [];
  for (const { edge, startMm: start } of stretchesOf(edges, edgeId)) {
    for (const ring of region.flat())
      ring.forEach((from, k) => {
        const run = runAlong(edge, [from, ring[(k + 1) % ring.length]], 1.5 * widest + ALONG_MM);
        if (run) runs.push([start + run[0], start + run[1]]);
      });
  }
  return joined(runs);
}

function runAlong(edge: Edge, stretch: readonly [Point, Point], reachMm: number): [number, number] | null {
  const [a, b] = stretch;
  const middle: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  if (Math.abs(distanceToStretch(middle, edge.from, edge.to) - Math.abs(edge.endMm)) > ALONG_MM) return null;
  const along = unit(subtract(edge.to, edge.from));
  const length = distance(edge.from, edge.to);
  const [from, to] = stretch.map((p) => dot(subtract(p, edge.from), along)).sort((p, q) => p - q);
  if (to - from < ALONG_MM) return null;
  return [from <= reachMm ? 0 : from, to >= length - reachMm ? length : to];
}

/** Runs in their order, those that touch made one. */
function joined(runs: readonly (readonly [number, number])[]): [number, number][] {
  const all: [number, number][] = [];
  for (const [from, to] of [...runs].sort((a, b) => a[0] - b[0])) {
    const last = all.at(-1);
    if (last && from <= last[1] + ALONG_MM) last[1] = Math.max(last[1], to);
    else all.push([from, to]);
  }
  return all;
}
