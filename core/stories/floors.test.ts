import { describe, expect, test } from '@jest/globals';
import { ringArea } from '../geometry/ring.ts';
import { basketWeave, kitchenFloor, octagonsInAnOldRoom, onSandAndCement, overOldTiles } from './floorJobs.ts';
import { toldOnce } from '../../testing/toldOnce.ts';

describe('a kitchen floor in large format, cabinets left out (J02)', () => {
  const story = toldOnce(kitchenFloor());
  const floor = story.of('floor');
  test('only the open floor is tiled, the appliance bay with it', () => {
    // 4190 x 3090 inside the gaps, less the cabinets, 3000 x 600 from the corner: 2995 x 595 of what is inside.
    expect(floor.extent.areaMm2 / 1e6).toBeCloseTo((4190 * 3090 - 2995 * 595) / 1e6, 6);
  });
  test('a third bond off the left and the door: 371 and 572 at the right by turns, 198 at the left', () => {
    // 4190 = 6 x 603 + 572; shifted by 201: 198 + 3 + 6 x 603 = 3819, and 371.
    expect(story.sizes('floor')).toMatchObject({ '572 x 300': 5, '371 x 300': 5, '198 x 300': 4 });
  });
  test('full courses off the door, 60 at the far wall, and 71 before the cabinets', () => {
    // 3090 = 10 x 303 + 60. The cabinets begin at 3090 - 595 = 2495 = 8 x 303 + 71.
    expect(floor.edges.find(({ id }) => id === 'bottom')?.cuts).toEqual([]);
    expect(story.sizes('floor')).toMatchObject({ '600 x 60': 1, '600 x 71': 4 });
  });
  test('lines from the walls for the first and the second course, square by a triangle', () => {
    expect(story.lines('floor').slice(0, 3)).toEqual([
      // Three steps of 603 from the gap of 5; the second course a third on.
      'Cross line: 1814 at both ends, from the left edge.',
      'Second-course line: 2015 at both ends, from the left edge.',
      // Six courses of 303 from the gap of 5: a course that begins like the first.
      'Course line: 1823 at both ends, from the bottom edge.',
    ]);
    expect(story.lines('floor').at(-1)).toBe(
      'Square where they cross: 2000 along the course line, 1500 along the cross line, then 2500 mm across.',
    );
  });
  test('work goes from the far end back to the door, every zone over floor that is not laid', () => {
    expect(floor.zones.way).toBe('backToTheDoor');
    expect(floor.zones.exits).toEqual(['bottom']);
    expect(floor.zones.zones.every(({ isReached }) => isReached)).toBe(true);
  });
  test('pieces this long are levelled with clips, not set with spacers', () => {
    expect(story.needs('levellingClips')).toBeGreaterThan(300);
    expect(story.needs('spacers')).toBe(0);
    expect(story.findings()).not.toContain('advice/long-offset');
  });
  test('adhesive: a notch of 10 and a skim on the backs, near 6.3 kg a square metre', () => {
    expect(story.needs('adhesive') / (floor.extent.areaMm2 / 1e6)).toBeCloseTo(5.1 + 1.2, 1);
  });
  test('the days: prime, set out, cut, lay over two days, grout after one, sealant after another', () => {
    expect(story.days()).toEqual(['prime', 'setOut', 'cut', 'lay', 'scrape', 'grout', 'sealant']);
    const [lay] = story.plan.programme.tasks.filter(({ task }) => task === 'lay');
    expect(lay.stretches).toHaveLength(2);
  });
  test('twelve boxes of six: 64 opened, one that breaks, two for the client', () => {
    const line = story.plan.materials.find(({ item }) => item === 'tiles');
    expect(line?.quantity).toBe(floor.totals.opened + 1 + 2);
    expect(line?.packs).toMatchObject([{ count: 12, size: 6 }]);
  });
  test('a leg of 17 beside the notch is told before anybody cuts it', () => expect(story.findings()).toContain('advice/fragile-ear'));
});

