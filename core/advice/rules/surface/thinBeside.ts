import { isThin } from '../../../setout/edges/edgeCuts.ts';
import type { AdviceRule } from '../../finding.ts';
import { slivers } from '../../slivers.ts';

/** Strips too narrow to look right along a tray, a cabinet, a bath: as much in sight as those at a wall. */
export const thinBeside: AdviceRule = ({ surfaceIndex, surface, plan }) => {
  const { isBest, areWorthAWord } = slivers(plan);
  if (!areWorthAWord) return [];
  return surface.measured.fixtures.flatMap(({ id, name, cover }) => {
    if (cover) return [];
    const sides = plan.beside.filter((edge) => edge.id.startsWith(`${id}-`) && /^\d+$/.test(edge.id.slice(id.length + 1)));
    const thin = sides.flatMap(({ cuts }) => cuts.filter(isThin).map(({ thinnestMm }) => thinnestMm));
    if (thin.length === 0) return [];
    return [
      {
        code: 'advice/thin-beside',
        severity: isBest ? ('note' as const) : ('warning' as const),
        path: ['surfaces', surfaceIndex, 'setout'],
        figures: { name, cutMm: Math.min(...thin), isBest: isBest ? 1 : 0 },
      },
    ];
  });
};
