import { areaOf, byRate } from '../byRate.ts';
import { material, REST_HOURS, WITHIN_HOURS } from '../materialKind.ts';
import type { Substrate } from '../works/works.ts';

/** Coats, and parts of water to one of primer, by how a substrate drinks (typical; the data sheet wins). */
export const SUCTION: Readonly<Record<Substrate, { readonly coats: number; readonly water: number }>> = {
  screed: { coats: 1, water: 1 },
  concrete: { coats: 1, water: 1 },
  anhydrite: { coats: 2, water: 1 },
  plaster: { coats: 1, water: 1 },
  plasterboard: { coats: 1, water: 1 },
  cementBoard: { coats: 1, water: 2 },
  plywood: { coats: 2, water: 0 },
  oldTiles: { coats: 2, water: 0 },
};

/** How a substrate drinks what is spread on it. */
export type Drinks = 'little' | 'usual' | 'much';

/** How substrates drink (typical; a drop of water on it tells). */
export const DRINKS: Readonly<Record<Substrate, Drinks>> = {
  screed: 'usual',
  concrete: 'usual',
  anhydrite: 'much',
  plaster: 'much',
  plasterboard: 'usual',
  cementBoard: 'usual',
  plywood: 'usual',
  oldTiles: 'little',
};

/** Primer before it is thinned, l. */
export const primer = material({
  group: 'underTheTiles',
  packs: [
    { size: 1, price: 9.5 },
    { size: 5, price: 34 },
  ],
  spread: 0.1,
  figures: {
    /** A coat, thinned, l/m². */
    lPerM2: { typical: 0.15, min: 0.02, max: 2 },
  },
  stated: { coats: { min: 1, max: 6 }, waterParts: { min: 0, max: 10 }, ...REST_HOURS, ...WITHIN_HOURS },
  choices: {},
  takeOff: ({ surfaces }, { figures, stated }) => {
    const used = {
      ...figures,
      ...(stated['coats'] ? { coats: stated['coats'] } : {}),
      ...(stated['waterParts'] ? { waterParts: stated['waterParts'] } : {}),
    };
    return byRate(surfaces, { unit: 'l', of: 'm2', figures: used }, (surface) => {
      if (!surface.works.does.prime) return null;
      const usual = SUCTION[surface.works.substrate];
      const coats = stated['coats']?.value ?? usual.coats;
      return { amount: areaOf(surface), per: (coats * figures.lPerM2.value) / (1 + (stated['waterParts']?.value ?? usual.water)) };
    });
  },
});
