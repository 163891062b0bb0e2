import type { Job } from '../job/job.ts';
import { PATTERNS } from '../pattern/registry.ts';
import { makeSheet } from '../pattern/makeSheet.ts';
import { standing } from './standing.ts';
import { jobOfOne } from './testJob.ts';
import { sheetSize } from '../tile/sheet/sheetChips.ts';
import { asWalls } from '../surface/shapes/asWalls.ts';
import type { ADVICE_RULES } from '../advice/registry.ts';

type Wanted = Parameters<typeof jobOfOne>[0];
/** A surface that no rule finds anything in. */
export const good: Wanted = {
  size: [2405, 1205],
  tile: [300, 300],
  jointMm: 3,
  surface: { kind: 'wall', setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromStart' } } },
};

/** Two walls that meet in a corner, the second of another height. */
function twoThatMeet(heightMm: number): Job {
  const job = jobOfOne(good);
  const [first] = job.surfaces;
  const second = {
    ...first,
    id: 'second',
    name: 'Side',
    measured: { ...first.measured, shape: { kind: 'rectangle', widthMm: 900, heightMm } },
  } as const;
  const link = { id: 'l', a: { surface: first.id, edge: 'right' }, b: { surface: 'second', edge: 'left' }, meets: 'inside' } as const;
  return { ...job, surfaces: [first, second], links: [link] };
}

/** A good surface whose tile is another. */
export const withTile = (change: Partial<Job['products'][number]>, wanted: Wanted = good): Job => {
  const job = jobOfOne(wanted);
  return { ...job, products: [{ ...job.products[0], ...change }] };
};

/** A surface laid in figured sheets of 20 mm chips. */
export function inSheets(size: readonly [number, number], jointMm: number): Job {
  const shape = makeSheet({ kind: 'stack', lay: 'lying' }, { widthMm: 20, heightMm: 20, jointMm: 2 }, { widthMm: 196, heightMm: 196 }, [
    '#335577',
  ]);
  if (!shape) throw new Error('chips of 20 mm make a sheet: got none');
  const surface = {
    kind: 'wall',
    pattern: { kind: 'sheet' },
    setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromStart' } },
  } as const;
  const tile = { shape: { ...shape, figured: true }, nominal: sheetSize(shape), measured: sheetSize(shape) };
  return withTile(tile, { ...good, size, jointMm, surface });
}

/** One whole sheet of a motif, 14 mm beside the middle of a wall of 240. */
function offMiddle(): Job {
  const job = inSheets([240, 240], 2);
  const [surface] = job.surfaces;
  return { ...job, surfaces: [{ ...surface, setout: { x: { rule: 'free', offsetMm: 3 }, y: { rule: 'free', offsetMm: 8 } } }] };
}

/** Tiles of glass, 300 wide: 919 less three of 303 leaves a strip of 10 at the right end. */
const inGlass = (): Job =>
  withTile(
    { material: 'glass' },
    {
      ...good,
      size: [929, 1205],
      tile: [300, 100],
      surface: { kind: 'wall', setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
    },
  );

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

/** A job in which a rule finds something: what, and where it is mended. */
export interface Provoked {
  readonly code: string;
  readonly job: Job;
  readonly path: string;
}

/** What sets each rule off that goes by measures, tile and setout, from a surface that sets off none. */
export const PROVOKED = {
  nominalSize: {
    code: 'advice/nominal-size',
    path: 'surfaces.0.productId',
    job: { ...jobOfOne(good), products: [{ ...jobOfOne(good).products[0], measured: null }] },
  },
  readingDisagrees: {
    code: 'advice/readings-unclear',
    path: 'surfaces.0.measured.shape',
    job: jobOfOne({
      ...good,
      measured: {
        shape: {
          ...asWalls({ kind: 'rectangle', widthMm: 2405, heightMm: 1205 }),
          checks: [
            { id: 'ac', from: 'bottom', to: 'top', mm: Math.hypot(2405, 1205), twice: false },
            { id: 'bd', from: 'right', to: 'left', mm: Math.hypot(2405, 1205) + 24, twice: false },
          ],
        },
      },
    }),
  },
  meetingDiffers: { code: 'advice/meeting-differs', path: 'surfaces.0.measured.shape', job: twoThatMeet(1197) },
  measureAgain: {
    code: 'advice/measure-again',
    path: 'surfaces.0.measured.again',
    job: jobOfOne({ ...good, measured: { again: ['shape.widthMm'] } }),
  },
  notFlat: {
    code: 'advice/not-flat',
    path: 'surfaces.0.measured.levels',
    job: jobOfOne({
      ...good,
      measured: {
        levels: {
          datum: '',
          fill: 'leveller',
          leastMm: 3,
          readings: [300, 1200, 2100].flatMap((xMm, i) =>
            [200, 600, 1000].map((yMm, j) => ({ id: `p${i}${j}`, xMm, yMm, downMm: i === 1 && j === 1 ? 1011 : 1000 })),
          ),
        },
      },
    }),
  },
  notFlush: {
    code: 'advice/finishes-proud',
    path: 'surfaces.0.measured.buildUp',
    job: jobOfOne({
      ...good,
      measured: {
        buildUp: { layers: [{ id: 'l', name: 'Board', thicknessMm: 12 }], neighbour: 'the hall', neighbourMm: 10, adjust: null },
      },
    }),
  },
  innerJoint: {
    code: 'advice/weave-joint',
    path: 'surfaces.0.pattern.strips',
    job: jobOfOne({ ...good, tile: [300, 97], surface: { ...good.surface, pattern: { kind: 'basketWeave', lay: 'lying', strips: 3 } } }),
  },
  standsOff: {
    code: 'advice/stands-off',
    path: 'surfaces.0.measured.fixtures.0.from.0.mm',
    job: jobOfOne({ ...good, measured: { fixtures: [standing('bath', { kind: 'rectangle', widthMm: 900, heightMm: 300 }, 60, 0)] } }),
  },
  leftToJoint: {
    code: 'advice/left-to-joint',
    path: 'surfaces.0.setout',
    job: jobOfOne({
      ...good,
      size: [1223.2, 613],
      surface: { ...good.surface, setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
    }),
  },
  underKerf: {
    code: 'advice/under-kerf',
    path: 'surfaces.0.pattern.moduleMm',
    job: jobOfOne({
      ...good,
      size: [1005, 605],
      tile: [151, 101],
      jointMm: 2,
      surface: {
        ...good.surface,
        pattern: { ...PATTERNS.ashlar.defaults, moduleMm: 51, columns: 4, rows: 4, stones: SQUARES },
      },
    }),
  },
  thinBeside: {
    code: 'advice/thin-beside',
    path: 'surfaces.0.setout',
    job: jobOfOne({ ...good, measured: { fixtures: [standing('tray', { kind: 'rectangle', widthMm: 881, heightMm: 300 }, 622, 5)] } }),
  },
  splitRound: {
    code: 'advice/split-round',
    path: 'surfaces.0.setout.0',
    job: jobOfOne({ ...good, measured: { fixtures: [standing('column', { kind: 'round', diameterMm: 60 }, 1051, 155)] } }),
  },
  noBit: {
    code: 'advice/no-bit',
    path: 'surfaces.0.cuts',
    job: ((job: Job): Job => ({ ...job, consumption: { ...job.consumption, coreBitsMm: [20, 35] } }))(
      jobOfOne({ ...good, measured: { fixtures: [standing('waste', { kind: 'round', diameterMm: 60 }, 1051, 155)] } }),
    ),
  },
  bothHands: {
    code: 'advice/both-hands',
    path: 'surfaces.0.pattern',
    job: withTile(
      { shape: { kind: 'chevron', cutDeg: 45 } },
      { ...good, tile: [300, 80], surface: { ...good.surface, pattern: { kind: 'chevron', lay: 'upright' } } },
    ),
  },
  sliver: {
    code: 'advice/sliver',
    path: 'surfaces.0.setout',
    job: jobOfOne({ ...good, surface: { kind: 'wall', setout: { x: { rule: 'free', offsetMm: 30 }, y: { rule: 'fullFromStart' } } } }),
  },
  longOffset: {
    code: 'advice/long-offset',
    path: 'surfaces.0.pattern.offset',
    job: jobOfOne({
      ...good,
      tile: [600, 300],
      surface: { kind: 'wall', pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
    }),
  },
  narrowJoint: { code: 'advice/narrow-joint', path: 'surfaces.0.jointMm', job: jobOfOne({ ...good, jointMm: 1.5 }) },
  unevenPieces: {
    code: 'advice/uneven-pieces',
    path: 'surfaces.0.jointMm',
    job: withTile({ sample: [299.2, 300.6].map((mm) => ({ widthMm: mm, heightMm: 300 })) }),
  },
  mixedLots: {
    code: 'advice/mixed-lots',
    path: 'surfaces.0.productId',
    job: withTile({ lots: [12, 30].map((pieces) => ({ id: `l${pieces}`, code: `T${pieces}`, shade: '', calibre: '', pieces })) }),
  },
  sealFirst: { code: 'advice/seal-first', path: 'surfaces.0.productId', job: withTile({ porous: true }) },
  cutMotif: { code: 'advice/cut-motif', path: 'surfaces.0.setout', job: inSheets([190, 300], 2) },
  motifOffMiddle: { code: 'advice/motif-off-middle', path: 'surfaces.0.setout', job: offMiddle() },
  glassStrips: { code: 'advice/glass-strips', path: 'surfaces.0.setout', job: inGlass() },
  noPerimeterJoint: { code: 'advice/no-perimeter-joint', path: 'surfaces.0.measured.gapsMm.wall', job: jobOfOne({ ...good, gapMm: 0 }) },
} as const satisfies Partial<Record<keyof typeof ADVICE_RULES, Provoked>>;
