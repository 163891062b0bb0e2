import { boxOf, isInside, ringArea, type Ring } from '../../geometry/ring.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { distance, subtract, unit } from '../../geometry/point.ts';
import type { Finding } from '../../advice/finding.ts';
import type { Job, Surface } from '../../job/job.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import { productNamed } from '../../tile/product.ts';
import { depthsFrom, widthsAlong, type EndingLine, type LaidPiece } from './laidPieces.ts';
import { tileRing } from '../../setout/place/layout.ts';

/** What a finding speaks of. */
export interface Spoken {
  readonly job: Job;
  readonly surface: Surface;
  readonly plan: SurfacePlan;
  readonly pieces: readonly LaidPiece[];
}

type Check = (figures: Readonly<Record<string, number>>, spoken: Spoken, finding: Finding) => boolean;

/** Tapes agree so far, mm. */
const READ_TO_MM = 1;

const near = (mm: number, other: number, within = READ_TO_MM): boolean => Math.abs(mm - other) <= within;
const sides = (ring: Ring): readonly [number, number] => {
  const { minX, maxX, minY, maxY } = boxOf(ring);
  return [maxX - minX, maxY - minY];
};

/** Pieces that some lines cut, one of them of a width. */
const isCutTo = (lines: readonly EndingLine[], pieces: readonly LaidPiece[], mm: number): boolean =>
  lines.flatMap((line) => [...widthsAlong(line, pieces), ...depthsFrom(line, pieces)]).some((width) => near(width, mm));

/** Whether a width is under a third of a tile, and a strip. */
const isNarrow = (mm: number, pieces: readonly LaidPiece[]): boolean =>
  pieces.some(({ tile }) => sides(tile).some((side) => mm < side / 3 + 0.1));

/** How far each inner corner of an outline is from the rest of it: no leg there is narrower. */
function innerCorners(outer: Ring): number[] {
  const ring = outer.filter((p, k) => distance(p, outer[(k + 1) % outer.length]) > 0.001);
  const sign = Math.sign(ringArea(ring));
  return ring.flatMap((p, k) => {
    const before = (k + ring.length - 1) % ring.length;
    const [into, out] = [unit(subtract(p, ring[before])), unit(subtract(ring[(k + 1) % ring.length], p))];
    if (sign * (into[0] * out[1] - into[1] * out[0]) > -0.5) return [];
    const rest = ring.flatMap((a, m) => (m === k || m === before ? [] : [distanceToStretch(p, a, ring[(m + 1) % ring.length])]));
    return [Math.min(...rest.filter((mm) => mm > 0.05))];
  });
}

const cutNamed = ({ plan }: Spoken, finding: Finding) => plan.cuts.find(({ label }) => label === finding.figures['label']);

/**
 * Findings by code, each held against the pieces and the measurements themselves, on another way than its rule went. Those
 * that only repeat what was said of the surface have none.
 */
