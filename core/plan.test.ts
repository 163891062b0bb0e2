import { describe, expect, test } from '@jest/globals';
import { checkJob } from './job/checkJob.ts';
import { jobOfOne } from './samples/testJob.ts';
import { plan, planSteps, planSurface } from './plan.ts';
import type { SurfacePlan } from './plan/planned.ts';
import type { AxisChoice } from './setout/choice/setoutChoice.ts';
import { endCuts } from './setout/edges/endCuts.ts';
import { describeEnds, describeReasons } from './messages/en/reasons.ts';
import { thingNamesOf } from './messages/thingNames.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from './units/tape.ts';
import type { Surface } from './job/job.ts';

const wall = { size: [2314, 297.5 + 10], tile: [297.5, 297.5], jointMm: 3 } as const;
const planned = (over: Parameters<typeof jobOfOne>[0]): SurfacePlan => {
  const job = jobOfOne(over);
  expect(checkJob(job)).toEqual([]);
  return planSurface(job, job.surfaces[0]);
};
const along = (x: AxisChoice, surface: Partial<Surface> = {}): SurfacePlan =>
  planned({ ...wall, surface: { setout: { x, y: { rule: 'fullFromStart' } }, ...surface } });

const said = ({ advice, traced }: SurfacePlan): string[] => describeReasons(advice.reasons, thingNamesOf(traced), METRIC_TAPE);

describe('a plan in steps', () => {
  const job = jobOfOne({ ...wall, size: [2314, 1215], surface: { pattern: { kind: 'herringbone', lay: 'lying', strips: 1 } } });
  test('comes nearer its end with every step, and ends in the plan', () => {
    const steps = planSteps(job, job.surfaces[0]);
    const shares: number[] = [];
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) {
        expect(step.value).toEqual(planSurface(job, job.surfaces[0]));
        break;
      }
      shares.push(step.value.share);
    }
    expect(shares.length).toBeGreaterThan(6);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(Math.max(...shares)).toBeLessThan(1);
  });
});

describe('the worked wall of 2314 with a piece of 297.5', () => {
  test.each([
    ['pieceCentred', 7, 98.75, 98.75],
    ['jointCentred', 6, 249, 249],
    ['fullFromStart', 7, null, 200.5],
    ['fullFromEnd', 7, 200.5, null],
  ] as const)('%s: %i full', (rule, whole, start, end) => {
    const result = along({ rule });
    const ends = endCuts(result.edges, result.choice.sides, 'x', result.choice.x);
    expect(result.totals.whole).toBe(whole);
    expect([ends.start, ends.end].map(({ cutsMm: [mm] }) => (mm === undefined ? null : Math.round(mm * 1e6) / 1e6))).toEqual([start, end]);
  });
  test('the joint on the centre is proposed, and the reason names both figures', () => {
    const result = along({ rule: 'best' });
    expect(result.choice.x.rule).toBe('jointCentred');
    expect(said(result)[0]).toBe('249 mm at both ends, left and right.');
  });
  test('a hidden right edge takes the misfit, a focal left one gets full pieces', () => {
    const roles = { left: 'focal', right: 'hidden' } as const;
    const result = planned({ ...wall, measured: { roles } });
    expect(result.choice.x.rule).toBe('fullFromStart');
    expect(said(result)[0]).toBe('Full tiles off the left edge; the 200.5 mm pieces go to the right edge, where nobody looks.');
  });
});

test('the worked wall in inches: 58 3/8 with 11 13/16 pieces', () => {
  const inch = 25.4;
  const job = { size: [58.375 * inch, 400], tile: [11.8125 * inch, 11.8125 * inch], jointMm: inch / 8, gapMm: (3 * inch) / 16 } as const;
  const ends = (['pieceCentred', 'jointCentred'] as const).map((rule) => {
    const result = planned({ ...job, surface: { setout: { x: { rule }, y: { rule: 'fullFromStart' } } } });
    return [
      Number(endCuts(result.edges, result.choice.sides, 'x', result.choice.x).start.cutsMm[0]) / inch,
      describeEnds(endCuts(result.edges, result.choice.sides, 'x', result.choice.x), 'x', IMPERIAL_TAPE),
    ];
  });
  expect(ends[0][0]).toBeCloseTo(11 + 1 / 32, 6);
  expect(ends[1][0]).toBeCloseTo(5 + 1 / 16, 6);
  expect(ends[1][1]).toContain('5 1/16" at both ends');
});

