import type { Job } from '../job/job.ts';
import { plain, start, through } from './shapes.ts';
import { box, fixture, jobOf, round, tile } from './story.ts';

/** J02: a kitchen floor in large format, third bond, cabinets left out, an appliance bay tiled under. */
export const kitchenFloor = (): Job =>
  jobOf(
    'Kitchen floor',
    [tile('plank', [600, 300], { material: 'porcelain', thicknessMm: 10, piecesPerBox: 6, boxPrice: 30 })],
    [
      {
        id: 'floor',
        kind: 'floor',
        shape: plain(4200, 3100),
        tile: 'plank',
        measured: {
          roles: { bottom: 'threshold' },
          fixtures: [
            fixture('cabinets', 'cabinet', box(3000, 600), [
              ['left', 0],
              ['top', 0],
            ]),
            fixture(
              'bay',
              'applianceBay',
              box(600, 600),
              [
                ['left', 3000],
                ['top', 0],
              ],
              { tiledUnder: true },
            ),
          ],
        },
        surface: {
          pattern: { kind: 'runningBond', lay: 'lying', offset: 1 / 3, step: 'alternating' },
          jointMm: 3,
          setout: { x: start, y: start },
        },
      },
    ],
  );

/** J03: a new floor over an old tiled one, under heavy loads, round a column. */
export const overOldTiles = (): Job =>
  jobOf(
    'Over old tiles',
    [tile('square', [300, 300], { material: 'porcelain', thicknessMm: 10 })],
    [
      {
        id: 'floor',
        kind: 'floor',
        shape: plain(9000, 4000),
        tile: 'square',
        measured: {
          fixtures: [
            fixture('column', 'column', box(300, 300), [
              ['left', 4000],
              ['bottom', 1800],
            ]),
          ],
        },
        surface: {
          jointMm: 3,
          pattern: { kind: 'stack', lay: 'lying' },
          setout: { x: start, y: start },
          works: { substrate: 'oldTiles', load: 'heavy' },
        },
      },
    ],
  );

/** J04: large format on a bed of sand and cement, skirting cut from tiles. */
export const onSandAndCement = (): Job =>
  jobOf(
    'On sand and cement',
    [tile('slab', [600, 600], { material: 'porcelain', thicknessMm: 10, backArrow: true, piecesPerBox: 4, boxPrice: 48 })],
    [
      {
        id: 'floor',
        kind: 'floor',
        shape: plain(4000, 3100),
        tile: 'slab',
        measured: {
          levels: {
            fill: 'bed',
            leastMm: 27,
            readings: (
              [
                [100, 100],
                [3900, 100],
                [3900, 3000],
                [100, 3000],
              ] as const
            ).map(([xMm, yMm], k) => ({ id: `r${k}`, xMm, yMm, downMm: 1000 })),
          } as never,
        },
        surface: {
          jointMm: 3,
          pattern: { kind: 'stack', lay: 'lying' },
          setout: { x: start, y: start },
          trims: { left: 'skirtingTile', right: 'skirtingTile', top: 'skirtingTile', bottom: 'skirtingTile' },
        },
      },
    ],
  );

/** J07: an old room out of square, octagons with dots in two colours, porous. */
export const octagonsInAnOldRoom = (): Job =>
  jobOf(
    'Octagons in an old room',
    [
      tile('octagon', [150, 150], { shape: { kind: 'octagon', cornerMm: 44 }, porous: true }),
      tile('dot', [60, 60], { porous: true, piecesPerBox: 50 }),
    ],
    [
      {
        id: 'floor',
        kind: 'floor',
        shape: through([
          [0, 0],
          [2450, 0],
          [2470, 1980],
          [10, 2000],
        ]),
        tile: 'octagon',
        measured: { roles: { w1: 'focal' } },
        surface: {
          pattern: { kind: 'octagonDot' },
          parts: { dot: 'dot' },
          jointMm: 3,
          setout: { x: start, y: start, turn: { rule: 'edge', edge: 'w1', diagonal: false } },
        },
      },
    ],
  );

/** J08: a bathroom floor in basket weave off a tray, a pipe between two tiles, out of the door. */
export const basketWeave = (): Job =>
  jobOf(
    'Basket weave',
    [tile('strip', [300, 98], { face: 'directional', material: 'porcelain', thicknessMm: 9 })],
    [
      {
        id: 'floor',
        kind: 'floor',
        shape: plain(2432, 1825),
        tile: 'strip',
        measured: {
          doorways: [{ id: 'door', edge: 'bottom', fromStartMm: 1200, widthMm: 800, depthMm: 100 }],
          fixtures: [
            fixture('tray', 'tray', box(912, 912), [
              ['left', 0],
              ['top', 0],
            ]),
            fixture('soil pipe', 'pipe', round(110), [
              ['right', 600],
              ['top', 300],
            ]),
          ],
        },
        surface: { pattern: { kind: 'basketWeave', lay: 'lying', strips: 3 }, jointMm: 3, works: { place: 'wet' } },
      },
    ],
  );
