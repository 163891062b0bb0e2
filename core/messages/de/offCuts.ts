import type { CutSource } from '../../cuts/cutSource.ts';
import type { Job } from '../../job/job.ts';
import type { SurfaceFigures } from '../../takeoff/figures.ts';
import { form } from './figures.ts';

const surfaceName = ({ surfaces }: Pick<Job, 'surfaces'>, id: string | null): string =>
  surfaces.find((surface) => surface.id === id)?.name ?? String(id);

/** The piece that is cut from a tile before another; with its surface where that is not the one that is looked at. */
export const pieceBefore = ({ offCutOf, ofSurface }: CutSource, job: Pick<Job, 'surfaces'>, surfaceId: string): string =>
  ofSurface === surfaceId ? String(offCutOf) : `${offCutOf} von ${surfaceName(job, ofSurface)}`;

/** Which tile a piece is cut from, and after which other piece. */
export function describeSource(label: string, source: CutSource, job: Pick<Job, 'surfaces'>, surfaceId: string): string {
  if (source.blank !== undefined) return `${label} kommt aus einem Stück, das da ist${source.blank === '' ? '' : `: ${source.blank}`}.`;
  const before = source.offCutOf === null ? 'einer neuen' : `nach ${pieceBefore(source, job, surfaceId)}`;
  return `${label} kommt aus ${source.isSheet ? 'Matte' : 'Fliese'} ${source.tile} der angebrochenen, ${before}.`;
}

/** What is opened to lay a surface: sheets where mosaics alone are laid, else tiles. */
export function openedUnit({ tiles }: Pick<SurfaceFigures, 'tiles'>, count: number): string {
  const areSheets = tiles.length > 0 && tiles.every(({ piecesPerTile }) => piecesPerTile > 1);
  return form(count, areSheets ? { one: 'Matte', other: 'Matten' } : { one: 'Fliese', other: 'Fliesen' });
}