test('half-offset courses alternate between two end cuts', () => {
  const { edges } = planned({
    size: [2000, 1000],
    tile: [300, 100],
    jointMm: 2,
    surface: {
      pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' },
      setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } },
    },
  });
  const left = edges.find(({ id }) => id === 'left');
  expect([left?.smallestCutMm, left?.largestCutMm]).toEqual([expect.closeTo(149, 6), expect.closeTo(149, 6)]);
});

test('grout, adhesive and sealant follow from the geometry', () => {
  // 600 x 300 x 9, joint 3: 0.2135 kg/m² by geometry over whole cells; the setout below is exactly 20 x 20 cells.
  const job = jobOfOne({ size: [20 * 603, 20 * 303], tile: [600, 300], jointMm: 3, gapMm: 0 });
  const { surfaces, materials } = plan(job);
  const grout = materials.find(({ item }) => item === 'grout');
  const perM2 = Number(grout?.quantity) / 1.1 / (surfaces[0].extent.areaMm2 / 1e6);
  expect(perM2).toBeCloseTo(0.2135, 3);
  const adhesive = materials.find(({ item }) => item === 'adhesive');
  // A notch of 12 takes 5.1 kg/m², the skim on backs of this size 1.2.
  expect(adhesive?.quantity).toBeCloseTo(12.06 * 6.06 * (5.1 + 1.2), 6);
  const sealed = plan(jobOfOne({ ...wall })).materials.find(({ item }) => item === 'sealant');
  expect(sealed?.quantity).toBeCloseTo((2 * (2314 + 307.5) * 5 * 6) / 1000, 6);
});

describe('what can not be true is refused at its field', () => {
  const refusals = (over: Partial<Parameters<typeof jobOfOne>[0]>): string[] =>
    checkJob(jobOfOne({ ...wall, ...over })).map(({ code, path }) => `${code} ${path.join('.')}`);
  const pipe = {
    id: 'p',
    name: 'Pipe',
    outline: { kind: 'round', diameterMm: 100 },
    kind: 'cutOut',
    cover: null,
    from: [
      { edge: 'left', mm: 20 },
      { edge: 'bottom', mm: 100 },
    ],
    tiledUnder: false,
    clearanceMm: 3,
  } as const;
  test.each([
    [{ jointMm: 300 }, 'joint/wider-than-tile surfaces.0.jointMm'],
    [{ tile: [2400, 400] }, 'tile/larger-than-surface surfaces.0.productId'],
    [{ size: [40_000, 40_000], tile: [12, 12] }, 'tile/too-many-pieces surfaces.0.productId'],
    [{ gapMm: 160 }, 'surface/gaps-leave-nothing surfaces.0.measured.gapsMm'],
    [{ measured: { fixtures: [pipe] } }, 'fixture/outside surfaces.0.measured.fixtures.0.from.0.mm'],
    [
      { measured: { doorways: [{ id: 'd', edge: 'bottom', fromStartMm: 2000, widthMm: 800, depthMm: 60 }] } },
      'doorway/outside surfaces.0.measured.doorways.0.fromStartMm',
    ],
  ] as const)('%j', (over, expected) => expect(refusals(over as object)).toEqual([expected]));
});

test('a strip narrower than the tile is cut from its edge, not out of its middle', () => {
  const { cuts } = planned({ size: [1800, 85], tile: [300, 300], jointMm: 3 });
  for (const { inTile } of cuts) expect(Math.min(...inTile[0].map(([, y]) => y))).toBeLessThan(0.01);
});

test('a column that stands in one tile splits it: nothing closes round it, and no tile is lost', () => {
  const column = {
    id: 'c',
    kind: 'column',
    name: 'Column',
    outline: { kind: 'round', diameterMm: 60 },
    from: [
      { edge: 'left', mm: 455 },
      { edge: 'bottom', mm: 155 },
    ],
    tiledUnder: false,
    clearanceMm: 3,
    cover: null,
  } as const;
  const room: Parameters<typeof jobOfOne>[0] = {
    size: [910, 610],
    tile: [300, 300],
    jointMm: 0,
    surface: { kind: 'floor', setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } } },
  };
  const { cuts, extent } = planned({ ...room, measured: { fixtures: [{ ...column, from: [...column.from] }] } });
  expect(cuts.map(({ polygon }) => polygon.length)).toEqual(cuts.map(() => 1));
  expect(cuts.filter(({ label }) => /[ab]$/.test(label))).toHaveLength(2);
  expect(extent.tiledAreaMm2).toBeCloseTo(extent.areaMm2, 0);
});
