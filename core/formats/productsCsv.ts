import Papa from 'papaparse';
import { MOST } from '../job/job.ts';
import { issue, type Issue } from '../result.ts';
import { productSchema, type Product } from '../tile/product.ts';
import { issuesFromZod } from '../job/zodIssues.ts';

/** A list of tiles read from a table: the rows that can be used, and what is wrong with the others. */
export interface ProductTable {
  readonly products: readonly Product[];
  /** What each row gave of its tile: all else is the default of a new one, and stays as it is of one that is known. */
  readonly given: readonly (readonly (keyof Product)[])[];
  /** Heads of columns that say nothing of a tile, and were left out. */
  readonly ignored: readonly string[];
  /** Each with the row as it counts in a spreadsheet (the head is row 1) and the column. */
  readonly issues: readonly Issue[];
}

/** One column: its head, and how it is written and read. */
interface Column {
  readonly head: string;
  readonly path: readonly string[];
  readonly write: (product: Product) => string | number;
  readonly optional?: boolean;
}

const shapeFigure = ({ shape }: Product): string | number => {
  if (shape.kind === 'hexagon') return shape.tipMm ?? '';
  if (shape.kind === 'octagon') return shape.cornerMm;
  if (shape.kind === 'lantern') return shape.swell;
  return shape.kind === 'chevron' ? shape.cutDeg : '';
};

const COLUMNS: readonly Column[] = [
  { head: 'id', path: ['id'], write: ({ id }) => id },
  { head: 'name', path: ['name'], write: ({ name }) => name },
  { head: 'material', path: ['material'], write: ({ material }) => material },
  { head: 'outline', path: ['shape', 'kind'], write: ({ shape }) => shape.kind, optional: true },
  { head: 'outline figure', path: ['shape'], write: shapeFigure, optional: true },
  { head: 'width mm', path: ['nominal', 'widthMm'], write: ({ nominal }) => nominal.widthMm },
  { head: 'height mm', path: ['nominal', 'heightMm'], write: ({ nominal }) => nominal.heightMm },
  { head: 'measured width mm', path: ['measured', 'widthMm'], write: ({ measured }) => measured?.widthMm ?? '', optional: true },
  { head: 'measured height mm', path: ['measured', 'heightMm'], write: ({ measured }) => measured?.heightMm ?? '', optional: true },
  { head: 'thickness mm', path: ['thicknessMm'], write: ({ thicknessMm }) => thicknessMm },
  { head: 'edge', path: ['edge'], write: ({ edge }) => edge, optional: true },
  { head: 'face', path: ['face'], write: ({ face }) => face, optional: true },
  { head: 'porous', path: ['porous'], write: ({ porous }) => (porous ? 'yes' : 'no'), optional: true },
  { head: 'polished', path: ['polished'], write: ({ polished }) => (polished ? 'yes' : ''), optional: true },
  { head: 'pieces a box', path: ['piecesPerBox'], write: ({ piecesPerBox }) => piecesPerBox },
  { head: 'price a box', path: ['boxPrice'], write: ({ boxPrice }) => boxPrice },
  { head: 'colour', path: ['colour'], write: ({ colour }) => colour, optional: true },
];

/** A list of tiles as CSV, its heads with their units. */
export function productsCsv(products: readonly Product[]): string {
  const rows = products;
  return `${Papa.unparse({ fields: COLUMNS.map(({ head }) => head), data: rows.map((product) => COLUMNS.map(({ write }) => write(product))) }, { newline: '\n', escapeFormulae: true })}\n`;
}

/**
 * Reads a list of tiles from CSV. Heads are matched whatever their case; `width in` or `width cm` gives
 * another unit. Issues: `csv/empty`, `csv/too-many-rows`, `csv/sheet`, `csv/missing-column`, `csv/unknown-unit`, `csv/mm-or-m`, and for
 * a row any issue of a field, its path starting with the row and the head of the column.
 */
