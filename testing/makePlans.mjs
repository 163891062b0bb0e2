// Plans the demo jobs with the core as it was built, and puts each plan where the tests look for it.
import { closeSync, openSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { serialize } from 'node:v8';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import { plan } from '@azulejo/core/plan';

const [, , folder] = process.argv;
const names = ['tidewater-bakehouse', 'sample-boards', 'ferry-kiosk'];
/** Says to those that ask that a plan is under way. */
const underWay = (name) => join(folder, `${name}.underway`);
for (const name of names) closeSync(openSync(underWay(name), 'w'));
for (const name of names) {
  const read = readJobFile(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8'));
  if (!read.ok) continue;
  writeFileSync(join(folder, `${name}.new`), serialize(plan(read.value)));
  renameSync(join(folder, `${name}.new`), join(folder, name));
  rmSync(underWay(name));
}
