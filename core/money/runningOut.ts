/** The chance that a normal spread lies above so many of its deviations (Abramowitz and Stegun, 26.2.17; right to 1e-7). */
export function chanceAbove(deviations: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(deviations));
  const series = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (series * Math.exp((-deviations * deviations) / 2)) / Math.sqrt(2 * Math.PI);
  return deviations >= 0 ? tail : 1 - tail;
}

/** So many deviations above the mean leave no more than a chance, by halving; 0 for a half and more. */
export function deviationsFor(chance: number): number {
  if (chance >= 0.5) return 0;
  let [low, high] = [0, 8];
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (chanceAbove(middle) > chance) low = middle;
    else high = middle;
  }
  return high;
}

/** The chance that use runs over what is there, where it strays from the need by a share; null where it does not stray. */
export function chanceOfRunningOut(need: number, holds: number, spread: number): number | null {
  if (spread === 0 || need <= 0) return null;
  return chanceAbove((holds / need - 1) / spread);
}

/** The chance that more than `spare` of the tiles break where `expected` do on average (Poisson). */
export function chanceOfMoreBroken(expected: number, spare: number): number {
  let [term, sum] = [Math.exp(-expected), 0];
  for (let k = 0; k <= spare; k++) {
    sum += term;
    term *= expected / (k + 1);
  }
  return Math.max(0, 1 - sum);
}
