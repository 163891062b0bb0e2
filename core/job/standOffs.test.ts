import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { polygonsArea } from '../geometry/ring.ts';
import { plan } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import type { Link } from '../surface/link.ts';
import { facesOfSet, SETS } from '../surface/sets/registry.ts';
import { describeCorner } from '../messages/en/corners.ts';
import { describeLedger, describeLines } from '../messages/en/lines.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { checkJob } from './checkJob.ts';
import { cornerSection } from './cornerSection.ts';
import type { Job, Surface } from './job.ts';
import { setCornerRun, usualMeeting } from './setCornerRun.ts';
import { finishMm, standOffs } from './standOffs.ts';
import { startSet } from './startSet.ts';

/** Tile of 8 mm; a side of 300 takes a notch of 8, half of it as bed: 12 in all. */
const one = jobOfOne({ size: [1000, 800], tile: [300, 200], jointMm: 3 });
const TILE = { ...one.products[0], thicknessMm: 8 };

/** Two walls of 1000 by 800 that meet. */
function meeting(link: Partial<Link>, change: Partial<Surface> = {}): Job {
  const first: Surface = { ...one.surfaces[0], id: 'a', kind: 'wall', name: 'Back', ...change };
  const ends = { a: { surface: 'a', edge: 'right' }, b: { surface: 'b', edge: 'left' } };
  return {
    ...one,
    products: [TILE],
    surfaces: [first, { ...first, id: 'b', name: 'Side' }],
    links: [{ id: 'l', ...ends, meets: 'inside', ...link }],
  };
}

const offs = (job: Job): unknown => job.surfaces.map((surface) => standOffs(job, surface));

test('inside, the tile and bed of the face that runs through come off the other; outside, it laps over the other', () => {
  expect(offs(meeting({}))).toEqual([{}, {}]);
  expect(offs(meeting({ through: 'a' }))).toEqual([{}, { left: 12 }]);
  expect(offs(meeting({ through: 'b', finishMm: 9.5 }))).toEqual([{ right: 9.5 }, {}]);
  expect(offs(meeting({ meets: 'outside', through: 'a' }))).toEqual([{ right: -12 }, {}]);
  expect(offs(meeting({ meets: 'flat', through: 'a' }))).toEqual([{}, {}]);
  const mitred = meeting({ meets: 'outside' }, { trims: { left: 'mitre', right: 'mitre' } });
  expect(offs(mitred)).toEqual([{ right: -12 }, { left: -12 }]);
});

test('a build-up says better than tile and notch how thick a face is; a notch that is chosen counts', () => {
  const layers = [{ id: 'bed', name: 'Bed', thicknessMm: 5 }];
  const measured = { ...one.surfaces[0].measured, buildUp: { layers, neighbour: '', neighbourMm: 0, adjust: null } };
  const job = meeting({});
  expect(finishMm(job, { ...job.surfaces[0], measured })).toBe(13);
  expect(finishMm({ ...job, materials: { adhesive: { choices: { notchMm: 4 } } } }, job.surfaces[0])).toBe(10);
});

test('the field starts beside a bullnose, its width and a joint later, and beside the face of a profile where that is told', () => {
  const job = meeting({}, { trims: { top: 'bullnose', left: 'profile' } });
  expect(standOffs(job, job.surfaces[0])).toEqual({ top: 63 });
  const told: Job = { ...job, materials: { bullnose: { figures: { widthMm: 50 } }, edgeProfile: { figures: { faceMm: 10 } } } };
  expect(standOffs(told, told.surfaces[0])).toEqual({ top: 53, left: 10 });
});

