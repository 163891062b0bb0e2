import type { Job } from '../job.ts';
import { isKeyed, isRecord, type Edit, type EditPath, type Identified, type Step } from './edit.ts';

/** An edit names a place that is no longer there. */
export class PlaceGone extends Error {
  readonly path: EditPath;

  constructor(path: EditPath) {
    super(`no such place: ${path.map((step) => (typeof step === 'string' ? step : `#${step.id}`)).join(' / ')}`);
    this.path = path;
  }
}

/** Applies edits to a job; what they don't touch is shared with it. Throws PlaceGone. */
export const applyEdits = (job: Job, edits: readonly Edit[]): Job =>
  edits.reduce<unknown>((now, edit) => applyAt(now, edit, 0), job) as Job;

function applyAt(value: unknown, edit: Edit, depth: number): unknown {
  const step = edit.path[depth];
  const last = depth === edit.path.length - 1;
  if (typeof step === 'object') return last ? changeItem(value, edit, step.id) : intoItem(value, edit, depth, step.id);
  if (!isRecord(value)) throw new PlaceGone(edit.path.slice(0, depth));
  if (last) return changeField(value, edit, step);
  if (!Object.hasOwn(value, step)) throw new PlaceGone(edit.path.slice(0, depth + 1));
  return { ...value, [step]: applyAt(value[step], edit, depth + 1) };
}

function changeField(value: Readonly<Record<string, unknown>>, edit: Edit, key: string): unknown {
  if (edit.op === 'set') return { ...value, [key]: edit.value };
  if (edit.op === 'order') return { ...value, [key]: inOrder(value[key], edit) };
  if (edit.op !== 'unset') throw new PlaceGone(edit.path);
  return Object.fromEntries(Object.entries(value).filter(([other]) => other !== key));
}

function intoItem(value: unknown, edit: Edit, depth: number, id: string): unknown {
  const list = listAt(value, edit.path.slice(0, depth));
  if (!list.some((item) => item.id === id)) throw new PlaceGone(edit.path.slice(0, depth + 1));
  return list.map((item) => (item.id === id ? applyAt(item, edit, depth + 1) : item));
}

/** What is dropped twice is gone; what is put where it is already takes its place. */
function changeItem(value: unknown, edit: Edit, id: string): unknown {
  const list = listAt(value, edit.path.slice(0, -1));
  const others = list.filter((item) => item.id !== id);
  if (edit.op === 'drop') return others;
  if ('value' in edit && !(isRecord(edit.value) && edit.value['id'] === id)) throw new PlaceGone(edit.path);
  if (edit.op === 'set') {
    if (others.length === list.length) throw new PlaceGone(edit.path);
    return list.map((item) => (item.id === id ? edit.value : item));
  }
  if (edit.op !== 'put') throw new PlaceGone(edit.path);
  const at = others.findIndex((item) => item.id === edit.before);
  return at === -1 ? [...others, edit.value] : [...others.slice(0, at), edit.value, ...others.slice(at)];
}

/** A list in the order of the ids; what they don't name stays behind them. */
function inOrder(value: unknown, { path, ids }: Extract<Edit, { op: 'order' }>): readonly Identified[] {
  const place = new Map(ids.map((id, k) => [id, k]));
  const placeOf = ({ id }: Identified): number => place.get(id) ?? ids.length;
  return [...listAt(value, path)].sort((a, b) => placeOf(a) - placeOf(b));
}

function listAt(value: unknown, path: readonly Step[]): readonly Identified[] {
  if (!isKeyed(value)) throw new PlaceGone(path);
  return value;
}
