import type { Job } from '../job/job.ts';
import { plain, squares, start } from './shapes.ts';
import { box, fixture, jobOf, round, tile } from './story.ts';

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
