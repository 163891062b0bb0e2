import { ROUNDED_OFTEN } from '../../tolerances.ts';
import * as dxfParser from 'dxf-parser';
import type { IDxf, IEntity } from 'dxf-parser';
import { motion, type Point } from '../../geometry/point.ts';
import { accepted, issue, refused, type Result } from '../../result.ts';
import type { DrawingUnit, DrawnCorner, DrawnPath, OutlineFile } from './drawnPath.ts';
import { DRAWING_UNITS } from './drawnPath.ts';
import { ellipsePoints, splinePoints } from './curvePoints.ts';
import { startBudget, type DrawnBudget } from './drawnBudget.ts';

/** The codes of $INSUNITS (DXF reference, header variables). */
const UNITS: Readonly<Record<number, DrawingUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };

/**
 * Reads a DXF drawing. Issues: `dxf/not-a-code` and `dxf/no-value` with the line, `dxf/cut-short`,
 * `dxf/unreadable`, `outline/nothing`.
 */
export function readDxf(text: string): Result<OutlineFile> {
  const lines = text.split(/\r\n|\r|\n/);
  const broken = brokenLine(lines);
  if (broken) return refused(broken);
  let drawing: IDxf | null;
  try {
    drawing = new Parser().parseSync(text);
  } catch (error) {
    return refused(issue('dxf/unreadable', [], { reason: error instanceof Error ? error.message : 'unknown' }));
  }
  if (!drawing) return refused(issue('dxf/unreadable', [], { reason: 'no sections' }));
  const unit = UNITS[Number(drawing.header?.['$INSUNITS'] ?? 0)] ?? null;
  const passedOver = new Set(unreadTypes(lines));
  const reading: Reading = { drawing, passedOver, hidden: hiddenLayers(drawing), budget: startBudget() };
  const paths = drawing.entities.flatMap((entity) => pathsOf(entity, reading, 0));
  if (paths.length === 0) return refused(issue('outline/nothing', [], { passedOver: [...passedOver].join(', ') || 'none' }));
  return accepted({ format: 'dxf', unit, mmPerUnit: unit ? DRAWING_UNITS[unit] : null, paths, passedOver: [...passedOver] });
}

/** A DXF file is pairs of lines: a whole number that says what the next line is. */
function brokenLine(lines: string[]): ReturnType<typeof issue> | null {
  while (lines.length > 0 && lines[lines.length - 1].trim() === '') lines.pop();
  for (let k = 0; k < lines.length; k += 2) {
    if (!/^\s*-?\d+\s*$/.test(lines[k])) return issue('dxf/not-a-code', [], { line: k + 1, found: lines[k].trim().slice(0, 40) });
    if (k + 1 >= lines.length) return issue('dxf/no-value', [], { line: k + 1 });
    const isNumber = [10, 11, 20, 21, 40, 42].includes(Number(lines[k]));
    if (isNumber && !Number.isFinite(Number(lines[k + 1])))
      return issue('dxf/not-a-number', [], { line: k + 2, found: lines[k + 1].trim().slice(0, 40) });
  }
  const ends = lines.length >= 2 && lines[lines.length - 1].trim() === 'EOF';
  return ends ? null : issue('dxf/cut-short', [], { lines: lines.length });
}

/** The package is the class itself in Node, and a module that has it in browsers. */
const { DxfParser, default: wholeModule } = dxfParser as unknown as Readonly<
  Record<'DxfParser' | 'default', typeof dxfParser.DxfParser | undefined>
>;
const Parser = (DxfParser ?? wholeModule) as typeof dxfParser.DxfParser;

interface FlatEntity {
  readonly x: number;
  readonly y: number;
  readonly bulge?: number;
}
type Entity = IEntity & Readonly<Record<string, unknown>>;

const MOST_NESTED = 6;

/** What the package reads or needs; every other kind of entity it leaves out without a word. */
const READ_TYPES: ReadonlySet<string> = new Set(
  '3DFACE ARC ATTDEF ATTRIB CIRCLE DIMENSION ELLIPSE INSERT LINE LWPOLYLINE MTEXT POINT POLYLINE SOLID SPLINE TEXT VERTEX SEQEND'.split(
    ' ',
  ),
);

/** Kinds of entities in a drawing that are not read at all, as hatching. */
function unreadTypes(raw: readonly string[]): string[] {
  const lines = raw.map((line) => line.trim());
  const found = new Set<string>();
  let inEntities = false;
  for (let k = 0; k + 1 < lines.length; k += 2) {
    if (lines[k] === '2' && lines[k - 1] === 'SECTION') inEntities = lines[k + 1] === 'ENTITIES';
    if (lines[k] === '0' && lines[k + 1] === 'ENDSEC') inEntities = false;
    if (inEntities && lines[k] === '0' && !READ_TYPES.has(lines[k + 1])) found.add(lines[k + 1].toLowerCase().slice(0, 30));
  }
  return [...found];
}

/** Layers that are switched off or frozen. */
function hiddenLayers({ tables }: IDxf): ReadonlySet<string> {
  const layers = Object.values((tables as { layer?: { layers?: Record<string, DrawnLayer> } } | undefined)?.layer?.layers ?? {});
  return new Set(layers.filter(({ visible, frozen }) => visible === false || frozen === true).map(({ name }) => name));
}

interface DrawnLayer {
  readonly name: string;
  readonly visible?: boolean;
  readonly frozen?: boolean;
}

