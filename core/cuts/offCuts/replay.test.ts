import { expect, test } from '@jest/globals';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { sharedArea } from '../../geometry/clip.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { motion } from '../../geometry/point.ts';
import { boxOf, isBox, mapPolygon, polygonArea, rectangleRing, type Polygon } from '../../geometry/ring.ts';
import { checkJob } from '../../job/checkJob.ts';
import type { Job } from '../../job/job.ts';
import { plan } from '../../plan.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import { randomJob } from '../../samples/randomJob.ts';
import { actualSize } from '../../tile/product.ts';
import { roomToSearch } from '../../samples/roomToSearch.ts';
import type { Side } from '../cutKind.ts';
import type { CutPiece } from '../cutPiece.ts';
import type { Blank } from './blank.ts';
import { fillBlanks } from './fillBlanks.ts';
import { Clearance, placeOf } from './outlinePlaces.ts';
import type { WantedPiece } from './wanted.ts';
import type { CutSource } from '../cutSource.ts';
import { trials } from '../../../testing/trials.ts';

/** A piece as its source says it is cut from the tile: turned about its own box, its near corner put where it is cut. */
function cutFrom({ inTile }: CutPiece, { at, turnDeg }: CutSource): Polygon {
  const turned = mapPolygon(inTile, motion(turnDeg, [0, 0]).turn);
  const { minX, minY } = boxOf(turned[0]);
  return mapPolygon(turned, ([x, y]) => [x - minX + at[0], y - minY + at[1]]);
}

const ROUND: readonly Side[] = ['bottom', 'right', 'top', 'left'];

/** What is wrong with the sources of all surfaces of a plan, replayed with nothing but polygons. */
function faultsOf(surfaces: readonly SurfacePlan[], { products, consumption }: Job): string[] {
  const faults: string[] = [];
  const tiles = new Map<number, { piece: CutPiece; placed: Polygon; surfaceId: string; source: CutSource }[]>();
  for (const { surfaceId, fromTiles, offCuts } of surfaces)
    for (const piece of fromTiles) {
      const source = offCuts.sources.get(piece.label);
      if (!source) faults.push(`${piece.label} comes from nowhere`);
      else if (piece.of !== 'chip')
        tiles.set(source.tile, [...(tiles.get(source.tile) ?? []), { piece, placed: cutFrom(piece, source), surfaceId, source }]);
    }
  for (const [tile, uses] of tiles) {
    uses.forEach(({ piece, placed, source, surfaceId }, k) => {
      // A whole tile in the frame of its box: the piece lies within, and upon no other.
      const own = polygonArea(placed);
      const box = boxOf(placed[0]);
      // A tile that comes onto itself when turned does so to a tenth of a millimetre.
      const hair = 0.1 * (box.maxX - box.minX + box.maxY - box.minY);
      if (own - sharedArea([placed], [[piece.tile]]) > hair) faults.push(`${piece.label} reaches out of its tile ${tile}`);
      for (const other of uses.slice(0, k)) {
        if (sharedArea([placed], [other.placed]) > 0.5) faults.push(`${piece.label} and ${other.piece.label} share tile ${tile}`);
        else if (apartMm(placed, other.placed) < consumption.kerfMm - 0.15)
          faults.push(`${piece.label} and ${other.piece.label} leave the saw no room`);
        if (other.piece.productId !== piece.productId || other.piece.hand !== piece.hand) faults.push(`two tiles are one: ${tile}`);
      }
      const blank = surfaces.flatMap(({ offCuts }) => offCuts.tiles).find((one) => one.tile === tile && one.blank !== null);
      if (blank && own - sharedArea([placed], [[blank.outline]]) > hair) faults.push(`${piece.label} reaches out of its blank`);
      if (uses.length > 1 && !consumption.offCutsKept) faults.push(`${piece.label} is an off-cut where none is kept`);
      const product = products.find(({ id }) => id === piece.productId);
      if (product?.face === 'directional' && source.turnDeg !== 0) faults.push(`${piece.label} is turned against its way up`);
      const before = uses.find(({ piece: { label }, surfaceId: on }) => label === source.offCutOf && on === source.ofSurface);
      if ((source.offCutOf === null) !== (uses.length === 1 || isFirst(uses, source)) || (source.offCutOf !== null && !before))
        faults.push(`${piece.label} of ${surfaceId} does not say what is cut before it`);
      if (!isBox(piece.tile)) return;
      const around = boxOf(piece.tile);
      for (const side of piece.factorySides) {
        const now = ROUND[(ROUND.indexOf(side) + Math.round(source.turnDeg / 90)) % 4];
        const off = {
          left: box.minX,
          right: around.maxX - box.maxX,
          bottom: box.minY,
          top: around.maxY - box.maxY,
        }[now];
        if (Math.abs(off) > 0.1) faults.push(`${piece.label} lies off the factory edge it needs`);
      }
    });
  }
  const told = surfaces.reduce((sum, { offCuts }) => sum + offCuts.openedForCuts, 0);
  const isBlank = (uses: readonly { readonly source: CutSource }[]): boolean => uses.some(({ source }) => source.blank !== undefined);
  const fromBlanks = [...tiles.values()].filter(isBlank);
  const there = new Set(surfaces.flatMap(({ offCuts }) => offCuts.tiles.flatMap(({ tile, blank }) => (blank ? [tile] : []))));
  if (there.size !== fromBlanks.length) faults.push(`${fromBlanks.length} pieces come from blanks, ${there.size} blanks are told`);
  // Sheets that are cut between chips alone have no piece of their own.
  const sheets = surfaces.reduce((sum, surface) => sum + surface.sheets.reduce((all, { openedForParts }) => all + openedForParts, 0), 0);
  const opened = tiles.size - fromBlanks.length + sheets;
  if (opened !== told) faults.push(`${opened} tiles are opened, ${told} are told`);
  for (const { surfaceId, offCuts } of surfaces)
    if (offCuts.openedForCuts < offCuts.lowerBound) faults.push(`fewer tiles are opened than can be for ${surfaceId}`);
  return faults;
}

