import { expect, test } from '@jest/globals';
import { difference } from '../geometry/clip.ts';
import { boxOf, rectangleRing } from '../geometry/ring.ts';
import { plan } from '../plan.ts';
import { checkJob } from '../job/checkJob.ts';
import { randomJob } from '../samples/randomJob.ts';
import { roomToSearch } from '../samples/roomToSearch.ts';
import { seenFromBack } from './backView.ts';
import { markPiece } from './markPiece.ts';
import { givesBack } from './rebuildPiece.ts';
import { trials } from '../../testing/trials.ts';

test('marks set on the back of a tile cut the same piece, whatever its outline', () => {
  const types = new Set<string>();
  const jobs = [
    ...Array.from({ length: trials(16) }, (_, k) => randomJob(k + 1)),
    ...Array.from({ length: trials(15) }, (_, k) => roomToSearch(k + 1, 25)),
  ];
  for (const job of jobs) {
    if (checkJob(job).length > 0) continue;
    for (const piece of plan(job).surfaces.flatMap(({ cuts }) => cuts)) {
      if (!givesBack(piece.marks, piece.tile, piece.inTile)) continue;
      const back = seenFromBack(piece);
      expect([piece.label, givesBack(back.marks, back.tile, back.inTile)]).toEqual([piece.label, true]);
      for (const { type } of piece.marks) types.add(type);
      // Seen from the back of the back, it is what it was.
      const again = boxOf(seenFromBack(back).inTile[0]);
      expect(again.minX).toBeCloseTo(boxOf(piece.inTile[0]).minX, 6);
    }
  }
  expect([...types]).toEqual(expect.arrayContaining(['bite', 'chord', 'circle', 'corner', 'line', 'notch', 'path']));
});

test.each([
  ['slot', [80, 0, 60, 70]],
  ['slot', [0, 40, 90, 60]],
  ['slot', [50, 130, 70, 70]],
  ['window', [40, 50, 90, 60]],
] as const)('a %s is where it was, seen from the back', (type, [x, y, width, height]) => {
  const tile = rectangleRing(0, 0, 300, 200);
  const [piece] = difference([[tile]], [[rectangleRing(x, y, width, height)]]);
  const marks = markPiece(piece, tile, []).map(({ mark }) => mark);
  expect(marks.map((mark) => mark.type)).toEqual([type]);
  const back = seenFromBack({ inTile: piece, tile, marks, hasWayUp: false });
  expect(givesBack(back.marks, back.tile, back.inTile)).toBe(true);
  expect(givesBack(back.marks, tile, piece)).toBe(false);
});

test('a piece that is cut off the left of a tile is cut off the right of its back', () => {
  const tile = [
    [0, 0],
    [300, 0],
    [300, 200],
    [0, 200],
  ] as const;
  const inTile = [
    [
      [0, 0],
      [120, 0],
      [140, 200],
      [0, 200],
    ],
  ] as const;
  const back = seenFromBack({ tile, inTile, hasWayUp: false, marks: [{ type: 'line', from: 'left', mm: [120, 140] }] });
  expect(back.marks).toEqual([{ type: 'line', from: 'right', mm: [120, 140] }]);
  expect(boxOf(back.inTile[0])).toEqual({ minX: 160, maxX: 300, minY: 0, maxY: 200 });
});