export const FINDING_CHECKS: Readonly<Record<string, Check>> = {
  'advice/sliver': ({ cutMm }, { plan, pieces }, { figures }) => {
    // Within a border the field ends at its inner side.
    const own = plan.edges.filter(({ id }) => (plan.traced.names[id] ?? id) === figures['edge']);
    const lines = [...new Set(own.flatMap(({ cuts }) => cuts.map(({ edge }) => edge)))];
    // A bent edge is met in many stretches.
    return (lines.length > 4 || isCutTo(lines, pieces, cutMm)) && isNarrow(cutMm, pieces);
  },
  'advice/thin-beside': ({ cutMm }, { surface, plan, pieces }, { figures }) => {
    const ids = surface.measured.fixtures.filter(({ name }) => name === figures['name']).map(({ id }) => id);
    const lines = plan.beside.filter(({ id }) => ids.some((own) => id.startsWith(own))).flatMap(({ cuts }) => cuts.map(({ edge }) => edge));
    return (lines.length > 40 || isCutTo([...new Set(lines)], pieces, cutMm)) && isNarrow(cutMm, pieces);
  },
  'advice/cut-along-joint': ({ count, cutMm }, { surface, plan, pieces }) => {
    const ids = (surface.measured.carriedJoints ?? []).flatMap(({ id }) => [`${id}-below`, `${id}-above`]);
    const lines = plan.beside.filter(({ id }) => ids.includes(id)).flatMap(({ cuts }) => cuts.map(({ edge }) => edge));
    return count <= lines.length && isCutTo([...new Set(lines)], pieces, cutMm);
  },
  'advice/left-to-joint': ({ count, widestMm }, { plan }) => {
    const lost = plan.fields.flatMap(({ layout }) => layout.dropped.map(([outer]) => Math.min(...sides(outer))));
    return lost.filter((mm) => mm >= 0.9).length >= count && widestMm < 2 && lost.some((mm) => mm >= widestMm - 0.1);
  },
  'advice/shaved': ({ offMm }, { plan }) =>
    offMm >= 0.5 &&
    offMm < 3 &&
    plan.cuts.some(({ inTile, tile }) => {
      // A corner of the piece lies so far in from a side of its tile.
      const { minX, minY, maxX, maxY } = boxOf(tile);
      return inTile[0].some(([x, y]) => [x - minX, maxX - x, y - minY, maxY - y].some((mm) => near(mm, offMm, 0.05)));
    }),
  'advice/fragile-ear': ({ legMm }, spoken, finding) => {
    const cut = cutNamed(spoken, finding);
    if (!cut) return false;
    // A leg runs along one side of the notch; the nearest way to the rim may be aslant, and no longer.
    return innerCorners(cut.inTile[0]).some((mm) => mm <= legMm + READ_TO_MM) && legMm < Math.max(25, Math.max(...sides(cut.tile)) / 3);
  },
  'advice/thin-bridge': ({ bridgeMm, limitMm }, spoken, finding) => {
    const cut = cutNamed(spoken, finding);
    const [, hole] = cut?.inTile ?? [];
    if (!cut || !hole) return false;
    const { minX, minY, maxX, maxY } = boxOf(cut.inTile[0]);
    const least = Math.min(...hole.flatMap(([x, y]) => [x - minX, maxX - x, y - minY, maxY - y]));
    // A piece with a slant comes nearer to its hole than its box does.
    return bridgeMm <= least + 0.3 && bridgeMm < limitMm && (cut.inTile[0].length > 4 || near(least, bridgeMm, 0.3));
  },
  'advice/glass-strips': ({ count, narrowestMm, leastMm }, { job, plan }) => {
    const glass = plan.cuts.filter(({ productId }) => productNamed(job.products, productId).material === 'glass');
    const strips = glass.map(({ inTile }) => Math.min(...sides(inTile[0]))).filter((mm) => mm < leastMm);
    return strips.length >= count && near(Math.min(...strips), narrowestMm, 0.05);
  },
  'advice/split-round': (_, { plan }, { figures }) => {
    const column = plan.traced.fixtures.find(({ fixture }) => fixture.name === figures['name']);
    const tiles = plan.fields.flatMap(({ layout }) => layout.cutTiles.map((tile) => tileRing(layout, tile)));
    return column !== undefined && tiles.some((tile) => column.clearRing.every((p) => isInside(p, [[tile]])));
  },
  'advice/no-bit': ({ holeMm, largestBitMm }, { surface, job }) =>
    holeMm > largestBitMm &&
    largestBitMm === Math.max(0, ...(job.consumption.coreBitsMm ?? [])) &&
    surface.measured.fixtures.some(
      ({ outline, clearanceMm }) => outline.kind === 'round' && near(outline.diameterMm + 2 * clearanceMm, holeMm, 0.1),
    ),
  'advice/not-flat': ({ gapMm, limitMm }, { surface }) => {
    const downs = surface.measured.levels?.readings.map(({ downMm }) => downMm) ?? [];
    return gapMm > limitMm && gapMm <= Math.max(...downs) - Math.min(...downs) + 0.01;
  },
  'advice/fill-thin': ({ depthMm, limitMm }, { surface }) =>
    depthMm < limitMm && near(depthMm, surface.measured.levels?.leastMm ?? -1, 0.01),
  'advice/fill-thick': ({ depthMm, limitMm }, { surface }) => {
    const downs = surface.measured.levels?.readings.map(({ downMm }) => downMm) ?? [];
    const deepest = Math.max(...downs) - Math.min(...downs) + (surface.measured.levels?.leastMm ?? 0);
    return depthMm > limitMm && near(deepest, depthMm, 0.01);
  },
  'advice/finishes-proud': ({ offMm }, spoken) => near(stepMm(spoken), offMm, 0.01),
  'advice/finishes-low': ({ offMm }, spoken) => near(-stepMm(spoken), offMm, 0.01),
  'advice/stands-off': ({ offMm }, { surface, plan }, { figures }) => {
    const own = plan.traced.fixtures.find(({ fixture }) => fixture.name === figures['name']);
    const line = plan.traced.edges.find(({ id }) => (plan.traced.names[id] ?? id) === figures['edge']);
    if (!own || !line || surface.measured.shape.kind !== 'rectangle') return own !== undefined && line !== undefined;
    const [a, b, lengthMm] = [line.from, line.to, distance(line.from, line.to)];
    const away = own.ring.map(([x, y]) => Math.abs((b[0] - a[0]) * (a[1] - y) - (a[0] - x) * (b[1] - a[1])) / lengthMm);
    return near(Math.min(...away), offMm, 0.1);
  },
  'advice/door-in-the-air': ({ offMm }, { surface }, { figures }) =>
    surface.measured.fixtures.some(({ name, from }) => name === figures['name'] && from.some(({ mm }) => mm === offMm)) && offMm > 0,
  'advice/narrow-joint': ({ jointMm, smallestMm }, { surface }) => jointMm === surface.jointMm && jointMm < smallestMm,
  'advice/uneven-pieces': ({ rangeMm, jointMm }, { job, surface }) => {
    const { sample } = productNamed(job.products, surface.productId);
    const spread = (of: 'widthMm' | 'heightMm'): number =>
      Math.max(...sample.map((one) => one[of])) - Math.min(...sample.map((one) => one[of]));
    return near(Math.max(spread('widthMm'), spread('heightMm')), rangeMm, 1e-6) && jointMm < 3 * rangeMm;
  },
  'advice/bay-too-long': ({ longestMm, limitMm }, { plan }) =>
    near(Math.max(...plan.traced.region.flatMap(([outer]) => sides(outer))), longestMm, 0.1) && longestMm > limitMm,
  'advice/deep-boxes': ({ count, deepMm }, { surface, plan }) =>
    surface.measured.fixtures.filter(({ kind, tiledUnder }) => ['socket', 'doubleSocket', 'switch'].includes(kind) && !tiledUnder)
      .length === count && deepMm > Math.max(...plan.figures.tiles.map(() => plan.figures.thicknessMm)),
  'advice/clip-width': ({ widthMm, jointMm }, { surface }) => jointMm === surface.jointMm && Math.abs(widthMm - jointMm) >= 0.25,
  'advice/nominal-size': ({ widthMm, heightMm }, { job, plan }, { figures }) =>
    plan.figures.tiles
      .map(({ productId }) => productNamed(job.products, productId))
      .some(
        ({ name, nominal, measured }) =>
          name === figures['name'] && measured === null && nominal.widthMm === widthMm && nominal.heightMm === heightMm,
      ),
};

/** How far the finish stands above its neighbour, mm. */
function stepMm({ job, surface }: Spoken): number {
  const { buildUp } = surface.measured;
  if (!buildUp) return 0;
  const { thicknessMm } = productNamed(job.products, surface.productId);
  return buildUp.layers.reduce((sum, layer) => sum + layer.thicknessMm, thicknessMm) - buildUp.neighbourMm;
}
