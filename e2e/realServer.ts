import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const START = fileURLToPath(new URL('../server/dist/start.js', import.meta.url));
const START_LIMIT_MS = 60_000;

/** The real server on a folder of its own; may be killed and started again. */
export class RealServer {
  readonly folder = mkdtempSync(join(tmpdir(), 'azulejo-e2e-'));
  private process: ChildProcess | null = null;
  address = '';

  async start(...jobFiles: readonly string[]): Promise<void> {
    const args = [START, '--data', this.folder, '--port', '0', ...jobFiles.flatMap((file) => ['--add-job', file])];
    const started = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    this.process = started;
    this.address = await new Promise<string>((resolve, reject) => {
      let said = '';
      const timer = setTimeout(() => reject(new Error(`the server did not start: ${said}`)), START_LIMIT_MS);
      const listen = (chunk: Buffer): void => {
        said += chunk.toString();
        const ready = /is ready: (\S+)/.exec(said);
        if (!ready) return;
        clearTimeout(timer);
        resolve(ready[1]);
      };
      started.stdout.on('data', listen);
      started.stderr.on('data', listen);
      started.once('exit', (code) => reject(new Error(`the server stopped with ${code}: ${said}`)));
    });
  }

  /** Ends the server without warning, as a power cut would. */
  async kill(): Promise<void> {
    const { process: running } = this;
    if (!running || running.exitCode !== null) return;
    const gone = new Promise((resolve) => {
      running.once('exit', resolve);
    });
    running.kill('SIGKILL');
    await gone;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