/** How near two outlines come to each other, mm. */
const apartMm = (a: Polygon, b: Polygon): number => Math.min(...[nearest(a, b), nearest(b, a)]);
const nearest = (a: Polygon, b: Polygon): number =>
  Math.min(...a.flat().flatMap((p) => b.flatMap((ring) => ring.map((from, k) => distanceToStretch(p, from, ring[(k + 1) % ring.length])))));

const isFirst = (uses: readonly { readonly source: CutSource }[], source: CutSource): boolean => uses[0].source === source;

test.each(DEMO_JOBS)('every cut of %s finds its place in the tile it is said to come from', (name) =>
  expect(faultsOf(demoPlan(name).surfaces, demoJob(name))).toEqual([]),
);

test('and on any job, whatever the outline of its tiles', () => {
  for (let seed = 1; seed <= trials(16); seed++) {
    const job = randomJob(seed);
    if (checkJob(job).length > 0) continue;
    expect([seed, ...faultsOf(plan(job).surfaces, job)]).toEqual([seed]);
  }
});

test('no more than a hundredth of the tiles opened for cuts could be spared, by proof', () => {
  let [opened, needed] = [0, 0];
  for (let seed = 1; seed <= trials(40); seed++) {
    const room = roomToSearch(seed, 25);
    const job: Job = { ...room, consumption: { ...room.consumption, offCutsKept: true, kerfMm: 2.5 } };
    const { surfaces } = plan(job);
    expect([seed, ...faultsOf(surfaces, job)]).toEqual([seed]);
    opened += surfaces[0].offCuts.openedForCuts;
    needed += surfaces[0].offCuts.lowerBound;
  }
  expect(opened).toBeGreaterThanOrEqual(needed);
  expect(opened / needed).toBeLessThan(1.01);
});

test('surfaces that are laid alike take from one another’s tiles, and open no more together than each by itself', () => {
  const room = roomToSearch(3, 25);
  const [surface] = room.surfaces;
  const consumption = { ...room.consumption, offCutsKept: true, kerfMm: 2.5 };
  const alone = plan({ ...room, consumption }).surfaces[0].offCuts.openedForCuts;
  const job: Job = { ...room, consumption, surfaces: [1, 2, 3].map((k) => ({ ...surface, id: `s${k}`, name: `Room ${k}` })) };
  const { surfaces } = plan(job);
  expect(faultsOf(surfaces, job)).toEqual([]);
  expect(surfaces.reduce((sum, { offCuts }) => sum + offCuts.openedForCuts, 0)).toBeLessThanOrEqual(3 * alone);
  expect(
    surfaces.flatMap(({ offCuts, surfaceId }) => [...offCuts.sources.values()].filter((s) => s.ofSurface && s.ofSurface !== surfaceId))
      .length,
  ).toBeGreaterThan(0);
});

test('a plan that is broken is caught: moved, turned, on another piece, on another tile, a tile too few', () => {
  const room = roomToSearch(2, 25);
  const job: Job = { ...room, consumption: { ...room.consumption, offCutsKept: true, kerfMm: 2.5 } };
  const [surface] = plan(job).surfaces;
  expect(faultsOf([surface], job)).toEqual([]);
  const shared = surface.offCuts.tiles.find(({ uses }) => uses.length > 1);
  if (!shared) throw new Error('no tile is shared');
  const [first, second] = shared.uses;
  const put = (label: string, change: Partial<CutSource>): SurfacePlan[] => {
    const source = surface.offCuts.sources.get(label);
    if (!source) throw new Error(label);
    return [
      { ...surface, offCuts: { ...surface.offCuts, sources: new Map([...surface.offCuts.sources, [label, { ...source, ...change }]]) } },
    ];
  };
  const at = surface.offCuts.sources.get(first.label)?.at ?? [0, 0];
  expect(faultsOf(put(first.label, { at: [at[0] + 5000, at[1]] }), job).join()).toMatch(/reaches out/);
  expect(faultsOf(put(second.label, { ...surface.offCuts.sources.get(first.label) }), job).join()).toMatch(/share tile/);
  expect(faultsOf(put(second.label, { tile: 9999 }), job).join()).toMatch(/are told/);
  expect(faultsOf(put(second.label, { offCutOf: 'nothing' }), job).join()).toMatch(/does not say/);
  const sure = surface.cuts.find(({ factorySides }) => factorySides.length > 0);
  const source = surface.offCuts.sources.get(sure?.label ?? '');
  const turned = put(sure?.label ?? '', { turnDeg: (source?.turnDeg ?? 0) + 180 });
  expect(faultsOf(turned, job).join()).toMatch(/factory edge/);
  const fewer = { ...surface, offCuts: { ...surface.offCuts, openedForCuts: surface.offCuts.lowerBound - 1 } };
  expect(faultsOf([fewer], job).join()).toMatch(/fewer tiles/);
});

