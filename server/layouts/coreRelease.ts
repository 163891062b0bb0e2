import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const WRITTEN = fileURLToPath(new URL('../core-release', import.meta.url));

/** The release of the core as the build wrote it down; null where the server runs from its source. */
export const coreRelease = (): string | null => (existsSync(WRITTEN) ? readFileSync(WRITTEN, 'utf8').trim() : null);
