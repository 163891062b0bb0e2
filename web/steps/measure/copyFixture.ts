import type { Fixture } from '@azulejo/core/surface/fixture';
import { clipText } from '@azulejo/core/units/clipText';
import { nextId } from '../newId.ts';

/** A row of copies: so many more, each so much further from one of the two edges it is measured from, mm; nearer where negative. */
export interface CopyRow {
  readonly count: number;
  readonly everyMm: number;
  readonly furtherFrom: 0 | 1;
}

/** Copies of a fixture in a row with it, each with an id and a name of its own. */
export function copyFixture(fixture: Fixture, taken: readonly Fixture[], { count, everyMm, furtherFrom }: CopyRow): Fixture[] {
  const copies: Fixture[] = [];
  for (let n = 1; n <= count; n++) {
    const all = [...taken, ...copies];
    const [first, second] = fixture.from;
    const moved = { ...fixture.from[furtherFrom], mm: fixture.from[furtherFrom].mm + n * everyMm };
    copies.push({
      ...fixture,
      id: nextId('fixture', all),
      name: nextName(fixture.name, all),
      from: furtherFrom === 0 ? [moved, second] : [first, moved],
    });
  }
  return copies;
}

/** "Socket" is followed by "Socket 2", "Tap 4" by "Tap 5". */
function nextName(name: string, taken: readonly Fixture[]): string {
  const [, stem, figure] = /^(.*?)(?: (\d{1,4}))?$/s.exec(name) ?? ['', name, undefined];
  let number = Number(figure ?? 1) + 1;
  const named = (n: number): string => `${clipText(stem, 54)} ${n}`;
  while (taken.some((other) => other.name === named(number))) number++;
  return named(number);
}
