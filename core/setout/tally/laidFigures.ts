import type { EdgeSummary } from '../edges/edgeCuts.ts';
import { forEachWhole, type Layout } from '../place/layout.ts';
import { emptyTally, type EdgeTally, type SetoutFigures } from './figures.ts';
import { tallyCut } from './tallyCut.ts';
import { wholeMotifs } from './wholeMotifs.ts';

/** The figures of what was really laid: its edges and its pieces; what no clipping tells stays as it was tried. */
export function laidFigures(
  tried: SetoutFigures,
  {
    edges,
    beside,
    layouts,
  }: { readonly edges: readonly EdgeSummary[]; readonly beside: readonly EdgeSummary[]; readonly layouts: readonly Layout[] },
): SetoutFigures {
  const met = new Map([...edges, ...beside].map((edge) => [edge.id, edge]));
  return {
    ...tried,
    // Where tiles end at what has no name is only known as it was tried.
    edges: tried.edges.map((tally) =>
      tally.owner.kind === 'other' ? tally : tallyOf({ ...emptyTally(tally.owner), openMm2: tally.openMm2 }, met.get(tally.owner.id)),
    ),
    cutPieces: layouts.reduce((sum, layout) => sum + cutIn(layout), 0),
    motifs: layouts.reduce((sum, layout) => sum + wholeMotifs(layout), 0),
  };
}

/** Pieces that somebody cuts: those at the edges, and stones that are sawn from a larger tile wherever they lie. */
function cutIn(layout: Layout): number {
  let pieces = layout.cutTiles.reduce((sum, { polygons }) => sum + polygons.length, 0);
  const isSawn = layout.repeat.pieces.map(({ cutFrom }) => cutFrom !== undefined);
  if (isSawn.includes(true))
    forEachWhole(layout, ({ piece }) => {
      if (isSawn[piece]) pieces++;
    });
  return pieces;
}

function tallyOf(tally: EdgeTally, edge: EdgeSummary | undefined): EdgeTally {
  for (const { endsMm, thinnestMm, fullMm, alongMm, isMain } of edge?.cuts ?? [])
    tallyCut(tally, (endsMm[0] + endsMm[1]) / 2 / fullMm, thinnestMm, fullMm, alongMm[1] - alongMm[0], isMain);
  tally.widestMm = edge?.largestCutMm ?? 0;
  return tally;
}
