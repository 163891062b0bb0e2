import { cutsHaveOneHome } from './cutsHaveOneHome.ts';
import { daysHoldTheWork, daysInOrder } from './daysHoldTheWork.ts';
import { findingsCountAlike } from './findingsCountAlike.ts';
import type { Law } from './law.ts';
import { linesStrikeBack } from './linesStrikeBack.ts';
import { moneyAddsUp } from './moneyAddsUp.ts';
import { nothingForNoHand } from './nothingForNoHand.ts';
import { piecesLieInTheirZones } from './piecesLieInTheirZones.ts';
import { rodAndLedgerFit } from './rodAndLedgerFit.ts';
import { tilesAddUp } from './tilesAddUp.ts';
import { wordsReadRight } from './wordsReadRight.ts';
import { zonesAddUp } from './zonesAddUp.ts';

/**
 * What holds for every plan, each law a file: where two parts tell of one thing, they tell the same. Strips of tile and
 * parts of mosaic sheets are counted with their tiles; pieces of their own, with labels, they are not yet.
 */
export const LAWS = {
  cutsHaveOneHome,
  tilesAddUp,
  zonesAddUp,
  daysHoldTheWork,
  daysInOrder,
  nothingForNoHand,
  linesStrikeBack,
  findingsCountAlike,
  moneyAddsUp,
  rodAndLedgerFit,
  piecesLieInTheirZones,
  wordsReadRight,
} as const satisfies Record<string, Law>;
