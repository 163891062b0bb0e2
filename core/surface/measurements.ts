import type { Measured } from './surface.ts';
import { checkTitle, wallTitle } from './reconcile/wallTitle.ts';

/** One length that was measured: where it is kept, and what it belongs to. */
export interface Measurement {
  /** Its place in the measured part: keys joined by dots. */
  readonly key: string;
  readonly of: 'shape' | 'wall' | 'check' | 'doorway' | 'carried' | 'fixture' | 'base' | 'level';
  /** What it is the length of: a field of the shape, a wall, a fixture. */
  readonly name: string;
  readonly mm: number;
}

/** Every length that was taken with the tape, in the order a person goes round. */
export function measurementsOf({ shape, doorways, fixtures, carriedJoints = [], base, levels }: Measured): Measurement[] {
  return [
    ...shapeLengths(shape),
    ...doorways.flatMap((doorway, k): Measurement[] =>
      (['fromStartMm', 'widthMm', 'depthMm'] as const).map((field) => ({
        key: `doorways.${k}.${field}`,
        of: 'doorway',
        name: `${doorway.id} ${field}`,
        mm: doorway[field],
      })),
    ),
    ...fixtures.flatMap(({ name, from }, k): Measurement[] =>
      from.map(({ edge, mm }, m) => ({ key: `fixtures.${k}.from.${m}.mm`, of: 'fixture', name: `${name}, ${edge}`, mm })),
    ),
    ...carriedJoints.flatMap((joint, k): Measurement[] =>
      (['fromStartMm', 'fromEndMm'] as const).map((field) => ({
        key: `carriedJoints.${k}.${field}`,
        of: 'carried',
        name: `${joint.id} ${field}`,
        mm: joint[field],
      })),
    ),
    ...(base?.readings ?? []).map(({ alongMm, downMm }, k): Measurement => {
      return { key: `base.readings.${k}.downMm`, of: 'base', name: String(Math.round(alongMm)), mm: downMm };
    }),
    ...(levels?.readings ?? []).map(({ id, downMm }, k): Measurement => ({
      key: `levels.readings.${k}.downMm`,
      of: 'level',
      name: id,
      mm: downMm,
    })),
  ];
}

function shapeLengths(shape: Measured['shape']): Measurement[] {
  if (shape.kind === 'walls') {
    return [
      ...shape.walls.map(({ id, lengthMm }, k): Measurement => {
        return { key: `shape.walls.${k}.lengthMm`, of: 'wall', name: wallTitle(shape, id), mm: lengthMm };
      }),
      ...shape.checks.map(({ from, to, mm }, k): Measurement => {
        return { key: `shape.checks.${k}.mm`, of: 'check', name: checkTitle(shape, from, to), mm };
      }),
    ];
  }
  return Object.entries(shape).flatMap(([field, value]): Measurement[] =>
    typeof value === 'number' ? [{ key: `shape.${field}`, of: 'shape', name: field, mm: value }] : [],
  );
}

/** The length kept at a key; null where there is none any more. */
export function lengthAt(measured: Measured, key: string): number | null {
  const found = key
    .split('.')
    .reduce<unknown>((at, step) => (typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[step] : undefined), measured);
  return typeof found === 'number' ? found : null;
}

/** Writes a length at a key of a draft; a key that leads nowhere changes nothing. */
export function setLengthAt(measured: Measured, key: string, mm: number): void {
  const steps = key.split('.');
  const last = steps.pop() ?? '';
  const owner = steps.reduce<unknown>(
    (at, step) => (typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[step] : undefined),
    measured,
  );
  if (typeof owner === 'object' && owner !== null && last in owner) (owner as Record<string, unknown>)[last] = mm;
}