describe('a new floor over an old tiled one, under heavy loads, round a column (J03)', () => {
  const story = toldOnce(overOldTiles());
  const floor = story.of('floor');
  test('the column is left out with the gap round it', () => {
    // 8990 x 3990 inside the gaps, less 300 x 300.
    expect(floor.extent.areaMm2 / 1e6).toBeCloseTo((8990 * 3990 - 300 * 300) / 1e6, 6);
  });
  test('old tiles are primed in two coats, a portion a day, none longer ahead than it holds', () => {
    const [prime] = story.money.work.filter(({ task }) => task === 'prime');
    expect(prime.amount).toBeCloseTo((2 * floor.extent.areaMm2) / 1e6, 6);
    const portions = story.plan.programme.tasks.filter(({ task }) => task === 'prime');
    expect(portions.length).toBeGreaterThan(1);
    expect(story.findings()).not.toContain('advice/missed-window');
  });
  test('heavy loads: combed on both sides, twice the notch of 8', () => {
    expect(story.needs('adhesive') / (floor.extent.areaMm2 / 1e6)).toBeCloseTo(2 * 3.4, 1);
  });
  test('sealant all round: four walls, 5 mm wide', () => {
    // 26 m of 5 x 6 mm: 780 ml, three cartridges of 310.
    expect(story.needs('sealant')).toBeCloseTo(780, 3);
    expect(story.packs('sealant')).toEqual(['3 of 310']);
  });
  test('tiles: 29 whole and one of 203 by thirteen and one of 51', () => {
    // 8990 = 29 x 303 + 203; 3990 = 13 x 303 + 51.
    expect(story.sizes('floor')).toMatchObject({ '300 x 51': 29, '203 x 300': 13, '203 x 51': 1 });
    expect(floor.totals.whole + floor.totals.cut).toBe(30 * 14);
  });
  test('strips of 51 come five from a tile: the plan opens no more than can be proven', () => {
    // 300 = 5 x 51 + 4 x 2.5 + 35: 29 strips and the corner are six tiles; 13 of 203, and four notched at the column.
    expect(floor.offCuts.openedForCuts).toBeLessThanOrEqual(13 + 6 + 6);
    expect(floor.offCuts.openedForCuts).toBeGreaterThanOrEqual(floor.offCuts.lowerBound);
  });
  test('mixes are of what a floor takes in a pot life, the order is their sum', () => {
    const [mix] = story.plan.mixes.filter(({ item }) => item === 'adhesive');
    expect((mix.count - 1) * mix.powderKg + mix.lastKg).toBeCloseTo(story.needs('adhesive'), 6);
  });
});

describe('large format on a bed of sand and cement (J04)', () => {
  const story = toldOnce(onSandAndCement());
  const floor = story.of('floor');
  const m2 = (3990 * 3090) / 1e6;
  test('42 slabs: six by five whole, 372 at the right, 75 at the far wall', () => {
    // 3990 = 6 x 603 + 372; 3090 = 5 x 603 + 75.
    expect(story.sizes('floor')).toEqual({ '600 x 75': 6, '372 x 600': 5, '372 x 75': 1 });
    expect(floor.totals.whole).toBe(30);
  });
  test('the bed: 27 mm, one part cement to six of sand', () => {
    // Handbook: 12.4 m² x 27 mm make 89.5 kg of cement and 0.373 m³ of sand.
    expect(story.needs('cement')).toBeCloseTo((89.535 * m2) / 12.4, 1);
    expect(story.needs('sand')).toBeCloseTo((0.3731 * m2) / 12.4, 3);
    expect(story.packs('cement')).toEqual(['4 of 25']);
  });
  test('skirting goes round: 14.2 m cut from tiles', () => {
    expect(story.hours('strips')).toBeCloseTo(14.2 / 4, 6);
    const strips = floor.toCut.flatMap(({ strip }) => strip ?? []);
    // 10 of slab and 3 of bed in each corner, a joint before the face of the one before, the gap at the wall behind its end.
    const runs = [4000, 3100, 4000, 3100].map((mm) => mm - 13 - 3 - 5);
    expect(strips.reduce((sum, { lengthMm }) => sum + lengthMm + 3, -3 * 4)).toBeCloseTo(
      runs.reduce((sum, mm) => sum + mm),
      6,
    );
    // Seven strips of 80 from a slab of 600 at a kerf of 2.5 would open four; the strip that the far wall leaves of twelve holds them all.
    expect(floor.totals.opened).toBe(42);
  });
  test('the bed waits before tiles, and skirting stands after them and before the grout', () => {
    const days = story.days();
    expect(days).toEqual(['prime', 'bed', 'setOut', 'cut', 'lay', 'strips', 'scrape', 'grout', 'sealant']);
    const [bed, setOut] = ['bed', 'setOut'].map((task) => story.plan.programme.tasks.find((one) => one.task === task));
    expect((setOut?.start ?? 0) - (bed?.end ?? 0)).toBeGreaterThanOrEqual(24);
  });
  test('hours are square metres over paces', () => {
    expect(story.hours('bed')).toBeCloseTo(m2 / 2.2, 6);
    expect(story.hours('grout')).toBeCloseTo(m2 / 6, 6);
    expect(story.hours('lay')).toBeCloseTo(m2 / 2.4, 6);
  });
  test('all slabs lie one way: none is turned for a cut', () => expect(floor.cuts.every(({ hasWayUp }) => hasWayUp)).toBe(true));
});

