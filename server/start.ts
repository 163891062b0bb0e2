import { existsSync, readFileSync } from 'node:fs';
import type { RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { siteRecordsSchema } from '@azulejo/core/site/siteRecords';
import { fileURLToPath } from 'node:url';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { buildApp } from './app.ts';
import { toApiError } from './errors/apiError.ts';
import { CopyFolder, today } from './copies/copyFolder.ts';
import type { Opened } from './copies/rescue.ts';
import { RescueNote } from './copies/rescueNote.ts';
import type { Database } from './db/database.ts';
import { takePort } from './frontDoor.ts';
import { openData } from './openData.ts';
import { coreRelease } from './layouts/coreRelease.ts';
import { LayoutRepository } from './layouts/layoutRepository.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { SiteRepository } from './site/siteRepository.ts';
import { addressesOfMachine, hostNames, isLoopback, readSettings, type Settings } from './settings.ts';
import { certificateFor } from './tls/certificate.ts';
import { startWorkLine } from './work/workLine.ts';

/** Between two looks at what has to be copied, ms. */
const COPY_EVERY_MS = 60 * 60 * 1000;

/** A stop that takes longer is ended by force; what was answered is on the disk. */
const STOP_LIMIT_MS = 8000;

const WEB = fileURLToPath(new URL('../../web/dist', import.meta.url));

const say = (text: string): void => {
  process.stdout.write(`${text}\n`);
};

/** Takes the port and the folder, opens the data, fills in the demo when asked, and answers. */
async function start(): Promise<void> {
  process.umask(0o077);
  // Whoever listened may be gone: a word that nobody hears ends nothing.
  for (const output of [process.stdout, process.stderr]) output.on('error', () => undefined);
  const settings = readSettings(process.argv.slice(2), process.env);
  const certificate = await certificateFor(settings, [...hostNames(settings)]);
  const door = await takePort(settings.host, settings.port, certificate);
  const copies = new CopyFolder(settings.dataFolder);
  const note = new RescueNote(settings.dataFolder);
  const data = await openData(settings, copies, say);
  const { database } = data;
  if (data.rescued) tellOfRescue(data.rescued, note);
  const jobs = new JobRepository(database);
  const site = new SiteRepository(database, jobs);
  for (const file of settings.jobFiles) await addJob(jobs, file, settings.withSite ? site : null);
  const layouts = new LayoutRepository(database);
  const release = coreRelease();
  const kept = release === null ? null : { store: layouts, release };
  const [exports, glances] = [startWorkLine('export', { layouts: kept }), startWorkLine('glance', { layouts: kept })];
  const loopback = isLoopback(settings.host);
  const answers: RequestListener[] = [];
  const app = await buildApp({
    database,
    writeExport: exports.work,
    takeGlance: glances.work,
    layouts: { store: layouts, release },
    copies: { copies, note },
    webFolder: WEB,
    requestsPerMinute: loopback ? null : 1200,
    welcome: { hostNames: hostNames(settings), publicOrigins: settings.publicOrigins },
    trustedProxy: settings.trustedProxy,
    certificate: settings.tls === 'made' ? (certificate?.cert ?? null) : null,
    serverFactory: (handler) => {
      answers.push(handler);
      return door.server;
    },
  });
  await app.ready();
  // Asked before it is ready, a route would fail on what it does not have yet.
  answers.forEach(door.open);
  tellAddresses(settings, door.server.address() as AddressInfo);
  const copying = keepCopies(database, copies, jobs, site);
  const stop = async (): Promise<void> => {
    setTimeout(() => process.exit(0), STOP_LIMIT_MS).unref();
    clearInterval(copying);
    await app.close();
    door.server.closeAllConnections();
    await Promise.all([exports.close(), glances.close()]);
    await data.close();
    process.exit(0);
  };
  process.once('SIGINT', () => void stop());
  process.once('SIGTERM', () => void stop());
}

function tellOfRescue(rescued: NonNullable<Opened['rescued']>, note: RescueNote): void {
  note.keep(rescued);
  const fromCopies = rescued.fromCopies.map(({ name, day }) => `${name} (${day})`).join(', ') || 'none';
  say(`The data was put together anew. Read from it: ${rescued.fromData.join(', ') || 'none'}. From copies: ${fromCopies}.`);
  say(`What was there is kept in ${rescued.setAside}`);
}

function tellAddresses(settings: Settings, { port }: AddressInfo): void {
  const { host } = settings;
  const anywhere = ['0.0.0.0', '::'].includes(host);
  const shown = anywhere ? ['127.0.0.1', ...addressesOfMachine()] : [host];
  const scheme = settings.tls === null ? 'http' : 'https';
  say(`Azulejo is ready: ${shown.map((name) => `${scheme}://${name.includes(':') ? `[${name}]` : name}:${port}`).join('  ')}`);
  if (settings.tls === 'made')
    say('A phone trusts it once its certificate is installed there: open the address with /api/certificate behind it (docs/server.md).');
  if (isLoopback(host)) return;
  if (settings.tls === null)
    say('Over plain http, browsers on other machines keep nothing for a place without a network: start with --tls for that.');
  process.stderr.write(
    '\nWARNING: whoever reaches this address can read, change and delete every job. Nobody is asked who they are.\n' +
      'Put it behind a proxy that asks (--public-origin, --trusted-proxy), or leave --host out.\n\n',
  );
}

/** A copy at the start and every hour, by one of all processes on the data; a failure is said and tried again the next time. */
function keepCopies(database: Database, copies: CopyFolder, jobs: JobRepository, site: SiteRepository): NodeJS.Timeout {
  const copy = async (): Promise<void> => {
    try {
      if (await database.leads('copies')) await copies.copyAll(jobs, site, today());
    } catch (error) {
      process.stderr.write(`The daily copy failed: ${explain(error)}\n`);
    }
  };
  void copy();
  return setInterval(() => void copy(), COPY_EVERY_MS);
}

async function addJob(jobs: JobRepository, file: string, site: SiteRepository | null): Promise<void> {
  const read = readJobFile(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(`${file}: ${read.issues.map((found) => `${found.path.join('.')}: ${describeIssue(found)}`).join('; ')}`);
  await jobs.insert(read.value);
  const beside = file.replace(/\.json$/, '.site.json');
  if (site && existsSync(beside)) await site.bringBack(read.value.id, siteRecordsSchema.parse(JSON.parse(readFileSync(beside, 'utf8'))));
}

function explain(error: unknown): string {
  if (!(error instanceof Error)) return typeof error === 'object' ? JSON.stringify(error) : String(error);
  const code = 'code' in error ? String(error.code) : '';
  if (code === 'EADDRINUSE') return 'the port is taken by another program: expected a free one (--port NUMBER), or 0 for any';
  if (code === 'EADDRNOTAVAIL') return 'this machine has no such address: expected one of its own after --host';
  if (toApiError(error).code === 'storage/unreachable' || /^(28|3D)/.test(code))
    return `the database of DATABASE_URL can't be opened: ${error.message || code}`;
  if (/ENOSPC|EDQUOT|No space left|53100/.test(`${code} ${error.message}`)) return 'the disk is full: free some space and start again';
  return error.message;
}

start().catch((error: unknown) => {
  process.stderr.write(`Azulejo could not start: ${explain(error)}\n`);
  process.exit(1);
});
