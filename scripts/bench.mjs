// npm run bench: builds and runs the benchmarks.
import { build, install } from './build.mjs';
import { installBrowser } from './chromium.mjs';

install();
installBrowser();
build(['server', 'web', 'bench']);
await import('../bench/dist/main.js');
