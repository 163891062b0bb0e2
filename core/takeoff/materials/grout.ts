import { material, REST_HOURS } from '../materialKind.ts';
import { fillJoints, groutFigures } from './jointFill.ts';

/** Cement grout, fine or with sand, by colour, kg of powder. */
export const grout = material({
  group: 'joints',
  packs: [{ size: 5, price: 14.9 }],
  spread: 0.1,
  figures: { ...groutFigures(1.6), waterPerKg: { typical: 0.22, min: 0.05, max: 1 }, potLifeMinutes: { typical: 60, min: 5, max: 600 } },
  stated: REST_HOURS,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    fillJoints(surfaces, figures, ({ works, jointColour }) =>
      works.grout === 'fine' || works.grout === 'sanded' ? `${works.grout} ${jointColour}` : null,
    ),
});
