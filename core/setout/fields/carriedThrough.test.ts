import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { intersect } from '../../geometry/clip.ts';
import { polygonsArea, rectangleRing, ringArea, type Polygon } from '../../geometry/ring.ts';
import { workHours } from '../../labour/workHours.ts';
import { plan, planSurface } from '../../plan.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import type { CarriedJoint } from '../../surface/carriedJoint.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { trials } from '../../../testing/trials.ts';

const GAP_MM = 5;

const PATTERNS = [
  { kind: 'stack', lay: 'lying' },
  { kind: 'runningBond', lay: 'lying', step: 'alternating', offset: 0.5 },
  { kind: 'herringbone', lay: 'lying', strips: 1 },
] as const;

const floors = fc.record({
  size: fc.tuple(fc.integer({ min: 2000, max: 4200 }), fc.integer({ min: 1800, max: 3600 })),
  tile: fc.tuple(fc.integer({ min: 200, max: 600 }), fc.integer({ min: 150, max: 400 })),
  jointMm: fc.integer({ min: 2, max: 5 }),
  pattern: fc.constantFrom(...PATTERNS),
  edge: fc.constantFrom('left', 'bottom'),
  share: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
  slantMm: fc.constantFrom(0, 0, 40),
  widerMm: fc.integer({ min: 0, max: 6 }),
  offset: fc.tuple(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 600 })),
});

type Floor = typeof floors extends fc.Arbitrary<infer T> ? T : never;

/** The floor with a joint that is carried through, and where the joint lies from the edge it is measured from. */
function floorOf({ size, tile, jointMm, pattern, edge, share, slantMm, widerMm, offset }: Floor) {
  const across = edge === 'left' ? size[0] : size[1];
  const atMm = Math.round(across * share);
  const joint: CarriedJoint = {
    id: 'm',
    kind: 'movement',
    edge,
    fromStartMm: atMm,
    fromEndMm: atMm + slantMm,
    widthMm: jointMm + widerMm,
    fill: 'sealant',
  };
  const setout = { x: { rule: 'free', offsetMm: offset[0] }, y: { rule: 'free', offsetMm: offset[1] } } as const;
  const job = jobOfOne({
    size,
    tile,
    jointMm,
    gapMm: GAP_MM,
    surface: { kind: 'floor', pattern, setout },
    measured: { carriedJoints: [joint] },
  });
  return { job, joint, atMm };
}

/** The strip that is kept clear, reckoned from the corners of the room by itself: 'left' runs from the top down, 'bottom' from the left. */
function stripOf([wide, high]: readonly [number, number], { edge, fromStartMm: a, fromEndMm: b, widthMm }: CarriedJoint): Polygon {
  const [length, from, to] = edge === 'left' ? [high, b, a] : [wide, a, b];
  const half = (widthMm / 2) * Math.sqrt(1 + ((to - from) / length) ** 2);
  const ends = [
    [0, from],
    [length, to],
  ];
  const ring = [...ends.map(([along, off]) => [along, off - half]), ...ends.reverse().map(([along, off]) => [along, off + half])];
  const placed = ring.map(([along, off]): [number, number] => (edge === 'left' ? [off, along] : [along, off]));
  return [ringArea(placed) < 0 ? placed.reverse() : placed];
}

const piecesOf = ({ fields }: ReturnType<typeof planSurface>): Polygon[] =>
  fields.flatMap(({ layout }) => {
    const pieces = layout.cutTiles.flatMap(({ polygons }) => polygons);
    forEachWhole(layout, (address) => void pieces.push([tileRing(layout, address)]));
    return pieces;
  });