/** What is read from, what was passed over, and how much may still be read. */
interface Reading {
  readonly drawing: IDxf;
  readonly hidden: ReadonlySet<string>;
  readonly passedOver: Set<string>;
  readonly budget: DrawnBudget;
}

function pathsOf(raw: IEntity, reading: Reading, depth: number): DrawnPath[] {
  const unseen = unseenFor(raw as Entity, reading);
  if (unseen) {
    reading.passedOver.add(unseen);
    return [];
  }
  const heights = ((raw as Entity)['vertices'] as readonly { readonly z?: number }[] | undefined)?.map(({ z = 0 }) => z) ?? [];
  if (Math.max(0, ...heights.map((z) => Math.abs(z - heights[0]))) > ROUNDED_OFTEN) reading.passedOver.add('heights, drawn flat');
  const paths = drawnBy(raw, reading, depth);
  if (raw.type !== 'INSERT') reading.budget.spend(1 + paths.reduce((sum, { corners }) => sum + corners.length, 0));
  const isWhole = paths.every(({ corners }) => corners.every(({ at, bulge }) => [...at, bulge].every(Number.isFinite)));
  if (isWhole) return paths;
  reading.passedOver.add(`${raw.type.toLowerCase()} without its figures`);
  return [];
}

/** Why an entity is not seen in the drawing; nothing where it is. */
function unseenFor(entity: Entity, { hidden }: Reading): string | null {
  if (entity['inPaperSpace'] === true) return 'what lies in paper space';
  return entity['visible'] === false || hidden.has(entity.layer || '0') ? 'what is hidden' : null;
}

function drawnBy(raw: IEntity, reading: Reading, depth: number): DrawnPath[] {
  const { passedOver } = reading;
  const entity = raw as Entity;
  const layer = entity.layer || '0';
  const vertices = (entity['vertices'] ?? []) as readonly FlatEntity[];
  const straight = (points: readonly Point[], closed: boolean): DrawnPath[] => [
    { layer, closed, corners: points.map((at) => ({ at, bulge: 0 })) },
  ];
  switch (entity.type) {
    case 'LINE':
      return straight(vertices.map(at), false);
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return [{ layer, closed: entity['shape'] === true, corners: vertices.map((v): DrawnCorner => ({ at: at(v), bulge: v.bulge ?? 0 })) }];
    case 'ARC':
      return [{ layer, closed: false, corners: arcCorners(entity) }];
    case 'CIRCLE': {
      const { x, y } = middleOf(entity);
      const r = Number(entity['radius']);
      return [
        {
          layer,
          closed: true,
          corners: [
            { at: [x - r, y], bulge: 1 },
            { at: [x + r, y], bulge: 1 },
          ],
        },
      ];
    }
    case 'ELLIPSE': {
      if (!entity['center'] || !entity['majorAxisEndPoint']) return straight([[NaN, NaN]], true);
      const ellipse = ellipsePoints(entity as unknown as Parameters<typeof ellipsePoints>[0]);
      return straight(ellipse.points, ellipse.closed);
    }
    case 'SPLINE':
      return straight(splinePoints(entity as unknown as Parameters<typeof splinePoints>[0]) ?? [[NaN, NaN]], entity['closed'] === true);
    case 'INSERT':
      if (depth < MOST_NESTED) return insertedPaths(entity, reading, depth);
      passedOver.add('blocks nested too deep');
      return [];
    default:
      passedOver.add(entity.type.toLowerCase());
      return [];
  }
}

const at = ({ x, y }: FlatEntity): Point => [x, y];

/** A round thing whose middle is not told has none. */
const middleOf = (entity: Entity): FlatEntity => (entity['center'] as FlatEntity | undefined) ?? { x: NaN, y: NaN };

/** An arc runs counter-clockwise from its start angle to its end angle, radians. */
function arcCorners(entity: Entity): DrawnCorner[] {
  const { x, y } = middleOf(entity);
  const [r, start, end] = ['radius', 'startAngle', 'endAngle'].map((key) => Number(entity[key]));
  const sweep = (((end - start) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
  const on = (angle: number): Point => [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  const bulge = Math.tan(sweep / 8);
  return [
    { at: on(start), bulge },
    { at: on(start + sweep / 2), bulge },
    { at: on(start + sweep), bulge: 0 },
  ];
}

/** A block put into the drawing: scaled, turned, moved. */
function insertedPaths(entity: Entity, reading: Reading, depth: number): DrawnPath[] {
  reading.budget.spend(1);
  const block = reading.drawing.blocks?.[String(entity['name'])];
  if (!block) return [];
  const position = (entity['position'] ?? { x: 0, y: 0 }) as FlatEntity;
  const [sx, sy] = [Number(entity['xScale'] ?? 1), Number(entity['yScale'] ?? 1)];
  const { turn } = motion(Number(entity['rotation'] ?? 0), at(position));
  const base = (block.position ?? { x: 0, y: 0 }) as FlatEntity;
  const inner = (block.entities ?? []).flatMap((one) => pathsOf(one, reading, depth + 1));
  return inner.map((path) => ({
    ...path,
    corners: path.corners.map((corner) => ({
      at: turn([(corner.at[0] - base.x) * sx, (corner.at[1] - base.y) * sy]),
      bulge: corner.bulge * Math.sign(sx * sy),
    })),
  }));
}
