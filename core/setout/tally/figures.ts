import type { LineOwner } from '../edges/boundary.ts';
import type { Axis } from '../choice/axisPlacement.ts';

/** How one edge, or one side of what stands in the field, comes out. Lengths run along it, mm. */
export interface EdgeTally {
  readonly owner: LineOwner;
  /** With cut pieces along it. */
  cutMm: number;
  /** The same, each piece counted by how small it is: once at half a piece, more below, less above. */
  smallMm: number;
  /** With slivers along it. */
  sliverMm: number;
  /** The same, each counted by how far it is from being none: not at the limit, once where hardly anything is left. */
  thinMm: number;
  /** With cut pieces, those left out that fill in between the tiles, such as dots. */
  mainCutMm: number;
  /** The same, of pieces cut to a half: where courses reach into each other every other one is, and looks whole. */
  halfMm: number;
  /** With cut pieces, each counted by the share of the piece that stays. */
  shareMm: number;
  /** Where no piece reaches the edge's line: length times how much wider its gap is by that, mm². */
  openMm2: number;
  /** The narrowest cut piece; Infinity where none is cut. */
  thinnestMm: number;
  /** The same, those left out that fill in between the tiles. */
  thinnestMainMm: number;
  /** The widest, at either end of its cut; 0 where none is cut. */
  widestMm: number;
  /** The largest whole piece of those that are cut, square to the edge; 0 where none is. */
  fullMm: number;
}

/** How a pipe, waste or valve comes to lie: in one piece, on a joint, on a crossing, or where no tile is. */
export type Falls = 'piece' | 'joint' | 'crossing' | 'clear';

/** Where something round comes through. */
export interface RoundFalls {
  readonly fixtureId: string;
  falls: Falls;
}

/** How far the pattern is from lying evenly about what the eye takes for the middle. */
export interface MiddleOff {
  readonly fixtureId: string;
  readonly axis: Axis;
  /** How much it counts. */
  readonly weight: number;
  /** From the nearest middle of a piece or a joint, mm. */
  offMm: number;
  /** As far as it can be, mm. */
  readonly mostMm: number;
}

/** How far a long edge runs off the courses. */
export interface RunOff {
  readonly owner: LineOwner;
  readonly mm: number;
}

/** All that setouts are weighed by. */
export interface SetoutFigures {
  /** Whether tiles reach into each other's courses, as lanterns and hexagons do: then every other one is halved at an edge where the rest are whole. */
  readonly interlocks: boolean;
  readonly edges: readonly EdgeTally[];
  readonly rounds: readonly RoundFalls[];
  readonly middles: readonly MiddleOff[];
  readonly runOffs: readonly RunOff[];
  /** By how much each pin is missed, mm; 0 where it is kept. */
  readonly missedPins: number[];
  /** Pieces that are cut, and how many of them need more than straight passes. */
  cutPieces: number;
  hardPieces: number;
  /** Minutes at the saw. */
  minutes: number;
  /** Fragile legs of notched pieces, each counted from a half, at the limit, to one. */
  ears: number;
  /** Pieces' corners with such a leg; what closes round a box within one tile has none. */
  legs: number;
  /** Figured sheets that lie whole. */
  motifs: number;
  /** Tiles that are opened for the cut pieces when the halves of a tile are both used. */
  opened: number;
}

/** A copy that stays as it is. */
export const keptFigures = (figures: SetoutFigures): SetoutFigures => ({
  ...figures,
  missedPins: [...figures.missedPins],
  edges: figures.edges.map((tally) => ({ ...tally })),
  rounds: figures.rounds.map((one) => ({ ...one })),
  middles: figures.middles.map((one) => ({ ...one })),
});

const EMPTY = {
  cutMm: 0,
  smallMm: 0,
  sliverMm: 0,
  thinMm: 0,
  mainCutMm: 0,
  halfMm: 0,
  shareMm: 0,
  openMm2: 0,
  thinnestMm: Infinity,
  thinnestMainMm: Infinity,
  widestMm: 0,
  fullMm: 0,
} as const satisfies Omit<EdgeTally, 'owner'>;

/** An edge before anything is laid along it. */
export const emptyTally = (owner: LineOwner): EdgeTally => ({ owner, ...EMPTY });

/** The same edge again before anything is laid along it: field by field, as each trial begins with it. */
export function clearTally(tally: EdgeTally): void {
  tally.cutMm = tally.smallMm = tally.sliverMm = tally.thinMm = tally.mainCutMm = tally.halfMm = tally.shareMm = tally.openMm2 = 0;
  tally.thinnestMm = tally.thinnestMainMm = Infinity;
  tally.widestMm = tally.fullMm = 0;
}

/** How an edge comes out; undefined where none has this name. */
export const tallyOf = ({ edges }: SetoutFigures, id: string | null): EdgeTally | undefined => edges.find(({ owner }) => owner.id === id);
