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
      surfaces.flatMap(({ surfaceId, bays, carried }) => [
        ...bays.joints.map(({ along, atMm, lengthMm }) => ({
          surfaceId,
          edgeId: `bay ${along} ${Math.round(atMm)}`,
          mm: lengthMm,
          mitres: 0,
        })),
        ...carried
          .filter(({ joint, lengthMm }) => joint.fill === 'profile' && lengthMm > 0)
          .map(({ joint, lengthMm }) => ({ surfaceId, edgeId: joint.id, mm: lengthMm, mitres: 0 })),
      ]),
      offers,
      figures.kerfMm.value,
    ),
});
