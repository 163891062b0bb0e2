import { describe, expect, test } from '@jest/globals';
import { glassSplashback, laundry, noCuts, showerFromTheTrim, showerOnALedger, splashbackInSheets } from './wallJobs.ts';
import { describeZoneMixes, explainMix, explainZoneMix } from '../messages/en/mixes.ts';
import { zoneMixes } from '../takeoff/mixes/zoneMixes.ts';
import { describeMark } from '../messages/en/marks.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { toldOnce } from '../../testing/toldOnce.ts';

describe('a splashback in sheets, with sockets and a free end (J01)', () => {
  const story = toldOnce(splashbackInSheets());
  const { offCuts, zones } = story.of('wall');
  test('the free end shows whole chips; the misfit goes into the corner', () => {
    // From the right, 2400 less 5 at the left wall: 47 steps of 50 are 2350, and 45 stay of the last chip.
    const [left, right] = ['left', 'right'].map((id) => story.of('wall').edges.find((edge) => edge.id === id));
    expect(right?.cuts).toEqual([]);
    expect(left?.cuts.every(({ endsMm }) => Math.abs(endsMm[0] - 45) < 0.01 && Math.abs(endsMm[1] - 45) < 0.01)).toBe(true);
    // Up from the worktop: 596 less 3 and 5 are 588; 11 steps of 50 are 550, and 38 stay.
    expect(
      story
        .of('wall')
        .edges.find(({ id }) => id === 'top')
        ?.cuts.every(({ thinnestMm }) => Math.abs(thinnestMm - 38) < 0.01),
    ).toBe(true);
  });
  test('its sheets: what the chips need, no more', () => {
    // 2395 x 588 of sheets 300 apart is eight by two, none whole less: 16.
    const [sheets] = story.of('wall').sheets;
    expect(sheets.wholeSheets + sheets.openedForParts).toBe(16);
    expect(sheets.lowerBound).toBe(16);
    expect(offCuts.tiles).toEqual([]);
  });
  test('the profile is as long as the free end, out of one bar, and goes in before what it frames', () => {
    expect(story.needs('edgeProfile')).toBeCloseTo(0.596, 6);
    expect(story.packs('edgeProfile')).toEqual(['1 of 2.5']);
    expect(story.days().indexOf('trim')).toBeLessThan(story.days().indexOf('lay'));
    // Cut by the metre: 0.596 / 6 an hour.
    expect(story.hours('trim')).toBeCloseTo(0.596 / 6, 6);
  });
  test('tubs: what the surface takes, and none of the powder', () => {
    expect(story.needs('adhesive') + story.needs('grout')).toBe(0);
    // 2.4 x 0.588 less 5 at the wall and two boxes of 142 x 71: 1.38809 m², at 2.3 kg a square metre.
    const m2 = (2395 * 588 - 2 * 142 * 71) / 1e6;
    expect(story.needs('readyAdhesive') / m2).toBeCloseTo(2.3, 1);
    expect(story.packs('readyAdhesive')).toEqual(['1 of 5']);
  });
  test('both boxes are told to end up deeper, with the power off', () => expect(story.findings()).toContain('advice/deep-boxes'));
  test('zones go up from the worktop, and every sheet that is cut is in one', () => {
    expect(zones.way).toBe('upFromTheBase');
    expect(zones.zones.flatMap(({ cuts }) => cuts)).toHaveLength(story.of('wall').toCut.length);
  });
  test('what is cut are sheets: the top of each, the left of two, a bite round each box; minutes, where chips would take a day', () => {
    const { toCut, cuts } = story.of('wall');
    expect([toCut.length, cuts.length]).toEqual([13, 73]);
    // 588 less 300 are 288 of nine sheets; 2395 less 2150 are 245 of two.
    const sawn = toCut.flatMap(({ marks }) => marks.map((mark) => describeMark(mark, METRIC_TAPE)));
    expect(sawn.filter((mark) => mark === '288 from the bottom edge')).toHaveLength(9);
    expect(sawn.filter((mark) => mark === '245 from the right edge')).toHaveLength(2);
    // Eleven passes of 0.7 minutes, two bites of 5, a knife between chips at the right end.
    expect(story.hours('cut') * 60).toBeCloseTo(11 * 0.7 + 2 * 5 + 0.3, 6);
  });
});

