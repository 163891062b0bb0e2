// npm start and npm run demo: installs and builds what is missing, then starts the one server.
import { fileURLToPath } from 'node:url';
import { build, install } from './build.mjs';
import { demoJobs } from './demoJobs.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();
process.stderr.write('Building what changed\n');
build(['server', 'web']);
const own = process.argv.slice(2);
if (own[0] === 'demo') process.argv.splice(2, 1, '--data', '.data/demo', ...demoJobs());
await import('../server/dist/start.js');