test('what a corner takes is gone from the region, edge by edge, and nothing else is; every piece lies in it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('inside', 'outside'),
      fc.constantFrom('a', 'b', undefined),
      fc.integer({ min: 1, max: 400 }).map((tenths) => tenths / 10),
      (meets, through, finish) => {
        const [before, after] = [meeting({ meets }), meeting({ meets, through, finishMm: finish })].map((job) => plan(job).surfaces);
        before.forEach(({ traced: was }, k) => {
          const { traced, fields, figures } = after[k];
          const counts = through !== undefined && (through === 'a') === (meets === 'outside') ? k === 0 : k === 1;
          const off = through === undefined || !counts ? 0 : meets === 'inside' ? finish : -finish;
          expect(polygonsArea(traced.region)).toBeCloseTo(polygonsArea(was.region) - off * 790, 4);
          const laid = fields.flatMap(({ layout }) => layout.cutTiles.flatMap(({ polygons }) => polygons.flat(2)));
          const [low, high] = [traced.limits.minX, traced.limits.maxX];
          expect(laid.every(([x]) => x > low - 1e-6 && x < high + 1e-6)).toBe(true);
          // The joint there stays what it was.
          expect(figures.sealed.map(({ widthMm }) => widthMm)).toEqual(after[k].figures.sealed.map(() => 5));
        });
      },
    ),
    { numRuns: 12 },
  );
});

test('every set says who runs through without going in a circle, and a circle is refused by its names', () => {
  for (const kind of ['niche', 'shower', 'room', 'stairFlight'] as const) {
    const { defaults } = SETS[kind];
    const set = startSet(one, 's', 'Set', defaults, ({ key }) => key);
    expect(checkJob({ ...one, rooms: [set.room], surfaces: [...set.surfaces], links: [...set.links] })).toEqual([]);
    expect(facesOfSet(defaults).joins.filter(({ meets, through }) => meets === 'inside' && !through)).toEqual([]);
  }
  const walls = ['a', 'b', 'c'].map((id): Surface => ({ ...one.surfaces[0], id, name: `Wall ${id}` }));
  const links = walls.map(({ id }, k): Link => {
    return { id, a: { surface: id, edge: 'right' }, b: { surface: walls[(k + 1) % 3].id, edge: 'left' }, meets: 'inside', through: 'a' };
  });
  const [found] = checkJob({ ...one, surfaces: walls, links });
  expect(found).toMatchObject({ code: 'link/runs-in-a-circle', path: ['links', 2, 'through'] });
  expect(String(found.figures['names']).split(', ').sort()).toEqual(['Wall a', 'Wall b', 'Wall c']);
  expect(checkJob({ ...one, surfaces: walls, links: [...links.slice(0, 2), { ...links[2], through: 'b' }] })).toEqual([]);
});

test('a bullnose wider than the wall is refused at its edge', () => {
  const job = jobOfOne({ size: [1000, 200], tile: [300, 100], jointMm: 3, surface: { trims: { top: 'bullnose' } } });
  const wide: Job = { ...job, materials: { bullnose: { figures: { widthMm: 190 } } } };
  expect(checkJob(job)).toEqual([]);
  expect(checkJob(wide)).toMatchObject([
    { code: 'surface/corners-leave-nothing', path: ['surfaces', 0, 'trims', 'top'], figures: { takesMm: 193 } },
  ]);
});

