import { computed, type Ref } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Drawing } from '@azulejo/core/plan/planned';
import { add, type Point } from '@azulejo/core/geometry/point';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { measuresAt, type Fixture } from '@azulejo/core/surface/fixture';
import { FIXTURE_CATALOGUE } from '@azulejo/core/surface/fixtureCatalogue';
import { moveCorner } from '@azulejo/core/surface/shapes/asWalls';
import type { Tape } from '@azulejo/core/units/tape';
import type { Grip } from '../../board/grip.ts';
import { useBoardStore } from '../../stores/boardStore.ts';
import { toTapeStep } from '../tapeStep.ts';
import { useEditSurface } from '../useEditSurface.ts';

type Measured = Surface['measured'];

/** What stands on an edge is caught by it within this distance, mm. */
const CATCH_MM = 40;

/** Whether a kind of fixture belongs on the edge it is measured from: both in a corner, the second at the foot of a wall. */
const standsOn = ({ kind }: Pick<Fixture, 'kind'>, measure: number): boolean => {
  const { stands } = FIXTURE_CATALOGUE[kind];
  return stands === 'inCorner' || (stands === 'atFoot' && measure === 1);
};

/** Corners, fixtures and level points that can be dragged on the drawing; one drag is one change. */
export function useMeasureMoves(surface: Ref<Surface | null>, drawing: Ref<Drawing | null>, tape: Ref<Tape>) {
  const board = useBoardStore();
  const edit = useEditSurface(() => surface.value?.id ?? '');
  const round = (mm: number): number => toTapeStep(mm, tape.value);
  /** Where the held grip has come to; null while nothing is held. */
  let heldAt: Point | null = null;

  const grips = computed<readonly Grip[]>(() => {
    if (!surface.value || !drawing.value) return [];
    const { shape, levels } = surface.value.measured;
    const { traced } = drawing.value;
    switch (board.measurePart) {
      case 'shape':
        return shape.kind === 'walls' && shape.checks.length === 0
          ? traced.corners.map(({ at }, k) => ({ id: `corner ${k}`, at, ring: null }))
          : [];
      case 'fixtures':
        return traced.fixtures.map(({ fixture, place, ring }) => ({ id: `fixture ${fixture.id}`, at: place.centre, ring }));
      case 'levels':
        return (levels?.readings ?? []).map(({ id, xMm, yMm }) => ({ id: `level ${id}`, at: [xMm, yMm], ring: null }));
      default:
        return [];
    }
  });

  /** Moves what is held; where it can't be, the last place that can stays. */
  function move(id: string, by: Point): void {
    const grip = grips.value.find((one) => one.id === id);
    if (!surface.value || !grip) return;
    heldAt = add(heldAt ?? grip.at, by);
    const moved = movedTo(surface.value.measured, id, heldAt);
    if (moved && checkMeasured(moved).length === 0) board.measuredPreview = moved;
  }

  function movedTo(measured: Measured, id: string, to: Point): Measured | null {
    const [kind, which] = [id.slice(0, id.indexOf(' ')), id.slice(id.indexOf(' ') + 1)];
    switch (kind) {
      case 'corner': {
        const { shape } = measured;
        return shape.kind === 'walls' ? { ...measured, shape: moveCorner(shape, Number(which), [round(to[0]), round(to[1])]) } : null;
      }
      case 'level': {
        const { levels } = measured;
        const readings = levels?.readings.map((one) => (one.id === which ? { ...one, xMm: round(to[0]), yMm: round(to[1]) } : one));
        return levels && readings ? { ...measured, levels: { ...levels, readings } } : null;
      }
      default:
        return moveFixture(measured, which, to);
    }
  }

  function moveFixture(measured: Measured, id: string, to: Point): Measured | null {
    const placed = drawing.value?.traced.fixtures.find(({ fixture }) => fixture.id === id);
    if (!placed) return null;
    const mm = measuresAt(placed.fixture, placed.lines, to).map((at, k) => (standsOn(placed.fixture, k) && at < CATCH_MM ? 0 : round(at)));
    const moved = ({ from: [first, second], ...rest }: Measured['fixtures'][number]): Measured['fixtures'][number] => ({
      ...rest,
      from: [
        { ...first, mm: mm[0] },
        { ...second, mm: mm[1] },
      ],
    });
    board.chosenFixture = id;
    return { ...measured, fixtures: measured.fixtures.map((one) => (one.id === id ? moved(one) : one)) };
  }

  function drop(): void {
    const moved = board.measuredPreview;
    heldAt = null;
    const label = board.measurePart === 'shape' ? 'dragCorner' : board.measurePart === 'levels' ? 'dragLevelPoint' : 'dragFixture';
    if (moved)
      edit(label, (target) => {
        target.measured = moved;
      });
    board.measuredPreview = null;
  }

  return { grips, move, drop };
}
