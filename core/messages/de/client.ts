import { productName, type Job } from '../../job/job.ts';
import type { Pattern } from '../../pattern/registry.ts';
import type { AreaLaid } from '../areasLaid.ts';
import { formatArea } from '../../units/formatArea.ts';
import type { Tape } from '../../units/tape.ts';
import { read } from './figures.ts';
import { PATTERN_NAMES } from './patterns.ts';

/** What a client calls a pattern: its name, and nothing of how it is drawn. */
export const patternForClient = (pattern: Pattern): string =>
  pattern.kind === 'herringbone' && pattern.strips === 2 ? 'Doppeltes Fischgrät' : PATTERN_NAMES[pattern.kind];

/** A tile as a client reads it: "4,51 m² Pearl octagon, Achteck mit Einleger". */
export const describeLaid = (job: Job, { productId, pattern, areaMm2 }: AreaLaid, tape: Tape): string =>
  `${formatArea(areaMm2, read(tape))} ${productName(job, productId)}, ${patternForClient(pattern)}`;
