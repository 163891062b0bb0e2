import type { Job } from '../job/job.ts';
import { PATTERNS } from '../pattern/registry.ts';
import type { CarriedJoint } from '../surface/carriedJoint.ts';
import type { Fixture } from '../surface/fixture.ts';
import type { Product } from '../tile/product.ts';
import { good, inSheets, laid, measuredAs, withTile, type Provoked } from './provoked.ts';
import { standing } from './standing.ts';
import { jobOfOne } from './testJob.ts';

const ends = { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } as const;
const SETOUT = 'surfaces.0.setout';

/** Full tiles from the left and the bottom of a wall of some width. */
const wide = (widthMm: number, tile: Partial<Product> = {}, heightMm = 1216): Job =>
  withTile(tile, { ...good, size: [widthMm, heightMm], surface: { kind: 'wall', setout: ends } });

const withFixture = (fixture: Fixture): Job => measuredAs({ fixtures: [fixture] });
const tray = (leftMm: number): Job =>
  withFixture({ ...standing('tray', { kind: 'rectangle', widthMm: 881, heightMm: 300 }, leftMm, 0), clearanceMm: 5 });
const column = (leftMm: number): Job =>
  withFixture({ ...standing('column', { kind: 'round', diameterMm: 60 }, leftMm, 155), clearanceMm: 8 });

/** A waste in the middle of a tile, and the largest core bit at hand. */
const bitsTo = (largestMm: number): Job => {
  const job = withFixture({ ...standing('waste', { kind: 'round', diameterMm: 60 }, 1051, 155), clearanceMm: 3 });
  return { ...job, consumption: { ...job.consumption, coreBitsMm: [20, largestMm] } };
};

/** A hole in the second tile from the middle that leaves so much to its left side. */
const holeFromSide = (bridgeMm: number): Job =>
  withFixture({ ...standing('waste', { kind: 'round', diameterMm: 60 }, 1204 + bridgeMm + 33, 155), clearanceMm: 3 });

/** Large tiles, and a tray in the corner that notches the second so that it keeps a leg of so much. */
const legOf = (mm: number): Job =>
  jobOfOne({
    ...good,
    size: [3005, 2405],
    tile: [600, 600],
    measured: {
      fixtures: [{ ...standing('tray', { kind: 'rectangle', widthMm: 690, heightMm: 600 - mm }, 0, 0), clearanceMm: 5 }],
    },
  });

/** One whole sheet of a motif, so much beside the middle of a wall of 240. */
const sheetBeside = (mm: number): Job =>
  inSheets([240, 240], 2, {}, { x: { rule: 'free', offsetMm: 17 + mm }, y: { rule: 'free', offsetMm: 8 } });

/** A wall with room for one whole sheet that is laid with a joint in its middle; of a width that has none. */
const jointIn = (widthMm: number): Job => inSheets([widthMm, 300], 2);

/** Stones of two modules by two and of one by one: 100 x 100 and 49 x 49 in modules of 51 with a joint of 2. */
const SQUARES: [number, number, number, number][] = [
  [0, 0, 2, 2],
  [2, 0, 1, 1],
  [3, 0, 1, 1],
  [2, 1, 1, 1],
  [3, 1, 1, 1],
  [0, 2, 1, 1],
  [1, 2, 1, 1],
  [0, 3, 1, 1],
  [1, 3, 1, 1],
  [2, 2, 2, 2],
];

/** Stones as small as the tile but for what a saw of so much takes. */
const sawnBy = (kerfMm: number): Job => {
  const job = laid(
    { setout: ends, pattern: { ...PATTERNS.ashlar.defaults, moduleMm: 51, columns: 4, rows: 4, stones: SQUARES } },
    { size: [1005, 605], tile: [151, 101], jointMm: 2 },
  );
  return { ...job, consumption: { ...job.consumption, kerfMm } };
};

/** A floor with skirting of a height along its left wall. */
const skirtedBy = (skirtingMm: number): Job => {
  const job = laid({ kind: 'floor', trims: { left: 'skirtingTile' } });
  return { ...job, consumption: { ...job.consumption, skirtingMm } };
};