describe('a small glass splashback whose courses fit (J05)', () => {
  const story = toldOnce(glassSplashback());
  test('five courses stand between worktop and cabinet without a cut', () => {
    // 510 less 6 and 6: 498 = 5 x 98 + 4 x 2.
    for (const id of ['bottom', 'top']) expect(story.of('wall').edges.find((edge) => edge.id === id)?.cuts).toEqual([]);
  });
  test('a piece on the middle leaves 73 at both ends of five courses', () => {
    // 1210 less 12 is 1198: (1198 - 148) / 2 = 525 a side, three steps of 150 are 450, and 73 after the joint.
    expect(story.sizes('wall')['73 x 98']).toBe(10);
  });
  test('the socket of 71 x 71 bites into two tiles, the rest is whole', () => {
    // 9 x 5 = 45 pieces, ten at the ends and two at the socket cut.
    expect(story.of('wall').totals).toMatchObject({ whole: 33, cut: 12 });
    expect(story.sizes('wall')['148 x 98']).toBe(2);
  });
  test('two ends of 73 come from one glass of 148: 5 for the ends at a kerf of 2.5 they do not, and the plan knows', () => {
    // 73 + 2.5 + 73 = 148.5 > 148: each end opens a glass of its own.
    expect(story.of('wall').offCuts.openedForCuts).toBe(12);
    expect(story.of('wall').offCuts.lowerBound).toBe(12);
  });
  test('the box is opened before a line is struck, the joints are scraped before they are filled, and the plate goes on when they are hard', () => {
    const days = story.days();
    expect(days[0]).toBe('openBoxes');
    const at = (task: (typeof days)[number]) => story.plan.programme.tasks.find((one) => one.task === task);
    // One socket: four minutes to open, eight to refit; the clock goes by quarters of an hour.
    const hours = (task: string) => story.plan.money.work.find((one) => one.task === task)?.hours;
    expect([hours('openBoxes'), hours('refitBoxes')]).toEqual([4 / 60, 8 / 60]);
    // A day, a fifth less on plaster, which drinks.
    expect(at('scrape')?.start).toBeGreaterThanOrEqual((at('lay')?.end ?? Infinity) + 0.8 * 24);
    expect(at('grout')?.start).toBeGreaterThanOrEqual(at('scrape')?.end ?? Infinity);
    expect(at('refitBoxes')?.start).toBeGreaterThanOrEqual((at('grout')?.end ?? Infinity) + 12);
  });
  test('glass is sawn, set in white mortar, and asked for a mortar of its own', () => {
    expect(new Set(story.of('wall').cuts.map(({ tool }) => tool))).toEqual(new Set(['wetSaw']));
    expect(story.plan.materials.find(({ item }) => item === 'adhesive')?.variant).toBe('white');
    expect(story.findings()).toContain('advice/glass-bed');
    expect(story.findings()).not.toContain('advice/glass-room');
  });
  test('sealant runs along all four sides', () => {
    // 2 x (1210 + 510) mm, 6 x 6 mm of section: 123.84 ml.
    expect(story.needs('sealant')).toBeCloseTo((3440 * 36) / 1000, 2);
  });
});

describe('a shower wall from its trimmed end, third bond (J09)', () => {
  const story = toldOnce(showerFromTheTrim());
  test('full and third by turns at the trim, the rest in the corner', () => {
    // 895 from the trim: 597 + 3 + 295; the shifted course 397 or 197, then 597 + 3 + 95 or 295.
    expect(story.sizes('wall')).toEqual({
      '597 x 292': 1,
      '295 x 292': 1,
      '295 x 297': 3,
      '197 x 297': 3,
      '95 x 297': 3,
      '597 x 297': 1,
    });
  });
  test('the top course is cut to 292', () => {
    // 2100 less 3 and 5: 2092 = 6 x 300 + 292.
    expect(story.of('wall').edges.find(({ id }) => id === 'top')?.largestCutMm).toBeCloseTo(292, 6);
  });
  test('a full course stands on the tray: no ledger, and none on the days', () => {
    expect(story.of('wall').ledger).toBeNull();
    expect(story.days()).not.toContain('ledger');
  });
  test('the strips of 95 in the corner are told', () => expect(story.findings()).toContain('advice/sliver'));
  test('the line for the first course is struck where the second tile begins', () =>
    expect(story.lines('wall').slice(0, 3)).toEqual([
      'Cross line: 600 at both ends, from the left edge.',
      'Second-course line: 800 at both ends, from the left edge.',
      // Nearer the middle, the course at 903 is a shifted one: it begins no tile on that line.
      'Course line: 1203 at both ends, from the bottom edge.',
    ]));
  test('the profile is 2.1 m; the seal has two coats with an hour between, then a day before tiles', () => {
    expect(story.needs('edgeProfile')).toBeCloseTo(2.1, 6);
    const coats = story.plan.programme.tasks.filter(({ task }) => task === 'waterproof');
    expect(coats).toHaveLength(2);
    expect(coats[1].start - coats[0].end).toBeGreaterThanOrEqual(1);
    const lay = story.plan.programme.tasks.find(({ task }) => task === 'lay');
    expect((lay?.start ?? 0) - coats[1].end).toBeGreaterThanOrEqual(12);
  });
  test('the membrane covers the wall twice, the tape its corner', () => {
    // (895 x 2092 less the valve of 120) mm².
    const m2 = (895 * 2092 - Math.PI * 60 ** 2) / 1e6;
    expect(story.needs('membrane')).toBeCloseTo(1.5 * m2, 1);
    // 2.1 m of corner and 0.9 m of tray, and what laps.
    expect(story.needs('cornerTape')).toBeGreaterThan(3);
  });
});