describe('a corner in section', () => {
  const words = (job: Job): string => {
    const section = cornerSection(job, job.links[0]);
    return section ? describeCorner(section, METRIC_TAPE) : '';
  };

  test('shows tile, bed and joint as the plan has them', () => {
    for (const meets of ['inside', 'outside'] as const)
      for (const through of ['a', 'b', undefined] as const) {
        const job = meeting({ meets, through });
        const section = cornerSection(job, job.links[0]);
        const [a, b] = plan(job).surfaces.map(({ traced }) => traced.edges);
        expect([section?.a.endMm, section?.b.endMm]).toEqual([
          a.find(({ id }) => id === 'right')?.endMm,
          b.find(({ id }) => id === 'left')?.endMm,
        ]);
      }
    expect(cornerSection(meeting({ meets: 'flat' }), meeting({ meets: 'flat' }).links[0])).toBeNull();
  });

  test('is told with the lines to strike, on site too', () => {
    const [, { struck, traced }] = plan(meeting({ through: 'a' })).surfaces;
    const said = 'Tiles end 17 mm from the left edge: 12 mm for what stands there, and the joint.';
    expect(describeLines(struck, thingNamesOf(traced), METRIC_TAPE)).toContain(said);
    const [lapping] = plan(meeting({ meets: 'outside', through: 'a' })).surfaces;
    const over = 'Tiles go on over the right edge by 12 mm, less the joint.';
    expect(describeLines(lapping.struck, thingNamesOf(lapping.traced), METRIC_TAPE)).toContain(over);
  });

  test('a ledger is held above the floor that is laid before the wall, and its row is no higher than its tiles', () => {
    const job = meeting({ a: { surface: 'b', edge: 'bottom' }, b: { surface: 'a', edge: 'top' }, through: 'b' });
    const surfaces = job.surfaces.map((surface): Surface => (surface.id === 'a' ? { ...surface, kind: 'floor' } : surface));
    const wall = (links: Job['links']) =>
      plan({
        ...job,
        surfaces: surfaces.map((one) => ({ ...one, setout: { x: one.setout.x, y: { rule: 'fullFromEnd' as const } } })),
        links,
      }).surfaces[1];
    const [alone, stood] = [wall([]), wall(job.links)];
    // Full courses under the top: the ledger lies where it lay, the floor has come up by 12.
    expect(stood.ledger?.atMm).toBe(alone.ledger?.atMm);
    expect(stood.ledger?.heightsMm[0]).toBeCloseTo((alone.ledger?.heightsMm[0] ?? 0) - 12, 9);
    expect(stood.figures.ledgerRowMm2).toBeCloseTo(alone.figures.ledgerRowMm2 - 12 * 1000, 3);
    const [first] = describeLedger(stood.ledger ?? { heightsMm: [0, 0], standsMm: 0, atMm: 0, bottom: [] }, METRIC_TAPE);
    expect(first).toMatch(/above what is laid there before\.$/);
  });

  test('is told in a sentence of its figures', () => {
    expect(words(meeting({ through: 'a' }))).toBe(
      'Back is laid first. Side begins 17 from the corner: 8 of tile and 4 of bed, and a joint of 5.',
    );
    expect(words(meeting({ meets: 'outside', through: 'b', finishMm: 10 }))).toBe(
      'Side goes on over the edge of Back: 8 of tile and 2 of bed.',
    );
    expect(words(meeting({}))).toMatch(/^Both are reckoned to the corner as measured/);
  });

  test('begins as is usual: a floor goes under walls, the longer wall runs through, unless that went in a circle', () => {
    const wide = (id: string, widthMm: number, kind: Surface['kind'] = 'wall'): Surface => {
      const { measured } = one.surfaces[0];
      return { ...one.surfaces[0], id, name: id, kind, measured: { ...measured, shape: { kind: 'rectangle', widthMm, heightMm: 800 } } };
    };
    const job: Job = { ...one, surfaces: [wide('short', 700), wide('long', 900), wide('floor', 500, 'floor')], links: [] };
    const meets = (a: string, b: string): Link => {
      return { id: `${a}-${b}`, a: { surface: a, edge: 'right' }, b: { surface: b, edge: 'left' }, meets: 'inside' };
    };
    expect(usualMeeting(job, meets('short', 'long')).through).toBe('b');
    expect(usualMeeting(job, meets('floor', 'long')).through).toBe('a');
    const links: Link[] = [
      { ...meets('short', 'floor'), through: 'a' },
      { ...meets('floor', 'long'), through: 'a' },
    ];
    expect(usualMeeting({ ...job, links }, meets('long', 'short')).through).toBeUndefined();
  });

  test('is changed by one press: a mitre is what both edges end in, and is gone with the next', () => {
    const job = structuredClone(meeting({ meets: 'outside' }, { trims: { right: 'profile', left: 'profile' } }));
    const trims = (): unknown => job.surfaces.map(({ trims: own }) => [own?.['right'], own?.['left']]);
    const run = (): unknown => cornerSection(job, job.links[0])?.run;
    setCornerRun(job, 'l', 'mitred');
    expect([run(), trims()]).toEqual([
      'mitred',
      [
        ['mitre', 'profile'],
        ['profile', 'mitre'],
      ],
    ]);
    // What was told of tile and bed was told of the other face.
    job.links[0].finishMm = 14;
    setCornerRun(job, 'l', 'b');
    expect(job.links[0].finishMm).toBeUndefined();
    expect([run(), trims()]).toEqual([
      'b',
      [
        ['none', 'profile'],
        ['profile', 'none'],
      ],
    ]);
    setCornerRun(job, 'l', 'neither');
    expect([run(), job.links[0].through]).toEqual([null, undefined]);
  });
});
