import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { distance, dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { describeLines } from '../../messages/en/lines.ts';
import { thingNamesOf } from '../../messages/thingNames.ts';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import type { Drawing } from '../../plan/planned.ts';
import type { Fixture } from '../../surface/fixture.ts';
import { wallsThrough } from '../../surface/shapes/asWalls.ts';
import { SHAPES, type Shape } from '../../surface/shapes/registry.ts';
import { jobOfOne, type WantedJob } from '../../samples/testJob.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../../units/tape.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { trials } from '../../../testing/trials.ts';

const drawn = (over: WantedJob): Drawing => {
  const job = jobOfOne(over);
  return drawSurface(job, job.surfaces[0]);
};
const bonds = fc.record({
  kind: fc.constant('runningBond' as const),
  lay: fc.constantFrom('lying' as const, 'upright' as const),
  offset: fc.constantFrom(0.5, 1 / 3, 0.25, 0.4),
  step: fc.constantFrom('alternating' as const, 'stepped' as const),
});
const skew = wallsThrough(
  [
    [0, 0],
    [3200, 30],
    [3260, 2400],
    [40, 2460],
  ],
  ['a', 'b', 'c', 'd'].map((id) => ({ id, name: '', curve: null })),
);

/** How many pieces begin on a line, as if nothing cut them: two of their corners lie on it, and the rest to one side. */
function beginOn({ layout }: Drawing, [a, b]: readonly [Point, Point]): number {
  const normal = quarterTurn(unit(subtract(b, a)));
  let begin = 0;
  const count = (address: Parameters<typeof tileRing>[1]): void => {
    const off = tileRing(layout, address).map((p) => dot(subtract(p, a), normal));
    if (off.filter((mm) => Math.abs(mm) < 1e-5).length >= 2) begin++;
  };
  forEachWhole(layout, count);
  layout.cutTiles.forEach(count);
  return begin;
}

test('pieces begin on every line, and each tape leads from what it names to its line', () => {
  fc.assert(
    fc.property(
      bonds,
      fc.constantFrom<Shape>({ kind: 'rectangle', widthMm: 3100, heightMm: 2300 }, skew, SHAPES.lShape.defaults),
      fc.constantFrom(0, 0, 45, 30, -22.5, 117),
      fc.constantFrom('wall' as const, 'floor' as const),
      (pattern, shape, turnDeg, kind) => {
        const drawing = drawn({
          size: [3100, 2300],
          tile: [240, 110],
          jointMm: 4,
          surface: { pattern, turnDeg, kind },
          measured: { shape },
        });
        const { struck, traced } = drawing;
        expect(struck.lines.filter(({ use }) => use === 'first')).toHaveLength(2);
        expect(struck.lines.some(({ use }) => use === 'second')).toBe(true);
        for (const line of struck.lines) {
          const [from, to] = line.ends;
          expect(beginOn(drawing, line.ends)).toBeGreaterThan(line.use === 'control' ? 0 : 1);
          const normal = quarterTurn(unit(subtract(to, from)));
          for (const tape of line.tapes) {
            expect(Math.abs(dot(subtract(tape.at, from), normal))).toBeLessThan(1e-6);
            const id = tape.by === 'square' ? tape.id : tape.edge;
            const foot = tape.by === 'square' ? tape.foot : tape.at;
            const stretches = traced.edges.filter((edge) => edge.id === id);
            expect(Math.min(...stretches.map((edge) => distanceToStretch(foot, edge.from, edge.to)))).toBeLessThan(1e-6);
            if (tape.by === 'square') {
              expect(distance(tape.at, foot)).toBeCloseTo(tape.mm, 6);
              expect(Math.abs(dot(unit(subtract(foot, tape.at)), unit(subtract(to, from))))).toBeLessThan(1e-6);
            } else if (stretches.length === 1) expect(distance(stretches[0].from, foot)).toBeCloseTo(tape.mm, 6);
          }
        }
      },
    ),
    { numRuns: trials(60) },
  );
});

test('on a room out of square each end has its own measure', () => {
  const { struck } = drawn({ size: [3200, 2400], tile: [298, 298], jointMm: 3, measured: { shape: skew } });
  const cross = struck.lines.find(({ use, alongCourses }) => use === 'first' && !alongCourses);
  const [low, high] = cross?.tapes ?? [];
  if (low?.by !== 'square' || high?.by !== 'square') throw new Error('two tapes held square were expected');
  expect([low.id, high.id]).toEqual(['d', 'd']);
  // The left wall runs off by 40 over 2460.
  expect(low.mm - high.mm).toBeCloseTo((40 / 2460) * distance(low.at, high.at), 0);
});

test('a tape is not hooked behind a cabinet', () => {
  const cabinet: Fixture = {
    id: 'cabinet',
    kind: 'cabinet',
    name: 'Cabinet',
    outline: { kind: 'rectangle', widthMm: 600, heightMm: 2400 },
    from: [
      { edge: 'left', mm: 0 },
      { edge: 'bottom', mm: 0 },
    ],
    tiledUnder: false,
    clearanceMm: 0,
    cover: null,
  };
  const job = jobOfOne({ size: [3600, 2400], tile: [298, 298], jointMm: 3, measured: { fixtures: [cabinet] } });
  const { struck } = drawSurface(job, { ...job.surfaces[0], kind: 'floor' });
  const cross = struck.lines.find(({ use, alongCourses }) => use === 'first' && !alongCourses);
  expect(cross?.tapes.map((tape) => (tape.by === 'square' ? tape.id : ''))).toEqual(['right', 'right']);
});

test('no tape is held within a window', () => {
  const window: Fixture = {
    id: 'window',
    kind: 'window',
    name: 'Window',
    outline: { kind: 'rectangle', widthMm: 1200, heightMm: 900 },
    from: [
      { edge: 'left', mm: 900 },
      { edge: 'bottom', mm: 1500 },
    ],
    tiledUnder: false,
    clearanceMm: 0,
    cover: null,
  };
  const { struck } = drawn({ size: [3000, 2400], tile: [298, 298], jointMm: 3, measured: { fixtures: [window] } });
  for (const { tapes } of struck.lines) for (const { at } of tapes) expect(at[0] > 900 && at[0] < 2100 && at[1] > 1500).toBe(false);
});

test('a tape is held at the very end of a line where walls are not parallel, or is said where else', () => {
  // The left wall leans by 9 over 2400: at the ends, the line is 1205 and 1214 from it, not what lies a tenth of the way in.
  const points = [
    [0, 0],
    [3000, 0],
    [3000, 2400],
    [-9, 2400],
  ] as const;
  const shape = wallsThrough(
    points,
    points.map((_, k) => ({ id: 'abcd'[k], name: '', curve: null })),
  );
  const job = jobOfOne({ size: [3000, 2400], tile: [298, 298], jointMm: 3, gapMm: 0, measured: { shape } });
  const offsetMm = 1205 + 9 - 4 * 301;
  const { struck, traced } = drawSurface(job, {
    ...job.surfaces[0],
    setout: { x: { rule: 'free', offsetMm }, y: { rule: 'fullFromStart' } },
  });
  const said = describeLines(struck, thingNamesOf(traced), METRIC_TAPE);
  const across = struck.lines.find(({ use, alongCourses }) => use === 'first' && !alongCourses);
  const at = across?.ends[0][0] ?? 0;
  expect(said[0]).toBe(`Cross line: ${at} at the bottom end, ${at + 9} at the top end, from the edge D–A.`);
});

test('no tape is hooked to a shelf that hangs on the tiles, nor round a corner', () => {
  const shelf = {
    id: 'shelf',
    kind: 'shelf' as const,
    name: 'Shelf',
    outline: { kind: 'rectangle' as const, widthMm: 600, heightMm: 30 },
    from: [
      { edge: 'left', mm: 900 },
      { edge: 'bottom', mm: 400 },
    ] as Fixture['from'],
    tiledUnder: false,
    clearanceMm: 0,
    cover: null,
  };
  const { struck, traced } = drawn({
    size: [3100, 2300],
    tile: [240, 110],
    jointMm: 4,
    measured: { shape: SHAPES.lShape.defaults, fixtures: [shelf] },
  });
  for (const { tapes } of struck.lines)
    for (const tape of tapes) {
      if (tape.by !== 'square') continue;
      expect(tape.from).toBe('edge');
      const [edge] = traced.edges.filter(({ id }) => id === tape.id);
      expect(dot(subtract(tape.at, tape.foot), quarterTurn(subtract(edge.to, edge.from)))).toBeGreaterThan(0);
    }
});

test('the first tile stands with its own corner on the crossing that is told, whichever way the work goes', () => {
  fc.assert(
    fc.property(
      bonds,
      fc.constantFrom('left', 'right', 'top', 'bottom'),
      fc.integer({ min: 2000, max: 3500 }),
      (pattern, door, widthMm) => {
        const drawing = drawn({
          size: [widthMm, 2300],
          tile: [240, 110],
          jointMm: 4,
          surface: { pattern, kind: 'floor' },
          measured: { roles: { [door]: 'threshold' } },
        });
        const { start } = drawing.struck;
        if (!start?.tileLies) throw new Error('a tile at the crossing was expected');
        const { at, tileLies } = start;
        let stands = false;
        forEachWhole(drawing.layout, (address) => {
          const ring = tileRing(drawing.layout, address);
          const middle: Point = [
            ring.reduce((sum, p) => sum + p[0] / ring.length, 0),
            ring.reduce((sum, p) => sum + p[1] / ring.length, 0),
          ];
          if (distance(middle, [at[0] + tileLies[0], at[1] + tileLies[1]]) < 0.05 && ring.some((p) => distance(p, at) < 0.05))
            stands = true;
        });
        expect(stands).toBe(true);
      },
    ),
    { numRuns: trials(30) },
  );
});

test('the check for square is a triangle of 3, 4 and 5 parts along the two first lines', () => {
  for (const tape of [METRIC_TAPE, IMPERIAL_TAPE]) {
    const job = { ...jobOfOne({ size: [3700, 2900], tile: [298, 298], jointMm: 3 }), tape };
    const { struck } = drawSurface(job, job.surfaces[0]);
    const { square } = struck;
    if (!square) throw new Error('a check was expected');
    expect(square.firstMm ** 2 + square.secondMm ** 2).toBeCloseTo(square.acrossMm ** 2, 3);
    expect(distance(square.ends[0], square.ends[1])).toBeCloseTo(square.acrossMm, 6);
    const part = tape.system === 'metric' ? 100 : 152.4;
    expect(Math.abs(square.firstMm / part - Math.round(square.firstMm / part))).toBeLessThan(1e-9);
  }
});

test('lines are told in the order of the work, each in a sentence', () => {
  const { struck, traced } = drawn({
    size: [3100, 2300],
    tile: [240, 110],
    jointMm: 4,
    surface: {
      pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' },
      setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } },
    },
  });
  const said = describeLines(struck, thingNamesOf(traced), METRIC_TAPE);
  expect(said[0]).toBe('Cross line: 1469 at both ends, from the left edge.');
  expect(said[1]).toBe('Second-course line: 1591 at both ends, from the left edge.');
  expect(said[2]).toBe('Course line: 1145 at both ends, from the bottom edge.');
  // Ten courses on, 1140 further up, and back, the control line would lie at the edge.
  expect(said).toHaveLength(5);
  expect(said[3]).toBe(
    'Set the first tile with its lower left corner where the course line and the cross line meet, the joints outside it. Go along the courses to the right, then course by course to the top.',
  );
  expect(said.at(-1)).toMatch(/^Square where they cross: \d+ along the course line, \d+ along the cross line, then \d+ mm across\.$/);
});
