import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';
import type { Point } from '../../geometry/point.ts';
import { accepted, issue, refused, type Issue, type Result } from '../../result.ts';
import { startBudget, TooManyCorners, type DrawnBudget } from './drawnBudget.ts';
import { DRAWING_UNITS, type DrawingUnit, type DrawnPath, type OutlineFile } from './drawnPath.ts';

type Attributes = Readonly<Record<string, string>>;
type Node = Readonly<Record<string, unknown>> & { readonly ':@'?: Attributes };

/**
 * Reads the outlines of an SVG drawing. Issues: `svg/not-xml` with the line, `svg/no-svg`,
 * `svg/bad-path` with the element, `outline/nothing`.
 */
export function readSvg(text: string): Result<OutlineFile> {
  const valid = XMLValidator.validate(text, { allowBooleanAttributes: true });
  if (valid !== true) return refused(issue('svg/not-xml', [], { line: valid.err.line, reason: valid.err.msg }));
  const tree = readTree(text);
  const root = tree.find((node) => 'svg' in node);
  if (!root) return refused(issue('svg/no-svg'));
  const walk: Walk = {
    paths: [],
    issues: [],
    passedOver: new Set(),
    counts: new Map(),
    budget: startBudget(),
    size: sizeOf(root[':@'] ?? {}),
    byId: new Map(),
  };
  nameNodes(tree, walk.byId);
  if (/<!ENTITY/i.test(text)) walk.passedOver.add('entities');
  collect(root['svg'] as readonly Node[], { transform: '', group: '', depth: 0 }, walk);
  if (walk.issues.length > 0) return refused(...walk.issues);
  if (walk.paths.length === 0) return refused(issue('outline/nothing', [], { passedOver: [...walk.passedOver].join(', ') || 'none' }));
  return accepted({ format: 'svg', ...unitOf(root[':@'] ?? {}), paths: walk.paths, passedOver: [...walk.passedOver] });
}

/** Throws TooManyCorners where tags are nested deeper than the library follows. */
function readTree(text: string): readonly Node[] {
  try {
    const parser = new XMLParser({ preserveOrder: true, ignoreAttributes: false, attributeNamePrefix: '', processEntities: false });
    return parser.parse(text) as readonly Node[];
  } catch (error) {
    throw new TooManyCorners(error instanceof Error ? error.message : 'the drawing is nested too deep');
  }
}

interface Walk {
  readonly paths: DrawnPath[];
  readonly issues: Issue[];
  readonly passedOver: Set<string>;
  readonly counts: Map<string, number>;
  readonly budget: DrawnBudget;
  /** Of the whole drawing, its own units: what a share in per cent is of. */
  readonly size: readonly [width: number, height: number];
  /** What may be used again. */
  readonly byId: Map<string, Node>;
}

/** Where in the drawing something stands: how it is moved, in which group, and how often it was used within what is used. */
interface DrawnFrame {
  readonly transform: string;
  readonly group: string;
  readonly depth: number;
}

function nameNodes(nodes: readonly Node[], byId: Map<string, Node>): void {
  for (const node of nodes) {
    const id = node[':@']?.['id'];
    if (id !== undefined && !byId.has(id)) byId.set(id, node);
    for (const [key, value] of Object.entries(node)) if (key !== ':@' && Array.isArray(value)) nameNodes(value as readonly Node[], byId);
  }
}

const nameOf = (node: Node): string => Object.keys(node).find((key) => key !== ':@') ?? '';

function sizeOf(attributes: Attributes): readonly [number, number] {
  const box = (attributes['viewBox'] ?? '').split(/[\s,]+/).map(Number);
  if (box.length === 4 && box.every(Number.isFinite)) return [box[2], box[3]];
  return [lengthOf(attributes['width'], NaN), lengthOf(attributes['height'], NaN)];
}

/** Units of a length within a drawing, in its own units (SVG: 96 to an inch). */
const SVG_UNITS: Readonly<Record<string, number>> = {
  px: 1,
  pt: 96 / 72,
  pc: 16,
  mm: DRAWING_UNITS.mm / DRAWING_UNITS.px,
  cm: DRAWING_UNITS.cm / DRAWING_UNITS.px,
  in: DRAWING_UNITS.in / DRAWING_UNITS.px,
};

/** A length as it is written, with its unit or in per cent of the whole; 0 where none is, NaN where it can't be read. */
function lengthOf(text: string | undefined, whole: number): number {
  if (text === undefined) return 0;
  const [, figure, unit = 'px'] = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z]+|%)?\s*$/i.exec(text) ?? [];
  if (figure === undefined) return NaN;
  return Number(figure) * (unit === '%' ? whole / 100 : (SVG_UNITS[unit.toLowerCase()] ?? NaN));
}

