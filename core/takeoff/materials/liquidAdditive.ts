import { material, type Spoken, type Taken } from '../materialKind.ts';
import { adhesive } from './adhesive.ts';

/** How the additive came about. */
export interface AdditiveHow {
  /** Powder it is stirred into, kg. */
  readonly powderKg: number;
  readonly figures: { readonly litresPerKg: Spoken };
}

/** Liquid additive that the adhesive is stirred with in place of water, l: over membranes or under glass, where its maker asks for it. */
export const liquidAdditive = material({
  group: 'underTheTiles',
  packs: [
    { size: 4, price: 26.8 },
    { size: 8, price: 46.5 },
  ],
  spread: 0.08,
  figures: {
    /** Additive that a kilogram of powder takes, litres: about 6 to a bag of 20 kg (typical; the bag decides). */
    litresPerKg: { typical: 0.3, min: 0.05, max: 1 },
  },
  choices: {},
  takeOff: (need, { figures: { litresPerKg } }): Taken<AdditiveHow>[] => {
    if (need.materials?.['adhesive']?.choices?.['mixedWith'] !== 'additive') return [];
    const lines = adhesive.takeOff(need, need.materials['adhesive'], need.habits?.['adhesive']);
    const powderKg = lines.reduce((sum, { quantity }) => sum + quantity, 0);
    if (powderKg <= 0) return [];
    return [
      { productId: null, hand: null, quantity: powderKg * litresPerKg.value, unit: 'l', how: { powderKg, figures: { litresPerKg } } },
    ];
  },
});
