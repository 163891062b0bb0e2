import { makeSheet } from '../pattern/makeSheet.ts';
import { paintSheet, scatterColours } from '../tile/sheet/colourSheet.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';

/** A sheet that is known to come out; the list is checked when it is made. */
function made(...wanted: Parameters<typeof makeSheet>): Sheet {
  const sheet = makeSheet(...wanted);
  if (!sheet) throw new Error(`a made-up sheet does not come out: ${JSON.stringify(wanted)}`);
  return sheet;
}

const THREE_HUNDRED = { widthMm: 300, heightMm: 300 };

/** Pale hexagons with a dark one here and there. */
export const foamHexagons = (): Sheet =>
  scatterColours(
    made(
      { kind: 'hexagon', lay: 'upright' },
      { widthMm: 25, heightMm: 50 / Math.sqrt(3), jointMm: 2, shape: { kind: 'hexagon', tipMm: null } },
      THREE_HUNDRED,
      ['#eef0ee', '#3b4a55'],
    ),
    [12, 1],
    4,
  );

/** Glass squares in four blues, mixed. */
export const tideSquares = (): Sheet =>
  scatterColours(
    made({ kind: 'stack', lay: 'lying' }, { widthMm: 23, heightMm: 23, jointMm: 2 }, THREE_HUNDRED, [
      '#7fb3bd',
      '#4f8fa3',
      '#a8d0d2',
      '#2f6680',
    ]),
    [4, 3, 3, 1],
    9,
  );

const ANCHOR = [
  '...............',
  '......###......',
  '.....#...#.....',
  '.....#...#.....',
  '......###......',
  '.......#.......',
  '....#######....',
  '.......#.......',
  '.......#.......',
  '.#.....#.....#.',
  '###....#....###',
  '.#.....#.....#.',
  '..#....#....#..',
  '...##..#..##...',
  '.....#####.....',
];

/** A motif of fifteen by fifteen glass squares. */
export const anchorMotif = (): Sheet =>
  paintSheet(
    made({ kind: 'stack', lay: 'lying' }, { widthMm: 18, heightMm: 18, jointMm: 2 }, THREE_HUNDRED, ['#cfe3e0', '#1f4e6b']),
    ANCHOR,
  );

/** Stone strips in three greens and greys, half over half. */
export const kelpStrips = (): Sheet =>
  scatterColours(
    made(
      { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' },
      { widthMm: 73, heightMm: 15, jointMm: 2 },
      THREE_HUNDRED,
      ['#7d8b74', '#a7aa93', '#565f55'],
    ),
    [3, 2, 2],
    2,
  );

/** Small rounds for shower floors. */
export const pearlRounds = (): Sheet =>
  made({ kind: 'pennyRound' }, { widthMm: 19, heightMm: 19, jointMm: 2, shape: { kind: 'round' } }, THREE_HUNDRED, ['#e5e2da']);

/** Lanterns of 73 by 80 mm. */
export const buoyLanterns = (): Sheet =>
  made(
    { kind: 'arabesque', lay: 'upright' },
    { widthMm: 73, heightMm: 80, jointMm: 2, shape: { kind: 'lantern', swell: 0.8 } },
    THREE_HUNDRED,
    ['#87aebb'],
  );
