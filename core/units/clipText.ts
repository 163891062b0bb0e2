/** The first letters of a text, never half of one: an emoji is two halves that belong together. */
export function clipText(text: string, most: number): string {
  const clipped = text.slice(0, most);
  return clipped.isWellFormed() ? clipped : clipped.slice(0, -1);
}
