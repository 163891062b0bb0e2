import { ROUNDED_OFTEN } from '../../tolerances.ts';
import type { RateHow } from '../byRate.ts';
import { material, type Taken } from '../materialKind.ts';
import { CLIP_FIGURES, clipsOf } from './levellingClips.ts';

/** Wedges for the clips, used again each day: as many as are in use on the fullest one, by the days of the plan or as it is said. */
export const wedges = material({
  group: 'joints',
  packs: [
    { size: 100, price: 14.5 },
    { size: 250, price: 29 },
  ],
  spread: 0,
  figures: CLIP_FIGURES,
  /** Laid in a day, m², where it is not as the days of the plan say. */
  stated: { m2PerDay: { min: 0.5, max: 200 } },
  choices: {},
  takeOff: ({ surfaces, laidByDay }, { figures, stated }): Taken<RateHow>[] => {
    const rows = surfaces.flatMap((surface) => {
      const amount = clipsOf(surface, figures.fromCornerMm.value, figures.apartMm.value);
      return amount === 0 ? [] : [{ surfaceId: surface.surfaceId, amount, areaM2: surface.areaMm2 / 1e6 }];
    });
    const said = stated['m2PerDay'];
    const days = said
      ? rows.map(({ surfaceId, areaM2 }) => new Map([[surfaceId, Math.min(1, said.value / areaM2)]]))
      : (laidByDay ?? rows.map(({ surfaceId }) => new Map([[surfaceId, 1]])));
    const onDay = (day: ReadonlyMap<string, number>): RateHow['surfaces'] =>
      rows.flatMap(({ surfaceId, amount }) => {
        const per = day.get(surfaceId) ?? 0;
        return per > 0 ? [{ surfaceId, amount, per, quantity: Math.ceil(amount * per - ROUNDED_OFTEN) }] : [];
      });
    const sumOf = (of: RateHow['surfaces']): number => of.reduce((sum, { quantity }) => sum + quantity, 0);
    const fullest = days.map(onDay).reduce((a, b) => (sumOf(b) > sumOf(a) ? b : a), []);
    const quantity = sumOf(fullest);
    const used = { ...figures, ...(said ? { m2PerDay: said } : {}) };
    return quantity === 0
      ? []
      : [{ productId: null, hand: null, quantity, unit: 'piece', how: { of: 'count', surfaces: fullest, figures: used } }];
  },
});
