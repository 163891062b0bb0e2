import { expect, test } from '@jest/globals';
import type { LayingZone } from '../zones/layingZones.ts';
import { checksDue, zonesLaid, type Check } from './checksDue.ts';
import type { Entry } from './entry.ts';

const zone = (number: number, cuts: readonly string[]): LayingZone => ({
  id: `1.${number}`,
  number,
  polygons: [],
  areaMm2: 1e6,
  wholePieces: 4,
  cuts,
  labelAt: [0, 0],
  towards: null,
  offLedger: false,
  isReached: true,
});
const reading = (check: Check, surfaceId = 's'): Entry => ({
  id: '00000000-0000-4000-8000-000000000000',
  at: '2026-05-04T08:00:00Z',
  by: '',
  surfaceId,
  replaces: null,
  data: { kind: 'reading', check, value: 0, wanted: null, text: '' },
});

test('a zone is laid when its cuts are; one without cuts once something after it is', () => {
  const zones = [zone(1, ['A1']), zone(2, []), zone(3, ['B1', 'B2']), zone(4, [])];
  const laid = (...labels: readonly string[]) => zonesLaid(zones, (label) => labels.includes(label));
  expect([laid('zone 1.2'), laid('A1', 'zone 1.4'), laid('zone 9.9')]).toEqual([2, 4, 0]);
  expect([laid(), laid('A1'), laid('A1', 'B1'), laid('A1', 'B1', 'B2'), laid('B1', 'B2')]).toEqual([0, 1, 1, 3, 3]);
});

test('checks are asked for after the first zone and every so many more, until their readings are there', () => {
  const floor = { id: 's', kind: 'floor' } as const;
  expect(checksDue(floor, 0, [])).toEqual([]);
  expect(checksDue(floor, 1, [])).toEqual(['diagonal', 'coverage', 'level', 'controlLine']);
  const first = (['diagonal', 'coverage', 'level', 'controlLine'] as const).map((check) => reading(check));
  expect(checksDue(floor, 3, first)).toEqual([]);
  expect(checksDue(floor, 4, first)).toEqual(['level']);
  expect(checksDue(floor, 6, first)).toEqual(['coverage', 'level', 'controlLine']);
  // Readings of another surface are none of this one.
  expect(checksDue({ id: 'w', kind: 'wall' }, 1, first)).toEqual(['level', 'plumb', 'coverage']);
});