export function readProductsCsv(text: string): ProductTable {
  // A first line may tell what parts the cells.
  const [, delimiter = '', body] = /^\uFEFF?(?:sep=(.)\r?\n)?([\s\S]*)$/.exec(text) ?? ['', '', text];
  const { data } = Papa.parse<string[]>(body, { delimiter, skipEmptyLines: 'greedy', preview: MOST.products + 2 });
  const [head, ...rows] = data;
  if (rows.length > MOST.products)
    return {
      products: [],
      given: [],
      ignored: [],
      issues: [issue('csv/too-many-rows', ['row', MOST.products + 2], { rows: rows.length, most: MOST.products })],
    };
  if (!head || rows.length === 0) return { products: [], given: [], ignored: [], issues: [issue('csv/empty', [], {})] };
  const { columns, ignored, issues } = matchHeads(head);
  if (issues.length > 0) return { products: [], given: [], ignored, issues };
  const read = nameApart(rows.map((cells, k) => readRow(cells, columns, k + 2)));
  const twice = repeated(read);
  const kept = read.filter((row) => row.product !== null && !twice.has(row));
  return {
    products: kept.flatMap(({ product }) => product ?? []),
    given: kept.map(({ given }) => given),
    ignored,
    issues: read.flatMap((row) =>
      twice.has(row) ? [issue('job/repeated-id', ['row', row.row, 'id'], { id: row.product?.id ?? '' })] : row.issues,
    ),
  };
}

interface Matched {
  readonly column: Column;
  readonly at: number;
  /** Written after a figure without a unit of its own. */
  readonly unit: string;
}

const UNITS: readonly string[] = ['mm', 'cm', 'm', 'in', 'ft'];

