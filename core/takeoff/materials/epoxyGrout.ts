import { material } from '../materialKind.ts';
import { fillJoints, groutFigures } from './jointFill.ts';

/** Epoxy grout in two parts, by colour, kg of both. */
export const epoxyGrout = material({
  group: 'joints',
  packs: [
    { size: 2, price: 46 },
    { size: 5, price: 98 },
  ],
  byLitre: true,
  spread: 0.1,
  figures: groutFigures(1.55),
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    fillJoints(surfaces, figures, ({ works, jointColour }) => (works.grout === 'epoxy' ? jointColour : null)),
});