/** Whether an element is kept from being seen. */
const isHidden = ({ display = '', visibility = '', style = '' }: Attributes): boolean =>
  display === 'none' ||
  visibility === 'hidden' ||
  visibility === 'collapse' ||
  /(display\s*:\s*none|visibility\s*:\s*(hidden|collapse))/.test(style);

/** A width in real units over a view box tells what one unit is; anything else has to be asked. */
function unitOf(attributes: Attributes): Pick<OutlineFile, 'unit' | 'mmPerUnit'> {
  const [, width, name] = /^\s*([\d.]+)\s*(mm|cm|in)\s*$/.exec(attributes['width'] ?? '') ?? [];
  const box = (attributes['viewBox'] ?? '').split(/[\s,]+/).map(Number);
  if (!width || !name) return { unit: null, mmPerUnit: null };
  const unit = name as DrawingUnit;
  const wide = box.length === 4 && box[2] > 0 ? box[2] : Number(width) * (DRAWING_UNITS[unit] / DRAWING_UNITS.px);
  return { unit, mmPerUnit: (Number(width) * DRAWING_UNITS[unit]) / wide };
}

const GROUPS: ReadonlySet<string> = new Set(['g', 'svg', 'a', 'switch']);
const UNDRAWN: ReadonlySet<string> = new Set([
  'defs',
  'title',
  'desc',
  'metadata',
  'style',
  '#text',
  '#comment',
  'symbol',
  'clipPath',
  'mask',
]);

const MOST_NESTED = 6;

function collect(nodes: readonly Node[], place: DrawnFrame, walk: Walk): void {
  for (const node of nodes) {
    const name = nameOf(node);
    const attributes = node[':@'] ?? {};
    if (UNDRAWN.has(name)) continue;
    if (isHidden(attributes)) {
      walk.passedOver.add('what is hidden');
      continue;
    }
    collectOne(node, { ...place, transform: [place.transform, attributes['transform'] ?? ''].join(' ').trim() }, walk);
  }
}

function collectOne(node: Node, place: DrawnFrame, walk: Walk): void {
  const name = nameOf(node);
  const attributes = node[':@'] ?? {};
  if (GROUPS.has(name) || name === 'symbol')
    collect(node[name] as readonly Node[], { ...place, group: attributes['id'] ?? place.group }, walk);
  else if (name === 'use') useAgain(attributes, place, walk);
  else readElement(name, attributes, place, walk);
}

