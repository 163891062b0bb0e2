import { describe, expect, test } from '@jest/globals';
import { arabesque, ashlarCountertop, curvedCountertop, niche, stairRisers } from './setJobs.ts';
import { rebuildPiece } from '../cuts/rebuildPiece.ts';
import { polygonArea, polygonsArea } from '../geometry/ring.ts';
import { candidatesOf } from '../compare/compareSetouts.ts';
import { toldOnce } from '../../testing/toldOnce.ts';

describe('five risers that all measure differently, in sheets (J06)', () => {
  const story = toldOnce(stairRisers());
  const risers = story.plan.surfaces;
  test('each is set out by itself, equal at both ends', () => {
    // 900 less 10: 890 = 17 x 50 + 40, and 2 more of the joint: 44 at both ends of 16 whole chips.
    expect(story.sizes('stair-riser-1')['44 x 48']).toBeGreaterThan(0);
    for (const { edges } of risers) {
      const [left, right] = ['left', 'right'].map((id) => edges.find((edge) => edge.id === id));
      expect(left?.largestCutMm).toBeCloseTo(right?.largestCutMm ?? 0, 3);
    }
  });
  test('two sheets each: a row is 890 long and a sheet 298 wide, 3 x 170 of height fit three rows of chips in one', () => {
    for (const { sheets } of risers) expect(sheets[0].wholeSheets + sheets[0].openedForParts).toBe(2);
    expect(story.plan.materials.find(({ item }) => item === 'tiles')).toMatchObject({ how: { opened: 10 } });
  });
  test('all pieces are cut before any adhesive is mixed', () => {
    const cutEnds = Math.max(...story.plan.programme.tasks.filter(({ task }) => task === 'cut').map(({ end }) => end));
    const layBegins = Math.min(...story.plan.programme.tasks.filter(({ task }) => task === 'lay').map(({ start }) => start));
    expect(cutEnds).toBeLessThanOrEqual(layBegins);
  });
  test('no riser takes a ledger: none is told, ordered or on the days', () => {
    for (const { ledger } of risers) expect(ledger).toBeNull();
    expect(story.needs('ledgerBoard')).toBe(0);
    expect(story.days()).not.toContain('ledger');
  });
  test('a profile on each riser: 4.507 m from bars of 2.5', () => {
    expect(story.needs('edgeProfile')).toBeCloseTo((900 + 902 + 905 + 899 + 901) / 1000, 6);
    // Two of some 900 from a bar: three bars.
    expect(story.packs('edgeProfile')).toEqual(['3 of 2.5']);
  });
  test('a face takes its least time, five of them more than their square metres', () =>
    expect(story.hours('lay')).toBeCloseTo(5 * 0.25, 6));
});

