import type { SetFace } from '../../surface/sets/setKind.ts';
import type { SetId } from '../../surface/sets/registry.ts';

/** What sets of surfaces are called. */
export const SET_NAMES: Readonly<Record<SetId, string>> = {
  stairFlight: 'Stairs',
  shower: 'Shower',
  niche: 'Niche',
  room: 'Room',
};

const PART_NAMES: Readonly<Record<SetFace['part'], string>> = {
  riser: 'riser',
  tread: 'tread',
  wall: 'wall',
  back: 'back',
  leftSide: 'left side',
  rightSide: 'right side',
  sill: 'sill',
  head: 'head',
  floor: 'floor',
};

/** What one surface of a set is called: "riser 2", "sill". */
export const setFaceName = ({ part, number }: Pick<SetFace, 'part' | 'number'>): string =>
  number === 0 ? PART_NAMES[part] : `${PART_NAMES[part]} ${number}`;

/** What a surface of a set is called among the others of it: the name without that of the set. */
export const nameInSet = (name: string): string => (name.includes(', ') ? name.slice(name.indexOf(', ') + 2) : name);
