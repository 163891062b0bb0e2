import { spawnSync } from 'node:child_process';
import { chmodSync, closeSync, fstatSync, mkdirSync, openSync, statSync } from 'node:fs';
import { constants } from 'node:os';
import { join } from 'node:path';

const IN_USE = 'the data folder is in use by another Azulejo';

/** What O_EXLOCK is where a file can be opened and locked in one: macOS, and Windows as Node passes it on. */
const LOCK_ON_OPEN: Partial<Record<NodeJS.Platform, number>> = { darwin: 0x20 | 0x4, win32: 0x10000000 };
const READ_WRITE_CREATE = 0x2 | (process.platform === 'darwin' ? 0x200 : 0x40);

/** A data folder that is this process's alone. */
export interface FolderLock {
  /** Throws when the folder's lock is no longer the one that was taken; then nothing may be written. */
  check(): void;
  release(): void;
}

/**
 * Takes a data folder for this process alone; PGlite would let two processes destroy each other's data.
 * The system holds the lock on an open file: it lasts as long as the process, however busy or stopped,
 * and is gone the moment the process is. Throws in words when the folder can't be used.
 */
export function lockFolder(folder: string): FolderLock {
  const path = join(folder, 'lock');
  const file = openLocked(folder, path);
  const { ino, dev } = fstatSync(file);
  return {
    check: () => {
      const now = statSync(path, { throwIfNoEntry: false });
      if (now?.ino !== ino || now.dev !== dev) throw new Error(`the lock of the data folder was taken away: ${path}`);
    },
    release: () => closeSync(file),
  };
}

function openLocked(folder: string, path: string): number {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    chmodSync(folder, 0o700);
    const atOnce = LOCK_ON_OPEN[process.platform];
    if (atOnce !== undefined) return openSync(path, READ_WRITE_CREATE | atOnce, 0o600);
    const file = openSync(path, 'a+', 0o600);
    lockOpenFile(file, folder);
    return file;
  } catch (error) {
    throw explained(error as NodeJS.ErrnoException, folder);
  }
}

/** Locks a file that this process holds open: the lock is the open file's, and stays when the helper that took it ends. */
function lockOpenFile(file: number, folder: string): void {
  const { status, error } = spawnSync('flock', ['--exclusive', '--nonblock', '3'], { stdio: ['ignore', 'ignore', 'ignore', file] });
  if (error) throw new Error('the data folder can not be locked: expected the program "flock" of util-linux', { cause: error });
  if (status !== 0) throw new Error(`${IN_USE}: ${folder}`);
}

function explained(error: NodeJS.ErrnoException, folder: string): Error {
  const { code = '' } = error;
  if (code === 'EAGAIN' || code === 'EBUSY') return new Error(`${IN_USE}: ${folder}`);
  if (code === 'EACCES' || code === 'EPERM' || code === 'EROFS') return new Error(`the data folder can't be written to: ${folder}`);
  if (code === 'ENOSPC' || code === 'EDQUOT' || error.errno === -constants.errno.ENOSPC) return new Error(`the disk is full: ${folder}`);
  if (code === 'ENOTDIR' || code === 'EEXIST') return new Error(`expected a folder: ${folder}`);
  return error;
}
