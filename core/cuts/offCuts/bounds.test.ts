import { expect, test } from '@jest/globals';
import { rectangleRing, type Ring } from '../../geometry/ring.ts';
import { plan } from '../../plan.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { roomToSearch } from '../../samples/roomToSearch.ts';
import { leastTiles } from './bounds.ts';
import { packTiles } from './packTiles.ts';
import { wantedFrom, type WantedPiece } from './wanted.ts';
import { trials } from '../../../testing/trials.ts';

const RULE = { kerfMm: 2.5, directional: false } as const;

const TILE = rectangleRing(0, 0, 100, 100);
const SIDES = ['left', 'right', 'bottom', 'top'] as const;

/** A piece of a square tile by its outline, with the sides of its box that lie on the tile's. */
function piece(label: string, outline: Ring, isRectangle: boolean): WantedPiece {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const on = { left: Math.min(...xs) === 0, right: Math.max(...xs) === 100, bottom: Math.min(...ys) === 0, top: Math.max(...ys) === 100 };
  const twice = outline.reduce(
    (sum, [x, y], k) => sum + x * outline[(k + 1) % outline.length][1] - outline[(k + 1) % outline.length][0] * y,
    0,
  );
  return {
    surfaceId: 's',
    label,
    outline: [outline],
    tile: TILE,
    sizeMm: { widthMm: Math.max(...xs) - Math.min(...xs), heightMm: Math.max(...ys) - Math.min(...ys) },
    areaMm2: twice / 2,
    factorySides: SIDES.filter((side) => on[side]),
    isRectangle,
    isStrip: false,
  };
}

test('no proof asks for more tiles than some plan opens: rooms, turned floors, corners notched out', () => {
  const wrong: string[] = [];
  let shaped = 0;
  for (let seed = 1; seed <= trials(40); seed++) {
    const room =
      seed % 3 === 0
        ? roomToSearch(seed, 25)
        : jobOfOne({
            size: [1100 + 37 * seed, 900 + 23 * seed],
            tile: seed % 2 === 0 ? [100, 100] : [200, 150],
            jointMm: 2,
            surface: { turnDeg: seed % 4 === 0 ? 45 : seed % 5 === 0 ? 30 : 0 },
            measured: {
              shape: {
                kind: 'lShape',
                widthMm: 1100 + 37 * seed,
                heightMm: 900 + 23 * seed,
                missingWidthMm: 300 + seed,
                missingHeightMm: 210 + 3 * seed,
                missing: 'top-right',
              },
            },
          });
    const pieces = plan(room).surfaces[0].cuts.map((cut) => wantedFrom('s', cut));
    shaped += pieces.filter(({ isRectangle }) => !isRectangle).length;
    const rounds = packTiles(pieces, RULE);
    let round = rounds.next();
    while (!round.done) round = rounds.next();
    const least = leastTiles(pieces, RULE);
    if (least > round.value.tiles.length) wrong.push(`${seed}: ${least} proven, ${round.value.tiles.length} opened`);
  }
  expect(wrong).toEqual([]);
  expect(shaped).toBeGreaterThan(trials(400));
});

test('a corner that is notched out of a piece is no corner that it takes', () => {
  const notched = (label: string): WantedPiece =>
    piece(
      label,
      [
        [0, 0],
        [100, 0],
        [100, 30],
        [40, 30],
        [40, 100],
        [0, 100],
      ],
      false,
    );
  const corner = (label: string): WantedPiece => piece(label, rectangleRing(60, 60, 40, 40), true);
  const pieces = [notched('A1'), corner('B1'), notched('A2'), corner('B2'), notched('A3'), corner('B3')];
  expect(leastTiles(pieces, RULE)).toBe(3);
  expect(packTiles(pieces, RULE).next().value.tiles).toHaveLength(3);
});

test('triangles go two to a tile where the blade has room between their slants, and by proof one to a tile where it has none', () => {
  const triangle = (label: string, leg: number): WantedPiece =>
    piece(
      label,
      [
        [0, 0],
        [leg, 0],
        [0, leg],
      ],
      false,
    );
  // Two slants lie (200 - 2 x leg) / root 2 apart: 4.2 mm and 1.4 mm.
  for (const [leg, tiles] of [
    [97, 5],
    [99, 10],
  ]) {
    const pieces = Array.from({ length: 10 }, (_, k) => triangle(`T${k}`, leg));
    const first = packTiles(pieces, RULE).next().value;
    expect([leg, first.tiles.length, first.lowerBound]).toEqual([leg, tiles, tiles]);
    // With a way up none may be turned into the corner across.
    expect(packTiles(pieces, { ...RULE, directional: true }).next().value.tiles).toHaveLength(10);
  }
});
