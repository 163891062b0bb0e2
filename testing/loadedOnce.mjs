// Tests of what only computes are loaded into one process each core has, without sandboxes: the core is compiled once, and is warm
// when the next file of tests asks for it (a core without hidden state can be shared: core/plan/planMemory).
import { register } from 'node:module';
import './setup.mjs';

register('./typescriptHooks.mjs', import.meta.url);
