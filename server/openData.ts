import { existsSync } from 'node:fs';
import type { CopyFolder } from './copies/copyFolder.ts';
import { goBackTo, openOrRescue, type Opened } from './copies/rescue.ts';
import type { Database } from './db/database.ts';
import { lockFolder } from './db/lockFolder.ts';
import { migrate } from './db/migrate.ts';
import { openPglite } from './db/openPglite.ts';
import { openPostgres } from './db/openPostgres.ts';
import { bringJobsForward } from './jobs/bringJobsForward.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import type { Settings } from './settings.ts';

/** Data that is open and up to date. */
interface OpenData extends Opened {
  /** Closes it, so that others may have it. */
  close(): Promise<void>;
}

/** Opens the data that the settings name, and brings it forward. Throws in words where it can't be used. */
export const openData = (settings: Settings, copies: CopyFolder, say: (text: string) => void): Promise<OpenData> =>
  settings.databaseUrl === null ? openFolder(settings, copies, say) : openShared(settings.databaseUrl, say);

/** PGlite in the data folder, which is this process's alone from then on. */
async function openFolder(settings: Settings, copies: CopyFolder, say: (text: string) => void): Promise<OpenData> {
  const folder = `${settings.dataFolder}/db`;
  const lock = lockFolder(settings.dataFolder);
  say(`Opening the data folder ${settings.dataFolder}${existsSync(folder) ? '' : ' (the first time takes some seconds)'}`);
  const open = (path: string): Promise<Database> => openPglite(path, { mayWrite: () => lock.check() });
  const opened = await (settings.restore === null ? openOrRescue(folder, open, copies) : goBackTo(settings.restore, folder, open, copies));
  const close = async (): Promise<void> => {
    await opened.database.close();
    lock.release();
  };
  return { ...opened, close };
}

/** A PostgreSQL server, which other processes may have open too; damage and going back are its own affair. */
async function openShared(address: string, say: (text: string) => void): Promise<OpenData> {
  const { host, pathname } = new URL(address);
  say(`Opening PostgreSQL on ${host}, database ${pathname.slice(1) || 'of the same name as its user'}`);
  const database = await openPostgres(address);
  await migrate(database);
  await bringJobsForward(database, new JobRepository(database));
  return { database, rescued: null, close: () => database.close() };
}
