import { marked, type Tape } from './tape.ts';

const MM2_PER_FT2 = 304.8 ** 2;
const MM_PER_FT = 304.8;

/** An area as the tape's people say it: `12.40 m²`, `133.47 ft²`. */
export function formatArea(areaMm2: number, tape: Pick<Tape, 'system' | 'words'>, decimals = 2): string {
  const [size, unit] = tape.system === 'metric' ? [areaMm2 / 1e6, 'm²'] : [areaMm2 / MM2_PER_FT2, 'ft²'];
  return `${marked(size.toFixed(decimals), tape)} ${unit}`;
}

/** A length of run as it is bought: `12.40 m`, `40.7 ft`. */
export function formatRun(mm: number, tape: Pick<Tape, 'system' | 'words'>): string {
  const [length, unit] = tape.system === 'metric' ? [(mm / 1000).toFixed(2), 'm'] : [(mm / MM_PER_FT).toFixed(1), 'ft'];
  return `${marked(length, tape)} ${unit}`;
}
