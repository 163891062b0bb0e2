import { computed, ref, watch, type Ref } from 'vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import type { Point } from '@azulejo/core/geometry/point';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { Drawing } from '@azulejo/core/plan/planned';
import { productAt, type Field } from '@azulejo/core/setout/fields/field';
import { addressAt } from '@azulejo/core/setout/place/addressAt';
import type { Address } from '@azulejo/core/setout/place/layout';
import { laidPolygons, nextPiece } from '@azulejo/core/setout/place/nextPiece';
import { useBoardStore } from '../../stores/boardStore.ts';
import type { Holds, StepOnBoard } from '../stepOnBoard.ts';
import { useGiveNext } from './colours/useGiveNext.ts';

interface Drawn {
  readonly job: Ref<Job | null>;
  readonly surface: Ref<Surface | null>;
  readonly drawing: Ref<Drawing | null>;
  readonly cuts: Ref<readonly CutPiece[] | null>;
}

/** Pieces on the drawing are tapped, or pointed at by the arrow keys: to be mixed, or as stones of an ashlar. */
export function useTileOnBoard({ job, surface, drawing, cuts }: Drawn, insets: Holds): StepOnBoard {
  const board = useBoardStore();
  const giveNext = useGiveNext(surface, drawing);
  const pointed = ref<Address | null>(null);
  const field = computed<Field | null>(() => drawing.value?.fields.find(({ id }) => id === (board.chosenInset ?? 'main')) ?? null);
  const isAshlar = computed(() => {
    const laid = surface.value?.insets.find(({ id }) => id === board.chosenInset) ?? surface.value;
    return laid?.pattern.kind === 'ashlar';
  });
  const picksPieces = computed(() => board.tilePart === 'colours' || (board.tilePart === 'pattern' && isAshlar.value));
  watch([() => surface.value?.id, () => board.chosenInset, () => board.tilePart], () => (pointed.value = null));

  /** A stone of an ashlar is chosen, a second one with it; a third takes their place. */
  function chooseStone(at: Point): void {
    const stone = field.value && isAshlar.value ? addressAt(field.value.layout, at)?.piece : undefined;
    if (stone === undefined) board.chosenStones = [];
    else if (board.chosenStones.includes(stone)) board.chosenStones = board.chosenStones.filter((other) => other !== stone);
    else board.chosenStones = board.chosenStones.length === 1 ? [...board.chosenStones, stone] : [stone];
  }
  /** While colours are mixed, a piece takes the next tile of its mix. */
  function tap(at: Point): void {
    if (board.tilePart === 'colours') giveNext(at);
    if (board.tilePart === 'pattern') chooseStone(at);
  }

  /** The piece that is pointed at, if it is still laid. */
  const pointedPolygons = computed(() => {
    if (!field.value || !pointed.value || !picksPieces.value) return [];
    const polygons = laidPolygons(field.value.layout, pointed.value);
    const here = polygons[0] && addressAt(field.value.layout, labelPoint(polygons[0]));
    return here ? polygons : [];
  });
  function point(way: Point): void {
    if (!field.value) return;
    const { layout } = field.value;
    pointed.value =
      (pointedPolygons.value.length > 0 && pointed.value && nextPiece(layout, pointed.value, way)) || pointed.value || firstOf(field.value);
  }
  function tapPointed(): void {
    const [polygon] = pointedPolygons.value;
    if (polygon) tap(labelPoint(polygon));
  }
  const whenPicking = (act: () => void) => (): void => {
    if (picksPieces.value) act();
  };

  const stones = computed(() => {
    if (board.tilePart !== 'pattern' || board.chosenStones.length === 0) return [];
    const place = drawing.value?.fields.findIndex(({ id }) => id === (board.chosenInset ?? 'main'));
    return (cuts.value ?? []).filter((piece) => piece.field === place && board.chosenStones.includes(piece.address.piece));
  });
  return {
    show: computed(() => (board.finished ? 'finished' : 'picture')),
    chosenPieces: computed(() => [...stones.value, ...pointedPolygons.value.map((polygon) => ({ polygon }))]),
    holds: insets,
    tap,
    keys: {
      ArrowLeft: whenPicking(() => point([-1, 0])),
      ArrowRight: whenPicking(() => point([1, 0])),
      ArrowUp: whenPicking(() => point([0, 1])),
      ArrowDown: whenPicking(() => point([0, -1])),
      Enter: whenPicking(tapPointed),
      ' ': whenPicking(tapPointed),
    },
    told: computed(() => {
      if (!field.value || !pointed.value || pointedPolygons.value.length === 0) return '';
      const id = productAt(field.value, pointed.value);
      const name = job.value?.products.find((product) => product.id === id)?.name ?? id;
      return board.chosenStones.includes(pointed.value.piece) ? `${name}, chosen` : name;
    }),
  };
}

/** Any piece to begin at: the first of the whole ones, else of the cut ones. */
function firstOf({ layout }: Field): Address | null {
  const [piece, j, i] = layout.wholeRuns;
  return piece === undefined ? (layout.cutTiles[0] ?? null) : { piece, i, j };
}
