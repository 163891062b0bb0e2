import { RunningServer } from '@azulejo/server/running';

/** Every file of tests starts its server on a copy of one that was started before. */
export default async function startOnce(): Promise<() => Promise<void>> {
  const server = new RunningServer();
  await server.start();
  await server.end('SIGTERM');
  process.env.AZULEJO_STARTED_ONCE = server.folder;
  return () => server.remove();
}
