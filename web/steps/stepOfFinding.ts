import type { Finding } from '@azulejo/core/advice/finding';
import type { Surface } from '@azulejo/core/job/job';
import type { CutPart, MeasurePart, SetoutPart, TilePart } from '../stores/boardStore.ts';
import type { SurfaceStep } from './surfaceSteps.ts';

/** A step of a surface, the part of it, and what the link to it says. */
export interface Mending {
  readonly name: SurfaceStep;
  readonly part: MeasurePart | TilePart | SetoutPart | CutPart;
  readonly label: string;
}

/** What mends a finding about a measurement, by the part it is in. */
const MEASURED: Readonly<Partial<Record<keyof Surface['measured'], readonly [MeasurePart, string]>>> = {
  gapsMm: ['edges', 'Change the gap'],
  edgeGapsMm: ['edges', 'Change the gap'],
  levels: ['levels', 'Look at the levels'],
  buildUp: ['levels', 'Change the build-up'],
  again: ['shape', 'Measure them'],
  fixtures: ['fixtures', 'Look at it'],
  doorways: ['fixtures', 'Look at it'],
  carriedJoints: ['fixtures', 'Look at the joint'],
  roles: ['edges', 'Change the edge'],
};

const measure = (label: string, part: MeasurePart = 'shape'): Mending => ({ name: 'measure', part, label });
const tile = (label: string, part: TilePart = 'tile'): Mending => ({ name: 'tile', part, label });
const setout = (label: string, part: SetoutPart = 'starts'): Mending => ({ name: 'setout', part, label });
const cuts = (label: string): Mending => ({ name: 'cuts', part: 'pieces', label });

/** Where each part of a surface is changed. */
const MENDING: Readonly<Record<keyof Surface, Mending>> = {
  id: measure('See the surface'),
  name: measure('Change its name', 'around'),
  kind: measure('See the surface'),
  tape: measure('Change the tape', 'around'),
  roomId: measure('Change the room', 'around'),
  measured: measure('Measure again'),
  trims: measure('Change the edge', 'edges'),
  productId: tile('Measure the tile'),
  parts: tile('Change the tiles'),
  pattern: tile('Change the pattern', 'pattern'),
  jointMm: tile('Change the joint'),
  jointColour: tile('Change the joint'),
  colours: tile('Change the colours', 'colours'),
  partColours: tile('Change the colours', 'colours'),
  works: tile('Change place and works', 'place'),
  border: tile('Change the border', 'setIn'),
  bands: tile('Change the band', 'setIn'),
  insets: tile('Change the inset', 'setIn'),
  setout: setout('Move the setout'),
  turnDeg: tile('Turn the pattern', 'pattern'),
  mirrored: tile('Turn the pattern', 'pattern'),
  allowed: setout('Change the search'),
  apart: setout('See the group', 'rules'),
  zones: setout('Change the zones', 'zones'),
  laid: cuts('See the pieces'),
  counted: cuts('See the pieces'),
  known: cuts('See the pieces'),
};

/** The step and part where a field of a surface is changed, by its path there, and what the link to it says. */
export function mendingAt(path: readonly (string | number)[]): Mending {
  const [part, of, inInset] = path;
  // The whole surface is at fault where no part of it is named.
  if (typeof part !== 'string' || !Object.hasOwn(MENDING, part)) return part === 'cuts' ? cuts('See the cut') : measure('See the surface');
  // What is laid in an inset is changed where that of the surface is.
  if (part === 'insets' && typeof inInset === 'string' && Object.hasOwn(MENDING, inInset)) return mendingAt(path.slice(2));
  const own = part === 'measured' ? MEASURED[of as keyof Surface['measured']] : undefined;
  return own ? measure(own[1], own[0]) : part === 'measured' ? measure('Measure again') : MENDING[part as keyof Surface];
}

/** The same of a finding, whose path begins at the job. */
export const stepOfFinding = ({ path }: Finding): Mending => mendingAt(path.slice(2));

/** Where the link of a finding leads: the step, and the field that is sought there. */
export const fieldSought = ({ path }: Finding): string => path.slice(2).join('.');
