import { makeSheet } from '../pattern/makeSheet.ts';
import { facesOfSet } from '../surface/sets/registry.ts';
import { startJob } from '../job/startJob.ts';
import { startSet } from '../job/startSet.ts';
import { wallsThrough } from '../surface/shapes/asWalls.ts';
import type { Shape } from '../surface/shapes/registry.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';
import { PATTERNS } from '../pattern/registry.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { box, fixture, jobOf, round, tile } from './story.ts';
import type { Job } from '../job/job.ts';

const plain = (widthMm: number, heightMm: number): Shape => ({ kind: 'rectangle', widthMm, heightMm });
const through = (points: readonly (readonly [number, number])[], curves: Record<number, number> = {}): Shape =>
  wallsThrough(
    points,
    points.map((_, k) => ({
      id: `w${k + 1}`,
      name: '',
      curve: curves[k] === undefined ? null : { by: 'rise' as const, riseMm: curves[k], bulges: 'out' as const },
    })),
  );
const start = { rule: 'fullFromStart' } as const;

/** Chips of 48 and joints of 2, six by six. */
export const squares = (): Sheet => {
  const chip = { widthMm: 48, heightMm: 48, jointMm: 2, shape: { kind: 'rectangle' } as const };
  const sheet = makeSheet({ kind: 'stack', lay: 'lying' }, chip, { widthMm: 298, heightMm: 298 }, ['#335577']);
  if (!sheet) throw new Error('chips of 48 make a sheet of 298');
  return sheet;
};

/** J01: a splashback in sheets, two sockets, a metal profile at the free end, adhesive and grout from the tub. */
export const splashbackInSheets = (): Job =>
  jobOf(
    'Splashback in sheets',
    [tile('mosaic', [298, 298], { shape: squares(), piecesPerBox: 5, boxPrice: 60 })],
    [
      {
        id: 'wall',
        kind: 'wall',
        shape: plain(2400, 596),
        tile: 'mosaic',
        measured: {
          roles: { bottom: 'worktop', right: 'exposed' },
          fixtures: [1, 2].map((k) =>
            fixture(`socket ${k}`, 'doubleSocket', box(142, 71), [
              ['left', 600 * k],
              ['bottom', 150],
            ]),
          ),
        },
        surface: {
          pattern: { kind: 'sheet' },
          jointMm: 2,
          setout: { x: { rule: 'fullFromEnd' }, y: start },
          works: { adhesive: 'ready', grout: 'ready' },
        },
      },
    ],
  );

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

/** J05: a small glass splashback of which the courses fit between worktop and cabinet. */
export const glassSplashback = (): Job =>
  jobOf(
    'Glass splashback',
    [tile('glass', [148, 98], { material: 'glass', thicknessMm: 6, piecesPerBox: 20, boxPrice: 80 })],
    [
      {
        id: 'wall',
        kind: 'wall',
        shape: plain(1210, 510),
        tile: 'glass',
        measured: {
          gapsMm: { wall: 6, focal: 6, hidden: 6, worktop: 6, exposed: 0, threshold: 6, continues: 2 },
          roles: { bottom: 'worktop' },
          fixtures: [
            fixture('socket', 'socket', box(71, 71), [
              ['left', 300],
              ['bottom', 150],
            ]),
          ],
        },
        surface: { jointMm: 2, pattern: { kind: 'stack', lay: 'lying' }, setout: { x: { rule: 'pieceCentred' }, y: start } },
      },
    ],
  );

/** J06: five risers that all measure differently, in sheets. */
export const stairRisers = (): Job => {
  const form = {
    kind: 'stairFlight' as const,
    tiled: 'risers' as const,
    steps: [900, 902, 905, 899, 901].map((riserWidthMm, k) => ({
      riserWidthMm,
      riserHeightMm: 170 + k,
      treadWidthMm: 900,
      treadDepthMm: 270,
    })),
  };
  const products = [tile('mosaic', [298, 298], { shape: squares(), piecesPerBox: 5, boxPrice: 60 })];
  const set = startSet({ ...startJob('story', 'Stair risers', METRIC_TAPE), products }, 'stair', 'Stair', form);
  const surfaces = set.surfaces.map((one) => ({ ...one, productId: 'mosaic', pattern: { kind: 'sheet' as const }, jointMm: 2 }));
  return { ...jobOf('Stair risers', products, []), rooms: [set.room], links: [...set.links], surfaces };
};

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

/** J09: a shower wall in large format, third bond from a trimmed end, a valve, a base that is not level. */
export const showerFromTheTrim = (): Job =>
  jobOf(
    'Shower from the trim',
    [tile('slab', [597, 297], { material: 'porcelain', thicknessMm: 9, piecesPerBox: 6, boxPrice: 30 })],
    [
      {
        id: 'wall',
        kind: 'wall',
        shape: plain(900, 2100),
        tile: 'slab',
        measured: {
          roles: { left: 'exposed', bottom: 'worktop' },
          gapsMm: { wall: 5, focal: 5, hidden: 5, worktop: 3, exposed: 0, threshold: 5, continues: 2 },
          fixtures: [
            fixture('valve', 'valve', round(120), [
              ['left', 450],
              ['bottom', 1100],
            ]),
          ],
        },
        surface: {
          pattern: { kind: 'runningBond', lay: 'lying', offset: 1 / 3, step: 'alternating' },
          jointMm: 3,
          setout: { x: start, y: start },
          works: { place: 'wet' },
        },
      },
    ],
  );

