import type { Link } from '../surface/link.ts';
import { outlineOf } from '../surface/shapes/registry.ts';
import { tileAndBedMm } from '../takeoff/materials/bedding.ts';
import { saidFor, type MaterialRules } from '../takeoff/registry.ts';
import { longestSideOf } from '../takeoff/surfaceFigures.ts';
import { usualTrim, type Trim } from '../takeoff/works/trims.ts';
import { worksOf } from '../takeoff/works/works.ts';
import { productOf, type Job, type Surface } from './job.ts';

/** What the corners of surfaces and the trims that take a width go by. */
export interface CornerRules extends Pick<Job, 'products' | 'surfaces' | 'links'>, MaterialRules {
  readonly materials: Job['materials'];
}

/** How thick what is laid on a surface is, tile and bed, over what it was measured on, mm: its build-up where it has one. */
export function finishMm(rules: Pick<CornerRules, 'products' | 'materials'>, surface: Surface): number {
  const tile = productOf(rules, surface);
  const layers = surface.measured.buildUp?.layers ?? [];
  if (layers.length > 0) return layers.reduce((sum, { thicknessMm }) => sum + thicknessMm, tile.thicknessMm);
  const laid = { thicknessMm: tile.thicknessMm, longestSideMm: longestSideOf(tile), works: worksOf(surface, tile) };
  return tileAndBedMm(laid, rules.materials);
}

/** How a corner is closed: which of its faces runs through, or both mitred; null where neither takes anything off the other. */
export function cornerRun({ surfaces }: Pick<CornerRules, 'surfaces'>, { a, b, meets, through }: Link): 'a' | 'b' | 'mitred' | null {
  if (meets !== 'inside' && meets !== 'outside') return null;
  if (meets === 'outside' && [a, b].every((end) => trimAt(surfaces, end) === 'mitre')) return 'mitred';
  return through ?? null;
}

function trimAt(surfaces: readonly Surface[], { surface: id, edge }: Link['a']): Trim {
  const surface = surfaces.find((one) => one.id === id);
  return surface ? trimOf(surface, edge) : 'none';
}

/** What an edge of a surface ends in: as was said, or as its role has it. */
export const trimOf = ({ trims = {}, measured: { roles } }: Surface, edge: string): Trim =>
  Object.hasOwn(trims, edge) ? trims[edge] : usualTrim(Object.hasOwn(roles, edge) ? roles[edge] : 'wall');

/**
 * How much later than at its edge the field of a surface begins besides its gap, by edge, mm; below zero where it laps over the
 * edge of another.
 *
 *        inside: b butts against a          outside: a laps over b
 *        | a |                              ===a====
 *        |   |___                           ______|#|
 *        |   |_b_  b begins tile and bed         | |b|   a goes on by tile and bed
 *        |______   of a later                    | | |   of b
 *
 * A bullnose takes its width and a joint, a profile its face where that is stated (trade practice).
 */
export function standOffs(rules: CornerRules, surface: Surface): Readonly<Record<string, number>> {
  const off: Record<string, number> = {};
  const add = (edge: string, mm: number): void => {
    off[edge] = (Object.hasOwn(off, edge) ? off[edge] : 0) + mm;
  };
  for (const link of rules.links) for (const [edge, mm] of takenAt(rules, link, surface)) add(edge, mm);
  for (const edge of new Set(outlineOf(surface.measured.shape).edgeIds)) add(edge, trimWidth(rules, surface, edge));
  return Object.fromEntries(Object.entries(off).filter(([, mm]) => mm !== 0));
}

/** What one meeting takes off the edges of a surface, or adds to them. */
function takenAt(rules: CornerRules, link: Link, surface: Surface): (readonly [edge: string, mm: number])[] {
  const run = link.a.surface === surface.id || link.b.surface === surface.id ? cornerRun(rules, link) : null;
  if (run === null) return [];
  return (['a', 'b'] as const).flatMap((side) => {
    const other = rules.surfaces.find(({ id }) => id === link[side === 'a' ? 'b' : 'a'].surface);
    // Of a face whose tile the job has lost nothing is known; the job's check tells of it.
    if (link[side].surface !== surface.id || !other || !rules.products.some(({ id }) => id === other.productId)) return [];
    if (link.meets === 'inside') return run === side ? [] : [[link[side].edge, link.finishMm ?? finishMm(rules, other)] as const];
    return run === side || run === 'mitred' ? [[link[side].edge, -(link.finishMm ?? finishMm(rules, other))] as const] : [];
  });
}

/** The figure that says how wide a trim is, by which the field begins later; null where it takes no width. */
export function trimFigure(trim: Trim): { readonly item: 'bullnose' | 'edgeProfile'; readonly name: string } | null {
  if (trim === 'bullnose') return { item: 'bullnose', name: 'widthMm' };
  return trim === 'profile' ? { item: 'edgeProfile', name: 'faceMm' } : null;
}

function trimWidth(rules: MaterialRules, surface: Surface, edge: string): number {
  const trim = trimOf(surface, edge);
  const figure = trimFigure(trim);
  if (!figure) return 0;
  const { value } = saidFor(figure.item, rules).figures[figure.name];
  return trim === 'bullnose' ? value + surface.jointMm : value;
}
