import type { CutCare } from '../../cuts/cutMethod.ts';
import { settingsOf, type CutTrip } from '../../cuts/cutOrder.ts';
import type { CutPiece } from '../../cuts/cutPiece.ts';
import type { NearCuts } from '../../cuts/nearCuts.ts';
import type { SharedHole } from '../../cuts/sharedHoles.ts';
import type { TickState } from '../../site/tick.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import { minutesTold } from '../figures.ts';
import type { Tape } from '../../units/tape.ts';
import { counted, figure } from './figures.ts';

/** What there is to cut, how long that takes and how often the fence is moved. */
export function describeCutting(cuts: readonly CutPiece[], trips: readonly CutTrip[], fenceSet: number): string {
  const minutes = minutesTold(cuts.reduce((sum, cut) => sum + cut.minutes, 0));
  const settings = new Set(settingsOf(trips).map(({ group }) => group)).size;
  const what = `${counted(settings, { one: 'Zuschnitt', other: 'verschiedene Zuschnitte' })} für ${cuts.length} Stück, etwa ${figure(minutes)} min.`;
  const walks =
    trips.length > 1 ? ` ${trips.length} Gänge zur Säge, ${trips[0].zone === null ? 'wie verlegt wird' : 'Abschnitt für Abschnitt'}.` : '';
  const fence = fenceSet > 0 ? ` Der Anschlag wird ${fenceSet}-mal gestellt.` : '';
  return `${what}${walks}${fence} Maße von den Werkskanten, Fuge und Randfuge abgezogen; waagrecht von links gezählt, senkrecht von unten.`;
}

/** Cuts that hardly differ, over the lines that give each its own figure. */
export function describeNear({ settings, rangeMm }: NearCuts, tape: Tape): string {
  if (!rangeMm) return '';
  const [low, high] = [formatLength(rangeMm[0], tape), formatLengthWithUnit(rangeMm[1], tape)];
  return `${settings.reduce((sum, setting) => sum + setting.pieces.length, 0)} Stück, ${low} bis ${high}, jedes für sich angezeichnet`;
}

/** What a walk to the saw is called. */
export const tripName = ({ zone }: CutTrip, number: number): string =>
  zone === null ? `Gang ${number}` : `Abschnitt ${zone}, Gang ${number}`;

/** With whom a piece shares its hole. */
export const describeSharedHole = ({ name, others }: SharedHole): string => `Das Loch für „${name}“ teilt es mit ${others.join(', ')}.`;

/** How far along the pieces of a surface are. */
export function describeTicked(states: readonly TickState[], waiting: number): string {
  const laid = states.filter((state) => state === 'laid').length;
  const cut = states.filter((state) => state === 'cut').length + laid;
  const far =
    cut === 0
      ? `Von ${states.length} noch keines geschnitten.`
      : `${cut} von ${states.length} geschnitten, ${laid === 0 ? 'keines' : laid} verlegt.`;
  return waiting === 0 ? far : `${far} ${counted(waiting, { one: 'Haken wartet', other: 'Haken warten' })} auf den Server.`;
}

const CARES: Readonly<Record<CutCare, string>> = {
  shave: 'Es fällt kaum etwas ab: bis zum Strich schleifen oder den Anfang um ein paar Millimeter verschieben.',
  tiny: 'Zu klein zum Halten: von einem größeren Stück abschneiden und dieses halten, oder den Platz der Fuge oder dem Dichtstoff lassen.',
  bitten:
    'Steinchen ausklinken, wo der Strich in der Matte endet: an ihren Platz halten, auf Klebeband anzeichnen, bis zum Strich knipsen.',
  nibbled: 'Die Steinchen nach und nach rund knipsen.',
  parted: 'Kein Steinchen wird geschnitten: Netz oder Papier zwischen den Steinchen von hinten trennen.',
  taped: 'Den Strich überkleben und Steinchen und Netz in einem Zug schneiden.',
  nearEdge: 'Das Loch kommt dem Rand zu nah, um ganz zu bleiben: von dieser Kante her ausbrechen oder die Fliese durch das Loch teilen.',
  glass: 'Glas: Klebeband auf den Strich, ein Opferstück dahinter, langsam und mit viel Wasser.',
  long: 'Lange Fliese: beide Hälften über den ganzen Schnitt stützen, zu zweit an der Säge.',
  narrow: 'Schmales Stück: bis ans Blatt stützen und die Finger mit einem Schiebestock weghalten.',
  corners: 'Jede Innenecke zuerst bohren, damit von ihr kein Riss ausgeht.',
  relief: 'Alle 5 bis 10 mm bis an den Strich einschneiden, die Zähne ausbrechen, dann bis zum Strich schleifen.',
  core: 'Die Krone schräg ansetzen, nass, ohne Schlag; auf halbem Weg abkühlen lassen.',
  half: 'Beide Hälften um das Rohr probieren, bevor eine verlegt ist.',
  curve: 'Knapp vor dem Strich sägen und den Rest schleifen; an der Rundung anhalten.',
  wayUp: 'Auf den Pfeil achten: Diese Fliese hat ein Oben.',
  dress: 'Die Schnittkante ist sichtbar: vor dem Verlegen mit Stein oder Schleifpad brechen.',
};

/** What to mind at a cut, a sentence each. */
export const describeCares = (cares: readonly CutCare[]): string[] => cares.map((care) => CARES[care]);
