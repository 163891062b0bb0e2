// A folder where files of tests hand each other the plans of the demo jobs, for as long as they run.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** @public Jest asks for it by the name of the file. */
export default function openFolder() {
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-plans-'));
  process.env.AZULEJO_PLANS = folder;
  // The process that hands the tests out ends after the last of them.
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
}
