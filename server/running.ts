import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

// Seen from its source, or from what was built of it.
const START = fileURLToPath(new URL(import.meta.url.endsWith('.ts') ? './dist/start.js' : './start.js', import.meta.url));
const START_LIMIT_MS = 60_000;

/** A folder for a server: as it is after a first start, which takes seconds, where one is at hand. */
function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-'));
  const { AZULEJO_STARTED_ONCE: startedOnce } = process.env;
  if (startedOnce) cpSync(startedOnce, folder, { recursive: true });
  return folder;
}

/** What the environment asks of its process: tests start it often, and for moments. */
const flagsOfNode = (): string[] => process.env.AZULEJO_SERVER_FLAGS?.split(' ') ?? [];

/** The server as it ships, in a process and on a folder of its own; may be stopped, killed and started again. For tests and benches. */
export class RunningServer {
  readonly folder: string;
  private process: ChildProcess | null = null;
  address = '';
  /** All it said, on both of its outputs. */
  said = '';

  private readonly environment: Readonly<Record<string, string>>;

  /** On a folder with data as after a first start; with what the environment says besides. */
  constructor(folder = newFolder(), environment: Readonly<Record<string, string>> = {}) {
    this.folder = folder;
    this.environment = environment;
  }

  /** Takes the data of another folder to start with: a first start takes seconds. */
  copyFrom(folder: string): this {
    cpSync(folder, this.folder, { recursive: true });
    return this;
  }

  /** Starts it on any free port; rejects with what it said when it ends instead. */
  async start(...flags: readonly string[]): Promise<void> {
    const started = spawn(process.execPath, [...flagsOfNode(), START, '--data', this.folder, '--port', '0', ...flags], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...this.environment },
    });
    this.process = started;
    this.said = '';
    this.address = await new Promise<string>((resolve, reject) => {
      const timer = setTimeout(() => reject(new Error(`the server did not start: ${this.said}`)), START_LIMIT_MS);
      const listen = (chunk: Buffer): void => {
        this.said += chunk.toString();
        const ready = /is ready: (\S+)/.exec(this.said);
        if (!ready) return;
        clearTimeout(timer);
        resolve(ready[1]);
      };
      started.stdout.on('data', listen);
      started.stderr.on('data', listen);
      started.once('exit', (code) => {
        clearTimeout(timer);
        reject(new Error(`the server stopped with ${code}: ${this.said}`));
      });
    });
  }

  /** Closes the ends that its words come out of. */
  goDeaf(): void {
    this.process?.stdout?.destroy();
    this.process?.stderr?.destroy();
  }

  signal(name: NodeJS.Signals): void {
    this.process?.kill(name);
  }

  /** Ends it: SIGKILL as a crash would, SIGTERM as it should. */
  async end(name: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const { process: running } = this;
    if (!running || running.exitCode !== null || running.signalCode !== null) return;
    const gone = new Promise((resolve) => {
      running.once('exit', resolve);
    });
    running.kill(name);
    await gone;
  }

  async remove(): Promise<void> {
    await this.end();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
