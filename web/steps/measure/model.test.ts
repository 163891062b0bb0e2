import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lineOfEdge, placeFixture, type Fixture } from '@azulejo/core/surface/fixture';
import { linkSchema } from '@azulejo/core/surface/link';
import { outlineOf, type Shape } from '@azulejo/core/surface/shapes/registry';
import { IMPERIAL_TAPE, METRIC_TAPE } from '@azulejo/core/units/tape';
import { demoJob } from '../../../testing/demoJob.ts';
import { plannedOnce } from '../../../testing/plannedOnce.ts';
import {
  bareWalls,
  coverOf,
  edgeRows,
  edgesToMeet,
  joinedTo,
  measuredFrom,
  nextReading,
  openableWalls,
  startDoorway,
  startReadings,
  trimsOn,
} from './model.ts';

const job = demoJob('tidewater-bakehouse');
const ROOM: Shape = { kind: 'rectangle', widthMm: 4200, heightMm: 3100 };

describe('edges of a surface', () => {
  const { surfaces } = plannedOnce(job);
  const withDoor = job.surfaces.find(({ kind, measured }) => kind === 'floor' && measured.doorways.length > 0);
  if (!withDoor) throw new Error('the demo has no floor with a doorway');
  const plan = surfaces.find(({ surfaceId }) => surfaceId === withDoor.id);
  if (!plan) throw new Error('the floor is not planned');

  test('each once, no reveals, doorways last; role, gap and trim as the surface has them', () => {
    const rows = edgeRows(withDoor, plan);
    const ids = rows.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const doors = withDoor.measured.doorways.map(({ id }) => id);
    expect(ids.slice(-doors.length).sort()).toEqual([...doors].sort());
    const traced = plan.traced.edges.filter(({ isReveal }) => !isReveal);
    expect(new Set(traced.map(({ id }) => id))).toEqual(new Set(ids));
    for (const row of rows) expect(traced.find(({ id }) => id === row.id)).toMatchObject({ role: row.role, gapMm: row.gapMm });
    const [first] = rows;
    const dressed = { ...withDoor, trims: { [first.id]: 'dressed' as const } };
    const own = { ...dressed, measured: { ...dressed.measured, edgeGapsMm: { [first.id]: 4 } } };
    expect(edgeRows(own, plan)[0]).toMatchObject({ trim: 'dressed', own: true });
  });

  test('skirting is for the walls of floors that have none', () => {
    const rows = edgeRows({ ...withDoor, trims: {} }, plan);
    const bare = bareWalls('floor', rows);
    expect(bare.length).toBeGreaterThan(0);
    for (const id of bare) expect(['wall', 'focal', 'hidden']).toContain(rows.find((row) => row.id === id)?.role);
    expect(bareWalls('wall', rows)).toEqual([]);
    expect(bareWalls('floor', edgeRows({ ...withDoor, trims: Object.fromEntries(bare.map((id) => [id, 'skirting'])) }, plan))).toEqual([]);
    expect(trimsOn('floor')).toContain('skirting');
    expect(trimsOn('wall')).not.toContain('nosing');
    expect(trimsOn('countertop')).not.toContain('skirtingTile');
  });
});

describe('what is begun with', () => {
  test('a doorway stands within its wall, whatever the wall; names never meet', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 20_000 }), fc.integer({ min: 60, max: 20_000 }), (widthMm, heightMm) => {
        const walls = openableWalls({ kind: 'rectangle', widthMm, heightMm });
        expect(walls.map(({ start }) => start)).toEqual(['left', 'bottom', 'right', 'top']);
        expect(walls.map(({ lengthMm }) => lengthMm)).toEqual([widthMm, heightMm, widthMm, heightMm]);
        const doors = walls.reduce<ReturnType<typeof startDoorway>[]>((others, wall) => [...others, startDoorway(wall, others)], []);
        expect(new Set(doors.map(({ id }) => id)).size).toBe(4);
        for (const [k, door] of doors.entries()) expect(door.fromStartMm + door.widthMm).toBeLessThanOrEqual(walls[k].lengthMm);
      }),
    );
  });

  test('nine levels lie within the surface in three rows; the next one stands beside the last', () => {
    const nine = startReadings(ROOM);
    expect([...new Set(nine.map(({ xMm }) => xMm))]).toEqual([336, 2100, 3864]);
    expect([...new Set(nine.map(({ yMm }) => yMm))]).toEqual([248, 1550, 2852]);
    expect(new Set(nine.map(({ id }) => id)).size).toBe(9);
    const next = nextReading(nine);
    expect([next.xMm, next.yMm, nine.some(({ id }) => id === next.id)]).toEqual([4064, 2852, false]);
    expect(nextReading([])).toMatchObject({ xMm: 200, yMm: 0, downMm: 1000 });
  });

  test('a cover reaches a finger over the cut, in the measure of the tape', () => {
    const outline = { kind: 'round', diameterMm: 60 } as const;
    expect(coverOf({ outline }, METRIC_TAPE)).toEqual({ widthMm: 80, heightMm: 80 });
    expect(coverOf({ outline }, IMPERIAL_TAPE).widthMm).toBeCloseTo(60 + 19.05);
  });
});

test('a thing that is measured from another edge stays where it is', () => {
  const { ring, edgeIds } = outlineOf(ROOM);
  const [bottom, right, top, left] = edgeIds;
  const outline = { kind: 'rectangle', widthMm: 300, heightMm: 200 } as const;
  const centreOf = (from: Fixture['from']) => {
    const [a, b] = from.map(({ edge }) => lineOfEdge(ring, edgeIds, edge));
    return a && b ? placeFixture({ outline, from }, [a, b])?.centre : null;
  };
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3500 }), fc.integer({ min: 0, max: 2500 }), (x, y) => {
      const from: Fixture['from'] = [
        { edge: left, mm: x },
        { edge: bottom, mm: y },
      ];
      const across = measuredFrom({ outline, from }, ROOM, 0, right);
      expect(across[0]).toEqual({ edge: right, mm: 4200 - 300 - x });
      const both = measuredFrom({ outline, from: across }, ROOM, 1, top);
      expect(both[1]).toEqual({ edge: top, mm: 3100 - 200 - y });
      expect(centreOf(both)).toEqual(centreOf(from));
    }),
  );
  // Two edges that run the same way place nothing: for the job to refuse.
  const from: Fixture['from'] = [
    { edge: left, mm: 10 },
    { edge: bottom, mm: 20 },
  ];
  expect(measuredFrom({ outline, from }, ROOM, 1, right)).toEqual([from[0], { edge: right, mm: 4200 - 300 - 10 }]);
});

test('where surfaces meet is told from either side; edges with their lengths', () => {
  const link = linkSchema.parse({ id: 'j', a: { surface: 'floor', edge: 'top' }, b: { surface: 'wall', edge: 'bottom' }, meets: 'inside' });
  const links = [link];
  expect(joinedTo({ links }, 'floor')).toEqual([{ link, mine: link.a, theirs: link.b }]);
  expect(joinedTo({ links }, 'wall')).toEqual([{ link, mine: link.b, theirs: link.a }]);
  expect(joinedTo({ links }, 'other')).toEqual([]);
  const edges = edgesToMeet({ shape: ROOM });
  expect(edges.map(({ lengthMm }) => lengthMm)).toEqual([4200, 3100, 4200, 3100]);
  expect(new Set(edges.map(({ name }) => name)).size).toBe(4);
});