describe('a niche lined with glass mosaic (J11)', () => {
  const story = toldOnce(niche());
  test('the back takes two whole sheets and no cut', () => {
    // 610 less 10 is 600: two sheets of 298 and joints of 2; 310 less 10: one.
    expect(story.of('niche-back').totals).toMatchObject({ whole: 72, cut: 0 });
    expect(story.of('niche-back').sheets[0]).toMatchObject({ wholeSheets: 2, openedForParts: 0 });
  });
  test('sides, sill and head show a whole chip at the front and 33 at the back, where the back has 5 of glass and 2 of bed', () => {
    // 95 less 5 and 7: 83 = 50 + 33. The sides stand on the sill: 310 less 10 and 7 is 293, five chips of 50 and one of 43.
    for (const id of ['leftSide', 'rightSide']) expect(story.sizes(`niche-${id}`)).toEqual({ '33 x 48': 5, '33 x 43': 1, '48 x 43': 1 });
    expect(story.sizes('niche-sill')).toEqual({ '48 x 33': 12 });
    // The head lies between the sides: 610 less 10 and 14 is 586, eleven chips of 50 and one of 36, or two ends.
    const head = story.of('niche-head').traced.limits;
    expect([head.maxX - head.minX, head.maxY - head.minY]).toEqual([586, 83]);
    expect(story.of('niche-leftSide').edges.find(({ id }) => id === 'left')?.cuts).toEqual([]);
    expect(story.of('niche-sill').edges.find(({ id }) => id === 'bottom')?.cuts).toEqual([]);
  });
  test('profiles round the front, mitred at the corners', () => {
    // 2 x 610 + 2 x 310.
    expect(story.needs('edgeProfile')).toBeCloseTo(1.84, 6);
    // Each of the four lies on a face of its own, and goes on on the next.
    const line = story.plan.materials.find(({ item }) => item === 'edgeProfile');
    expect(line && 'runs' in line.how ? line.how.runs.map(({ mitres }) => mitres) : []).toEqual([2, 2, 2, 2]);
  });
  test('wet: sealed twice, taped in the corners, white mortar, and plaster is no ground for it', () => {
    expect(story.needs('membrane')).toBeGreaterThan(0);
    expect(story.needs('cornerTape')).toBeGreaterThan(0);
    expect(story.plan.materials.find(({ item }) => item === 'adhesive')?.variant).toBe('white');
    expect(story.findings()).toContain('advice/soft-ground');
  });
  test('one place: each work is done on all five faces together', () => {
    for (const task of ['setOut', 'lay', 'grout'] as const)
      expect(story.plan.programme.tasks.filter((one) => one.task === task)).toHaveLength(1);
  });
});

describe('arabesque round an inside corner (J12)', () => {
  const story = toldOnce(arabesque());
  test('whole lanterns stand at both free ends, the misfit goes into the corner', () => {
    for (const [wall, end] of [
      ['left wall', 'left'],
      ['right wall', 'right'],
    ] as const) {
      // Every other lantern is whole there, the ones between are halves of 140 less the joint.
      const atEnd = story.of(wall).edges.find(({ id }) => id === end)?.cuts ?? [];
      expect(atEnd.length).toBeGreaterThan(2);
      for (const { endsMm } of atEnd) expect(Math.max(...endsMm)).toBeLessThan(0.53 * 140);
    }
  });
  test('two walls that meet are one place: set out, laid and grouted together, no sooner than both can be', () => {
    for (const task of ['setOut', 'lay', 'grout', 'sealant'] as const) {
      const tasks = story.plan.programme.tasks.filter((one) => one.task === task);
      expect(tasks.map(({ placeName }) => placeName)).toEqual(['left wall, right wall']);
    }
  });
  test('two profiles of 560, the corner none', () => expect(story.needs('edgeProfile')).toBeCloseTo(1.12, 6));
  test('the sealant runs along both worktops, the corner once, and what the tops have', () => {
    const metres = story.plan.money.work.filter(({ task }) => task === 'sealant').reduce((sum, { amount }) => sum + amount, 0);
    // 1.3 + 0.9 of worktop, as much of top, and 0.56 of corner at each wall or once.
    expect(metres).toBeGreaterThan(4.4 + 0.55);
    expect(metres).toBeLessThan(4.4 + 2 * 0.57);
  });
  test('hard cuts come first with lanterns', () => {
    const { cuts } = story.of('left wall');
    expect(cuts.length).toBeGreaterThan(20);
  });
  test('the marks of every lantern give its piece back to half a millimetre along its outline', () => {
    for (const { marks, tile, inTile } of story.of('left wall').cuts) {
      const made = rebuildPiece(marks, tile);
      expect(Math.abs(polygonsArea(made) - polygonArea(inTile))).toBeLessThan(0.5 * 400);
    }
  });
});

