import { expect, test } from '@jest/globals';
import { describeOpen } from '../messages/en/log.ts';
import { entriesInForce, type Entry } from './entry.ts';
import type { TickedSurface } from './hoursDue.ts';
import { closedBy, stillOpen, type SiteState } from './stillOpen.ts';
import { zoneTick } from './zoneTicks.ts';

const NOON = Date.parse('2026-12-02T12:00:00Z');
let made = 0;
const entry = (data: Entry['data'], replaces: string | null = null): Entry => ({
  id: `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`,
  at: '2026-12-02T10:00:00Z',
  by: '',
  surfaceId: null,
  replaces,
  data,
});
const planned = (surfaceId: string, ...zones: readonly string[]): TickedSurface => ({
  surfaceId,
  toCut: [],
  zones: { zones: zones.map((id) => ({ id, areaMm2: 1e6, cuts: [] })) },
});
const snag = { kind: 'snag', text: 'Chip by the door', pin: null } as const;
const state = (part: Partial<SiteState>): SiteState => ({
  surfaces: [{ id: 'floor', laid: true }],
  planned: [planned('floor', 'a', 'b')],
  stateOf: () => 'open',
  entries: [],
  due: [],
  now: NOON,
  ...part,
});
const said = (part: Partial<SiteState>): string[] =>
  stillOpen(state(part)).map((one) => describeOpen(one, (id) => id[0].toUpperCase() + id.slice(1)));

test('a surface is open until it is said to be laid, whatever is ticked', () => {
  const surfaces = [{ id: 'floor', laid: false }];
  expect(said({})).toEqual([]);
  expect(said({ surfaces })).toEqual(['Nothing lies of Floor.']);
  const many = ['floor', 'wall', 'niche', 'sill', 'step', 'counter'].map((id) => ({ id, laid: id === 'sill' }));
  expect(said({ surfaces: many })).toEqual(['Nothing lies of Floor, Wall, Niche, Step and 1 more.']);
  expect(said({ surfaces, stateOf: (_, label) => (label === zoneTick('a') ? 'laid' : 'open') })).toEqual([
    'Floor is not laid: 1 of 2 zones to go.',
  ]);
  expect(said({ surfaces, stateOf: () => 'laid' })).toEqual(['Floor: every zone lies, the surface is not closed.']);
  expect(said({ surfaces, planned: [] })).toEqual(['Nothing lies of Floor.']);
});

test('a wait is open until it ends, a snag until it is done, hours until they are written down', () => {
  const wait = (minutes: number): Entry => entry({ kind: 'timer', timer: 'walkOn', minutes });
  expect(said({ entries: [wait(24 * 60), wait(150), wait(119)] })).toEqual([
    'Walked on from: 22 h to go.',
    'Walked on from: 30 min to go.',
  ]);
  const chip = entry({ ...snag, done: false });
  expect(said({ entries: [chip, entry({ ...snag, done: false })] })).toEqual(['2 snags not done.']);
  expect(said({ entries: entriesInForce([chip, entry({ ...snag, done: true }, chip.id)]) })).toEqual([]);
  expect(said({ due: [{ surfaceId: 'floor', task: 'lay', upTo: 1, hours: 3.25 }] })).toEqual([
    'Laying, Floor: about 3.25 h not written down.',
  ]);
});

test('a job is closed by the log, and open again once that is taken back', () => {
  const closed = entry({ kind: 'closed', open: 2 });
  expect(closedBy([])).toBeNull();
  expect(closedBy([closed])?.data.open).toBe(2);
  expect(closedBy(entriesInForce([closed, entry({ kind: 'withdrawn' }, closed.id)]))).toBeNull();
});