/** A floor whose zones are laid in an order by hand. */
const inOrder = (order: string[]): Job => laid({ kind: 'floor', zones: { areaM2: 0.5, reachMm: 600, order } });

/** A bar across a floor that leaves so much of it free, and one leaves on the left. */
const barred = (heightMm: number): Job =>
  measuredAs(
    { fixtures: [{ ...standing('column', { kind: 'rectangle', widthMm: 300, heightMm }, 1000, 0), clearanceMm: 8 }] },
    { kind: 'floor', zones: { exit: 'left' } },
  );

const CARRIED = 'surfaces.0.measured.carriedJoints';

/** Full tiles from a corner of a floor, and a joint that is carried through; at 906.5 it lies over the third joint from the left. */
const carried = (joint: Partial<CarriedJoint>): Job =>
  jobOfOne({
    ...good,
    size: [3000, 2400],
    tile: [298, 298],
    jointMm: 3,
    surface: { kind: 'floor', setout: ends },
    measured: {
      carriedJoints: [
        { id: 'm', kind: 'movement', edge: 'left', fromStartMm: 906.5, fromEndMm: 906.5, widthMm: 3, fill: 'sealant', ...joint },
      ],
    },
  });

/** What sets each finding off that is about where pieces come to lie. */
export const PROVOKED_SETOUT = {
  'advice/sliver': { path: SETOUT, job: wide(1321), beside: wide(1322) },
  'advice/cut-along-joint': {
    path: `${CARRIED}.0`,
    job: carried({ fromStartMm: 900, fromEndMm: 900 }),
    beside: carried({ fromStartMm: 906.5, fromEndMm: 906.5 }),
  },
  'advice/narrow-movement-joint': { path: `${CARRIED}.0.widthMm`, job: carried({ widthMm: 2.5 }), beside: carried({ widthMm: 3 }) },
  'advice/crack-underneath': { path: `${CARRIED}.0`, job: carried({ kind: 'crack' }), beside: carried({ kind: 'movement' }) },
  'advice/thin-beside': { path: SETOUT, job: tray(622), beside: tray(713) },
  'advice/left-to-joint': { path: SETOUT, job: wide(1223.2), beside: wide(1222.4) },
  'advice/shaved': { path: SETOUT, job: wide(1520), beside: wide(1519) },
  'advice/split-round': { path: `${SETOUT}.0`, job: column(1051), beside: column(1200) },
  'advice/no-bit': { path: 'surfaces.0.cuts', job: bitsTo(65), beside: bitsTo(66) },
  'advice/fragile-ear': { path: SETOUT, job: legOf(195), beside: legOf(205) },
  'advice/thin-bridge': { path: SETOUT, job: holeFromSide(9), beside: holeFromSide(11) },
  'advice/glass-strips': {
    path: SETOUT,
    job: wide(1230.5, { material: 'glass' }),
    beside: wide(1236, { material: 'glass' }),
  },
  'advice/cut-motif': { path: SETOUT, job: jointIn(300), beside: jointIn(190) },
  'advice/motif-off-middle': { path: SETOUT, job: sheetBeside(-6), beside: sheetBeside(-4) },
  'advice/under-kerf': { path: 'surfaces.0.pattern.moduleMm', job: sawnBy(2.5), beside: sawnBy(0.8) },
  'advice/no-strips': { path: 'surfaces.0.trims.left', job: skirtedBy(305), beside: skirtedBy(80) },
  'advice/soaked-sheets': {
    path: 'surfaces.0.cuts',
    job: inSheets([910, 404], 2),
    // Two sheets and two chips on either side of the middle, and two sheets up: a knife parts the chips.
    beside: inSheets([888, 404], 2),
  },
  'advice/caged-in': {
    path: 'surfaces.0.zones.order',
    job: inOrder(['1.1', '1.2', '1.3', '2.1', '2.2', '2.3']),
    beside: inOrder(['2.3', '2.2', '2.1', '1.3', '1.2', '1.1']),
  },
  'advice/no-way-in': { path: 'surfaces.0.zones.exit', job: barred(1205), beside: barred(500) },
} as const satisfies Readonly<Record<string, Provoked>>;
