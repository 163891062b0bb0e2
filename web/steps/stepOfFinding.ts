import type { Finding } from '@azulejo/core/advice/finding';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfaceStep } from './surfaceSteps.ts';

/** A step of a surface, and what the link to it says. */
interface Mending {
  readonly name: SurfaceStep;
  readonly label: string;
}

/** What mends a finding about a measurement, by the part it is in. */
const MEASURED: Readonly<Partial<Record<keyof Surface['measured'], string>>> = {
  gapsMm: 'Change the gap',
  levels: 'Look at the levels',
  buildUp: 'Change the build-up',
  again: 'Measure them',
  fixtures: 'Look at it',
  roles: 'Change the edge',
};

const measure = (label: string): Mending => ({ name: 'measure', label });
const tile = (label: string): Mending => ({ name: 'tile', label });
const setout = (label: string): Mending => ({ name: 'setout', label });
const cuts = (label: string): Mending => ({ name: 'cuts', label });

/** Where each part of a surface is changed. */
const MENDING: Readonly<Record<keyof Surface, Mending>> = {
  id: measure('See the surface'),
  name: measure('Change its name'),
  kind: measure('See the surface'),
  tape: measure('Change the tape'),
  roomId: measure('Change the room'),
  measured: measure('Measure again'),
  trims: measure('Change the edge'),
  productId: tile('Measure the tile'),
  parts: tile('Change the tiles'),
  pattern: tile('Change the pattern'),
  jointMm: tile('Change the joint'),
  jointColour: tile('Change the joint'),
  colours: tile('Change the colours'),
  partColours: tile('Change the colours'),
  works: tile('Change place and works'),
  border: tile('Change the border'),
  bands: tile('Change the band'),
  insets: tile('Change the inset'),
  setout: setout('Move the setout'),
  turnDeg: tile('Turn the pattern'),
  mirrored: tile('Turn the pattern'),
  allowed: setout('Change the search'),
  apart: setout('See the group'),
  zones: setout('Change the zones'),
  laid: cuts('See the pieces'),
  counted: cuts('See the pieces'),
  known: cuts('See the pieces'),
};

/** The step where a finding is mended, and what the link there says. */
export function stepOfFinding({ path }: Finding): Mending {
  const [, , part, of] = path;
  // The whole surface is at fault where no part of it is named.
  if (typeof part !== 'string' || !Object.hasOwn(MENDING, part)) return part === 'cuts' ? cuts('See the cut') : measure('See the surface');
  const mending = MENDING[part as keyof Surface];
  const label = part === 'measured' ? MEASURED[of as keyof Surface['measured']] : undefined;
  return label === undefined ? mending : { ...mending, label };
}