describe('a curved countertop with a sink (J14)', () => {
  const story = toldOnce(curvedCountertop());
  const top = story.of('top');
  test('the front bulges by 120: the segment and the straight part are the top, less the sink', () => {
    // Radius (900² + 120²) / 240 = 3435 mm; segment R² (a - sin a cos a) with sin a = 900 / 3435.
    const radius = (900 ** 2 + 120 ** 2) / 240;
    const half = Math.asin(900 / radius);
    const segment = radius ** 2 * (half - Math.sin(half) * Math.cos(half));
    // No gap at the exposed front; 5 at the other three sides.
    const inside = 1790 * 595 + segment;
    expect(top.extent.areaMm2 / 1e6).toBeCloseTo((inside - 400 * 350) / 1e6, 2);
  });
  test('the edge strip follows the front: the length of the arc', () => {
    const radius = (900 ** 2 + 120 ** 2) / 240;
    expect(story.needs('edgeProfile')).toBeCloseTo((2 * radius * Math.asin(900 / radius)) / 1000, 2);
  });
  test('every piece has a number of its own', () => expect(new Set(top.cuts.map(({ label }) => label)).size).toBe(top.cuts.length));
  test('stone is sawn, sealed before the grout, and set in white', () => {
    expect(top.cuts.every(({ tool }) => tool !== 'snapCutter')).toBe(true);
    expect(story.findings()).toEqual(expect.arrayContaining(['advice/seal-first', 'advice/dark-mortar']));
    expect(story.days().indexOf('sealTile')).toBeLessThan(story.days().indexOf('grout'));
  });
  test('the front is cut to curves or tapers of one cut each', () => {
    const front = top.edges.find(({ id }) => id === 'w1')?.cuts ?? [];
    expect(front.length).toBeGreaterThan(5);
    for (const { marks } of top.cuts) expect(marks.length).toBeLessThanOrEqual(3);
  });
});

describe('a countertop of random stones sawn from one tile (J15)', () => {
  const story = toldOnce(ashlarCountertop());
  const top = story.of('top');
  test('nothing lies as it was bought: every stone is sawn and numbered', () => {
    expect(top.totals.whole).toBe(0);
    expect(new Set(top.cuts.map(({ label }) => label)).size).toBe(top.cuts.length);
  });
  test('stones measure a module of 50 less the joint, a times b', () => {
    for (const { sizeMm, of } of top.cuts) {
      if (of !== 'stone') continue;
      for (const mm of [sizeMm.widthMm, sizeMm.heightMm]) expect(((mm + 2) / 50) % 1).toBeCloseTo(0, 6);
    }
  });
  test('stones and joints are the top', () => {
    const stones = top.cuts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
    expect(stones + top.extent.jointAreaMm2).toBeCloseTo(top.extent.areaMm2, -2);
  });
  test('all of them come from the tiles that are opened, each stone from one', () => {
    const used = top.offCuts.tiles.flatMap(({ uses }) => uses.map(({ label }) => label));
    expect([...used].sort()).toEqual(top.fromTiles.map(({ label }) => label).sort());
    const m2 = top.cuts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / 1e6;
    expect(top.offCuts.openedForCuts).toBeGreaterThanOrEqual(Math.ceil(m2 / 0.09));
  });
  test('what a start says of its cuts is what its plan counts', () => {
    const [surface] = story.job.surfaces;
    const starts = [...candidatesOf(story.job, surface)];
    expect(starts.length).toBeGreaterThan(2);
    for (const { candidate, laid } of starts) {
      const stones = laid.fields.reduce(
        (sum, { layout }) => sum + layout.wholeCount + layout.cutTiles.reduce((pieces, { polygons }) => pieces + polygons.length, 0),
        0,
      );
      expect(candidate.figures.cutPieces).toBe(stones);
    }
    expect(top.totals.cut).toBe(starts[0].candidate.figures.cutPieces);
  });
  test('the nosing runs along the front, cut from the same tile', () => {
    expect(story.hours('strips')).toBeCloseTo(1.804 / 4, 6);
    const strips = top.toCut.flatMap(({ strip }) => strip ?? []);
    // No joint of random stones is followed: lengths of the tile, as few as there can be.
    expect(strips).toHaveLength(Math.ceil(1804 / 302));
    expect(strips.every(({ purpose, edgeId }) => purpose === 'nosing' && edgeId === 'bottom')).toBe(true);
  });
});
