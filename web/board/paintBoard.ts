import type { Faces } from './faces.ts';
import { paintMeasures, type MeasureOverlay } from './paintMeasures.ts';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import type { Polygon } from '@azulejo/core/geometry/ring';
import type { Drawing } from '@azulejo/core/plan/planned';
import type { TickState } from '@azulejo/core/site/tick';
import type { LayingZone } from '@azulejo/core/zones/layingZones';
import type { Tape } from '@azulejo/core/units/tape';
import { paintArrows } from './paintArrows.ts';
import { paintFixturePlaces } from './paintFixturePlaces.ts';
import { paintChosen, paintHatching, paintLabel, paintStrips, paintTicks } from './paintCuts.ts';
import { paintFixtureNames, paintFixtures, placeFixtureNames } from './paintFixtures.ts';
import {
  paintCarried,
  paintStanding,
  paintChalkLines,
  paintEdgeLengths,
  paintEdges,
  paintEndCuts,
  paintPins,
  paintStart,
  paintTapes,
} from './paintSurroundings.ts';
import { paintSheets } from './paintSheets.ts';
import { paintZones } from './paintZones.ts';
import { paintFixedFields, paintTiles, type Brush, type TileLook } from './paintTiles.ts';

/** What the board shows besides the pieces. */
export interface BoardContent {
  readonly drawing: Drawing;
  /** Cut pieces with their kinds, where they belong to this drawing; null while they are computed. */
  /** Pieces that are not whole, hatched; null while they do not belong to the drawing. */
  readonly cuts: readonly CutPiece[] | null;
  /** What hands cut, named and ticked. */
  readonly toCut: readonly CutPiece[] | null;
  readonly faces: Faces;
  readonly tape: Tape;
  readonly show: 'measures' | 'setout' | 'lines' | 'zones' | 'cuts' | 'picture' | 'finished';
  readonly chosenPieces: readonly { readonly polygon: Polygon }[];
  readonly chosenEdge: string | null;
  /** Cut sheets of mosaics that are named on the drawing, and the one that is chosen. */
  /** How far along pieces are, by their label. */
  readonly ticked: ReadonlyMap<string, TickState>;
  /** The zones in which it is laid, and the one that is looked at. */
  readonly zones: readonly LayingZone[];
  readonly chosenZone: string | null;
  /** Whether tiles slide under a hand, painted apart. */
  readonly sliding: boolean;
  /** What measuring shows; null outside it. */
  readonly measure: MeasureOverlay | null;
}

/** Every piece, with what is told about it. */
function paintGround(brush: Brush, { drawing, cuts, show }: BoardContent, look: TileLook): void {
  paintTiles(brush, drawing, look);
  if (show === 'finished') return;
  paintSheets(brush, drawing);
  paintArrows(brush, drawing, look.faces);
  if (cuts) paintHatching(brush, cuts);
}

/** Where strips beside the surface are drawn: with the cuts, and where pieces are told by their labels. */
const WITH_STRIPS: ReadonlySet<BoardContent['show']> = new Set(['setout', 'cuts', 'picture']);

/** Paints a whole board, from the ground up. */
export function paintBoard(brush: Brush, content: BoardContent): void {
  const { drawing, toCut, faces, show } = content;
  const look = { faces, finished: show === 'finished' };
  if (content.sliding) paintFixedFields(brush, drawing, look);
  else paintGround(brush, content, look);
  paintStanding(brush, drawing);
  if (show !== 'finished') paintCarried(brush, drawing);
  paintFixtures(brush, drawing);
  if (toCut && WITH_STRIPS.has(show)) paintStrips(brush, toCut);
  paintEdges(brush, drawing, content.chosenEdge);
  if (toCut && show === 'cuts') paintTicks(brush, toCut, content.ticked);
  paintChosen(brush, content.chosenPieces);
  const names = show === 'picture' || show === 'finished' ? [] : placeFixtureNames(brush, drawing);
  const taken = names.map(({ box }) => box);
  if (toCut && (show === 'setout' || show === 'cuts')) for (const piece of toCut) paintLabel(brush, piece, taken);
  paintFixtureNames(brush, names);
  if (show === 'lines') {
    paintChalkLines(brush, drawing);
    paintTapes(
      brush,
      drawing.struck.lines.filter(({ use }) => use !== 'control'),
      content.tape,
    );
    paintStart(brush, drawing);
  }
  if (show === 'setout') {
    paintChalkLines(brush, drawing);
    paintPins(brush, drawing);
  }
  if (show === 'setout' || show === 'cuts') paintEndCuts(brush, drawing, toCut ?? [], content.tape);
  if (show === 'zones') paintZones(brush, content.zones, content.chosenZone);
  if (show === 'measures') {
    if (content.measure) paintMeasures(brush, drawing, content.measure, content.tape);
    paintEdgeLengths(brush, drawing, content.tape);
    if (content.measure?.part === 'fixtures') {
      paintFixturePlaces(brush, drawing, content.tape);
      paintTapes(
        brush,
        drawing.struck.lines.filter(({ joint }) => joint),
        content.tape,
      );
    }
  }
}
