import { ROUNDED_OFTEN } from '../../../tolerances.ts';
import { placesOf } from '../../../job/placesOf.ts';
import { lotFor, type Lot } from '../../../tile/lot.ts';
import type { Product } from '../../../tile/product.ts';
import type { Finding, JobContext, JobRule } from '../../finding.ts';

/** Lots are known, and none of them holds what a room takes, or what it is bought with breakage and spares. */
export const mixedLots: JobRule = (context) =>
  context.job.products.flatMap((product) => (product.lots.length > 0 ? lotsOf(context, product) : []));

/** What a place takes of a tile: laid or cut, and with its share of breakage and spares. */
interface PlaceTakes {
  readonly name: string;
  readonly opened: number;
  readonly bought: number;
}

function lotsOf(context: JobContext, { id, name, lots }: Product): Finding[] {
  const places = takenByPlace(context, id).sort((a, b) => b.bought - a.bought);
  const largest = Math.max(...lots.map(({ pieces }) => pieces));
  const left: Lot[] = [...lots];
  return places.flatMap((place): Finding[] => {
    const lot = lotFor(left, place.bought);
    if (lot) {
      left[left.indexOf(lot)] = { ...lot, pieces: lot.pieces - place.bought };
      return [];
    }
    const holds = lots.some(({ pieces }) => pieces >= place.opened);
    return [
      {
        code: holds ? 'advice/short-lot' : 'advice/mixed-lots',
        severity: 'warning',
        path: ['products', context.job.products.findIndex((one) => one.id === id), 'lots'],
        figures: {
          name,
          place: place.name,
          opened: place.opened,
          bought: place.bought,
          largest,
          left: Math.max(...left.map(({ pieces }) => pieces)),
        },
      },
    ];
  });
}

function takenByPlace({ job, surfaces, materials }: JobContext, productId: string): PlaceTakes[] {
  const ordered = materials
    .filter((line) => line.item === 'tiles' && line.productId === productId)
    .reduce((sum, { quantity }) => sum + quantity, 0);
  const openedOn = (surfaceId: string): number =>
    (surfaces.find((one) => one.surfaceId === surfaceId)?.figures.tiles ?? [])
      .filter((tile) => tile.productId === productId)
      .reduce((sum, { opened }) => sum + opened, 0);
  const opened = surfaces.reduce((sum, { surfaceId }) => sum + openedOn(surfaceId), 0);
  return placesOf(job).flatMap((place) => {
    const own = place.surfaces.filter(({ id }) => openedOn(id) > 0);
    if (own.length === 0) return [];
    const takes = own.reduce((sum, { id }) => sum + openedOn(id), 0);
    return [
      {
        name: place.name,
        opened: takes,
        bought: Math.max(takes, Math.ceil((ordered * takes) / opened - ROUNDED_OFTEN)),
      },
    ];
  });
}
