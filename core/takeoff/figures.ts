import type { StripPurpose } from '../cuts/strips/strip.ts';
import type { Polygon } from '../geometry/ring.ts';
import type { PatternId } from '../pattern/registry.ts';
import type { Crossings } from '../setout/fields/crossings.ts';
import type { SurfaceKind } from '../surface/surface.ts';
import type { Product } from '../tile/product.ts';
import type { Bays } from './works/bays.ts';
import type { CarriedRun } from './works/carriedRuns.ts';
import type { TrimRun } from './works/trims.ts';
import type { Works } from './works/works.ts';

/** The tiles of one product on one surface. */
export interface TileFigures {
  readonly productId: string;
  /** Which of two mirrored shapes they are, where a tile comes in both; null where there is one. */
  readonly hand: 'left' | 'right' | null;
  /** Tiles, or sheets of a mosaic, opened: whole ones and those the cuts are made from. */
  readonly opened: number;
  readonly lowerBound: number;
  /** Tiles, or sheets, laid whole. */
  readonly wholeTiles: number;
  /** Pieces laid whole: tiles, or chips. */
  readonly whole: number;
  /** Pieces a tile is: the chips of a sheet, else 1. */
  readonly piecesPerTile: number;
  readonly straightCuts: number;
  readonly shapedCuts: number;
  /** Strips of skirting and nosing cut from it, and their area, mm²: they stand beside what is laid. */
  readonly strips: number;
  readonly stripsMm2: number;
  /** Area of the pieces laid, mm². */
  readonly laidAreaMm2: number;
  /** Area of one whole tile, or of the chips of a sheet, mm². */
  readonly tileAreaMm2: number;
  /** What a tile, or a sheet with its joints, covers by its outline, mm². */
  readonly footprintMm2: number;
}

/** What the takeoff needs to know of one planned surface. */
export interface SurfaceFigures {
  readonly surfaceId: string;
  readonly kind: SurfaceKind;
  /** Where it is and what is done to it. */
  readonly works: Works;
  /** The tiles it takes, by product, that of the surface first. */
  readonly tiles: readonly TileFigures[];
  /** Where tile may lie, joints included, mm². */
  readonly areaMm2: number;
  /** The same as it lies. */
  readonly region: readonly Polygon[];
  readonly jointAreaMm2: number;
  readonly jointMm: number;
  /** Colour of the grout, as #rrggbb. */
  readonly jointColour: string;
  /** Joints filled with sealant: each stretch with its length and width, mm, and the edge it runs along; null round a fixture and along a joint that is carried through. */
  readonly sealed: readonly SealedJoint[];
  /** Edges at which another plane is met, whether or not a gap is left there: each with its length and gap, mm. */
  readonly planes: readonly SealedJoint[];
  /** Kind of its pattern. */
  readonly pattern: PatternId;
  /** Whether its field lies askew to its walls. */
  readonly isTurned: boolean;
  /** Minutes at the saw for its cuts. */
  readonly cutMinutes: number;
  /** The material of its tile. */
  readonly tileMaterial: Product['material'];
  /** The thickest of its tiles, mm. */
  readonly thicknessMm: number;
  /** The longest side of what is bedded: a tile, or a chip of a sheet, mm. */
  readonly longestSideMm: number;
  /** What its edges end in. */
  readonly trims: readonly TrimRun[];
  /** Strips of tile for skirting and nosing, by what they are for. */
  readonly strips: readonly StripFigures[];
  /** Where pieces meet; null where no spacers are used. */
  readonly crossings: Crossings | null;
  /** How many joints that two pieces share there are of each length, mm; null where no clips are used. */
  readonly sharedJoints: ReadonlyMap<number, number> | null;
  /** What makes it level: mean thickness and area; null where nothing was read. */
  readonly fill: { readonly kind: 'leveller' | 'bed'; readonly meanMm: number; readonly areaMm2: number } | null;
  /** The ledger under the second course, run by run: none across a doorway, mm; empty where there is none. */
  readonly ledgerRunsMm: readonly number[];
  /** What of the surface lies below it, and is laid when it is off, mm². */
  readonly ledgerRowMm2: number;
  /** Pieces of the bottom row that are set when the ledger is off. */
  readonly ledgerPieces: number;
  /** Boxes with wires in them that the tiles go round. */
  readonly boxes: number;
  /** Movement joints that keep bays no longer than the practice allows. */
  readonly bays: Bays;
  /** Movement joints of the substrate that are carried through. */
  readonly carried: readonly CarriedRun[];
}

/** Strips of tile that a surface takes for one purpose. */
export interface StripFigures {
  readonly purpose: StripPurpose;
  readonly productId: string;
  readonly pieces: number;
}

/** A stretch of joint that is filled with sealant. */
export interface SealedJoint {
  readonly edgeId: string | null;
  readonly lengthMm: number;
  readonly widthMm: number;
}
