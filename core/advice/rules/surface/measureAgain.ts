import type { AdviceRule } from '../../finding.ts';

/** A copied surface still carries lengths of the place it was copied from. */
export const measureAgain: AdviceRule = ({ surface, surfaceIndex }) => {
  const { again } = surface.measured;
  if (again.length === 0) return [];
  return [
    {
      code: 'advice/measure-again',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'again'],
      figures: { count: again.length },
    },
  ];
};
