import { cutsCsv } from '../formats/csv.ts';
import { unlike, type Law } from './law.ts';

/** Every piece that is cut stands on one cut line, comes from one opened tile, and is in the table that is printed; nothing else does. */
export const cutsHaveOneHome: Law = (job, { surfaces }) => {
  const tiles = new Map(surfaces.flatMap(({ offCuts }) => offCuts.tiles.map((tile) => [tile.tile, tile] as const)));
  return surfaces.flatMap((planned) => {
    const surface = job.surfaces.find(({ id }) => id === planned.surfaceId);
    if (!surface) return [`${planned.surfaceId} is planned and not in the job`];
    const labels = planned.toCut.map(({ label }) => label);
    const fromTiles = planned.toCut.flatMap(({ label, of }) => (of === 'sheet' ? [] : [label]));
    const chips = new Set(planned.cuts.flatMap(({ label, of }) => (of === 'chip' ? [label] : [])));
    const used = [...tiles.values()].flatMap(({ uses }) => uses.flatMap((use) => (use.surfaceId === surface.id ? [use.label] : [])));
    const column = cutsCsv(job, surface, planned).split('\n')[0].split(',').indexOf('Piece');
    const printed = cutsCsv(job, surface, planned)
      .trim()
      .split('\n')
      .slice(1)
      .map((line) => cellsOf(line)[column]);
    return [
      ...unlike(`${surface.name}: labels, each once`, labels, [...new Set(labels)]),
      ...unlike(
        `${surface.name}: cuts and cut lines`,
        labels,
        planned.groups.flatMap(({ pieces }) => pieces.map(({ label }) => label)),
      ),
      ...unlike(
        `${surface.name}: cuts and where they come from`,
        labels,
        [...planned.offCuts.sources.keys()].filter((label) => !chips.has(label)),
      ),
      ...unlike(`${surface.name}: cuts and opened tiles`, fromTiles, used),
      ...unlike(`${surface.name}: cuts and the printed table`, labels, printed),
    ];
  });
};

/** The cells of a line of a table; quoted ones may hold commas. */
const cellsOf = (line: string): string[] =>
  [...line.matchAll(/(?:^|,)(?:"((?:[^"]|"")*)"|([^,]*))/g)].map(([, quoted, plain]) => quoted?.replaceAll('""', '"') ?? plain ?? '');