describe('a shower wall from its centre line on a ledger (J10)', () => {
  const story = toldOnce(showerOnALedger());
  test('a joint on the middle leaves 137.5 at both ends', () => {
    // 1500 less 10: 745 a side of the middle of the joint; 745 - 1.5 = 743.5 = 2 x 303 + 137.5.
    expect(story.sizes('wall')).toEqual({ '137.5 x 300': 12, '137.5 x 279': 2, '300 x 279': 4 });
  });
  test('full courses under the top leave 279 at the bottom, on a ledger at 285', () => {
    // 2100 less 3: 2097 - 6 x 303 = 279; above it 3 of tray and 3 of joint.
    expect(story.of('wall').ledger?.heightsMm).toEqual([285, 285]);
    expect(story.needs('ledgerBoard')).toBeCloseTo(1.5, 6);
    // A screw at each end of 1500 and three between, 400 apart at most; two wedges to each of six pieces.
    expect([story.needs('ledgerScrews'), story.needs('settingWedges')]).toEqual([5, 12]);
  });
  test('the ledger is fixed, comes off after a day, and the bottom row follows before the grout', () => {
    const days = story.days();
    const inOrder = [
      'waterproof',
      'setOut',
      'cut',
      'trim',
      'ledger',
      'lay',
      'ledgerOff',
      'ledgerHoles',
      'ledgerSeal',
      'bottomRow',
      'grout',
      'sealant',
    ] as const;
    expect(days.filter((task) => (inOrder as readonly string[]).includes(task))).toEqual([...inOrder]);
    const [lay, off] = ['lay', 'ledgerOff'].map((task) => story.plan.programme.tasks.find((one) => one.task === task));
    expect((off?.start ?? 0) - (lay?.end ?? 0)).toBeGreaterThan(12);
  });
  test('each zone is stirred for itself, all of them what is ordered; card and site say no other number', () => {
    const [mix] = story.plan.mixes.filter(({ item }) => item === 'adhesive');
    const [{ zones }] = zoneMixes(mix, story.plan.surfaces);
    expect(zones).toHaveLength(story.of('wall').zones.zones.length);
    expect(zones.reduce((sum, { powderKg }) => sum + powderKg, 0)).toBeCloseTo(story.needs('adhesive'), 6);
    // Two courses of 1490 by 606 are 0.903 m²; 14.4 kg over 3.12 m² make 4.17 kg of it.
    expect(describeZoneMixes(zones, METRIC_TAPE)).toEqual([
      'zones 1 to 3, each: 4.2 kg to 1.10 L of water',
      'zone 4: 2.0 kg to 0.50 L of water',
    ]);
    expect(explainMix(mix, zoneMixes(mix, story.plan.surfaces), METRIC_TAPE).join(' ')).toContain(
      'Laid in 4 zones, each with a mix of its own.',
    );
    expect(explainZoneMix(mix, zones[0], METRIC_TAPE)[0]).toBe('With the bucket the scale shows 5.2 kg.');
  });
  test('the zones keep the bottom row for the last, and lay nothing of it before', () => {
    const { zones } = story.of('wall').zones;
    expect(zones.map(({ offLedger }) => offLedger)).toEqual([...zones.map(() => false).slice(1), true]);
    expect(zones[zones.length - 1]).toMatchObject({ wholePieces: 0 });
    expect(zones[zones.length - 1].cuts.every((label) => label.startsWith('A'))).toBe(true);
    expect(zones[zones.length - 1].cuts).toHaveLength(6);
  });
  test('hours: what is laid first and the bottom row are the wall', () => {
    // 1490 x 2097 in all, 1500 x 285 of it below the ledger, at 1.36 m² an hour.
    const [lay, row] = ['lay', 'bottomRow'].map((task) => story.money.work.find((one) => one.task === task));
    expect((lay?.amount ?? 0) + (row?.amount ?? 0)).toBeCloseTo((1490 * 2097) / 1e6, 6);
    expect(row?.amount).toBeCloseTo((1500 * 285) / 1e6, 6);
  });
  test('24 whole, and cuts for 11 tiles more: two ends of 137.5 from one, no plan could do with fewer', () => {
    // Twelve of 137.5: 137.5 + 2.5 + 137.5 = 277.5 <= 300, so six; two of 137.5 x 279 from one; four of 300 x 279 from four.
    expect(story.of('wall').totals).toMatchObject({ whole: 24, cut: 18, opened: 35 });
    expect(story.of('wall').offCuts.lowerBound).toBe(11);
  });
});

