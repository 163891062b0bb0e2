import { movementProfiles } from '../works/carriedRuns.ts';
import { cutFromBars, type BarsHow } from '../cutFromBars.ts';
import { material, type Taken } from '../materialKind.ts';

/** Movement-joint profiles: across floors that are longer than a bay may be, and along joints that are carried through, m. */
export const movementProfile = material({
  group: 'joints',
  packs: [{ size: 2.5, price: 28.4 }],
  spread: 0,
  figures: { kerfMm: { typical: 3, min: 0, max: 10 } },
  choices: {},
  takeOff: ({ surfaces }, { figures }, offers): Taken<BarsHow>[] =>
    cutFromBars(
      surfaces.flatMap((surface) =>
        movementProfiles(surface).map(({ id, lengthMm }) => ({ surfaceId: surface.surfaceId, edgeId: id, mm: lengthMm, mitres: 0 })),
      ),
      offers,
      figures.kerfMm.value,
    ),
});
