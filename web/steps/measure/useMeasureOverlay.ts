import { contours } from 'd3-contour';
import { computed, type ComputedRef, type Ref } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Drawing } from '@azulejo/core/plan/planned';
import type { Box } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';
import { heightField } from '@azulejo/core/surface/levels/heightField';
import type { Levels } from '@azulejo/core/surface/levels/levels';
import { judgeReadings } from '@azulejo/core/surface/reconcile/judgeReadings';
import { cornerLetter } from '@azulejo/core/surface/reconcile/wallTitle';
import type { LevelOverlay, MeasureOverlay } from '../../board/paintMeasures.ts';
import { useBoardStore } from '../../stores/boardStore.ts';

const CELLS = 64;
const BANDS = 10;

/** What the measuring of a surface shows over its drawing. */
export function useMeasureOverlay(surface: Ref<Surface | null>, drawing: Ref<Drawing | null>): ComputedRef<MeasureOverlay | null> {
  const board = useBoardStore();
  return computed(() => {
    if (!surface.value || !drawing.value) return null;
    const { shape, levels } = surface.value.measured;
    const { corners, body } = drawing.value.traced;
    const walled = shape.kind === 'walls' ? shape : null;
    const suspects = walled ? judgeReadings(walled).suspects : [];
    const at = (edgeId: string): Point | null => corners.find((corner) => corner.edgeId === edgeId)?.at ?? null;
    return {
      part: board.measurePart,
      corners: walled ? corners.map((corner, k) => ({ letter: cornerLetter(k), at: corner.at, movable: walled.checks.length === 0 })) : [],
      checks: (walled?.checks ?? []).flatMap((check) => {
        const [from, to] = [at(check.from), at(check.to)];
        return from && to ? [{ from, to, mm: check.mm, suspect: suspects.some(({ id }) => id === check.id) }] : [];
      }),
      suspectEdges: new Set(suspects.filter(({ kind }) => kind === 'wall').map(({ id }) => id)),
      levels: board.measurePart === 'levels' && levels && levels.readings.length >= 3 ? levelOverlay(levels, body) : null,
    };
  });
}

/** Bands of equal height over the box of a surface, from a grid of cells. */
function levelOverlay({ readings }: Levels, body: Box): LevelOverlay {
  const height = heightField(readings);
  const step = Math.max(body.maxX - body.minX, body.maxY - body.minY) / CELLS;
  const [columns, rows] = [Math.ceil((body.maxX - body.minX) / step) + 2, Math.ceil((body.maxY - body.minY) / step) + 2];
  const place = (i: number, j: number): Point => [body.minX + (i - 1) * step, body.minY + (j - 1) * step];
  const values = Array.from({ length: columns * rows }, (_, k) => height(place((k % columns) + 0.5, Math.floor(k / columns) + 0.5)));
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const lowest = Math.min(...readings.map(({ downMm }) => -downMm));
  const thresholds = Array.from({ length: BANDS }, (_, k) => low + ((high - low) * k) / BANDS);
  const isLevel = Math.max(...readings.map(({ downMm }) => -downMm)) === lowest;
  const bands = isLevel ? [] : contours().size([columns, rows]).thresholds(thresholds)(values);
  return {
    bands: bands.map(({ coordinates }, k) => ({
      share: k / (BANDS - 1),
      rings: coordinates.flat().map((ring) => ring.map(([i, j]): Point => place(i, j))),
    })),
    pads: readings.map(({ id, xMm, yMm, downMm }) => ({ id, at: [xMm, yMm], heightMm: -downMm - lowest })),
  };
}