/** Draws once more what has a name elsewhere. */
function useAgain(attributes: Attributes, place: DrawnFrame, walk: Walk): void {
  walk.budget.spend(1);
  const target = walk.byId.get((attributes['href'] ?? attributes['xlink:href'] ?? '').replace(/^#/, ''));
  if (!target || place.depth >= MOST_NESTED) {
    walk.passedOver.add(target ? 'uses nested too deep' : 'use of what is not there');
    return;
  }
  const [x, y] = [lengthOf(attributes['x'], walk.size[0]), lengthOf(attributes['y'], walk.size[1])];
  if (!Number.isFinite(x) || !Number.isFinite(y)) {
    walk.issues.push(issue('svg/bad-path', [], { element: 'use', reason: 'a number is missing' }));
    return;
  }
  const moved = `${place.transform} translate(${x} ${y}) ${target[':@']?.['transform'] ?? ''}`.trim();
  collectOne(target, { transform: moved, group: attributes['id'] ?? place.group, depth: place.depth + 1 }, walk);
}

function readElement(name: string, attributes: Attributes, { transform, group }: DrawnFrame, walk: Walk): void {
  const count = (walk.counts.get(name) ?? 0) + 1;
  walk.counts.set(name, count);
  const element = attributes['id'] ? `${name} "${attributes['id']}"` : `${name} ${count}`;
  const data = pathData(name, attributes, walk.size);
  if (data === null) {
    walk.passedOver.add(name);
    return;
  }
  const path = svgpath(data);
  const failed = (path as unknown as { err?: string }).err;
  if (failed || /NaN|undefined/.test(data)) {
    walk.issues.push(issue('svg/bad-path', [], { element, reason: failed || 'a number is missing' }));
    return;
  }
  const placed = path.transform(transform).abs().unshort();
  for (const drawn of splitPath(hasEllipses(placed) ? placed.unarc() : placed, group || element)) {
    walk.budget.spend(1 + drawn.corners.length);
    walk.paths.push(drawn);
  }
}

/** Whether a path has arcs that are not of a circle; those are drawn out by curves. */
function hasEllipses(path: ReturnType<typeof svgpath>): boolean {
  let found = false;
  path.iterate((segment: readonly (string | number)[]) => {
    const [command, rx, ry] = segment;
    if (command === 'A' && Math.abs(Number(rx) - Number(ry)) > ROUNDED_OFTEN * Number(rx)) found = true;
  });
  return found;
}

/** The bend of a circular arc over its chord; flags as SVG has them, y down. */
function bulgeOf(chord: number, radius: number, large: boolean, clockwise: boolean): number {
  const half = Math.asin(Math.min(1, chord / (2 * Math.max(radius, chord / 2))));
  const sweep = large ? 2 * Math.PI - 2 * half : 2 * half;
  return (clockwise ? -1 : 1) * Math.tan(sweep / 4);
}

/** The path of any drawn element; null for one that draws no outline. */
function pathData(name: string, a: Attributes, [wide, high]: Walk['size']): string | null {
  const number = (key: string): number =>
    lengthOf(a[key], key === 'r' ? Math.sqrt((wide ** 2 + high ** 2) / 2) : /^(x|cx|rx|width|x1|x2)$/.test(key) ? wide : high);
  switch (name) {
    case 'path':
      return a['d'] ?? '';
    case 'rect': {
      const [x, y, w, h] = ['x', 'y', 'width', 'height'].map(number);
      return `M${x} ${y}h${w}v${h}h${-w}z`;
    }
    case 'circle':
    case 'ellipse': {
      const [cx, cy] = [number('cx'), number('cy')];
      const [rx, ry] = name === 'circle' ? [number('r'), number('r')] : [number('rx'), number('ry')];
      return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
    }
    case 'line':
      return `M${number('x1')} ${number('y1')}L${number('x2')} ${number('y2')}`;
    case 'polygon':
    case 'polyline':
      return `M${(a['points'] ?? '').trim()}${name === 'polygon' ? 'z' : ''}`;
    default:
      return null;
  }
}

const CURVE_STEPS = 48;

/** One path may hold several outlines: each starts with a move. Curves are drawn out; y is turned up. */
function splitPath(path: ReturnType<typeof svgpath>, layer: string): DrawnPath[] {
  const found: { points: Point[]; bulges: Map<number, number>; closed: boolean }[] = [];
  const here = (): (typeof found)[number] => found[found.length - 1];
  path.iterate((segment: readonly (string | number)[], _index: number, x: number, y: number) => {
    const [command, ...values] = segment;
    const n = values.map(Number);
    switch (command) {
      case 'M':
        found.push({ points: [[n[0], n[1]]], bulges: new Map(), closed: false });
        break;
      case 'L':
        here().points.push([n[0], n[1]]);
        break;
      case 'H':
        here().points.push([n[0], y]);
        break;
      case 'V':
        here().points.push([x, n[0]]);
        break;
      case 'Q':
        here().points.push(
          ...bezier(
            [x, y],
            [x + (2 / 3) * (n[0] - x), y + (2 / 3) * (n[1] - y)],
            [n[2] + (2 / 3) * (n[0] - n[2]), n[3] + (2 / 3) * (n[1] - n[3])],
            [n[2], n[3]],
          ),
        );
        break;
      case 'A':
        here().bulges.set(here().points.length - 1, bulgeOf(Math.hypot(n[5] - x, n[6] - y), n[0], n[3] === 1, n[4] === 1));
        here().points.push([n[5], n[6]]);
        break;
      case 'C':
        here().points.push(...bezier([x, y], [n[0], n[1]], [n[2], n[3]], [n[4], n[5]]));
        break;
      default:
        here().closed = true;
    }
  });
  return found
    .filter(({ points }) => points.length > 1)
    .map(({ points, bulges, closed }) => ({
      layer,
      closed,
      corners: points.map(([x, y], k) => ({ at: [x, -y] as const, bulge: bulges.get(k) ?? 0 })),
    }));
}

function bezier(a: Point, b: Point, c: Point, d: Point): Point[] {
  return Array.from({ length: CURVE_STEPS }, (_, k): Point => {
    const t = (k + 1) / CURVE_STEPS;
    const s = 1 - t;
    const weights = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
    const sum = (axis: 0 | 1): number => weights[0] * a[axis] + weights[1] * b[axis] + weights[2] * c[axis] + weights[3] * d[axis];
    return [sum(0), sum(1)];
  });
}
