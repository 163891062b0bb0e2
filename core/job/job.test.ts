import { expect, test } from '@jest/globals';
import { madeUpTiles } from '../madeUp/tiles.ts';
import { layingOfKind } from '../pattern/suitLaying.ts';
import { SETS, type SetForm } from '../surface/sets/registry.ts';
import { METRIC_TAPE } from '../units/tape.ts';
import { checkJob } from './checkJob.ts';
import { layAlike } from './layAlike.ts';
import { startJob } from './startJob.ts';
import { startSet } from './startSet.ts';
import { setFaceName } from '../messages/en/sets.ts';

const empty = startJob('job', 'Trial', METRIC_TAPE);
const started = (form: SetForm) => startSet(empty, 'set', 'Stairs', form, setFaceName);

test('a flight is of risers and treads, or of one of them; joins are between surfaces that are there', () => {
  const flight = SETS.stairFlight.defaults;
  const count = (tiled: 'both' | 'risers' | 'treads'): [number, number] => {
    const { surfaces, links } = started({ ...flight, tiled });
    return [surfaces.length, links.length];
  };
  expect([count('both'), count('risers'), count('treads')]).toEqual([
    [6, 5],
    [3, 2],
    [3, 2],
  ]);
  expect(started({ ...flight, tiled: 'risers' }).links.map(({ meets }) => meets)).toEqual(['inLine', 'inLine']);
  // The top of a riser without a tread is where its tiles end, not where they go on.
  expect(started({ ...flight, tiled: 'risers' }).surfaces.map(({ measured }) => measured.roles['top'])).toEqual(Array(3).fill('exposed'));
});

test('surfaces laid alike have tile, joint, gaps and edges in common; what continues, and what each has by itself, stays', () => {
  const { surfaces, room } = started(SETS.stairFlight.defaults);
  const laying = layingOfKind('herringbone', { ...surfaces[0], productId: 'oven-brick', jointMm: 4 }, madeUpTiles(), 2.5);
  if (!laying) throw new Error('no herringbone');
  const given = { ...laying, turnDeg: 45, colours: { ...laying.colours, byHand: { '0/0/0': 0 } } };
  const alike = surfaces.map((surface) =>
    layAlike(surface, { laying: given, jointColour: '#123456', gapsMm: { wall: 7 }, roles: { top: 'hidden', right: 'focal', a: 'focal' } }),
  );
  expect(checkJob({ ...empty, rooms: [room], surfaces: alike })).toEqual([]);
  for (const [k, surface] of alike.entries()) {
    expect(surface).toMatchObject({ productId: 'oven-brick', jointMm: 4, turnDeg: 45, jointColour: '#123456', colours: { byHand: {} } });
    const before = surfaces[k].measured;
    const top = before.roles['top'] === 'continues' ? 'continues' : 'hidden';
    expect(surface.measured.roles).toEqual({ ...before.roles, top, right: 'focal' });
    expect(surface.measured.gapsMm).toEqual({ ...before.gapsMm, wall: 7 });
    expect([surface.id, surface.name, surface.measured.shape]).toEqual([surfaces[k].id, surfaces[k].name, before.shape]);
  }
});
