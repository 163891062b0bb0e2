import type { Job } from '../job/job.ts';
import { facesOfSet } from '../surface/sets/registry.ts';
import { startJob } from '../job/startJob.ts';
import { startSet } from '../job/startSet.ts';
import { setFaceName } from '../messages/en/sets.ts';
import { PATTERNS } from '../pattern/registry.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { plain, squares, through } from './shapes.ts';
import { box, fixture, jobOf, tile } from './story.ts';

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
  const set = startSet({ ...startJob('story', 'Stair risers', METRIC_TAPE), products }, 'stair', 'Stair', form, setFaceName);
  const surfaces = set.surfaces.map((one) => ({ ...one, productId: 'mosaic', pattern: { kind: 'sheet' as const }, jointMm: 2 }));
  return { ...jobOf('Stair risers', products, []), rooms: [set.room], links: [...set.links], surfaces };
};

/** J11: a niche lined with glass mosaic: back, sides, sill and head. */
export const niche = (): Job => {
  const form = { kind: 'niche' as const, widthMm: 610, heightMm: 310, leftDepthMm: 95, rightDepthMm: 95, sillDepthMm: 95, headDepthMm: 95 };
  const products = [tile('glass', [298, 298], { shape: squares(), material: 'glass', thicknessMm: 5, piecesPerBox: 5, boxPrice: 90 })];
  const set = startSet({ ...startJob('story', 'Niche', METRIC_TAPE), products }, 'niche', 'Niche', form, setFaceName);
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
