import { describe, expect, test } from '@jest/globals';
import { demoPlan } from '../../testing/demoJob.ts';
import { plan } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import type { Entry } from './entry.ts';
import { leftOfTiles } from './leftOfTiles.ts';
import { keepCount } from './tick.ts';

const job = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3, surface: { kind: 'floor' } });
const line = plan(job).materials.find((one) => one.item === 'tiles');
const broken = (pieces: number, productId: string): Entry => ({
  id: `00000000-0000-4000-8000-${String(pieces).padStart(12, '0')}`,
  at: '2026-11-25T08:00:00Z',
  by: '',
  surfaceId: null,
  replaces: null,
  data: { kind: 'breakage', productId, pieces, label: '', why: '' },
});

describe('what a line of tiles leaves', () => {
  if (line?.item !== 'tiles') throw new Error('tiles');
  const { left, how, productId } = line;
  const own = productId ?? '';
  test('is what was bought over the need, where nobody wrote down what broke', () => {
    expect(leftOfTiles(line, [])).toBe(left);
    expect(leftOfTiles(line, [broken(4, 'another')])).toBe(left);
  });
  test('goes by what broke as soon as that was written down, in place of what was reckoned with', () => {
    expect(leftOfTiles(line, [broken(1, own)])).toBe(left + how.breakage - 1);
    expect(leftOfTiles(line, [broken(1, own), broken(2, own), broken(9, 'another')])).toBe(left + how.breakage - 3);
  });
  test('is never less than nothing', () => expect(leftOfTiles(line, [broken(900, own)])).toBe(0));
});

describe('how a surface was counted', () => {
  const kept = () => {
    const [surface] = demoPlan('ferry-kiosk').surfaces;
    return { counted: { origin: [0, 0], first: 1 }, setout: { x: surface.choice.x, y: surface.choice.y } } as unknown as Parameters<
      typeof keepCount
    >[2];
  };
  test('is kept once, and what is kept already stays', () => {
    const draft = { surfaces: [{ ...job.surfaces[0] }] };
    const first = kept();
    keepCount(draft, 's', first);
    expect([draft.surfaces[0].counted, draft.surfaces[0].setout]).toEqual([first?.counted, first?.setout]);
    const other = { ...kept(), counted: { other: true } } as unknown as typeof first;
    keepCount(draft, 's', other);
    expect(draft.surfaces[0].counted).toBe(first?.counted);
  });
  test('of a surface that is gone, or of nothing, is not kept', () => {
    const draft = { surfaces: [{ ...job.surfaces[0] }] };
    keepCount(draft, 'gone', kept());
    keepCount(draft, 's', undefined);
    expect(draft.surfaces[0].counted).toBeUndefined();
  });
});
