import type { Point } from '../geometry/point.ts';
import type { Ring } from '../geometry/ring.ts';
import type { Surface } from '../job/job.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { gaugeRod, rodFrame } from '../setout/lines/gaugeRod.ts';
import { forEachWhole, tileRing } from '../setout/place/layout.ts';
import type { Law } from './law.ts';

/** Patterns of one size in level or upright courses: a rod serves them all. */
const COURSED: ReadonlySet<Surface['pattern']['kind']> = new Set(['stack', 'runningBond', 'randomStagger']);

/** A mark and the tile it is for, mm. */
const NEAR_MM = 0.25;

/** Where a piece begins and ends across the courses, mm. */
type Reach = readonly [low: number, high: number];

/** A rod that is held against the tiles as they lie has a mark at the end of every course; a ledger lies under one, right across. */
export const rodAndLedgerFit: Law = (job, { surfaces }) =>
  surfaces.flatMap((planned) => {
    const surface = job.surfaces.find(({ id }) => id === planned.surfaceId);
    if (!surface) return [];
    return [...(COURSED.has(surface.pattern.kind) ? rodFits(surface, planned) : []), ...ledgerFits(surface, planned)];
  });

const isCourse = ({ kind }: SurfacePlan['fields'][number]): boolean => kind === 'main' || kind === 'beyondBand';

/** The whole pieces that lie in courses. */
function wholeRings({ fields }: SurfacePlan): Ring[] {
  const rings: Ring[] = [];
  for (const { layout } of fields.filter(isCourse)) forEachWhole(layout, (address) => rings.push(tileRing(layout, address)));
  return rings;
}

function rodFits({ name }: Surface, planned: SurfacePlan): string[] {
  const { repeat, placement } = planned.layout;
  const { offDeg, runsUp } = rodFrame(repeat);
  const axis = runsUp ? 'x' : 'y';
  const turn = (-(placement.turnDeg + offDeg) * Math.PI) / 180;
  const across = ([x, y]: Point): number =>
    axis === 'x' ? x * Math.cos(turn) - y * Math.sin(turn) : x * Math.sin(turn) + y * Math.cos(turn);
  const reaches = wholeRings(planned).map((ring): Reach => {
    const all = ring.map(across);
    return [Math.min(...all), Math.max(...all)];
  });
  if (reaches.length === 0) return [];
  const marks = gaugeRod(planned.fields, axis);
  const misses = (start: number): number =>
    reaches.filter(
      ([low, high]) =>
        !marks.some(({ fromMm, toMm }) => Math.abs(start + fromMm - low) < NEAR_MM && Math.abs(start + toMm - high) < NEAR_MM),
    ).length;
  // Whoever holds it slides it along until it fits; it fits all courses at once or none.
  const fewest = Math.min(...marks.map(({ fromMm }) => misses(reaches[0][0] - fromMm)), reaches.length);
  return fewest === 0 ? [] : [`${name}: ${fewest} of ${reaches.length} whole tiles end at no mark of the rod`];
}

function ledgerFits({ name }: Surface, planned: SurfacePlan): string[] {
  const { ledger, traced } = planned;
  if (!ledger) return [];
  const cut = planned.fields
    .filter(isCourse)
    .flatMap(({ layout }) => layout.cutTiles.flatMap(({ polygons }) => polygons.map(([ring]) => ring)));
  const ups = [...wholeRings(planned), ...cut].map((ring): Reach => {
    const all = ring.map(([, y]) => y);
    return [Math.min(...all), Math.max(...all)];
  });
  const across = ups.filter(([low, high]) => low < ledger.atMm - NEAR_MM && high > ledger.atMm + NEAR_MM).length;
  const stands = ups.some(([low]) => Math.abs(low - ledger.atMm) < NEAR_MM);
  const base = traced.edges.filter(({ id }) => id === traced.sides.bottom);
  const heights = [base[0].from, base[base.length - 1].to].map(([, y]) => ledger.atMm - y - ledger.standsMm);
  const off = Math.max(...heights.map((mm, k) => Math.abs(mm - ledger.heightsMm[k])));
  return [
    ...(across > 0 ? [`${name}: ${across} pieces run across the ledger`] : []),
    ...(stands ? [] : [`${name}: nothing stands on the ledger`]),
    ...(off > NEAR_MM ? [`${name}: the ledger is told ${off.toFixed(1)} mm off where it lies`] : []),
  ];
}
