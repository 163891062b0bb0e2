import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { readJobFile } from '../formats/jobFile.ts';
import { sharedArea } from '../geometry/clip.ts';
import { motion } from '../geometry/point.ts';
import { boxOf, mapPolygon, polygonArea, type Polygon } from '../geometry/ring.ts';
import { checkJob } from '../job/checkJob.ts';
import type { Job } from '../job/job.ts';
import { plan } from '../plan.ts';
import type { SurfacePlan } from '../planning/planned.ts';
import { randomJob } from '../trials/randomJob.ts';
import type { CutPiece } from './cutPiece.ts';
import type { CutSource } from './cutSource.ts';

/** A piece as its source says it is cut from the tile: turned about its own box, its near corner put where it is cut. */
function cutFrom({ inTile }: CutPiece, { at, turnDeg }: CutSource): Polygon {
  const turned = mapPolygon(inTile, motion(turnDeg, [0, 0]).turn);
  const { minX, minY } = boxOf(turned[0]);
  return mapPolygon(turned, ([x, y]) => [x - minX + at[0], y - minY + at[1]]);
}

/** What is wrong with the sources of a surface, replayed with nothing but polygons. */
function faultsOf({ cuts, offCuts }: SurfacePlan, { products, consumption }: Job): string[] {
  const faults: string[] = [];
  const tiles = new Map<number, { piece: CutPiece; placed: Polygon }[]>();
  for (const piece of cuts) {
    const source = offCuts.sources.get(piece.label);
    if (!source) {
      faults.push(`${piece.label} comes from nowhere`);
      continue;
    }
    if (piece.of === 'chip') continue;
    const before = tiles.get(source.tile) ?? [];
    const placed = cutFrom(piece, source);
    // A whole tile in the frame of its box: the piece lies within, and upon no other.
    const own = polygonArea(placed);
    const { minX, maxX, minY, maxY } = boxOf(placed[0]);
    // A tile that comes onto itself when turned does so to a tenth of a millimetre.
    if (own - sharedArea([placed], [[piece.tile]]) > 0.1 * (maxX - minX + maxY - minY))
      faults.push(`${piece.label} reaches out of its tile ${source.tile}`);
    for (const other of before) {
      if (sharedArea([placed], [other.placed]) > 0.5) faults.push(`${piece.label} and ${other.piece.label} share tile ${source.tile}`);
      if (other.piece.productId !== piece.productId || other.piece.hand !== piece.hand) faults.push(`two tiles are one: ${source.tile}`);
    }
    if (source.offCutOf !== null && !consumption.offCutsKept) faults.push(`${piece.label} is an off-cut where none is kept`);
    const product = products.find(({ id }) => id === piece.productId);
    if (product?.face === 'directional' && source.turnDeg !== 0) faults.push(`${piece.label} is turned against its way up`);
    tiles.set(source.tile, [...before, { piece, placed }]);
  }
  const opened = new Set([...offCuts.sources.values()].map(({ tile }) => tile)).size;
  // Sheets that are cut between chips alone have no piece of their own.
  if (cuts.every(({ of }) => of !== 'chip') && opened !== offCuts.openedForCuts)
    faults.push(`${opened} tiles are opened, ${offCuts.openedForCuts} are told`);
  if (offCuts.openedForCuts < offCuts.lowerBound) faults.push('fewer tiles are opened than can be');
  return faults;
}

const demo = (name: string): Job => {
  const read = readJobFile(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return read.value;
};

test.each(['tidewater-bakehouse', 'sample-boards', 'ferry-kiosk'])(
  'every cut of %s finds its place in the tile it is said to come from',
  (name) => {
    const job = demo(name);
    for (const surface of plan(job).surfaces) expect([surface.surfaceId, ...faultsOf(surface, job)]).toEqual([surface.surfaceId]);
  },
);

test('and on any job, whatever the outline of its tiles', () => {
  for (let seed = 1; seed <= 16; seed++) {
    const job = randomJob(seed);
    if (checkJob(job).length > 0) continue;
    expect([seed, ...plan(job).surfaces.flatMap((surface) => faultsOf(surface, job))]).toEqual([seed]);
  }
});

test('a source that is moved, or a tile that is shared, is noticed', () => {
  const job = demo('ferry-kiosk');
  const [surface] = plan(job).surfaces;
  const [first, second] = surface.cuts;
  const put = (label: string, change: Partial<CutSource>): SurfacePlan => {
    const source = surface.offCuts.sources.get(label);
    if (!source) throw new Error(label);
    return {
      ...surface,
      offCuts: { ...surface.offCuts, sources: new Map([...surface.offCuts.sources, [label, { ...source, ...change }]]) },
    };
  };
  expect(faultsOf(surface, job)).toEqual([]);
  expect(faultsOf(put(first.label, { at: [250, 0] }), job).join()).toMatch(/reaches out/);
  const shared = surface.offCuts.sources.get(second.label);
  expect(faultsOf(put(first.label, { ...shared }), job).join()).toMatch(/share tile/);
});
