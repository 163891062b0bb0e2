import { homedir } from 'node:os';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';

/** Where the server keeps data and listens. */
export interface Settings {
  readonly dataFolder: string;
  readonly host: string;
  readonly port: number;
  /** Job files to add when they are not there yet. */
  readonly jobFiles: readonly string[];
}

/**
 * Reads `--data`, `--host`, `--port` and `--add-job`, or AZULEJO_DATA, AZULEJO_HOST and
 * AZULEJO_PORT. Without them: ~/.azulejo, the loopback, 4680. Throws on a port that is none.
 */
export function readSettings(args: readonly string[], environment: Readonly<Record<string, string | undefined>>): Settings {
  const { values } = parseArgs({
    args: [...args],
    options: {
      data: { type: 'string' },
      host: { type: 'string' },
      port: { type: 'string' },
      'add-job': { type: 'string', multiple: true },
    },
  });
  const port = Number(values.port ?? environment['AZULEJO_PORT'] ?? 4680);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`expected a port from 0 to 65535: got ${values.port ?? environment['AZULEJO_PORT']}`);
  return {
    dataFolder: resolve(values.data ?? environment['AZULEJO_DATA'] ?? join(homedir(), '.azulejo')),
    host: values.host ?? environment['AZULEJO_HOST'] ?? '127.0.0.1',
    port,
    jobFiles: values['add-job'] ?? [],
  };
}
