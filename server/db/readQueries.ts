import { readFileSync } from 'node:fs';

/** Reads the named .sql files beside a repository once, at start. */
export function readQueries<Name extends string>(moduleUrl: string, names: readonly Name[]): Readonly<Record<Name, string>> {
  const read = (name: Name): [Name, string] => [name, readFileSync(new URL(`./queries/${name}.sql`, moduleUrl), 'utf8')];
  return Object.fromEntries(names.map(read)) as Record<Name, string>;
}
