import { packTiles } from '@azulejo/core/cuts/offCuts/packTiles';
import { wantedFrom } from '@azulejo/core/cuts/offCuts/wanted';
import { planSurface } from '@azulejo/core/plan';
import { roomToSearch } from '@azulejo/core/samples/roomToSearch';

/** What planning the off-cuts of some rooms comes to. */
export interface OffCutsRow {
  readonly rooms: string;
  readonly cuts: number;
  readonly opened: number;
  readonly lowerBound: number;
  /** By how much more is opened than is proven to be needed. */
  readonly gapShare: number;
  /** To the first answer and to the end, for all of them, ms. */
  readonly firstMs: number;
  readonly endMs: number;
}

const ROOMS = 40;
const RULE = { kerfMm: 2.5, directional: false } as const;

/** Forty rooms, each by itself, and the one of them with most cuts. */
export function benchOffCuts(): OffCutsRow[] {
  const rooms = Array.from({ length: ROOMS }, (_, k) => roomToSearch(k + 1, 25));
  const wanted = rooms.map((job) => planSurface(job, job.surfaces[0]).cuts.map((cut) => wantedFrom(job.surfaces[0].id, cut)));
  const measured = wanted.filter((pieces) => pieces.length > 0).map((pieces) => timed(pieces));
  const large = measured.reduce((most, row) => (row.cuts > most.cuts ? row : most));
  return [
    { rooms: `${ROOMS} rooms`, ...sumOf(measured) },
    { rooms: 'the one with most cuts', ...large },
  ];
}

type Timed = Omit<OffCutsRow, 'rooms'>;

function timed(pieces: Parameters<typeof packTiles>[0]): Timed {
  const start = performance.now();
  let firstMs = 0;
  const rounds = packTiles(pieces, RULE);
  for (let round = rounds.next(); ; round = rounds.next()) {
    firstMs ||= performance.now() - start;
    if (!round.done) continue;
    const { tiles, lowerBound } = round.value;
    const endMs = performance.now() - start;
    return { cuts: pieces.length, opened: tiles.length, lowerBound, gapShare: tiles.length / lowerBound - 1, firstMs, endMs };
  }
}

function sumOf(rows: readonly Timed[]): Timed {
  const sum = (of: (row: Timed) => number): number => rows.reduce((all, row) => all + of(row), 0);
  const [opened, lowerBound] = [sum((row) => row.opened), sum((row) => row.lowerBound)];
  return {
    cuts: sum(({ cuts }) => cuts),
    opened,
    lowerBound,
    gapShare: opened / lowerBound - 1,
    firstMs: sum((row) => row.firstMs),
    endMs: sum((row) => row.endMs),
  };
}
