import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { Polygon } from '@azulejo/core/geometry/ring';
import type { Laying } from '@azulejo/core/pattern/laying';
import type { Surface } from '@azulejo/core/job/job';
import type { PointedPin } from '@azulejo/core/setout/choice/pins';
import type { SetoutChoice } from '@azulejo/core/setout/choice/setoutChoice';

/** The parts of measuring a surface, in the order of the work. */
export const MEASURE_PARTS = [
  { name: 'shape', label: 'Shape' },
  { name: 'edges', label: 'Edges' },
  { name: 'fixtures', label: 'Fixtures' },
  { name: 'levels', label: 'Levels' },
  { name: 'around', label: 'Around it' },
] as const;

/** One part of measuring. */
export type MeasurePart = (typeof MEASURE_PARTS)[number]['name'];

/** The parts of choosing tiles and pattern. */
export const TILE_PARTS = [
  { name: 'tile', label: 'Tile' },
  { name: 'pattern', label: 'Pattern' },
  { name: 'colours', label: 'Colours' },
  { name: 'setIn', label: 'Set in' },
  { name: 'place', label: 'Place' },
] as const;

/** The parts of setting out. */
export const SETOUT_PARTS = [
  { name: 'starts', label: 'Starts' },
  { name: 'rules', label: 'By rule' },
  { name: 'pins', label: 'Pins' },
  { name: 'counts', label: 'Weighing' },
  { name: 'lines', label: 'Lines' },
  { name: 'zones', label: 'Zones' },
] as const;

/** The parts of cutting. */
export const CUT_PARTS = [
  { name: 'pieces', label: 'Pieces to cut' },
  { name: 'tiles', label: 'Tiles to open' },
  { name: 'dry', label: 'Dry lay' },
  { name: 'practice', label: 'Practice' },
] as const;

/** One part of cutting. */
export type CutPart = (typeof CUT_PARTS)[number]['name'];

/** One part of setting out. */
export type SetoutPart = (typeof SETOUT_PARTS)[number]['name'];

/** One part of choosing tiles and pattern. */
export type TilePart = (typeof TILE_PARTS)[number]['name'];

/** What is chosen on the board, and what is being moved and not yet let go of. */
export const useBoardStore = defineStore('board', () => {
  const preview = shallowRef<SetoutChoice | null>(null);
  /** The measurements while a hand drags a corner or a fixture. */
  const measuredPreview = shallowRef<Surface['measured'] | null>(null);
  /** The insets while a hand drags one of them. */
  const insetsPreview = shallowRef<Surface['insets'] | null>(null);
  /** What would be laid, while a hand rests on its picture: on the whole surface, or on an inset. */
  const layingPreview = shallowRef<{ readonly insetId: string | null; readonly laying: Laying } | null>(null);
  const measurePart = ref<MeasurePart>('shape');
  const tilePart = ref<TilePart>('tile');
  const setoutPart = ref<SetoutPart>('starts');
  const cutPart = ref<CutPart>('pieces');
  /** What the next tap on the drawing pins; null where it pins nothing. */
  const pinTool = ref<PointedPin | null>(null);
  /** Whether the tile step shows the surface as it will look, instead of the working drawing. */
  const finished = ref(false);
  /** Stones of an ashlar that are being changed, by their place in its cell: one or two. */
  const chosenStones = ref<readonly number[]>([]);
  const chosenInset = ref<string | null>(null);
  const chosenEdge = ref<string>('left');
  const chosenFixture = ref<string | null>(null);
  const chosenGroup = ref<string | null>(null);
  /** The laying zone that is looked at. */
  const chosenZone = ref<string | null>(null);
  const chosenLabel = ref<string | null>(null);
  /** The piece that is laid dry next, by its place in the order of the surface. */
  const dryAt = ref(0);
  const dryCount = ref(0);
  const dryPiece = shallowRef<{ readonly polygon: Polygon } | null>(null);

  /** Goes on or back in the dry lay, no further than its ends. */
  function stepDry(by: number): void {
    dryAt.value = Math.max(0, Math.min(dryCount.value - 1, dryAt.value + by));
  }

  /** Chooses nothing; for a new surface. */
  function clear(): void {
    preview.value = null;
    measuredPreview.value = null;
    insetsPreview.value = null;
    layingPreview.value = null;
    chosenEdge.value = 'left';
    chosenFixture.value = null;
    chosenInset.value = null;
    chosenStones.value = [];
    chosenGroup.value = null;
    chosenLabel.value = null;
    dryAt.value = 0;
    dryPiece.value = null;
    chosenZone.value = null;
    pinTool.value = null;
  }

  return {
    preview,
    measuredPreview,
    insetsPreview,
    layingPreview,
    measurePart,
    tilePart,
    setoutPart,
    cutPart,
    pinTool,
    finished,
    chosenStones,
    chosenInset,
    chosenEdge,
    chosenFixture,
    chosenGroup,
    chosenLabel,
    dryAt,
    dryCount,
    dryPiece,
    stepDry,
    chosenZone,
    clear,
  };
});
