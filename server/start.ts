import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { buildApp } from './app.ts';
import { lockFolder } from './db/lockFolder.ts';
import { migrate } from './db/migrate.ts';
import { openPglite } from './db/openPglite.ts';
import { bringJobsForward } from './jobs/bringJobsForward.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { readSettings } from './settings.ts';

const say = (text: string): void => {
  process.stdout.write(`${text}\n`);
};

/** Opens the data folder, fills in the demo when asked, and listens. */
async function start(): Promise<void> {
  const settings = readSettings(process.argv.slice(2), process.env);
  say(`Opening the data folder ${settings.dataFolder} (the first time takes some seconds)`);
  const unlock = await lockFolder(settings.dataFolder, () => {
    process.stderr.write('The lock of the data folder was lost; stopping before data is harmed.\n');
    process.exit(1);
  });
  const database = await openPglite(`${settings.dataFolder}/db`);
  await migrate(database);
  await bringJobsForward(database);
  for (const file of settings.jobFiles) await addJob(new JobRepository(database), file);
  const loopback = ['127.0.0.1', 'localhost', '::1'].includes(settings.host);
  const webFolder = fileURLToPath(new URL('../../web/dist', import.meta.url));
  const app = await buildApp({ database, webFolder, requestsPerMinute: loopback ? null : 1200 });
  const address = await app.listen({ host: settings.host, port: settings.port });
  say(`Azulejo is ready: ${address}`);
  const stop = async (): Promise<void> => {
    await app.close();
    await database.close();
    await unlock();
    process.exit(0);
  };
  process.once('SIGINT', () => void stop());
  process.once('SIGTERM', () => void stop());
}

async function addJob(jobs: JobRepository, file: string): Promise<void> {
  const read = readJobFile(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(`${file}: ${read.issues.map((found) => `${found.path.join('.')}: ${describeIssue(found)}`).join('; ')}`);
  await jobs.insert(read.value);
}

function explain(error: unknown): string {
  if (!(error instanceof Error)) return String(error);
  if ('code' in error && error.code === 'EADDRINUSE')
    return `the port is taken by another program: expected a free one (--port NUMBER), or 0 for any`;
  return error.message;
}

start().catch((error: unknown) => {
  process.stderr.write(`Azulejo could not start: ${explain(error)}\n`);
  process.exit(1);
});
