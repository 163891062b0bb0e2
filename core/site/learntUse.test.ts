import { expect, test } from '@jest/globals';
import { seededNumbers } from '../geometry/seededNumbers.ts';
import type { Entry } from './entry.ts';
import { spreadOf } from '../money/priceMaterials.ts';
import type { Mark } from '../cuts/cutKind.ts';
import { ownSpread } from './ownSpread.ts';
import { breakageFacts, learntUse, useFacts } from './learntUse.ts';

const NOTCH: Mark = { type: 'notch', afterCut: false, sideX: 'left', xMm: 40, sideY: 'bottom', yMm: 40 };
let made = 0;
const entry = (data: Entry['data'], surfaceId: string | null = 's'): Entry => ({
  id: `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`,
  at: '2026-05-04T08:00:00Z',
  by: '',
  surfaceId,
  replaces: null,
  data,
});
const used = (item: string, packs: number, size: number): Entry => entry({ kind: 'used', item, packs, size });
const broke = (label: string, pieces = 1): Entry => entry({ kind: 'breakage', productId: 't', label, pieces, why: '' });

test('the plain case: 50 kg were planned with 1.2 kg in a litre, three bags of 20 were used, so a litre takes 1.44', () => {
  const materials = [{ item: 'adhesive', unit: 'kg', quantity: 50 } as const];
  const facts = useFacts(materials, [used('adhesive', 2, 20), used('adhesive', 1, 20), used('grout', 1, 5)]);
  expect(facts).toEqual([{ item: 'adhesive', unit: 'kg', planned: 50, used: 60, isSkimmed: false }]);
  const rules = { materials: {} };
  expect(learntUse(facts, rules, true)).toEqual([{ item: 'adhesive', figure: 'kgPerLitre', value: 1.44, before: 1.2 }]);
  // What the job says is what is drawn on from; half a job teaches nothing, and ten times as much is a slip of the pen.
  expect(learntUse(facts, { materials: { adhesive: { figures: { kgPerLitre: 1 } } } }, true)[0]).toMatchObject({ value: 1.2, before: 1 });
  expect(learntUse(facts, rules, false)).toEqual([]);
  expect(learntUse(useFacts(materials, [used('adhesive', 25, 20)]), rules, true)).toEqual([]);
});

test('what the sheet gives a square metre is learnt as that; what backs take, where they are skimmed', () => {
  const of = (how: object) => useFacts([{ item: 'adhesive', unit: 'kg', quantity: 50, how }], [used('adhesive', 3, 20)]);
  const sheet = { materials: { adhesive: { sheet: { name: 'S', figures: { kgPerM2: 4 } } } } };
  expect(learntUse(of({}), sheet, true)).toEqual([{ item: 'adhesive', figure: 'kgPerM2', value: 4.8, before: 4 }]);
  expect(learntUse(of({ surfaces: [{ backs: 'skim' }] }), { materials: {} }, true)).toEqual([
    { item: 'adhesive', figure: 'kgPerLitre', value: 1.44, before: 1.2 },
    { item: 'adhesive', figure: 'backKgPerM2', value: 1.44, before: 1.2 },
  ]);
});

test('what broke without a label counts as breaking was reckoned with; a piece of several straight cuts is straight, with a notch it is not', () => {
  const cut = (label: string, marks: readonly Mark[]) => ({ surfaceId: 's', piece: { label, marks }, isCut: true });
  const cuts = Array.from({ length: 29 }, (_, k) => cut(`A${k}`, k < 4 ? [NOTCH, NOTCH] : []));
  const facts = breakageFacts(cuts, [broke('', 2)], { straight: 2, shaped: 8 });
  // Of 25 at 2 % and 4 at 8 %, reckoned with 0.5 and 0.32: one each.
  expect(facts.map(({ kind, cuts: made, broken }) => [kind, made, broken])).toEqual([
    ['straight', 25, 1],
    ['shaped', 4, 1],
  ]);
});

test('breakage by hand: 60 straight cuts of which 5 broke, 2 % reckoned with on 40: (5 + 0.8) of 100', () => {
  const cuts = Array.from({ length: 60 }, (_, k) => ({
    surfaceId: 's',
    piece: { label: `A${k}`, marks: [] },
    isCut: true,
  }));
  const notch = { surfaceId: 's', piece: { label: 'N1', marks: [NOTCH] }, isCut: false };
  const facts = breakageFacts([...cuts, notch], [broke('A1', 2), broke('A7', 3), broke('N1'), broke('Z9')], { straight: 2, shaped: 8 });
  expect(facts).toEqual([{ kind: 'straight', cuts: 60, broken: 5, before: 2, percent: 5.8 }]);
});

test('own shares come nearer to how somebody really breaks, on jobs that were held out', () => {
  const next = seededNumbers(11);
  const real = 0.09;
  const count = (cuts: number): number => Array.from({ length: cuts }, next).filter((one) => one < real).length;
  const cuts = Array.from({ length: 150 }, (_, k) => ({ surfaceId: 's', piece: { label: `A${k}`, marks: [] }, isCut: true }));
  const [{ percent }] = breakageFacts(cuts, [broke('A0', count(150))], { straight: 2, shaped: 8 });
  const held = Array.from({ length: 20 }, () => ({ cuts: 40, broken: count(40) }));
  const off = (share: number): number => held.reduce((sum, one) => sum + Math.abs(one.cuts * share - one.broken), 0);
  expect(off(percent / 100)).toBeLessThan(off(0.02));
});

test('the spread of use by hand: three jobs at 1.1, 0.9 and 1.0 about a usual tenth are a tenth still; one job teaches none', () => {
  expect(ownSpread([1.1, 0.9, 1], 0.1)).toBeCloseTo(0.1, 12);
  expect(ownSpread([1.4], 0.1)).toBe(0.1);
  // Squares of 0.09 about 1.2, and four of 0.01: 0.13 over five.
  expect(ownSpread([1.2 + Math.sqrt(0.045), 1.2 - Math.sqrt(0.045)], 0.1)).toBeCloseTo(Math.sqrt(0.13 / 5), 12);
  // Who uses much more each time, and alike, strays little.
  expect(ownSpread([1.5, 1.5, 1.5, 1.5, 1.5], 0.1)).toBeLessThan(0.08);
});

test('the chance of running out goes by a person’s own spread where there is one, within reason', () => {
  const of = (spread: number): number => spreadOf('adhesive', { habits: { adhesive: { spread } } });
  expect([spreadOf('adhesive', {}), of(0.2), of(7), of(-1)]).toEqual([0.08, 0.2, 1, 0]);
});
