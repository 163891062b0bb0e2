import type { CutSource } from '../../cuts/cutSource.ts';
import type { LeftOver } from '../../cuts/offCuts/leftOver.ts';
import type { LookedLonger } from '../../cuts/offCuts/lookLonger.ts';
import type { OffCutPlan } from '../../cuts/offCuts/planOffCuts.ts';
import type { Pass } from '../../cuts/offCuts/passesOf.ts';
import type { Job } from '../../job/job.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { SurfaceFigures } from '../../takeoff/figures.ts';

const surfaceName = ({ surfaces }: Pick<Job, 'surfaces'>, id: string | null): string =>
  surfaces.find((surface) => surface.id === id)?.name ?? String(id);

const tiles = (count: number): string => (count === 1 ? 'One tile' : `${count} tiles`);

/** The piece that is cut from a tile before another; with its surface where that is not the one that is looked at. */
export const pieceBefore = ({ offCutOf, ofSurface }: CutSource, job: Pick<Job, 'surfaces'>, surfaceId: string): string =>
  ofSurface === surfaceId ? String(offCutOf) : `${offCutOf} of ${surfaceName(job, ofSurface)}`;

/** Which tile a piece is cut from, and after which other piece. */
export function describeSource(label: string, source: CutSource, job: Pick<Job, 'surfaces'>, surfaceId: string): string {
  if (source.blank !== undefined) return `${label} comes from a piece that is there${source.blank === '' ? '' : `: ${source.blank}`}.`;
  const before = source.offCutOf === null ? 'a new one' : `after ${pieceBefore(source, job, surfaceId)}`;
  return `${label} comes from ${source.isSheet ? 'sheet' : 'tile'} ${source.tile} of those opened for cuts: ${before}.`;
}

/** How many tiles are opened for the cuts of a surface, and how few would do. */
export function describeOpened({ openedForCuts, lowerBound, tiles: all }: OffCutPlan, surfaceId: string): string {
  const from = all.filter(({ blank }) => blank === null);
  const others = from.filter(({ openedFor }) => openedFor !== surfaceId).length;
  const blanks = all.flatMap(({ blank, uses }) => (blank ? uses.filter((use) => use.surfaceId === surfaceId) : [])).length;
  const there = blanks === 0 ? '' : ` ${blanks === 1 ? 'One piece comes' : `${blanks} pieces come`} from what is there already.`;
  const opened =
    openedForCuts === 0
      ? 'No tile is opened for the cuts here'
      : `${tiles(openedForCuts)} ${openedForCuts === 1 ? 'is' : 'are'} opened for the cuts here`;
  const taken = others === 0 ? '' : `; ${others === 1 ? 'one more was' : `${others} more were`} opened for a surface that is laid before`;
  if (openedForCuts === 0) return `${opened}${taken}.${there}`;
  const proof =
    lowerBound === openedForCuts
      ? ' No plan could do with fewer.'
      : lowerBound > 0
        ? ` No plan could do with fewer than ${lowerBound}.`
        : '';
  return `${opened}${taken}.${proof}${there}`;
}

/** What is left of a tile and worth keeping, by the largest rectangle in each; nothing where nothing is. */
export function describeLeft(left: readonly LeftOver[], tape: Tape): string {
  if (left.length === 0) return '';
  const sizes = left.map(({ boxMm: { widthMm, heightMm } }) => `${formatLength(widthMm, tape)} x ${formatLengthWithUnit(heightMm, tape)}`);
  return `Left: ${sizes.join(' and ')}.`;
}

/** The passes that take a tile apart, by the edge at the fence and what the fence is set to; the others along the mark of a piece. */
export function describePasses(passes: readonly Pass[], labels: readonly string[], tape: Tape): string {
  if (passes.length === 0) return '';
  const words = passes.map(({ fence, piece }) =>
    fence ? `${formatLength(fence.mm, tape)} from the ${fence.side}` : `along the mark of ${labels[piece]}`,
  );
  return `Cut: ${words.map((text, k) => `${k + 1}. ${text}`).join('; ')}.`;
}

/** What looking longer has come to so far. */
export const describeLooking = ({ opened, lowerBound, rounds }: LookedLonger): string =>
  `${opened} tiles over all surfaces so far; no plan could do with fewer than ${lowerBound}. Round ${rounds}.`;

/** What looking longer came to in the end. */
export function describeLooked({ opened, openedAtFirst, lowerBound, rounds }: LookedLonger): string {
  if (opened === lowerBound) return `${found(opened, openedAtFirst)} No plan could do with fewer.`;
  return opened < openedAtFirst ? found(opened, openedAtFirst) : `No plan with fewer was found in ${rounds} rounds.`;
}

const found = (opened: number, openedAtFirst: number): string =>
  opened < openedAtFirst
    ? `Found: ${opened} tiles over all surfaces instead of ${openedAtFirst}.`
    : `${opened} tiles are opened over all surfaces.`;

/** What is opened to lay a surface: sheets where mosaics alone are laid, else tiles; "1 tile". */
export function openedUnit({ tiles }: Pick<SurfaceFigures, 'tiles'>, count: number): string {
  const one = tiles.length > 0 && tiles.every(({ piecesPerTile }) => piecesPerTile > 1) ? 'sheet' : 'tile';
  return count === 1 ? one : `${one}s`;
}
