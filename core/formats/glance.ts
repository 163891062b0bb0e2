import { ofSurface } from '../advice/ofSurface.ts';
import { openFindings } from '../advice/registry.ts';
import { worstFirst } from '../advice/worstFirst.ts';
import type { Finding } from '../advice/finding.ts';
import { boxOf, ringArea, type Polygon } from '../geometry/ring.ts';
import { tapeOf, type Job, type Surface } from '../job/job.ts';
import type { Plan } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { faceColour, forEachPiece } from '../setout/fields/eachPiece.ts';
import type { Field } from '../setout/fields/field.ts';
import type { Tape } from '../units/tape.ts';

/** The longer side of a sketch, in its own units. */
const SKETCH_UNITS = 200;

/** Pieces that take less than this, square units, are not told apart at the size of a sketch. */
const LEAST_PIECE = 10;

/** Tiles of one colour in a sketch, as an SVG path in its units, y down. */
export interface SketchFill {
  readonly colour: string;
  readonly path: string;
}

/** A surface as it is laid, small: for a list of jobs. */
export interface SurfaceSketch {
  readonly surfaceId: string;
  readonly name: string;
  readonly laid: boolean;
  readonly width: number;
  readonly height: number;
  /** The region first, in the colour of its grout or, of fine mosaic, of all its chips mixed; then the tiles on top. */
  readonly fills: readonly SketchFill[];
}

/** A job at a glance: what needs attention before the rest is laid, and how some of its surfaces look. */
export interface Glance {
  /** Surfaces not yet laid that something is to be seen to on, each with the worst thing, in the order of the job. */
  readonly attention: readonly SurfaceAttention[];
  readonly sketches: readonly SurfaceSketch[];
}

/** What a surface needs. */
export interface SurfaceAttention {
  readonly surfaceId: string;
  readonly name: string;
  /** Whether it can't be planned as it stands. */
  readonly unplanned: boolean;
  readonly warnings: number;
  readonly first: Finding;
  /** What its lengths are told in. */
  readonly tape: Tape;
}

/** Sums up a plan for a list of jobs, with sketches of these surfaces. */
export const glanceOf = (job: Job, plan: Plan, surfaceIds: readonly string[]): Glance => ({
  attention: job.surfaces.flatMap((surface, index) => attentionOf(job, plan, surface, index)),
  sketches: surfaceIds.flatMap((id) => {
    const surface = job.surfaces.find((one) => one.id === id);
    const planned = plan.surfaces.find(({ surfaceId }) => surfaceId === id);
    return surface && planned ? [sketch(job, surface, planned)] : [];
  }),
});

function attentionOf(job: Job, { findings, unplanned }: Plan, surface: Surface, index: number): SurfaceAttention[] {
  if (surface.laid) return [];
  const warnings = worstFirst(ofSurface(openFindings(findings), index).filter(({ severity }) => severity === 'warning'));
  if (warnings.length === 0) return [];
  return [
    {
      surfaceId: surface.id,
      name: surface.name,
      unplanned: unplanned.some(({ surfaceId }) => surfaceId === surface.id),
      warnings: warnings.length,
      first: warnings[0],
      tape: tapeOf(job, surface),
    },
  ];
}

function sketch({ products }: Job, { name, laid, jointColour }: Surface, { surfaceId, traced, fields }: SurfacePlan): SurfaceSketch {
  const box = boxOf(traced.outline);
  const unitsPerMm = SKETCH_UNITS / Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const units = (mm: number): number => Math.round(mm * unitsPerMm * 10) / 10;
  const trace = (polygon: Polygon): string =>
    polygon.map((ring) => `M${ring.map(([x, y]) => `${units(x - box.minX)} ${units(box.maxY - y)}`).join('L')}Z`).join('');
  const faces = new Map(products.map(({ id, colour }) => [id, colour]));
  const isFine = ({ layout }: Field): boolean => Math.abs(ringArea(layout.repeat.pieces[0].ring)) * unitsPerMm ** 2 < LEAST_PIECE;
  const paths = new Map<string, string[]>();
  const paint = (colour: string, polygons: readonly Polygon[]): void => {
    const path = paths.get(colour) ?? [];
    paths.set(colour, path);
    path.push(...polygons.map(trace));
  };
  const ground = isFine(fields[0]) ? mixedColour(piecesOf(fields[0], faces)) : jointColour;
  for (const field of fields) if (!isFine(field)) for (const { colour, polygons } of piecesOf(field, faces)) paint(colour, polygons);
  return {
    surfaceId,
    name,
    laid,
    width: units(box.maxX - box.minX),
    height: units(box.maxY - box.minY),
    fills: [[ground, traced.region.map(trace)] as const, ...paths].map(([colour, path]) => ({ colour, path: path.join('') })),
  };
}

/** A piece as it lies, in the colour of its face. */
interface ColouredPiece {
  readonly colour: string;
  readonly polygons: readonly Polygon[];
}

function piecesOf(field: Field, faces: ReadonlyMap<string, string>): ColouredPiece[] {
  const pieces: ColouredPiece[] = [];
  forEachPiece(field, (piece) => pieces.push({ colour: faceColour(piece, faces), polygons: piece.polygons }));
  return pieces;
}

/** The colour that pieces come to from so far away that none is told from the next. */
function mixedColour(pieces: readonly ColouredPiece[]): string {
  const channel = (from: number): string => {
    const sum = pieces.reduce((all, { colour }) => all + Number.parseInt(colour.slice(from, from + 2), 16), 0);
    return Math.round(sum / Math.max(1, pieces.length))
      .toString(16)
      .padStart(2, '0');
  };
  return `#${channel(1)}${channel(3)}${channel(5)}`;
}
