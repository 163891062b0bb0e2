import type { AdviceRule, Finding } from '../../finding.ts';

/** Tiles that are cut along a movement joint because no tile joint lies over it: a joint there would spare the cuts. */
export const cutAlongJoint: AdviceRule = ({ surface, surfaceIndex, plan }) =>
  (surface.measured.carriedJoints ?? []).flatMap(({ id, kind }, k): Finding[] => {
    const cuts = plan.beside.filter((side) => [`${id}-below`, `${id}-above`].includes(side.id)).flatMap((side) => side.cuts);
    if (cuts.length === 0) return [];
    return [
      {
        code: 'advice/cut-along-joint',
        severity: 'note',
        path: ['surfaces', surfaceIndex, 'measured', 'carriedJoints', k],
        figures: { kind, count: cuts.length, cutMm: Math.min(...cuts.map(({ thinnestMm }) => thinnestMm)) },
      },
    ];
  });

/** A movement joint has room to move: it is as wide as the joints beside it at least. */
export const narrowMovementJoint: AdviceRule = ({ surface, surfaceIndex }) =>
  (surface.measured.carriedJoints ?? []).flatMap(({ widthMm }, k): Finding[] => {
    if (widthMm >= surface.jointMm) return [];
    const path = ['surfaces', surfaceIndex, 'measured', 'carriedJoints', k, 'widthMm'];
    return [
      {
        code: 'advice/narrow-movement-joint',
        severity: 'warning',
        path,
        figures: { widthMm, jointMm: surface.jointMm },
        mend: { path, value: surface.jointMm },
      },
    ];
  });

/** A crack is looked at before it is tiled over. */
export const crackUnderneath: AdviceRule = ({ surface, surfaceIndex }) =>
  (surface.measured.carriedJoints ?? []).flatMap(({ kind }, k): Finding[] =>
    kind === 'crack'
      ? [
          {
            code: 'advice/crack-underneath',
            severity: 'note',
            path: ['surfaces', surfaceIndex, 'measured', 'carriedJoints', k],
            figures: {},
          },
        ]
      : [],
  );
