import { material } from '../materialKind.ts';
import { fillJoints, groutFigures } from './jointFill.ts';

/** Ready-mixed grout from the tub, by colour, kg as it comes. */
export const readyGrout = material({
  group: 'joints',
  packs: [
    { size: 1.5, price: 12.5 },
    { size: 5, price: 33 },
  ],
  byLitre: true,
  spread: 0.1,
  figures: groutFigures(1.7),
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    fillJoints(surfaces, figures, ({ works, jointColour }) => (works.grout === 'ready' ? jointColour : null)),
});
