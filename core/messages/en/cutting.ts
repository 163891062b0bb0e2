import { minutesTold } from '../figures.ts';
import type { CutCare } from '../../cuts/cutMethod.ts';
import { settingsOf, type CutTrip } from '../../cuts/cutOrder.ts';
import type { CutPiece } from '../../cuts/cutPiece.ts';
import type { NearCuts } from '../../cuts/nearCuts.ts';
import type { SharedHole } from '../../cuts/sharedHoles.ts';
import type { TickState } from '../../site/tick.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

const pieces = (count: number): string => (count === 1 ? 'one piece' : `${count} pieces`);
const times = (count: number): string => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

/** What there is to cut, how long that takes and how often the fence is moved. */
export function describeCutting(cuts: readonly CutPiece[], trips: readonly CutTrip[], fenceSet: number): string {
  const minutes = minutesTold(cuts.reduce((sum, cut) => sum + cut.minutes, 0));
  const settings = new Set(settingsOf(trips).map(({ group }) => group)).size;
  const what = `${settings === 1 ? 'One cut' : `${settings} different cuts`} for ${pieces(cuts.length)}, about ${minutes} min.`;
  const walks =
    trips.length > 1 ? ` ${trips.length} trips to the saw, ${trips[0].zone === null ? 'in the order of laying' : 'zone by zone'}.` : '';
  const fence = fenceSet > 0 ? ` The fence is set ${times(fenceSet)}.` : '';
  return `${what}${walks}${fence} Figures are from factory edges, joint and gap taken off; along is counted from the left, up from the lower end.`;
}

/** Cuts that hardly differ, over the lines that give each its own figure. */
export function describeNear({ settings, rangeMm }: NearCuts, tape: Tape): string {
  if (!rangeMm) return '';
  const [low, high] = [formatLength(rangeMm[0], tape), formatLengthWithUnit(rangeMm[1], tape)];
  return `${settings.reduce((sum, setting) => sum + setting.pieces.length, 0)} off, ${low} to ${high}, each marked by itself`;
}

/** What a walk to the saw is called. */
export const tripName = ({ zone }: CutTrip, number: number): string => (zone === null ? `Trip ${number}` : `Zone ${zone}, trip ${number}`);

/** With whom a piece shares its hole. */
export const describeSharedHole = ({ name, others }: SharedHole): string => `The hole for "${name}" is shared with ${others.join(', ')}.`;

/** How far along the pieces of a surface are. */
export function describeTicked(states: readonly TickState[], waiting: number): string {
  const laid = states.filter((state) => state === 'laid').length;
  const cut = states.filter((state) => state === 'cut').length + laid;
  const far = cut === 0 ? `None of ${states.length} cut yet.` : `${cut} of ${states.length} cut, ${laid === 0 ? 'none' : laid} laid.`;
  return waiting === 0 ? far : `${far} ${waiting === 1 ? 'One tick waits' : `${waiting} ticks wait`} for the server.`;
}

const CARES: Readonly<Record<CutCare, string>> = {
  shave: 'Hardly anything comes off: grind it to the line, or move the start a few millimetres.',
  tiny: 'Too small to hold: cut it off a larger piece and hold that, or leave the place to the joint or the sealant.',
  bitten: 'Bite out the chips where the line ends within the sheet: hold it in its place, mark on tape, nibble to the mark.',
  nibbled: 'Nibble the chips to the round, a little at a time.',
  parted: 'No chip is cut: part the mesh or paper between the chips from behind.',
  taped: 'Tape over the line and cut through chips and mesh in one pass.',
  nearEdge: 'The hole comes too near the edge to stay whole: bite it out from that edge, or split the tile through the hole.',
  glass: 'Glass: tape on the line, a sacrificial piece behind, feed slowly with plenty of water.',
  long: 'Long tile: hold both halves up along the whole cut, two people at the saw.',
  narrow: 'Narrow piece: support it up to the blade and keep fingers off with a push stick.',
  corners: 'Drill each inside corner first, so that no crack runs on from it.',
  relief: 'Relief cuts every 5 to 10 mm up to the line, break the teeth out, then grind to the line.',
  core: 'Start the bit at an angle, wet, without hammer; let it cool half way through.',
  half: 'Try both halves round the pipe before either is laid.',
  curve: 'Saw short of the line and grind the rest; try it against the curve.',
  wayUp: 'Mind the arrow: this tile has a way up.',
  dress: 'The cut edge shows: dress it with a stone or pad before laying.',
};

/** What to mind at a cut, a sentence each. */
export const describeCares = (cares: readonly CutCare[]): string[] => cares.map((care) => CARES[care]);
