// npm run bench: builds and runs the benchmarks.
import { build, install } from './build.mjs';

install();
build(['server', 'bench']);
await import('../bench/dist/main.js');
