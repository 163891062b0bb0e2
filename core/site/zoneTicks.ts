import type { LayingZone } from '../zones/layingZones.ts';

/** Begins the label of a tick for a whole zone: no piece is called so. */
const ZONE = 'zone ';

/** The label under which a zone is ticked as a whole, whole tiles and all, by its id. */
export const zoneTick = (id: string): string => ZONE + id;

/** Whether a tick is for a zone, not for a piece. */
export const isZoneTick = (label: string): boolean => label.startsWith(ZONE);

/** Whether a zone is laid: said of it as a whole, or of every piece that is cut for it. */
export const isZoneLaid = ({ id, cuts }: Pick<LayingZone, 'id' | 'cuts'>, isLaid: (label: string) => boolean): boolean =>
  isLaid(zoneTick(id)) || (cuts.length > 0 && cuts.every(isLaid));