describe('an old room out of square in octagons and dots (J07)', () => {
  const story = toldOnce(octagonsInAnOldRoom());
  const floor = story.of('floor');
  test('whole octagons along the wall that is seen first; every dot there is half', () => {
    const seen = floor.edges.find(({ id }) => id === 'w1');
    const main = seen?.cuts.filter(({ isMain }) => isMain) ?? [];
    // Octagons whole from the left, cut only where the right wall leans in.
    expect(main.length).toBeLessThanOrEqual(1);
  });
  test('the far wall runs off by 20: each of its octagons has two marks', () => {
    const tapered = floor.cuts.filter(({ marks, sizeMm }) => sizeMm.widthMm > 149 && marks.length === 1 && marks[0].type === 'chord');
    expect(tapered.length).toBeGreaterThan(8);
    for (const { marks } of tapered) {
      const [mark] = marks;
      if (mark.type === 'chord') expect(mark.ends[0].mm).not.toBeCloseTo(mark.ends[1].mm, 1);
    }
  });
  test('the tiles cover the room but for their joints: 4.8 in a hundred', () => {
    // Reference: octagon 150, corner 44, joint 3, dot that fits: 4.804 % of the area are joints; a dot of 60 leaves a little more.
    const share = floor.extent.jointAreaMm2 / floor.extent.areaMm2;
    expect(share).toBeGreaterThan(0.045);
    expect(share).toBeLessThan(0.053);
    const room = ringArea([
      [0, 0],
      [2450, 0],
      [2470, 1980],
      [10, 2000],
    ]);
    // A gap of 5 all round.
    expect(floor.extent.areaMm2).toBeCloseTo(room - 5 * (2450 + 1980 + 2460 + 2000) + 100, -3);
  });
  test('porous tiles are sealed in coats between laying and grouting', () => {
    const days = story.days();
    expect(days.indexOf('lay')).toBeLessThan(days.indexOf('sealTile'));
    expect(days.indexOf('sealTile')).toBeLessThan(days.indexOf('grout'));
    expect(story.plan.programme.tasks.filter(({ task }) => task === 'sealTile')).toHaveLength(2);
    expect(story.findings()).toContain('advice/seal-first');
  });
  test('slivers of the leaning wall are told, with where they are', () => expect(story.findings()).toContain('advice/sliver'));
  test('both tiles are ordered, each by its own boxes', () => {
    const tiles = story.plan.materials.filter(({ item }) => item === 'tiles');
    expect(tiles).toHaveLength(2);
    for (const { packs, quantity } of tiles)
      expect(packs.reduce((sum, { count, size }) => sum + count * size, 0)).toBeGreaterThanOrEqual(quantity);
  });
  test('the cross line is told at both walls, where the room is not parallel', () => {
    // The left wall leans by 10 over 2000.
    expect(story.lines('floor')[0]).toMatch(/^Cross line: 1229 at the bottom end, 1219 at the top end, from the edge D–A\.$/);
  });
});

describe('a bathroom floor in basket weave off a tray, out of the door (J08)', () => {
  const story = toldOnce(basketWeave());
  const floor = story.of('floor');
  test('the tray is left out and its sides are met by whole strips where they can be', () => {
    const beside = floor.beside.filter(({ id }) => id.startsWith('tray'));
    expect(beside.some(({ cuts }) => cuts.length === 0)).toBe(true);
  });
  test('a third of the strips lie one way, three to a block: 3 x 98 + 2 x 3 = 300', () =>
    expect(story.findings()).not.toContain('advice/meeting-differs'));
  test('the door is the way out, and the last zone lies at it', () => {
    expect(floor.zones.exits).toEqual(['door']);
    expect(floor.zones.zones.every(({ isReached }) => isReached)).toBe(true);
  });
  test('the soil pipe is tight as it was told, and that is said', () => expect(story.findings()).toContain('advice/tight-pipe'));
  test('directional strips keep their way: cuts are marked with the arrow', () => {
    expect(floor.cuts.every(({ hasWayUp }) => hasWayUp)).toBe(true);
  });
  test('waterproof in two coats before setting out; sealant after a day', () => {
    expect(story.days()).toEqual(['prime', 'waterproof', 'setOut', 'cut', 'lay', 'scrape', 'grout', 'sealant']);
    const [grout, sealant] = ['grout', 'sealant'].map((task) => story.plan.programme.tasks.find((one) => one.task === task));
    expect((sealant?.start ?? 0) - (grout?.end ?? 0)).toBeGreaterThanOrEqual(24);
  });
  test('joints: 3.931 in a hundred of what is laid, by the reference', () => {
    expect(floor.extent.jointAreaMm2 / floor.extent.areaMm2).toBeCloseTo(0.0393, 2);
  });
  test('pieces laid, cut and whole, are the strips that touch the floor', () => {
    expect(floor.totals.whole + floor.cuts.length).toBe(floor.totals.pieces);
  });
});
