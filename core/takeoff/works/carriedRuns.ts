import { ON_LINE_MM } from '../../tolerances.ts';
import { distance } from '../../geometry/point.ts';
import { offLine, type CarriedJoint, type CarriedLine } from '../../surface/carriedJoint.ts';
import type { Bays } from './bays.ts';
import type { Traced } from '../../surface/traceSurface.ts';

/** A movement joint that is carried through, as far as there are tiles beside it. */
export interface CarriedRun {
  readonly joint: CarriedJoint;
  readonly lengthMm: number;
}

/** The joints that are carried through a surface, each with its length: the mean of its two sides. */
export const carriedRuns = ({ carried, region }: Pick<Traced, 'carried' | 'region'>): CarriedRun[] =>
  carried.map((line) => ({ joint: line.joint, lengthMm: region.flat().reduce((sum, ring) => sum + alongLine(ring, line), 0) / 2 }));

function alongLine(ring: Traced['region'][number][number], line: CarriedLine): number {
  const isBeside = (k: number): boolean => Math.abs(Math.abs(offLine(line, ring[k % ring.length])) - line.joint.widthMm / 2) < ON_LINE_MM;
  return ring.reduce((sum, from, k) => (isBeside(k) && isBeside(k + 1) ? sum + distance(from, ring[(k + 1) % ring.length]) : sum), 0);
}

/** Where movement profiles are set into the bed: across floors that are longer than a bay may be, and along joints that are closed by one. */
export const movementProfiles = ({ bays, carried }: { readonly bays: Bays; readonly carried: readonly CarriedRun[] }) => [
  ...bays.joints.map(({ along, atMm, lengthMm }) => ({ id: `bay ${along} ${Math.round(atMm)}`, lengthMm })),
  ...carried
    .filter(({ joint, lengthMm }) => joint.fill === 'profile' && lengthMm > 0)
    .map(({ joint: { id }, lengthMm }) => ({ id, lengthMm })),
];