function matchHeads(head: readonly string[]): { columns: Matched[]; ignored: string[]; issues: Issue[] } {
  const issues: Issue[] = [];
  const ignored: string[] = [];
  const columns: Matched[] = [];
  head.forEach((text, at) => {
    const name = text
      .trim()
      .toLowerCase()
      .replace(/[()[\]_]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim();
    const [, stem, unit] = /^(.*?)(?: ([a-z"']+))?$/.exec(name) ?? [];
    const plain = COLUMNS.find((column) => column.head === name);
    const sized = COLUMNS.find((column) => column.head === `${stem} mm` || column.head === `${name} mm`);
    if (plain) columns.push({ column: plain, at, unit: plain.head.endsWith(' mm') ? 'mm' : '' });
    else if (sized?.head === `${name} mm`) columns.push({ column: sized, at, unit: 'mm' });
    else if (sized && UNITS.includes(unit)) columns.push({ column: sized, at, unit });
    else if (sized) issues.push(issue('csv/unknown-unit', ['row', 1, text.trim()], { unit: unit ?? '', units: UNITS.join(', ') }));
    else if (name !== '') ignored.push(text.trim());
  });
  const missing = COLUMNS.filter((column) => !column.optional && column.head !== 'id' && !columns.some((found) => found.column === column));
  return {
    columns,
    ignored,
    issues: [...issues, ...missing.map(({ head: column }) => issue('csv/missing-column', ['row', 1], { column }))],
  };
}

interface ReadRow {
  readonly row: number;
  readonly product: Product | null;
  readonly given: readonly (keyof Product)[];
  readonly issues: readonly Issue[];
}

/** A tile that is known, with what a row gave of it; pictures, lots and the rest stay. */
export function takeGiven(known: Product, row: Product, given: readonly (keyof Product)[]): Product {
  return { ...known, ...Object.fromEntries(given.map((key) => [key, row[key]])) };
}

function readRow(cells: readonly string[], columns: readonly Matched[], row: number): ReadRow {
  const data: Record<string, unknown> = {};
  for (const { column, at, unit } of columns) {
    const text = (cells[at] ?? '').trim();
    if (text !== '') put(data, column, text, unit);
  }
  const small = columns.find(({ column, at, unit }) => isSide(column) && unit === 'mm' && isUnderMm(cells[at] ?? ''));
  if (small)
    return {
      row,
      product: null,
      given: [],
      issues: [issue('csv/mm-or-m', ['row', row, small.column.head], { text: (cells[small.at] ?? '').trim() })],
    };
  shapeUp(data);
  const isNamed = data['id'] !== undefined;
  data['id'] ??= idFrom(String(data['name'] ?? `row-${row}`));
  if ((data['shape'] as { kind?: unknown } | undefined)?.kind === 'sheet')
    return { row, product: null, given: [], issues: [issue('csv/sheet', ['row', row, 'outline'], {})] };
  const parsed = productSchema.safeParse(data);
  const given = (Object.keys(data) as (keyof Product)[]).filter((key) => isNamed || key !== 'id');
  if (parsed.success) return { row, product: parsed.data, given, issues: [] };
  const issues = issuesFromZod(parsed.error).map((found) => ({ ...found, path: ['row', row, headOf(found.path)] }));
  return { row, product: null, given, issues };
}

const isSide = ({ head }: Column): boolean => head === 'width mm' || head === 'height mm';

/** No tile is that small: 1.200 means metres, or thousands. */
const SMALLEST_SIDE_MM = 5;
const isUnderMm = (text: string): boolean => /^\d+([.,]\d+)?$/.test(text.trim()) && Number(text.replace(',', '.')) < SMALLEST_SIDE_MM;

/** Tiles of one name whose ids nobody wrote are two tiles all the same. */
function nameApart(rows: readonly ReadRow[]): ReadRow[] {
  const taken = new Set(rows.flatMap(({ product, given }) => (product && given.includes('id') ? [product.id] : [])));
  return rows.map((row) => {
    if (row.product === null || row.given.includes('id')) return row;
    const [{ id }, stem] = [row.product, row.product.id.slice(0, 36)];
    let name = id;
    for (let k = 2; taken.has(name); k++) name = `${stem}-${k}`;
    taken.add(name);
    return { ...row, product: { ...row.product, id: name } };
  });
}

/** Figures stay text where they are none, so that the field says what it expected. */
function put(data: Record<string, unknown>, { path, head }: Column, text: string, unit: string): void {
  const [first, second] = path;
  const isFigure = /^[-+]?\d+([.,]\d+)?$/.test(text);
  const plain = isFigure ? Number(text.replace(',', '.')) : text;
  const value =
    unit !== '' && unit !== 'mm' && isFigure
      ? `${text} ${unit}`
      : head === 'porous' || head === 'polished'
        ? text.toLowerCase() === 'yes'
          ? true
          : text.toLowerCase() === 'no'
            ? false
            : text
        : plain;
  if (head === 'outline figure') data['outline figure'] = plain;
  else if (second === undefined) data[first] = head === 'id' || head === 'name' ? text : value;
  else data[first] = { ...(data[first] as object | undefined), [second]: value };
}

const FIGURE_KEYS: Readonly<Record<string, string>> = { hexagon: 'tipMm', octagon: 'cornerMm', lantern: 'swell', chevron: 'cutDeg' };

/** The figure beside the outline goes by the name it has there. */
function shapeUp(data: Record<string, unknown>): void {
  const { 'outline figure': figure, shape } = data as { 'outline figure'?: unknown; shape?: { kind?: string } };
  delete data['outline figure'];
  const key = FIGURE_KEYS[shape?.kind ?? ''];
  if (shape && key && figure !== undefined) data['shape'] = { ...shape, [key]: figure };
}

const idFrom = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'tile';

/** The head of the column that a field was read from. */
function headOf(path: Issue['path']): string {
  const exact = COLUMNS.find((column) => column.path.join('.') === path.join('.'));
  const within = COLUMNS.find((column) => column.path[0] === path[0]);
  return exact?.head ?? within?.head ?? String(path[0]);
}

/** Rows whose tile has the id of one before it; the first keeps it. */
function repeated(rows: readonly ReadRow[]): ReadonlySet<ReadRow> {
  const seen = new Set<string>();
  return new Set(
    rows.filter(({ product }) => {
      if (product === null) return false;
      if (seen.has(product.id)) return true;
      seen.add(product.id);
      return false;
    }),
  );
}
