import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkJob } from '../job/checkJob.ts';
import { editJob } from '../job/edit/editJob.ts';
import { readJob } from '../formats/jobFile.ts';
import { MIGRATIONS } from '../formats/migrations.ts';
import { distance } from '../geometry/point.ts';
import { boxOf, ringArea } from '../geometry/ring.ts';
import { JOB_VERSION, type Job } from '../job/job.ts';
import { measurementTitle } from '../messages/en/measurements.ts';
import { repeatRoom } from '../job/repeatSurface.ts';
import { PLAIN_LAYING, startJob } from '../job/startJob.ts';
import { startSet } from '../job/startSet.ts';
import { setFaceName } from '../messages/en/sets.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { lengthAt, measurementsOf, setLengthAt } from './measurements.ts';
import { lShape } from './shapes/lShape.ts';
import { facesOfSet, SETS, type SetForm } from './sets/registry.ts';
import { largestTriangle, readThirdSide } from './squareTriangle.ts';
import { outlineOf } from './shapes/registry.ts';
import { unfold } from './unfold.ts';
import { wallsThrough, addCorner, asWalls, moveCorner, removeCorner } from './shapes/asWalls.ts';

const empty = startJob('job', 'Trial', METRIC_TAPE);
function jobWith(form: SetForm): Job {
  const { room, surfaces, links } = startSet(empty, 'set', 'Set', form, setFaceName);
  return { ...empty, rooms: [room], surfaces: [...surfaces], links: [...links] };
}

describe.each(Object.entries(SETS))('%s', (id, { defaults, schema }) => {
  const job = jobWith(defaults);
  test('its surfaces are a sound job, and its form reads back', () => {
    expect(defaults.kind).toBe(id);
    expect(schema.parse(defaults)).toEqual(defaults);
    expect(checkJob(job)).toEqual([]);
    expect(readJob(JSON.parse(JSON.stringify(job)))).toEqual({ ok: true, value: job });
  });
  test('edges that meet are as long as each other, and the net folds out whole', () => {
    const { joins } = facesOfSet(defaults);
    expect(job.links).toHaveLength(joins.length);
    const net = unfold(job.surfaces[0].id, job.surfaces, job.links);
    expect(net.map(({ surfaceId }) => surfaceId).sort()).toEqual(job.surfaces.map((surface) => surface.id).sort());
    for (const { surfaceId, ring, over } of net) {
      const shape = job.surfaces.find((surface) => surface.id === surfaceId)?.measured.shape;
      expect(shape && ringArea(outlineOf(shape).ring)).toBeCloseTo(ringArea(ring), 3);
      if (!over) continue;
      for (const end of [over.from, over.to]) expect(Math.min(...ring.map((p) => distance(p, end)))).toBeLessThan(1e-6);
    }
  });
  test('repeated, it asks for every length again and stays linked within itself', () => {
    const copy = repeatRoom(job, 'set', 'copy', 'Copy');
    const both = {
      ...job,
      rooms: [...job.rooms, copy.room],
      surfaces: [...job.surfaces, ...copy.surfaces],
      links: [...job.links, ...copy.links],
    };
    expect(checkJob(both)).toEqual([]);
    expect(copy.links).toHaveLength(job.links.length);
    for (const { measured } of copy.surfaces) expect(measured.again).toEqual(measurementsOf(measured).map(({ key }) => key));
  });
});

test('a niche folds out as a cross: two depths and its width across', () => {
  const job = jobWith({ kind: 'niche', widthMm: 600, heightMm: 300, leftDepthMm: 90, rightDepthMm: 95, sillDepthMm: 100, headDepthMm: 80 });
  const box = boxOf(unfold('set-back', job.surfaces, job.links).flatMap(({ ring }) => ring));
  expect([box.maxX - box.minX, box.maxY - box.minY].map(Math.round)).toEqual([90 + 600 + 95, 100 + 300 + 80]);
});

test('an edge has one neighbour, and a link names edges that are there', () => {
  const job = jobWith(SETS.shower.defaults);
  const codes = (links: Job['links']): string[] => checkJob({ ...job, links }).map(({ code }) => code);
  expect(codes([job.links[0], { ...job.links[0], id: 'again' }])).toEqual(['link/edge-taken']);
  expect(codes([{ ...job.links[0], a: { surface: 'gone', edge: 'left' } }])).toEqual(['link/no-such-surface']);
  expect(codes([{ ...job.links[0], b: { ...job.links[0].b, edge: 'slope' } }])).toEqual(['surface/no-such-edge']);
});

test('every length can be found, named and written by its key', () => {
  const { measured } = editJob(jobWith(SETS.stairFlight.defaults), 'joint', ({ surfaces: [first] }) => {
    first.measured.shape = { ...asWalls(lShape.defaults), checks: [{ id: 'c', from: 'bottom', to: 'top', mm: 3000, twice: false }] };
    first.measured.doorways = [{ id: 'd', edge: 'bottom', fromStartMm: 10, widthMm: 700, depthMm: 50 }];
    first.measured.base = {
      edge: 'left',
      readings: [
        { alongMm: 0, downMm: 900 },
        { alongMm: 90, downMm: 901 },
      ],
    };
    first.measured.levels = { datum: '', fill: 'bed', leastMm: 3, readings: [{ id: 'p1', xMm: 1, yMm: 2, downMm: 3 }] };
  }).job.surfaces[0];
  const draft = structuredClone(measured);
  for (const measurement of measurementsOf(measured)) {
    expect(lengthAt(measured, measurement.key)).toBe(measurement.mm);
    expect(measurementTitle(measurement, measured)).toMatch(/^[A-Za-z].{4,}/);
    setLengthAt(draft, measurement.key, 77);
  }
  expect(measurementsOf(draft).every(({ mm }) => mm === 77)).toBe(true);
  expect(measurementsOf(measured).length).toBe(6 + 1 + 3 + 2 + 1);
});

