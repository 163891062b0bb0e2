interface Named {
  readonly walls: readonly { readonly id: string; readonly name: string }[];
}

/** The letter of a corner: A to Z, then A2 and so on; corner k is where wall k starts. */
export const cornerLetter = (k: number): string => String.fromCharCode(65 + (k % 26)) + (k < 26 ? '' : String(1 + Math.floor(k / 26)));

/** What a wall is called: its own name, else its two corners, as in "A–B". */
export function wallTitle({ walls }: Named, id: string): string {
  const k = walls.findIndex((wall) => wall.id === id);
  if (k === -1) return id;
  return walls[k].name || `${cornerLetter(k)}–${cornerLetter((k + 1) % walls.length)}`;
}

/** What a measurement between the corners where two walls start is called, as in "A–C". */
export function checkTitle({ walls }: Named, from: string, to: string): string {
  return [from, to].map((id) => cornerLetter(walls.findIndex((wall) => wall.id === id))).join('–');
}

/** What a reading is called: a wall by its name, anything else by its two corners. */
export const readingTitle = (
  shape: Named,
  { kind, id, from, to }: Readonly<Record<'kind' | 'id', string>> & Readonly<Record<'from' | 'to', number>>,
): string => (kind === 'wall' ? wallTitle(shape, id) : `${cornerLetter(from)}–${cornerLetter(to)}`);
