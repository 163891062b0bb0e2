// npm run -s plan -- job.json: builds the command when needed and runs it; only the plan is printed.
import { build, install } from './build.mjs';

install();
build(['cli']);
await import('../cli/dist/main.js');