describe('a laundry splashback, centre-out (J13)', () => {
  const story = toldOnce(laundry());
  test('the middle takes the joint: 135.5 at both ends, where a piece on the middle would leave 60.5', () => {
    // 1483 less 10 is 1473: 736.5 - 1 = 735.5 = 4 x 150 + 135.5; with a piece: 736.5 - 74 = 662.5 = 4 x 150 + 60.5 after joints.
    expect(story.sizes('wall')).toEqual({ '135.5 x 148': 6 });
  });
  test('three courses fit under the profile: 448 = 3 x 148 + 2 x 2', () =>
    expect(story.of('wall').totals).toMatchObject({ whole: 24, cut: 6, opened: 30 }));
  test('one setting of the fence for all cuts, at the saw: the 12.5 that comes off is too little to snap', () => {
    expect(story.of('wall').groups).toHaveLength(1);
    expect(story.of('wall').cuts.every(({ tool }) => tool === 'wetSaw')).toBe(true);
    expect(story.marks('wall', 'A1')).toEqual(['135.5 from the right edge']);
  });
  test('nothing is wrong with it', () => expect(story.findings()).toEqual([]));
  test('33 tiles: 30, one that breaks and two for the client; four boxes', () => {
    const line = story.plan.materials.find(({ item }) => item === 'tiles');
    expect(line?.quantity).toBe(33);
    expect(line?.packs).toMatchObject([{ count: 4, size: 10 }]);
    expect(line?.left).toBe(7);
  });
  test('what it takes: profile, sealant and spacers as counted', () => {
    expect(story.needs('edgeProfile')).toBeCloseTo(1.483, 6);
    // The worktop and both walls, 5 x 6 mm of section.
    expect(story.needs('sealant') / (1483 + 2 * 455)).toBeCloseTo(0.03, 3);
    // Two rows of crossings, nine uprights each, and one that breaks.
    expect(story.needs('spacers')).toBe(19);
  });
});

describe('a splashback without a cut (J16)', () => {
  const story = toldOnce(noCuts());
  test('ten by five whole bricks fill it', () => {
    // 2008 - 10 = 1998 = 10 x 198 + 9 x 2; 508 - 10 = 498 = 5 x 98 + 4 x 2.
    expect(story.of('wall').totals).toMatchObject({ whole: 50, cut: 0, opened: 50 });
    expect(story.of('wall').cuts).toEqual([]);
  });
  test('nobody goes to the saw', () => {
    expect(story.days()).not.toContain('cut');
    expect(story.money.work.some(({ task }) => task === 'cut')).toBe(false);
  });
  test('52 tiles with the spares; nothing breaks that is not cut', () =>
    expect(story.plan.materials.find(({ item }) => item === 'tiles')?.quantity).toBe(52));
  test('joints: 9 uprights of 498 and 4 levels of 1998, less where they cross', () => {
    // 9 x 2 x 498 + 4 x 2 x 1998 - 36 x 4 mm².
    expect(story.of('wall').extent.jointAreaMm2).toBeCloseTo(9 * 2 * 498 + 4 * 2 * 1998 - 36 * 4, 3);
  });
  test('every edge is met by full pieces', () => {
    for (const { cuts } of story.of('wall').edges) expect(cuts).toEqual([]);
  });
});
