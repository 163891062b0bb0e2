import { ringArea } from '../geometry/ring.ts';
import { cellArea, type Repeat } from './repeat.ts';

/** The share of the area that joints take in a field without edges. */
export const jointShare = (repeat: Repeat): number =>
  1 - repeat.pieces.reduce((sum, { ring }) => sum + ringArea(ring), 0) / cellArea(repeat);