describe('a movement joint that is carried through', () => {
  test('is kept clear of tile, whatever the pattern; tile and joint make up the floor without it', () => {
    fc.assert(
      fc.property(floors, (floor) => {
        const { job, joint } = floorOf(floor);
        const found = planSurface(job, job.surfaces[0]);
        const pieces = piecesOf(found);
        const strip = stripOf(floor.size, joint);
        const room: Polygon = [rectangleRing(GAP_MM, GAP_MM, floor.size[0] - 2 * GAP_MM, floor.size[1] - 2 * GAP_MM)];
        const inRoom = polygonsArea(intersect([room], [strip]));
        // Half a millimetre is taken by the joint, as at a wall.
        expect(polygonsArea(intersect(pieces, [strip]))).toBeLessThanOrEqual(0.51 * (inRoom / joint.widthMm));
        expect(found.extent.areaMm2).toBeCloseTo(polygonsArea([room]) - inRoom, 0);
        expect(found.extent.tiledAreaMm2).toBeCloseTo(polygonsArea(pieces), 0);
        expect(polygonsArea(intersect(pieces, [room])) - polygonsArea(pieces)).toBeCloseTo(0, 0);
      }),
      { numRuns: trials(60) },
    );
  });

  test('goes into a joint that lies there, and moves on what is beyond: nothing is cut along it', () => {
    fc.assert(
      fc.property(floors, fc.integer({ min: 1, max: 3 }), (floor, tiles) => {
        // Lying: the long side runs across.
        const [wide, high] = [Math.max(...floor.tile), Math.min(...floor.tile)];
        const step = (floor.edge === 'left' ? wide : high) + floor.jointMm;
        const across = floor.edge === 'left' ? floor.size[0] : floor.size[1];
        const width = floor.jointMm + floor.widerMm;
        // So many whole tiles off the edge, and the joint begins where the last one ends.
        const atMm = GAP_MM + tiles * step - floor.jointMm + width / 2;
        fc.pre(atMm + step < across);
        const { job, joint } = floorOf({ ...floor, pattern: PATTERNS[0], slantMm: 0, offset: [0, 0] });
        const placed = { ...joint, fromStartMm: atMm, fromEndMm: atMm };
        const [surface] = job.surfaces;
        const found = planSurface(job, { ...surface, measured: { ...surface.measured, carriedJoints: [placed] } });
        expect(found.beside.map(({ id, smallestCutMm }) => [id, smallestCutMm])).toEqual([
          ['m-below', null],
          ['m-above', null],
        ]);
        const [last] = found.edges.filter(({ id }) => id === (floor.edge === 'left' ? 'right' : 'top'));
        const left = (across - GAP_MM - (atMm + width / 2)) % step;
        const isCut = left >= 1 && left < step - floor.jointMm - 1;
        if (isCut) expect(last.largestCutMm ?? 0).toBeCloseTo(left, 1);
      }),
      { numRuns: trials(60) },
    );
  });

  test('two of them, one wider than the joint: sealant for the one, profile for the other, no grout in either, and no bay is too long', () => {
    const joints = [1800, 8600].map((mm, k): CarriedJoint => {
      return {
        id: `m${k}`,
        kind: 'movement',
        edge: 'left',
        fromStartMm: mm,
        fromEndMm: mm,
        widthMm: 8,
        fill: k === 0 ? 'sealant' : 'profile',
      };
    });
    const of = (carriedJoints: readonly CarriedJoint[]) =>
      plan(
        jobOfOne({
          size: [12_000, 3000],
          tile: [600, 600],
          jointMm: 3,
          surface: { kind: 'floor' },
          measured: { carriedJoints: [...carriedJoints] },
        }),
      );
    const [without, withBoth] = [of([]), of(joints)];
    const need = ({ materials }: ReturnType<typeof plan>, item: string) => materials.find((one) => one.item === item)?.quantity ?? 0;
    // 12 m is longer than a bay of 10 m; parted at 1.8 and 8.6 none is.
    expect(without.surfaces[0].figures.bays.joints).toHaveLength(1);
    expect(withBoth.surfaces[0].figures.bays.joints).toEqual([]);
    expect(need(without, 'movementProfile')).toBeCloseTo(2.99, 2);
    expect(need(withBoth, 'movementProfile')).toBeCloseTo(2.99, 2);
    const profiles = ({ surfaces }: ReturnType<typeof plan>) =>
      workHours([surfaces[0].figures], { materials: {} }).find(({ task }) => task === 'trim')?.amount;
    expect([profiles(without), profiles(withBoth)].map((m) => m?.toFixed(2))).toEqual(['2.99', '2.99']);
    // 2.99 m by 8 mm by 6 mm deep, in millilitres; the walls lose 16 mm of joint at each side of it.
    expect(need(withBoth, 'sealant') - need(without, 'sealant')).toBeCloseTo(2.99 * 8 * 6, -1);
    expect(withBoth.surfaces[0].extent.areaMm2).toBeCloseTo(without.surfaces[0].extent.areaMm2 - 2 * 8 * 2990, 0);
  });
});
