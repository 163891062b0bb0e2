import type { Finding } from '@azulejo/core/advice/finding';
import { ofSurface } from '@azulejo/core/advice/ofSurface';
import { openFindings } from '@azulejo/core/advice/registry';
import { boxOf } from '@azulejo/core/geometry/ring';
import { tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import { tilesNamedBy } from '@azulejo/core/job/tilesNamedBy';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';

/** Surfaces of one room; those of no room have no name. */
export interface RoomGroup {
  readonly id: string | null;
  readonly name: string;
  readonly surfaces: readonly Surface[];
}

/** Surfaces by room, in the order the rooms were made; those of no room come first. */
export const groupByRoom = ({ surfaces, rooms }: Pick<Job, 'surfaces' | 'rooms'>): RoomGroup[] =>
  [{ id: null, name: '' }, ...rooms]
    .map(({ id, name }) => ({ id, name, surfaces: surfaces.filter(({ roomId }) => roomId === id) }))
    .filter((group) => group.surfaces.length > 0);

/** What is found and not known of yet: of the job as a whole, and of each of its surfaces. */
export interface FoundModel {
  /** Of its days, and of the lots of its tiles. */
  readonly ofJob: readonly Finding[];
  readonly ofSurface: (id: string) => readonly Finding[];
}

/** What is found on the page of a job. */
export function foundOnJob({ surfaces }: Pick<Job, 'surfaces'>, findings: readonly Finding[]): FoundModel {
  const open = openFindings(findings);
  return {
    ofJob: open.filter(({ path }) => path[0] !== 'surfaces'),
    ofSurface: (id) =>
      ofSurface(
        open,
        surfaces.findIndex((surface) => surface.id === id),
      ),
  };
}

/** The surface on which a tile of the job is changed: the first that has it, else the first of all; null where there is none. */
export function surfaceWithTile({ surfaces, products }: Pick<Job, 'surfaces' | 'products'>, at: number): Surface | null {
  const id = products.at(at)?.id;
  return surfaces.find((one) => id !== undefined && tilesNamedBy(one).has(id)) ?? surfaces.at(0) ?? null;
}

/** How large a surface is, over all: "2405 x 2600 mm". */
export function sizeOf(job: Job, surface: Surface): string {
  const { minX, minY, maxX, maxY } = boxOf(outlineOf(surface.measured.shape).ring);
  const tape = tapeOf(job, surface);
  return `${formatLength(maxX - minX, tape)} x ${formatLengthWithUnit(maxY - minY, tape)}`;
}