/** J10: a shower wall from its centre line, on a ledger under the second course. */
export const showerOnALedger = (): Job =>
  jobOf(
    'Shower on a ledger',
    [tile('square', [300, 300], { thicknessMm: 8 })],
    [
      {
        id: 'wall',
        kind: 'wall',
        shape: plain(1500, 2100),
        tile: 'square',
        measured: { roles: { bottom: 'worktop', top: 'exposed' } },
        surface: {
          pattern: { kind: 'stack', lay: 'lying' },
          jointMm: 3,
          setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromEnd' } },
          works: { place: 'wet' },
        },
      },
    ],
  );

/** J11: a niche lined with glass mosaic: back, sides, sill and head. */
export const niche = (): Job => {
  const form = { kind: 'niche' as const, widthMm: 610, heightMm: 310, leftDepthMm: 95, rightDepthMm: 95, sillDepthMm: 95, headDepthMm: 95 };
  const products = [tile('glass', [298, 298], { shape: squares(), material: 'glass', thicknessMm: 5, piecesPerBox: 5, boxPrice: 90 })];
  const set = startSet({ ...startJob('story', 'Niche', METRIC_TAPE), products }, 'niche', 'Niche', form);
  const surfaces = set.surfaces.map((one) => ({
    ...one,
    productId: 'glass',
    pattern: { kind: 'sheet' as const },
    jointMm: 2,
    works: { place: 'wet' as const },
  }));
  if (facesOfSet(form).faces.length !== surfaces.length) throw new Error('a niche has five faces');
  return { ...jobOf('Niche', products, []), rooms: [set.room], links: [...set.links], surfaces };
};

/** J12: a splashback in arabesque: whole pieces at both free ends, the misfit in the corner between. */
export const arabesque = (): Job =>
  jobOf(
    'Arabesque',
    [tile('lantern', [140, 160], { shape: { kind: 'lantern' } as never })],
    ['left wall', 'right wall'].map((id, k) => ({
      id,
      kind: 'wall' as const,
      shape: plain(k === 0 ? 1300 : 900, 560),
      tile: 'lantern',
      measured: { roles: { bottom: 'worktop' as const, [k === 0 ? 'left' : 'right']: 'exposed' as const } },
      surface: { pattern: { kind: 'arabesque' as const, lay: 'upright' as const }, jointMm: 2 },
    })),
    {
      links: [
        { id: 'corner', a: { surface: 'left wall', edge: 'right' }, b: { surface: 'right wall', edge: 'left' }, meets: 'inside' },
      ] as never,
    },
  );

/** J13: a laundry splashback, centre-out, two ends to cut. */
export const laundry = (): Job =>
  jobOf(
    'Laundry',
    [tile('square', [148, 148], {})],
    [
      {
        id: 'wall',
        kind: 'wall',
        shape: plain(1483, 455),
        tile: 'square',
        measured: {
          roles: { bottom: 'worktop', top: 'exposed' },
          gapsMm: { wall: 5, focal: 5, hidden: 5, worktop: 5, exposed: 0, threshold: 5, continues: 2 },
        },
        surface: { pattern: { kind: 'stack', lay: 'lying' }, jointMm: 2 },
      },
    ],
  );

/** J14: a curved countertop with a sink cut-out. */
export const curvedCountertop = (): Job =>
  jobOf(
    'Curved countertop',
    [tile('square', [298, 298], { material: 'natural stone', porous: true, thicknessMm: 10 })],
    [
      {
        id: 'top',
        kind: 'countertop',
        shape: through(
          [
            [0, 0],
            [1800, 0],
            [1800, 600],
            [0, 600],
          ],
          { 0: 120 },
        ),
        tile: 'square',
        measured: {
          roles: { w1: 'exposed' },
          fixtures: [
            fixture('sink', 'sink', box(400, 350), [
              ['w4', 700],
              ['w3', 120],
            ]),
          ],
        },
        surface: { pattern: { kind: 'stack', lay: 'lying' }, jointMm: 2 },
      },
    ],
  );

/** J15: a countertop of random stones sawn from one tile, strips of nosing on its front edge. */
export const ashlarCountertop = (): Job =>
  jobOf(
    'Ashlar countertop',
    [tile('stone', [300, 300], { material: 'natural stone', thicknessMm: 10 })],
    [
      {
        id: 'top',
        kind: 'countertop',
        shape: plain(1804, 604),
        tile: 'stone',
        measured: { roles: { bottom: 'exposed' } },
        surface: { pattern: { ...PATTERNS.ashlar.defaults, seed: 5 }, jointMm: 2, trims: { bottom: 'nosingTile' } },
      },
    ],
  );

/** J16: a splashback that needs no cut at all. */
export const noCuts = (): Job =>
  jobOf(
    'No cuts',
    [tile('brick', [198, 98], {})],
    [
      {
        id: 'wall',
        kind: 'wall',
        shape: plain(2008, 508),
        tile: 'brick',
        measured: {
          gapsMm: { wall: 5, focal: 5, hidden: 5, worktop: 5, exposed: 5, threshold: 5, continues: 2 },
          roles: { bottom: 'worktop' },
        },
        surface: { pattern: { kind: 'stack', lay: 'lying' }, jointMm: 2 },
      },
    ],
  );
