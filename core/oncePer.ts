/**
 * Works something out of plain data once, for as long as that data lives. Nothing here changes data, and what is worked
 * out depends on nothing else: so what is given again can't be stale, and it goes when the data goes.
 */
export function oncePer<Of extends object, Found>(workOut: (of: Of) => Found): (of: Of) => Found {
  const known = new WeakMap<Of, { readonly found: Found }>();
  return (of) => {
    const before = known.get(of);
    if (before) return before.found;
    const found = workOut(of);
    known.set(of, { found });
    return found;
  };
}
