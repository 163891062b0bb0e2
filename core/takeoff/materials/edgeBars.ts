import type { Link } from '../../surface/link.ts';
import { cutFromBars, type BarRun, type BarsHow } from '../cutFromBars.ts';
import { material, type FigureSpec, type Need, type PackOffer, type Taken } from '../materialKind.ts';
import type { Trim } from '../works/trims.ts';

/** What cutting bars goes by: what the saw takes, mm. */
export const BAR_FIGURES = { kerfMm: { typical: 3, min: 0, max: 10 } } as const;

/** Edges that end in a trim which comes in bars: a run each, mitred where the trim goes round a corner, also from face to face. */
export const edgeRuns = (surfaces: Need['surfaces'], trim: Trim, links: Need['links'] = []): BarRun[] =>
  surfaces.flatMap(({ surfaceId, trims }) =>
    trims
      .filter((run) => run.trim === trim)
      .flatMap((run) => {
        const mitres = run.mitres + run.corners.filter((edge) => goesOn({ surface: surfaceId, edge }, trim, surfaces, links)).length;
        return run.runsMm.map((mm) => ({ surfaceId, edgeId: run.edgeId, mm, mitres: run.runsMm.length === 1 ? mitres : 0 }));
      }),
  );

/** Whether a trim that ends at an edge goes on on the surface that is met there, as round the front of a niche. */
function goesOn(end: Link['a'], trim: Trim, surfaces: Need['surfaces'], links: readonly Link[]): boolean {
  const isAt = ({ surface, edge }: Link['a']): boolean => surface === end.surface && edge === end.edge;
  return links.some(({ a, b, meets }) => {
    const beyond = isAt(a) ? b : isAt(b) ? a : null;
    const other = surfaces.find(({ surfaceId }) => surfaceId === beyond?.surface);
    return (
      meets !== 'inLine' && beyond !== null && (other?.trims.some((run) => run.trim === trim && run.corners.includes(beyond.edge)) ?? false)
    );
  });
}

/** A trim that is cut from bars, m, with figures of its own beside the saw's. */
export const edgeBars = <F extends string = never>(trim: Trim, packs: readonly PackOffer[], own?: Readonly<Record<F, FigureSpec>>) =>
  material({
    group: 'edges',
    packs,
    spread: 0,
    figures: { ...BAR_FIGURES, ...own },
    choices: {},
    takeOff: (need, { figures }, offers): Taken<BarsHow>[] =>
      cutFromBars(edgeRuns(need.surfaces, trim, need.links), offers, figures.kerfMm.value),
  });
