import { computed, type Ref } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { add, type Point } from '@azulejo/core/geometry/point';
import { boxOf, isInside } from '@azulejo/core/geometry/ring';
import { fieldsOf } from '@azulejo/core/setout/search/openSurface';
import { lineOfEdge, measuresAt } from '@azulejo/core/surface/fixture';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import type { Tape } from '@azulejo/core/units/tape';
import type { Grip } from '../../../board/grip.ts';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { toTapeStep } from '../../tapeStep.ts';
import { useEditSurface } from '../../useEditSurface.ts';

type Insets = Surface['insets'];

/** Insets that can be dragged on the drawing while they are set in; one drag is one change. */
export function useInsetMoves(surface: Ref<Surface | null>, tape: Ref<Tape>) {
  const board = useBoardStore();
  const edit = useEditSurface(() => surface.value?.id ?? '');
  const round = (mm: number): number => toTapeStep(mm, tape.value);
  let heldAt: Point | null = null;

  const grips = computed<readonly Grip[]>(() => {
    if (!surface.value || board.tilePart !== 'setIn') return [];
    const insets = board.insetsPreview ?? surface.value.insets;
    return fieldsOf({ ...surface.value, insets }).insets.map(({ inset, ring }) => {
      const { minX, minY, maxX, maxY } = boxOf(ring);
      return { id: inset.id, ring, at: [(minX + maxX) / 2, (minY + maxY) / 2] };
    });
  });

  /** Moves the inset that is held; its middle stays within the surface. */
  function move(id: string, by: Point): void {
    const grip = grips.value.find((one) => one.id === id);
    if (!surface.value || !grip) return;
    heldAt = add(heldAt ?? grip.at, by);
    const { measured, insets } = surface.value;
    const { ring } = fieldsOf(surface.value);
    const moved = isInside(heldAt, [[ring]]) ? movedTo(insets, measured.shape, id, heldAt) : null;
    if (moved) board.insetsPreview = moved;
  }

  function movedTo(insets: Insets, shape: Surface['measured']['shape'], id: string, to: Point): Insets | null {
    const { ring, edgeIds } = outlineOf(shape);
    const target = insets.find((inset) => inset.id === id);
    const [first, second] = target?.from.map(({ edge }) => lineOfEdge(ring, edgeIds, edge)) ?? [];
    if (!target || !first || !second) return null;
    const mm = measuresAt(target, [first, second], to).map(round);
    const from: Insets[number]['from'] = [
      { ...target.from[0], mm: mm[0] },
      { ...target.from[1], mm: mm[1] },
    ];
    return insets.map((inset) => (inset.id === id ? { ...inset, from } : inset));
  }

  function drop(): void {
    const moved = board.insetsPreview;
    heldAt = null;
    if (moved)
      edit('dragInset', (target) => {
        target.insets = moved;
      });
    board.insetsPreview = null;
  }

  return { grips, move, drop };
}