test('corners can be moved, added and taken out, and the outline is what they make it', () => {
  fc.assert(
    fc.property(fc.nat(5), fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 }), (corner, dx, dy) => {
      const shape = asWalls(lShape.defaults);
      const { ring } = outlineOf(shape);
      const to = [ring[corner][0] + dx, ring[corner][1] + dy] as const;
      const moved = outlineOf(moveCorner(shape, corner, to)).ring;
      const gap = (k: number): number => distance(ring[k], ring[0]) - distance(moved[k], moved[0]);
      for (let k = 1; k < 6; k++) if (corner !== 0 && k !== corner) expect(Math.abs(gap(k))).toBeLessThan(1e-3);
      const more = addCorner(shape, corner, 'new');
      expect(ringArea(outlineOf(more).ring)).toBeCloseTo(ringArea(ring), 2);
      expect(outlineOf(removeCorner(more, corner + 1)).ring.length).toBe(6);
    }),
  );
  expect(
    wallsThrough(
      [
        [0, 0],
        [3, 0],
        [3, 4],
      ],
      [0, 1, 2].map((k) => ({ id: `w${k}`, name: '', curve: null })),
    ).walls.map(({ lengthMm }) => lengthMm),
  ).toEqual([3, 4, 5]);
});

test('the largest 3-4-5 triangle that fits, and what its third side says', () => {
  expect(largestTriangle(3612, 2710, 100)).toEqual({ firstMm: 3600, secondMm: 2700, acrossMm: 4500 });
  expect(largestTriangle(1900, 2600, 100)).toEqual({ firstMm: 1800, secondMm: 2400, acrossMm: 3000 });
  expect(largestTriangle(250, 2600, 100)).toBeNull();
  const triangle = { firstMm: 1800, secondMm: 2400, acrossMm: 3000 };
  expect(readThirdSide(triangle, 3000, 5000)).toEqual({ angleDeg: expect.closeTo(90, 9), runOffMm: expect.closeTo(0, 9) });
  const open = readThirdSide(triangle, Math.hypot(1800 + 2400 * Math.sin(0.01), 2400 * Math.cos(0.01)), 5000);
  expect(open).toEqual({ angleDeg: expect.closeTo(90 + (0.01 * 180) / Math.PI, 6), runOffMm: expect.closeTo(5000 * Math.sin(0.01), 4) });
  expect(readThirdSide(triangle, 4300, 5000)).toBeNull();
});

const RUG = {
  id: 'rug',
  name: 'Rug',
  outline: { kind: 'rectangle', widthMm: 400, heightMm: 300 },
  from: [
    { edge: 'left', mm: 700 },
    { edge: 'bottom', mm: 600 },
  ],
  border: null,
  setout: { x: { rule: 'best' }, y: { rule: 'best' } },
};

test('every older version of the job file has its migration, and each does its part', () => {
  expect(Object.keys(MIGRATIONS).map(Number)).toEqual(Array.from({ length: JOB_VERSION - 1 }, (_, k) => k + 1));
  const job = jobWith({ kind: 'room', widthMm: 2640, depthMm: 1985, heightMm: 1200 });
  const old = JSON.parse(JSON.stringify({ ...job, version: 1, links: [], rooms: [], surfaces: [{ ...job.surfaces[0], roomId: null }] }));
  old.surfaces[0].measured.fixtures = [
    { id: 'p', name: 'Pipe', outline: { kind: 'round', diameterMm: 110 }, fromX: 'right', xMm: 420, fromY: 'top', yMm: 310 },
  ];
  // Version 4 called insets areas, version 3 knew one pack of a material, version 2 directional tiles alone.
  const { insets, ...first } = old.surfaces[0];
  old.surfaces[0] = { ...first, areas: [{ ...RUG, ...PLAIN_LAYING, productId: job.products[0].id, jointMm: 3, pattern: first.pattern }] };
  delete old.materials;
  old.prices = { grout: { bagKg: 5, price: 17 } };
  old.consumption = { ...old.consumption, trowelNotchMm: 10, backButtered: true, groutKgPerLitre: 1.5 };
  const { face, ...tile } = old.products[0];
  old.products[0] = { ...tile, directional: true };
  const read = readJob(old);
  expect([insets, face]).toEqual([[], 'plain']);
  expect(read.ok && read.value.surfaces[0].insets.map(({ id, outline }) => [id, outline])).toEqual([[RUG.id, RUG.outline]]);
  expect(read.ok && read.value.materials).toEqual({
    adhesive: { choices: { notchMm: 10, backs: 'skim' } },
    grout: { packs: [{ size: 5, price: 17 }], figures: { kgPerLitre: 1.5 } },
  });
  expect(read.ok && read.value.products[0].face).toBe('directional');
  expect(read.ok && read.value.surfaces[0].measured.fixtures[0].from).toEqual([
    { edge: 'right', mm: 420 },
    { edge: 'top', mm: 310 },
  ]);
});
