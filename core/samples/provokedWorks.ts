import type { Job } from '../job/job.ts';
import { placesOf } from '../job/placesOf.ts';
import type { MaterialSettings } from '../takeoff/materialKind.ts';
import type { WorksChoice } from '../takeoff/works/works.ts';
import type { Product } from '../tile/product.ts';
import { good, laid, measuredAs, meeting, withTile, withWorks, type Provoked } from './provoked.ts';
import { standing } from './standing.ts';

const WORKS = 'surfaces.0.works';
const floor = { kind: 'floor' } as const;
const glass = { material: 'glass' } as const;

/** A wall of some tile with something said of its works. */
const tiled = (tile: Partial<Product>, works: WorksChoice = {}): Job => withTile(tile, { ...good, surface: { ...good.surface, works } });

/** A job with something chosen of a material. */
const choosing = (item: string, choices: NonNullable<MaterialSettings['choices']>, job: Job): Job => ({
  ...job,
  materials: { ...job.materials, [item]: { choices } },
});

/** A job whose materials are named with their data sheets. */
const named = (job: Job, ...items: string[]): Job => ({
  ...job,
  materials: Object.fromEntries(items.map((item) => [item, { sheet: { name: 'Slip and tide', figures: {} } }])),
});

const WET = { place: 'wet', substrate: 'cementBoard' } as const;
const wet = named(withWorks(WET), 'membrane', 'adhesive');

/** A wall of tiles of so much, laid in what is paste. */
const pasted = (mm: number): Job => laid({ works: { adhesive: 'ready' } }, { tile: [mm, mm], size: [mm * 4 + 19, mm * 3 + 16] });

/** Pieces of so much on a dry wall, their backs left dry. */
const dryBacks = (mm: number): Job =>
  choosing('adhesive', { backs: 'none' }, laid({}, { tile: [mm, mm], size: [mm * 4 + 19, mm * 3 + 16] }));

/** A notch that is chosen by hand under tiles of 300. */
const notched = (notchMm: number): Job => choosing('adhesive', { notchMm }, laid({}));

/** A floor so long, with even ends. */
const long = (mm: number, works: WorksChoice = {}, highMm = 2431): Job =>
  laid({ ...floor, works, setout: { x: { rule: 'best' }, y: { rule: 'best' } } }, { size: [mm, highMm] });

/** Two floors in one plane, one so long, and what is between them. */
const inOnePlane = (mm: number, works: WorksChoice = {}): Job =>
  meeting(long(5000), 'flat', { works, measured: long(mm).surfaces[0].measured });

/** A box with tiles so thick round it. */
const boxBehind = (thicknessMm: number): Job => {
  const job = measuredAs({
    fixtures: [{ ...standing('socket', { kind: 'rectangle', widthMm: 71, heightMm: 71 }, 400, 400), clearanceMm: 2 }],
  });
  return { ...job, products: [{ ...job.products[0], thicknessMm }] };
};

/** A warm place where a mix sets early, and zones so large. */
const zonesOf = (areaM2: number): Job => {
  const job = laid({ zones: { areaM2 } }, { size: [4813, 2416] });
  return { ...job, mixing: { temperatureC: 35 } };
};

/** A works' clips, and the width that is chosen for them. */
const clipped = (widthMm: number): Job => choosing('levellingClips', { widthMm }, withWorks({ does: { clips: true } }));

/** A primed floor whose laying is moved so many days later by hand. */
const laidOn = (day: string): Job => ({
  ...laid(floor),
  programme: { startDay: '2026-03-02', notBefore: { [`setOut ${placesOf(laid(floor))[0].id}`]: day } },
});

/** What sets each finding off that is about the place, the works and the materials. */
export const PROVOKED_WORKS = {
  'advice/clip-width': { path: 'surfaces.0.jointMm', job: clipped(2), beside: clipped(3) },
  'advice/sanded-glass': {
    path: `${WORKS}.grout`,
    job: tiled({ polished: true }, { grout: 'sanded' }),
    beside: tiled({}, { grout: 'sanded' }),
  },
  'advice/unsanded-wide': {
    path: `${WORKS}.grout`,
    job: withWorks({ grout: 'fine' }),
    beside: laid({ works: { grout: 'fine' } }, { jointMm: 2.9 }),
  },
  'advice/dark-mortar': {
    path: `${WORKS}.mortar`,
    job: tiled({ material: 'natural stone', colour: '#f4f1ea' }),
    beside: tiled({ material: 'natural stone', colour: '#f4f1ea' }, { adhesive: 'ready' }),
  },
  'advice/glass-bed': { path: `${WORKS}.adhesive`, job: tiled(glass), beside: named(tiled(glass), 'adhesive') },
  'advice/glass-room': {
    path: 'surfaces.0.measured.gapsMm.wall',
    job: withTile(glass, { ...good, gapMm: 5.5 }),
    beside: withTile(glass, { ...good, gapMm: 6 }),
  },
  'advice/thin-coverage': { path: `${WORKS}.place`, job: dryBacks(590), beside: dryBacks(589) },
  'advice/heavy-load': {
    path: `${WORKS}.place`,
    job: choosing('adhesive', { backs: 'skim' }, laid({ ...floor, works: { load: 'heavy' } })),
    beside: choosing('adhesive', { backs: 'notched' }, laid({ ...floor, works: { load: 'heavy' } })),
  },
  'advice/bed-thin': { path: `${WORKS}.adhesive`, job: notched(5), beside: notched(6) },
  'advice/bed-thick': { path: `${WORKS}.adhesive`, job: notched(12), beside: notched(10) },
  'advice/ready-mixed': { path: `${WORKS}.adhesive`, job: pasted(306), beside: pasted(304.8) },
  'advice/membrane-mortar': { path: `${WORKS}.does`, job: named(wet, 'adhesive'), beside: wet },
  'advice/wet-open': {
    path: `${WORKS}.does`,
    job: withWorks({ ...WET, does: { membrane: false } }),
    beside: wet,
  },
  'advice/soft-ground': {
    path: `${WORKS}.substrate`,
    job: named(withWorks({ place: 'wet', substrate: 'plasterboard' }), 'membrane', 'adhesive'),
    beside: named(withWorks({ place: 'wet', substrate: 'plasterboard', does: { board: true } }), 'membrane', 'adhesive'),
  },
  'advice/not-primed': {
    path: `${WORKS}.does`,
    job: withWorks({ does: { prime: false } }),
    beside: withWorks({ does: { prime: false, board: true } }),
  },
  'advice/bay-too-long': { path: `${WORKS}.heated`, job: long(10_012), beside: long(10_008) },
  'advice/bay-too-large': {
    path: `${WORKS}.heated`,
    job: long(7000, { heated: true }, 5740),
    beside: long(7000, { heated: true }, 5715),
  },
  'advice/bay-across': { path: 'surfaces.0.measured.roles.right', job: inOnePlane(5030), beside: inOnePlane(5010) },
  'advice/mixed-substrates': {
    path: `${WORKS}.substrate`,
    job: inOnePlane(3000, { substrate: 'plywood' }),
    beside: inOnePlane(3000, { substrate: 'screed' }),
  },
  'advice/deep-boxes': { path: 'surfaces.0.measured.fixtures', job: boxBehind(6), beside: boxBehind(5) },
  'advice/mix-too-large': { path: 'surfaces.0.zones.areaM2', job: zonesOf(6), beside: zonesOf(1) },
  'advice/missed-window': { path: 'programme', job: laidOn('2026-03-05'), beside: laidOn('2026-03-02') },
} as const satisfies Readonly<Record<string, Provoked>>;
