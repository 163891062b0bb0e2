// npm run -s plan -- job.json: builds the command when needed and runs it; only the plan is printed.
import { setFlagsFromString } from 'node:v8';
import { build, install } from './build.mjs';
import { SHORT_LIVED } from './shortLived.mjs';

install();
build(['cli']);
for (const flag of SHORT_LIVED) setFlagsFromString(flag);
await import('../cli/dist/main.js');
