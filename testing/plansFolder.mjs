// A folder where files of tests hand each other the plans of the demo jobs, for as long as they run.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** @public Jest asks for it by the name of the file. */
export default function openFolder() {
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-plans-'));
  process.env.AZULEJO_PLANS = folder;
  // In a run of everything the core is built: the plans are made once, beside the tests that do not ask for them.
  if (process.env.AZULEJO_BUILT)
    spawn(process.execPath, [fileURLToPath(new URL('makePlans.mjs', import.meta.url)), folder], { stdio: 'ignore' }).unref();
  // The process that hands the tests out ends after the last of them.
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
}
