import type { Job, Surface } from '../job/job.ts';
import type { WorksChoice } from '../takeoff/works/works.ts';
import type { ADVICE_RULES } from '../advice/registry.ts';
import { good, inSheets, withTile, type Provoked } from './provoked.ts';
import { standing } from './standing.ts';
import { jobOfOne } from './testJob.ts';

/** A good surface with something said of its place and works. */
const withWorks = (works: WorksChoice, surface: Partial<Surface> = {}): Job =>
  jobOfOne({ ...good, surface: { ...good.surface, ...surface, works } });

const floor = { kind: 'floor' } as const;
const levels = (leastMm: number, highMm: number): Surface['measured']['levels'] => ({
  datum: '',
  fill: 'leveller',
  leastMm,
  readings: [
    { id: 'a', xMm: 300, yMm: 200, downMm: 1000 },
    { id: 'b', xMm: 2100, yMm: 200, downMm: 1000 + highMm / 2 },
    { id: 'c', xMm: 1200, yMm: 1000, downMm: 1000 + highMm },
  ],
});

/** Two floors in one plane on grounds that differ. */
function onTwoGrounds(): Job {
  const job = withWorks({ substrate: 'screed' }, floor);
  const [first] = job.surfaces;
  const second = { ...first, id: 'second', name: 'Hall', works: { substrate: 'plywood' } } as const;
  const link = { id: 'l', a: { surface: first.id, edge: 'right' }, b: { surface: 'second', edge: 'left' }, meets: 'flat' } as const;
  return { ...job, surfaces: [first, second], links: [link] };
}

/** A corner of two walls that is to be grouted. */
function groutedCorner(): Job {
  const job = jobOfOne({ ...good, measured: { roles: { right: 'continues' } } });
  const [first] = job.surfaces;
  const second = { ...first, id: 'second', name: 'Side', measured: { ...first.measured, roles: {} } };
  const link = { id: 'l', a: { surface: first.id, edge: 'right' }, b: { surface: 'second', edge: 'left' }, meets: 'inside' } as const;
  return { ...job, surfaces: [first, second], links: [link] };
}

const glass = { material: 'glass' } as const;
const dryBacks = (job: Job): Job => ({ ...job, materials: { adhesive: { choices: { backs: 'none' } } } });
const large = { ...good, size: [3005, 2405], tile: [600, 600] } as const;

/** What sets each rule off that goes by the place and the works of a surface. */
export const PROVOKED_WORKS = {
  cagedIn: {
    code: 'advice/caged-in',
    path: 'surfaces.0.zones.order',
    job: jobOfOne({
      ...good,
      surface: { ...good.surface, kind: 'floor', zones: { areaM2: 0.5, reachMm: 600, order: ['1.1', '1.2', '1.3', '2.1', '2.2', '2.3'] } },
    }),
  },
  clipWidth: {
    code: 'advice/clip-width',
    path: 'surfaces.0.jointMm',
    job: { ...withWorks({ does: { clips: true } }), materials: { levellingClips: { choices: { widthMm: 2 } } } },
  },
  sandedGlass: {
    code: 'advice/sanded-glass',
    path: 'surfaces.0.works.grout',
    job: withTile(glass, { ...good, surface: { ...good.surface, works: { grout: 'sanded' } } }),
  },
  unsandedWide: { code: 'advice/unsanded-wide', path: 'surfaces.0.works.grout', job: withWorks({ grout: 'fine' }) },
  darkMortar: {
    code: 'advice/dark-mortar',
    path: 'surfaces.0.works.mortar',
    job: withTile({ material: 'natural stone', colour: '#f4f1ea' }),
  },
  glassBed: { code: 'advice/glass-bed', path: 'surfaces.0.works.adhesive', job: withTile(glass) },
  glassRoom: { code: 'advice/glass-room', path: 'surfaces.0.measured.gapsMm.wall', job: withTile(glass) },
  thinCoverage: {
    code: 'advice/thin-coverage',
    path: 'surfaces.0.works.place',
    job: dryBacks(withWorks({ place: 'wet', substrate: 'cementBoard' })),
  },
  readyMixed: { code: 'advice/ready-mixed', path: 'surfaces.0.works.adhesive', job: withWorks({ adhesive: 'ready' }, floor) },
  bayTooLong: {
    code: 'advice/bay-too-long',
    path: 'surfaces.0.works.heated',
    job: jobOfOne({
      ...good,
      size: [12_011, 2431],
      surface: { ...floor, setout: { x: { rule: 'jointCentred' }, y: { rule: 'jointCentred' } } },
    }),
  },
  hardCorner: { code: 'advice/hard-corner', path: 'surfaces.0.measured.roles.right', job: groutedCorner() },
  deepBoxes: {
    code: 'advice/deep-boxes',
    path: 'surfaces.0.measured.fixtures',
    job: jobOfOne({ ...good, measured: { fixtures: [standing('socket', { kind: 'rectangle', widthMm: 71, heightMm: 71 }, 400, 400)] } }),
  },
  mixedSubstrates: { code: 'advice/mixed-substrates', path: 'surfaces.0.works.substrate', job: onTwoGrounds() },
  fillThickness: {
    code: 'advice/fill-thin',
    path: 'surfaces.0.measured.levels',
    job: jobOfOne({ ...good, measured: { levels: levels(1, 2) } }),
  },
  soakedSheets: {
    code: 'advice/soaked-sheets',
    path: 'surfaces.0.cuts',
    job: ((job: Job): Job => ({ ...job, products: [{ ...job.products[0], thicknessMm: 12 }] }))(inSheets([910, 1205], 2)),
  },
  tightPipe: {
    code: 'advice/tight-pipe',
    path: 'surfaces.0.measured.fixtures.0.clearanceMm',
    job: jobOfOne({
      ...good,
      measured: { fixtures: [{ ...standing('pipe', { kind: 'round', diameterMm: 22 }, 1050, 155), clearanceMm: 1 }] },
    }),
  },
  fragileEar: {
    code: 'advice/fragile-ear',
    path: 'surfaces.0.setout',
    job: jobOfOne({ ...large, measured: { fixtures: [standing('tray', { kind: 'rectangle', widthMm: 700, heightMm: 584 }, 5, 5)] } }),
  },
  notPrimed: { code: 'advice/not-primed', path: 'surfaces.0.works.does', job: withWorks({ does: { prime: false } }) },
  wetOpen: {
    code: 'advice/wet-open',
    path: 'surfaces.0.works.does',
    job: withWorks({ place: 'wet', substrate: 'cementBoard', does: { membrane: false } }),
  },
  softGround: {
    code: 'advice/soft-ground',
    path: 'surfaces.0.works.substrate',
    job: withWorks({ place: 'wet', substrate: 'plasterboard' }),
  },
} as const satisfies Partial<Record<keyof typeof ADVICE_RULES, Provoked>>;
