/**
 * How many pairs can be made at most of things of some kinds, each in one pair; half pairs are let through, so that it is
 * never too few. The most that a general graph holds is no more than half of the most that its double cover holds (König's
 * theorem gives that one exactly); found by augmenting paths.
 */
export function mostPairs(kindOf: readonly number[], canPair: (a: number, b: number) => boolean): number {
  const kinds = [...new Set(kindOf)];
  const besideKind = new Map(
    kinds.map((kind) => {
      const partners = new Set(kinds.filter((other) => canPair(kind, other)));
      return [kind, kindOf.flatMap((other, k) => (partners.has(other) ? [k] : []))];
    }),
  );
  const partnerOf = new Int32Array(kindOf.length).fill(-1);
  const seen = new Int32Array(kindOf.length).fill(-1);
  const find = (a: number, round: number): boolean => {
    for (const b of besideKind.get(kindOf[a]) ?? []) {
      if (b === a || seen[b] === round) continue;
      seen[b] = round;
      if (partnerOf[b] !== -1 && !find(partnerOf[b], round)) continue;
      partnerOf[b] = a;
      return true;
    }
    return false;
  };
  let found = 0;
  for (let a = 0; a < kindOf.length; a++) if (find(a, a)) found++;
  return found / 2;
}
