import { describe, expect, test } from '@jest/globals';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import type { Drawing } from '../../plan/planned.ts';
import { jobOfOne, type WantedJob } from '../../samples/testJob.ts';
import type { Fixture } from '../../surface/fixture.ts';
import { wallsThrough } from '../../surface/shapes/asWalls.ts';
import { endCuts } from '../edges/endCuts.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { boxOf } from '../../geometry/ring.ts';

const drawn = (over: WantedJob): Drawing => {
  const job = jobOfOne(over);
  return drawSurface(job, job.surfaces[0]);
};
/** What stands at both ends of a direction, rounded to a tenth of a millimetre; `full` where no piece is cut. */
function ends({ edges, choice }: Drawing, axis: 'x' | 'y'): readonly (readonly number[] | 'full')[] {
  const { start, end } = endCuts(edges, choice.sides, axis, { rule: 'free' });
  return [start, end].map(({ cutsMm }) => (cutsMm.length === 0 ? 'full' : cutsMm.map((mm) => Math.round(mm * 10) / 10)));
}
const cutAt = (drawing: Drawing, id: string): readonly number[] =>
  drawing.edges.find((edge) => edge.id === id)?.cuts.map(({ thinnestMm }) => Math.round(thinnestMm * 10) / 10) ?? [];
const fixture = (over: Partial<Fixture> & Pick<Fixture, 'kind' | 'outline' | 'from'>): Fixture => ({
  id: 'f',
  name: 'It',
  tiledUnder: false,
  clearanceMm: 0,
  cover: null,
  ...over,
});
const from = (left: number, bottom: number): Fixture['from'] => [
  { edge: 'left', mm: left },
  { edge: 'bottom', mm: bottom },
];
/** One course, so that only one direction is looked at. */
const oneCourse = (size: number, over: Partial<WantedJob> = {}): WantedJob => ({
  size: [size, 310],
  tile: [300, 300],
  jointMm: 3,
  ...over,
});

