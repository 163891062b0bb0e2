import type { Job, Surface } from '../job/job.ts';
import { asWalls } from '../surface/shapes/asWalls.ts';
import { measureRoom, skewRoom } from '../surface/reconcile/trialRooms.ts';
import { laid, measuredAs, meeting, type Provoked } from './provoked.ts';
import { standing } from './standing.ts';

const WALL = { widthMm: 2405, heightMm: 1205 } as const;
const DIAGONAL_MM = Math.hypot(WALL.widthMm, WALL.heightMm);
const floor = { kind: 'floor' } as const;

/** A wall measured all round, one of its diagonals off by so much. */
const diagonalOff = (mm: number): Job =>
  measuredAs({
    shape: {
      ...asWalls({ kind: 'rectangle', ...WALL }),
      checks: [
        { id: 'ac', from: 'bottom', to: 'top', mm: DIAGONAL_MM, twice: false },
        { id: 'bd', from: 'right', to: 'left', mm: DIAGONAL_MM + mm, twice: false },
      ],
    },
  });

/** A skew room with all its diagonals read, one of its walls off by so much. */
function wallOff(mm: number): Job {
  const room = measureRoom(skewRoom(3, 6), () => 0, 'all');
  const walls = room.walls.map((wall, k) => ({ ...wall, lengthMm: wall.lengthMm + (k === 2 ? mm : 0), curve: null }));
  return measuredAs(
    { shape: { kind: 'walls', ...room, walls, checks: [...room.checks] } },
    { setout: { x: { rule: 'best' }, y: { rule: 'best' } } },
  );
}

const read = (downMm: (i: number, j: number) => number, leastMm = 3): Pick<Surface['measured'], 'levels'> => ({
  levels: {
    datum: '',
    fill: 'leveller',
    leastMm,
    readings: [300, 1200, 2100].flatMap((xMm, i) =>
      [200, 600, 1000].map((yMm, j) => ({ id: `p${i}${j}`, xMm, yMm, downMm: downMm(i, j) })),
    ),
  },
});

/** A hollow of so much in the middle of a floor. */
const hollow = (mm: number): Job =>
  measuredAs(
    read((i, j) => (i === 1 && j === 1 ? 1000 + mm : 1000)),
    floor,
  );

/** A ground that falls evenly by so much over its length. */
const falling = (mm: number, leastMm: number): Job =>
  measuredAs(
    read((i) => 1000 + (mm * i) / 2, leastMm),
    floor,
  );

/** A board of so much under tile, beside a neighbour 21 mm high. */
const onBoard = (thicknessMm: number): Job =>
  measuredAs({ buildUp: { layers: [{ id: 'l', name: 'Board', thicknessMm }], neighbour: 'the hall', neighbourMm: 21, adjust: null } });

const bathOff = (mm: number): Job =>
  measuredAs({ fixtures: [{ ...standing('bath', { kind: 'rectangle', widthMm: 900, heightMm: 300 }, mm, 0), clearanceMm: 5 }] });

/** A door that is measured from its foot first, so much above it. */
const doorUp = (mm: number): Job => {
  const door = standing('door', { kind: 'rectangle', widthMm: 900, heightMm: 1000 }, 700, mm);
  return measuredAs({ fixtures: [{ ...door, clearanceMm: 3, from: [door.from[1], door.from[0]] }] });
};

/** What sets each finding off that is about what was measured. */
export const PROVOKED_MEASURES = {
  'advice/reading-disagrees': { path: 'surfaces.0.measured.shape', job: wallOff(40), beside: wallOff(2) },
  'advice/readings-unclear': { path: 'surfaces.0.measured.shape', job: diagonalOff(24), beside: diagonalOff(2) },
  'advice/meeting-differs': {
    path: 'surfaces.0.measured.shape',
    job: meeting(laid({}), 'inside', {
      measured: { ...laid({}).surfaces[0].measured, shape: { kind: 'rectangle', widthMm: 900, heightMm: 1197 } },
    }),
    // Floors meet in a doorway narrower than either.
    beside: meeting(laid(floor), 'flat', {
      measured: { ...laid({}).surfaces[0].measured, shape: { kind: 'rectangle', widthMm: 900, heightMm: 1197 } },
    }),
  },
  'advice/measure-again': {
    path: 'surfaces.0.measured.again',
    job: measuredAs({ again: ['shape.widthMm'] }),
    beside: measuredAs({ again: [] }),
  },
  'advice/not-flat': { path: 'surfaces.0.measured.levels', job: hollow(3.2), beside: hollow(2.9) },
  'advice/fill-thin': { path: 'surfaces.0.measured.levels', job: falling(2, 1), beside: falling(2, 2) },
  'advice/fill-thick': { path: 'surfaces.0.measured.levels', job: falling(28, 3), beside: falling(27, 3) },
  'advice/finishes-proud': { path: 'surfaces.0.measured.buildUp', job: onBoard(14), beside: onBoard(12.5) },
  'advice/finishes-low': { path: 'surfaces.0.measured.buildUp', job: onBoard(10), beside: onBoard(11.5) },
  'advice/stands-off': { path: 'surfaces.0.measured.fixtures.0.from.0.mm', job: bathOff(60), beside: bathOff(101) },
  'advice/door-in-the-air': { path: 'surfaces.0.measured.fixtures.0.from.0.mm', job: doorUp(40), beside: doorUp(0) },
  'advice/no-perimeter-joint': {
    path: 'surfaces.0.measured.gapsMm.wall',
    job: laid({}, { gapMm: 0 }),
    beside: laid({}, { gapMm: 1 }),
  },
  'advice/tight-pipe': {
    path: 'surfaces.0.measured.fixtures.0.clearanceMm',
    job: valve(1.5),
    beside: valve(2),
  },
  'advice/hard-corner': {
    path: 'surfaces.0.measured.roles.right',
    job: corner('continues'),
    beside: corner('wall'),
  },
} as const satisfies Readonly<Record<string, Provoked>>;

function valve(clearanceMm: number): Job {
  return measuredAs({ fixtures: [{ ...standing('valve', { kind: 'round', diameterMm: 60 }, 1051, 155), clearanceMm }] });
}

/** A corner of two walls, its one edge of a role. */
function corner(role: 'continues' | 'wall'): Job {
  const job = measuredAs({ roles: { right: role } });
  return meeting(job, 'inside', { measured: { ...job.surfaces[0].measured, roles: {} } });
}
