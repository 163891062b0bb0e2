import type { Ref } from 'vue';
import { isInside } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';
import type { Surface } from '@azulejo/core/job/job';
import { colourAt, placeName } from '@azulejo/core/pattern/colours';
import { mixOf } from '@azulejo/core/pattern/laying';
import type { Drawing } from '@azulejo/core/plan/planned';
import type { Field } from '@azulejo/core/setout/fields/field';
import { addressAt } from '@azulejo/core/setout/place/addressAt';
import { useEditSurface } from '../../useEditSurface.ts';

/** Gives the piece at a position on the surface the next tile of the mix it lies in. */
export function useGiveNext(surface: Ref<Surface | null>, drawing: Ref<Drawing | null>): (at: Point) => void {
  const edit = useEditSurface(() => surface.value?.id ?? '');

  /** The field that a position lies in: the surface's own or an inset's; borders and bands are of one tile. */
  function fieldAt(at: Point): { field: Field; insetId: string | null } | null {
    if (!drawing.value || !isInside(at, drawing.value.traced.region)) return null;
    const insets = surface.value?.insets.map(({ id }) => id) ?? [];
    const mixed = drawing.value.fields.filter(({ kind }) => kind === 'main' || kind === 'inset' || kind === 'beyondBand');
    const field = [...mixed].reverse().find((one) => addressAt(one.layout, at) !== null);
    return field ? { field, insetId: insets.includes(field.id) ? field.id : null } : null;
  }

  return (at) => {
    const found = fieldAt(at);
    if (!found) return;
    const { field, insetId } = found;
    const address = addressAt(field.layout, at);
    if (!address) return;
    const { part } = field.layout.repeat.pieces[address.piece];
    const mix = mixOf(field.laid, part);
    if (mix.others.length === 0) return;
    const count = mix.others.length + 1;
    const drawn = colourAt(mix, field.layout.repeat, address, field.box);
    edit('tileOfAPiece', (target) => {
      const holder = target.insets.find(({ id }) => id === insetId) ?? target;
      const colours = part === null ? holder.colours : holder.partColours[part];
      // From what it was given last: what is drawn may be a press behind.
      const place = placeName(address);
      colours.byHand[place] = ((colours.byHand[place] ?? drawn) + 1) % count;
    });
  };
}
