/** A short id that none of the others has: `fixture-1`, `fixture-2`. */
export function newId(stem: string, taken: readonly { readonly id: string }[]): string {
  let number = taken.length + 1;
  while (taken.some(({ id }) => id === `${stem}-${number}`)) number++;
  return `${stem}-${number}`;
}
