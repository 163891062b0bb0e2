import type { Care } from '../../setout/choice/ways.ts';

const CARE_WORDS: Readonly<Record<Care, readonly [string, string]>> = {
  slivers: ['No strips', 'pieces under a third of the tile, or under 50 mm'],
  ends: ['Large pieces at the ends', 'the larger, the better they look'],
  fullSeen: ['Full tiles where one looks first', 'focal, trimmed and threshold edges'],
  balance: ['The same at both ends', 'opposite edges that are seen alike'],
  square: ['Courses that run with the walls', 'no edge that looks crooked'],
  middle: ['Even about the middle', 'of a window, a niche, a sink or a hob'],
  beside: ['Full tiles beside what stands in it', 'trays, windows, cabinets'],
  rounds: ['Pipes on joints', 'half a hole is easier than one in mid-tile'],
  ears: ['No legs that break', 'beside notches and sockets'],
  work: ['Little work at the saw', 'the number of cuts, and the hard ones'],
  pieces: ['Few tiles', 'those that are opened for cuts'],
  motifs: ['Whole motifs', 'figured sheets that show whole'],
};

/** What a care is called. */
export const careName = (care: Care): string => CARE_WORDS[care][0];

/** What it looks at. */
export const careHint = (care: Care): string => CARE_WORDS[care][1];
