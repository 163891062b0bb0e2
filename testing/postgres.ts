import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const VERSIONS = '/usr/lib/postgresql';

/** A PostgreSQL server that tests started for themselves. */
export interface TestPostgres {
  /** The address of a new database on it. */
  newDatabase(): Promise<string>;
  /** Stops it as it should be, and starts it again on the same data and port. */
  halt(): Promise<void>;
  resume(): Promise<void>;
  stop(): Promise<void>;
}

/** Where Debian's PostgreSQL has its programs; null where it is not installed. */
function programs(): string | null {
  const versions = (existsSync(VERSIONS) ? readdirSync(VERSIONS) : []).sort((a, b) => Number(b) - Number(a));
  // A client alone has a folder there too.
  return versions.map((version) => join(VERSIONS, version, 'bin')).find((bin) => existsSync(join(bin, 'initdb'))) ?? null;
}

/**
 * Whether tests can start a PostgreSQL here. Said aloud where they can't, as half of what they promise is not tried then;
 * among all checks (CI) that is a failure.
 */
export function hasPostgres(): boolean {
  if (programs() !== null) return true;
  if (process.env.CI) throw new Error('expected a PostgreSQL server in /usr/lib/postgresql: apt-get install postgresql');
  process.stderr.write('\nNOT TRIED ON POSTGRESQL: it is not installed here (apt-get install postgresql).\n\n');
  return false;
}

/** Starts a server of its own, on a folder and a port of its own; not the system's service. It refuses to run as root. */
export async function startPostgres(): Promise<TestPostgres> {
  const bin = programs();
  if (bin === null) throw new Error('expected PostgreSQL in /usr/lib/postgresql');
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-postgres-'));
  const as = process.getuid?.() === 0 ? userOf('postgres') : null;
  if (as) chownSync(folder, as.uid, as.gid);
  const options = { ...as, cwd: folder, env: { PATH: process.env.PATH, LC_ALL: 'C.UTF-8' } };
  const data = join(folder, 'data');
  const made = spawnSync(join(bin, 'initdb'), ['-D', data, '-U', 'azulejo', '--auth=trust', '--no-sync', '-E', 'UTF8'], options);
  if (made.status !== 0) throw new Error(`PostgreSQL made no data folder: ${made.stderr.toString()}`);
  const port = await freePort();
  const settings = ['listen_addresses=127.0.0.1', 'unix_socket_directories=', 'fsync=off'].flatMap((setting) => ['-c', setting]);
  const sql = (statement: string): boolean =>
    spawnSync(join(bin, 'psql'), ['-h', '127.0.0.1', '-p', String(port), '-U', 'azulejo', 'postgres', '-c', statement], options).status ===
    0;
  let server: ChildProcess | null = null;
  const resume = async (): Promise<void> => {
    server = spawn(join(bin, 'postgres'), ['-D', data, '-p', String(port), ...settings], { ...options, stdio: 'ignore' });
    for (let tries = 0; !sql('SELECT 1'); tries++) {
      if (tries > 100 || server.exitCode !== null) throw new Error('PostgreSQL did not start');
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const halt = async (): Promise<void> => {
    const running = server;
    if (!running || running.exitCode !== null) return;
    const ended = new Promise((resolve) => running.once('exit', resolve));
    running.kill('SIGINT');
    await ended;
  };
  await resume();
  let databases = 0;
  return {
    newDatabase: () => {
      const name = `azulejo_${++databases}`;
      if (!sql(`CREATE DATABASE ${name}`)) throw new Error(`PostgreSQL made no database ${name}`);
      return Promise.resolve(`postgres://azulejo@127.0.0.1:${port}/${name}`);
    },
    halt,
    resume,
    stop: async () => {
      await halt();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

function userOf(name: string): { readonly uid: number; readonly gid: number } {
  const [uid, gid] = ['-u', '-g'].map((flag) => Number(spawnSync('id', [flag, name]).stdout.toString()));
  return { uid, gid };
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
