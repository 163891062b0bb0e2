import { expect, test } from '@jest/globals';
import { ringArea, type Ring } from '../geometry/ring.ts';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { glanceOf, type SketchFill } from './glance.ts';

/** The area a path covers, read from the path alone: outer rings less their holes. */
function areaOf({ path }: SketchFill): number {
  const rings = path
    .split('M')
    .slice(1)
    .map(
      (part) =>
        part
          .replace('Z', '')
          .split('L')
          .map((pair) => pair.split(' ').map(Number)) as unknown as Ring,
    );
  return Math.abs(rings.reduce((sum, ring) => sum + ringArea(ring), 0));
}

test('a sketch is of the surface: as large, and as much of it tiled', () => {
  const job = demoJob('sample-boards');
  const planned = demoPlan('sample-boards');
  const ids = job.surfaces.map(({ id }) => id);
  const { sketches } = glanceOf(job, planned, ids);
  expect(sketches.map(({ surfaceId }) => surfaceId)).toEqual(ids);
  const unitsPerMm = 200 / 1200;
  for (const { surfaceId, width, height, fills } of sketches) {
    expect([width, height]).toEqual([200, 150]);
    const [ground, ...tiles] = fills;
    const surface = planned.surfaces.find((one) => one.surfaceId === surfaceId);
    const { areaMm2, tiledAreaMm2 } = surface?.extent ?? { areaMm2: 0, tiledAreaMm2: 0 };
    expect(areaOf(ground) / (areaMm2 * unitsPerMm ** 2)).toBeCloseTo(1, 1);
    // Chips too fine to be told apart are one ground in the colour they come to.
    if (tiles.length === 0) expect(ground.colour).not.toBe(job.surfaces.find(({ id }) => id === surfaceId)?.jointColour);
    else expect(tiles.reduce((sum, fill) => sum + areaOf(fill), 0) / (tiledAreaMm2 * unitsPerMm ** 2)).toBeCloseTo(1, 1);
  }
});

test('what is laid asks for no attention, what is not tells its first warning; unknown surfaces are passed over', () => {
  const job = demoJob('tidewater-bakehouse');
  const planned = demoPlan('tidewater-bakehouse');
  const { attention, sketches } = glanceOf(job, planned, ['oven-wall', 'no-such']);
  expect(sketches.map(({ surfaceId, laid }) => [surfaceId, laid])).toEqual([['oven-wall', true]]);
  const warned = job.surfaces.filter(
    (surface, k) =>
      !surface.laid && planned.findings.some(({ path, severity }) => path[0] === 'surfaces' && path[1] === k && severity === 'warning'),
  );
  expect(attention.map(({ surfaceId }) => surfaceId)).toEqual(warned.map(({ id }) => id));
  for (const { surfaceId, first, warnings } of attention) {
    const k = job.surfaces.findIndex(({ id }) => id === surfaceId);
    const own = planned.findings.filter(({ path, severity }) => path[0] === 'surfaces' && path[1] === k && severity === 'warning');
    expect([first, warnings]).toEqual([own[0], own.length]);
  }
});
