import type { Edit, EditPath, Step } from '../../job/edit/edit.ts';
import { isRecord } from '../../job/edit/edit.ts';
import type { Job } from '../../job/job.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { roleName } from './names.ts';
import { patternName } from './patterns.ts';

/** What the fields of a job are called where an edit of one is told. */
const FIELD_NAMES: Readonly<Record<string, string>> = {
  jointMm: 'joint',
  jointColour: 'grout colour',
  pattern: 'pattern',
  productId: 'tile',
  turnDeg: 'turn',
  setout: 'setout',
  roles: 'role of an edge',
  gapsMm: 'perimeter gaps',
  edgeGapsMm: 'gap at an edge',
  insets: 'inset',
  lengthMm: 'length',
  widthMm: 'width',
  heightMm: 'height',
  nominal: 'size on the box',
  measured: 'measured size',
  boxPrice: 'price of a box',
  piecesPerBox: 'pieces in a box',
};

const GONE = 'deleted';

/** One edit as it stands on both sides. */
export interface EditWords {
  /** Where: "Shop floor: joint". */
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

/** What an edit made here says, and what the job of the others has in that place. */
export function describeEdit(edit: Edit, mine: Job, theirs: Job, tape: Tape): EditWords {
  const { path } = edit;
  const key = [...path].reverse().find((step) => typeof step === 'string') ?? '';
  const said = (value: unknown): string => describeValue(value, key, tape);
  const made = edit.op === 'drop' || edit.op === 'unset' ? GONE : edit.op === 'order' ? 'another order' : said(edit.value);
  const there = valueAt(theirs, path);
  return { what: describePlace(path, mine, theirs), mine: made, theirs: edit.op === 'order' ? 'another order' : said(there) };
}

/** "Shop floor: joint"; the names of what the path goes through, and the field at its end. */
function describePlace(path: EditPath, ...jobs: readonly Job[]): string {
  const names = path.flatMap((step, k) => (typeof step === 'object' ? (nameAt(path.slice(0, k + 1), jobs) ?? []) : []));
  const fields = path.filter((step): step is string => typeof step === 'string').filter((key) => !['surfaces', 'products'].includes(key));
  const field = fields.length === 0 ? '' : (FIELD_NAMES[fields[fields.length - 1]] ?? words(fields[fields.length - 1]));
  return [names.join(', '), field].filter((part) => part !== '').join(': ');
}

function nameAt(path: EditPath, jobs: readonly Job[]): string | null {
  const named = jobs.map((job) => valueAt(job, path)).find((value) => isRecord(value) && typeof value['name'] === 'string');
  return isRecord(named) ? String(named['name']) : null;
}

function valueAt(job: Job, path: EditPath): unknown {
  return path.reduce<unknown>((at, step: Step) => {
    if (typeof step === 'object')
      return Array.isArray(at) ? at.find((item: unknown) => isRecord(item) && item['id'] === step.id) : undefined;
    return isRecord(at) && Object.hasOwn(at, step) ? at[step] : undefined;
  }, job);
}

function describeValue(value: unknown, key: string, tape: Tape): string {
  if (value === undefined) return GONE;
  if (value === null) return 'none';
  if (typeof value === 'number') return key.endsWith('Mm') ? formatLengthWithUnit(value, tape) : String(Math.round(value * 1000) / 1000);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value.startsWith('data:') ? 'a picture' : roleName(value);
  if (Array.isArray(value)) return `${value.length} ${value.length === 1 ? 'entry' : 'entries'}`;
  if (!isRecord(value)) return String(value);
  if (typeof value['name'] === 'string') return value['name'];
  return typeof value['kind'] === 'string' ? patternName(value['kind']) : 'changed';
}

/** "fromStartMm" as "from start". */
const words = (key: string): string =>
  key
    .replace(/(Mm|Deg|Id)$/, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();
