// npm run bench: builds and runs the benchmarks.
import { build, install } from './build.mjs';
import { installBrowser } from './debian.mjs';

install();
installBrowser();
build(['server', 'web', 'bench']);
await import('../bench/dist/main.js');
