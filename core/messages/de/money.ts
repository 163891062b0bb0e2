import type { QuoteRow } from '../../job/quoteRows.ts';
import type { TaskId } from '../../labour/tasks.ts';
import type { QuoteLineKind } from '../../money/quote.ts';

/** What each kind of work is called. */
export const TASK_NAMES: Readonly<Record<TaskId, string>> = {
  openBoxes: 'Dosen öffnen',
  prime: 'Grundieren',
  level: 'Ausgleichen',
  bed: 'Mörtelbett',
  board: 'Platten setzen',
  waterproof: 'Abdichten',
  setOut: 'Einteilen und Anreißen',
  cut: 'Schneiden',
  ledger: 'Ansetzlatte anbringen',
  lay: 'Verlegen',
  ledgerOff: 'Ansetzlatte abnehmen',
  ledgerHoles: 'Löcher der Ansetzlatte schließen',
  ledgerSeal: 'Nachdichten an der Ansetzlatte',
  bottomRow: 'Unterste Reihe',
  edging: 'Geflieste Kanten',
  trim: 'Profile',
  strips: 'Streifen aus Fliesen',
  skirting: 'Sockel',
  scrape: 'Fugen auskratzen',
  sealTile: 'Fliesen imprägnieren',
  grout: 'Verfugen und Waschen',
  sealant: 'Dichtstofffugen',
  sealGrout: 'Fugen imprägnieren',
  refitBoxes: 'Dosen wieder montieren',
  haze: 'Zementschleier entfernen',
  protect: 'Abdecken',
};

const LINE_NAMES: Readonly<Record<QuoteLineKind, string>> = {
  materials: 'Material',
  tools: 'Geräte',
  labour: 'Arbeit',
  minimum: 'Auffüllung bis zum Mindestpreis',
  travel: 'Anfahrt',
  overhead: 'Gemeinkosten',
};

/** What a row of a quote is called. */
export const quoteRowName = ({ kind, place }: Pick<QuoteRow, 'kind' | 'place'>): string =>
  place === null ? LINE_NAMES[kind] : `${LINE_NAMES[kind]}: ${place}`;