describe('rooms whose answer any tiler would see at once', () => {
  test('four plain walls: the larger equal cuts at both ends', () => {
    expect(ends(drawn(oneCourse(2314, { size: [2314, 307.5], tile: [297.5, 297.5] })), 'x')).toEqual([[249], [249]]);
    // Six pieces and seven joints leave 2 x 248.5; seven and eight would leave 2 x 97.
    expect(ends(drawn(oneCourse(10 + 7 * 300 + 6 * 3 + 200)), 'x')).toEqual([[248.5], [248.5]]);
  });
  test('a piece on the centre where a joint there would leave strips', () => {
    // Five pieces and six joints leave 2 x 140; a joint on the centre would leave 2 x 291.5, which is larger still.
    expect(ends(drawn(oneCourse(10 + 5 * 300 + 6 * 3 + 2 * 140)), 'x')).toEqual([[291.5], [291.5]]);
    // Five and six leave 2 x 210; four and five would leave 361.5, more than a piece: that is 2 x 58.5.
    expect(ends(drawn(oneCourse(10 + 5 * 300 + 6 * 3 + 2 * 210)), 'x')).toEqual([[210], [210]]);
  });
  test('the seen edge gets full pieces, the hidden one the misfit', () => {
    expect(ends(drawn(oneCourse(2200, { measured: { roles: { left: 'focal', right: 'hidden' } } })), 'x')[0]).toBe('full');
    expect(ends(drawn(oneCourse(2200, { measured: { roles: { left: 'hidden', right: 'focal' } } })), 'x')[1]).toBe('full');
  });
  test('a trimmed end beats equal ends, as long as the other end is no strip', () => {
    const room = oneCourse(10 + 6 * 303 + 200, { measured: { roles: { right: 'exposed' } } });
    const [left, right] = ends(drawn(room), 'x');
    expect(right).toBe('full');
    expect(left).toEqual([200]);
  });
  test('where the trimmed end would leave a strip, both ends are cut', () => {
    const [left, right] = ends(drawn(oneCourse(10 + 6 * 303 + 30, { measured: { roles: { right: 'exposed' } } })), 'x');
    expect(right).not.toBe('full');
    expect(Math.min(...(left as number[]))).toBeGreaterThan(100);
  });
  test('a threshold gets full pieces, and the wall across the room the cuts', () => {
    expect(ends(drawn(oneCourse(2950, { measured: { roles: { left: 'threshold' } } })), 'x')[0]).toBe('full');
  });
  test('no strip of a few millimetres for the sake of the wall seen first; a piece that can be cut well, yes', () => {
    const seenFirst = { measured: { roles: { left: 'focal' as const } } };
    const [left, right] = ends(drawn(oneCourse(10 + 6 * 303 + 12, seenFirst)), 'x');
    expect(Math.min(...(left as number[]), ...(right as number[]))).toBeGreaterThan(100);
    expect(ends(drawn(oneCourse(10 + 6 * 303 + 120, seenFirst)), 'x')).toEqual(['full', [120]]);
  });
  test('two trimmed ends: cut alike', () => {
    const [left, right] = ends(drawn(oneCourse(10 + 6 * 303 + 150, { measured: { roles: { left: 'exposed', right: 'exposed' } } })), 'x');
    expect(left).toEqual(right);
  });
  test('what fits without a cut is laid without a cut', () => {
    expect(ends(drawn(oneCourse(10 + 7 * 300 + 6 * 3)), 'x')).toEqual(['full', 'full']);
  });
  test('a half bond: the same ends both ways round, and no strip', () => {
    const room: WantedJob = {
      size: [2410, 1220],
      tile: [300, 100],
      jointMm: 3,
      surface: { pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
    };
    const drawing = drawn(room);
    expect(Math.min(...cutAt(drawing, 'left'), ...cutAt(drawing, 'right'))).toBeGreaterThan(70);
  });
  test('an L keeps no strip where a start between the rules avoids it', () => {
    const room: WantedJob = {
      size: [3000, 2400],
      tile: [400, 400],
      jointMm: 3,
      measured: {
        shape: { kind: 'lShape', widthMm: 3000, heightMm: 2400, missingWidthMm: 1163, missingHeightMm: 963, missing: 'top-right' },
      },
    };
    const drawing = drawn(room);
    const thinnest = Math.min(...drawing.edges.flatMap(({ cuts }) => cuts.map(({ thinnestMm }) => thinnestMm)));
    expect(thinnest).toBeGreaterThan(100);
  });
  test('a window off the centre is the middle: the pieces on its two sides are alike', () => {
    const window = fixture({ kind: 'window', outline: { kind: 'rectangle', widthMm: 900, heightMm: 900 }, from: from(700, 800) });
    const drawing = drawn({ size: [3100, 2400], tile: [300, 300], jointMm: 3, measured: { fixtures: [window] } });
    const centre = 700 + 450;
    let nearest = Infinity;
    forEachWhole(drawing.layout, (address) => {
      const { minX, maxX } = boxOf(tileRing(drawing.layout, address));
      nearest = Math.min(nearest, Math.abs((minX + maxX) / 2 - centre), Math.abs(maxX + 1.5 - centre));
    });
    expect(nearest).toBeLessThan(0.1);
  });
  test('a pipe is brought onto a joint where the edges leave room', () => {
    const pipe = fixture({ kind: 'pipe', outline: { kind: 'round', diameterMm: 40 }, from: from(1000, 700) });
    const drawing = drawn({
      size: [2600, 1600],
      tile: [300, 300],
      jointMm: 3,
      measured: { fixtures: [pipe], roles: { left: 'hidden', right: 'hidden', top: 'hidden', bottom: 'hidden' } },
    });
    const touched = drawing.layout.cutTiles.filter((tile) =>
      tileRing(drawing.layout, tile).some((p, k, ring) => {
        const { minX, maxX, minY, maxY } = boxOf(ring);
        return k === 0 && p && 1000 > minX - 20 && 1000 < maxX + 20 && 700 > minY - 20 && 700 < maxY + 20;
      }),
    );
    expect(touched.length).toBeGreaterThan(1);
  });
  test('full octagons stand along the wall that is seen', () => {
    const job = jobOfOne({ size: [2000, 1500], tile: [150, 150], jointMm: 3 });
    const octagon = { ...job.products[0], shape: { kind: 'octagon' as const, cornerMm: 44 } };
    const dot = { ...job.products[0], id: 'd', nominal: { widthMm: 60, heightMm: 60 }, measured: { widthMm: 60, heightMm: 60 } };
    const [surface] = job.surfaces;
    const drawing = drawSurface(
      { ...job, products: [octagon, dot] },
      {
        ...surface,
        pattern: { kind: 'octagonDot' },
        parts: { dot: 'd' },
        measured: { ...surface.measured, roles: { bottom: 'focal' } },
      },
    );
    const main = drawing.edges
      .find(({ id }) => id === 'bottom')
      ?.cuts.filter(({ tile }) => drawing.layout.repeat.pieces[tile.piece].part === null);
    expect(main).toEqual([]);
  });
  test('a skew floor is laid square to the wall that is seen first', () => {
    const corners = [
      [0, 0],
      [4000, 0],
      [4000, 2950],
      [0, 3060],
    ] as const;
    const shape = wallsThrough(
      corners,
      corners.map((_, k) => ({ id: 'abcd'[k], name: '', curve: null })),
    );
    const job = jobOfOne({ size: [4000, 3000], tile: [300, 300], jointMm: 3, measured: { shape, roles: { c: 'focal', a: 'hidden' } } });
    const { choice, edges } = drawSurface(job, { ...job.surfaces[0], kind: 'floor' });
    expect(choice.turnDeg).toBeCloseTo((Math.atan2(-110, 4000) * 180) / Math.PI, 6);
    const seen = edges.find(({ id }) => id === 'c');
    expect(seen?.smallestCutMm === null || Math.abs(Number(seen?.largestCutMm) - Number(seen?.smallestCutMm)) < 0.1).toBe(true);
  });
  test('a wall is laid level, however its corners stand', () => {
    const corners = [
      [0, 0],
      [3000, 60],
      [3000, 2400],
      [0, 2400],
    ] as const;
    const shape = wallsThrough(
      corners,
      corners.map((_, k) => ({ id: 'abcd'[k], name: '', curve: null })),
    );
    expect(drawn({ size: [3000, 2400], tile: [300, 200], jointMm: 3, measured: { shape } }).choice.turnDeg).toBe(0);
  });
  test('a tray in the corner: full pieces off it, the cuts at the far wall', () => {
    const tray = fixture({ kind: 'tray', outline: { kind: 'rectangle', widthMm: 900, heightMm: 900 }, from: from(0, 0) });
    const job = jobOfOne({ size: [2400, 2100], tile: [300, 300], jointMm: 3, measured: { fixtures: [tray] } });
    const drawing = drawSurface(job, { ...job.surfaces[0], kind: 'floor' });
    const thin = [...drawing.edges, ...drawing.beside].flatMap(({ cuts }) => cuts.map(({ thinnestMm }) => thinnestMm));
    expect(Math.min(...thin)).toBeGreaterThan(99);
  });
});
