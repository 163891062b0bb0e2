import type { ComputedRef } from 'vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import type { Point } from '@azulejo/core/geometry/point';
import type { Polygon } from '@azulejo/core/geometry/ring';
import type { TickState } from '@azulejo/core/site/tick';
import type { Grip } from '../board/grip.ts';
import type { BoardContent } from '../board/paintBoard.ts';
import type { MeasureOverlay } from '../board/paintMeasures.ts';

/** What can be taken hold of on the drawing. */
export interface Holds {
  readonly grips: ComputedRef<readonly Grip[]>;
  readonly move: (id: string, by: Point) => void;
  readonly drop: () => void;
}

/** How the drawing behaves in a step: what it shows, and what a hand and a key do to it. */
export interface StepOnBoard {
  readonly show: ComputedRef<BoardContent['show']>;
  /** Pieces outlined as chosen. */
  readonly chosenPieces: ComputedRef<readonly { readonly polygon: Polygon }[]>;
  /** How far along pieces are, by their label. */
  readonly ticked?: ComputedRef<ReadonlyMap<string, TickState>>;
  readonly chosenEdge?: ComputedRef<string | null>;
  readonly measure?: ComputedRef<MeasureOverlay | null>;
  readonly holds?: Holds;
  readonly tap?: (at: Point) => void;
  readonly pickPiece?: (label: CutPiece['label'] | null) => void;
  /** What keys do, by name; those of the drawing itself come after. */
  readonly keys?: Readonly<Record<string, (event: KeyboardEvent) => void>>;
  /** What is pointed at, in words; for those who do not see the outline. */
  readonly told?: ComputedRef<string>;
}
