import type { RateHow } from '../byRate.ts';
import { material, type Taken } from '../materialKind.ts';
import { CLIP_FIGURES, clipsOf } from './levellingClips.ts';

/** Wedges for the clips, used again each day: as many as are in use on the fullest one. */
export const wedges = material({
  packs: [
    { size: 100, price: 14.5 },
    { size: 250, price: 29 },
  ],
  spread: 0,
  figures: {
    ...CLIP_FIGURES,
    /** Laid in a day, m². */
    m2PerDay: { typical: 12, min: 0.5, max: 200 },
  },
  choices: {},
  takeOff: ({ surfaces }, { figures }): Taken<RateHow>[] => {
    const rows = surfaces.flatMap((surface) => {
      const clips = clipsOf(surface, figures.fromCornerMm.value, figures.apartMm.value);
      const share = Math.min(1, (figures.m2PerDay.value * 1e6) / surface.areaMm2);
      return clips === 0 ? [] : [{ surfaceId: surface.surfaceId, amount: clips, per: share, quantity: Math.ceil(clips * share) }];
    });
    const quantity = Math.max(0, ...rows.map((row) => row.quantity));
    return quantity === 0 ? [] : [{ productId: null, hand: null, quantity, unit: 'piece', how: { of: 'count', surfaces: rows, figures } }];
  },
});
