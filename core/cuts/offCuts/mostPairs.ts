/**
 * How many pairs can be made at most of so many, each in one pair; half pairs are let through, so that it is never too few.
 * The most that a general graph holds is no more than half of the most that its double cover holds (König's theorem
 * gives that one exactly); found by augmenting paths.
 */
export function mostPairs(count: number, canPair: (a: number, b: number) => boolean): number {
  const partners = Array.from({ length: count }, (_, a) =>
    Array.from({ length: count }, (__, b) => b).filter((b) => a !== b && (a < b ? canPair(a, b) : canPair(b, a))),
  );
  const partnerOf = new Int32Array(count).fill(-1);
  const seen = new Int32Array(count).fill(-1);
  const find = (a: number, round: number): boolean => {
    for (const b of partners[a]) {
      if (seen[b] === round) continue;
      seen[b] = round;
      if (partnerOf[b] !== -1 && !find(partnerOf[b], round)) continue;
      partnerOf[b] = a;
      return true;
    }
    return false;
  };
  let found = 0;
  for (let a = 0; a < count; a++) if (find(a, a)) found++;
  return found / 2;
}