test('what is there already is cut before a tile is opened: within the blank, at the factory edges it has, each once', () => {
  let spared = 0;
  for (let seed = 1; seed <= trials(20); seed++) {
    const room = roomToSearch(seed, 25);
    const plain: Job = { ...room, consumption: { ...room.consumption, offCutsKept: true, kerfMm: 2.5 } };
    const [product] = plain.products;
    const { widthMm, heightMm } = actualSize(product);
    const blank = (id: string, share: number, sides: Side[]): Blank => ({
      id,
      productId: plain.surfaces[0].productId,
      widthMm: widthMm * share,
      heightMm,
      sides,
      pieces: 2,
      from: 'Ferry kiosk',
    });
    const job: Job = { ...plain, blanks: [blank('a', 0.6, ['left', 'bottom', 'top']), blank('b', 0.3, ['right']), blank('c', 1, [])] };
    const [before, after] = [plan(plain), plan(job)].map(({ surfaces }) => surfaces[0]);
    expect([seed, ...faultsOf([after], job)]).toEqual([seed]);
    const uses = after.offCuts.tiles.filter(({ blank: own }) => own !== null).length;
    expect(uses).toBeLessThanOrEqual(4);
    expect(after.offCuts.openedForCuts).toBeLessThanOrEqual(before.offCuts.openedForCuts);
    spared += before.offCuts.openedForCuts - after.offCuts.openedForCuts;
    // Whole tiles that are there are not bought again.
    expect(plan(job).materials[0].inHand).toBe(2);
  }
  expect(spared).toBeGreaterThan(trials(5));
});

test('one blank gives as many pieces as come out of it by cuts right through, the kerf between them', () => {
  const tile = rectangleRing(0, 0, 300, 200);
  const strip = (label: string, widthMm: number, heightMm: number): WantedPiece => ({
    surfaceId: 's',
    label,
    outline: [rectangleRing(0, 0, widthMm, heightMm)],
    tile,
    sizeMm: { widthMm, heightMm },
    areaMm2: widthMm * heightMm,
    factorySides: ['bottom'],
    isRectangle: true,
    isStrip: false,
  });
  const pieces = [strip('A', 120, 150), strip('B', 110, 190), strip('C', 40, 60), strip('D', 30, 30)];
  const blank: Blank = { id: 'b', productId: 'p', widthMm: 235, heightMm: 200, sides: ['bottom', 'left'], pieces: 1, from: '' };
  const labels = (kerfMm: number): string[] =>
    fillBlanks(pieces, [blank], { kerfMm, directional: false }).flatMap(({ placed }) => placed.map(({ piece }) => piece.label));
  // 110 + 120 and a kerf are 233; with a blade of 6 the second one is too wide, and the two narrow ones take its place.
  expect(labels(3)).toEqual(['B', 'A']);
  expect(labels(6)).toEqual(['B', 'C', 'D']);
});

test('a blank of a tile that is not there, no wider than the saw takes, or larger than its tile is refused', () => {
  const job = roomToSearch(1, 25);
  const blank = { id: 'b', productId: job.surfaces[0].productId, widthMm: 100, heightMm: 100, sides: [], pieces: 1, from: '' };
  const codes = (change: Partial<Blank>): string[] => checkJob({ ...job, blanks: [{ ...blank, ...change }] }).map(({ code }) => code);
  expect([codes({}), codes({ productId: 'no' }), codes({ widthMm: job.consumption.kerfMm }), codes({ heightMm: 5000 })]).toEqual([
    [],
    ['blank/no-such-product'],
    ['blank/under-kerf'],
    ['blank/larger-than-tile'],
  ]);
});

test('two outlines that cross keep no kerf between them, however little they share', () => {
  const keepsOff = new Clearance(2.5);
  const leg: Polygon = [
    [
      [0, 0],
      [300, 0],
      [300, 20],
      [20, 20],
      [20, 200],
      [0, 200],
    ],
  ];
  // A thread across the leg, 0.3 wide: 6 mm² of both, and no corner of either near a side of the other.
  const thread: Polygon = [rectangleRing(150, -10, 0.3, 140)];
  expect(keepsOff.keeps(placeOf(leg, 0, keepsOff), placeOf(thread, 0, keepsOff))).toBe(false);
  const beside: Polygon = [rectangleRing(150, 23, 40, 100)];
  expect(keepsOff.keeps(placeOf(leg, 0, keepsOff), placeOf(beside, 0, keepsOff))).toBe(true);
});
