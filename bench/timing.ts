/** How long some work takes, ms. */
export function timeOf(work: () => unknown): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** The middle of so many timings, ms. */
export function median(rounds: number, work: () => unknown): number {
  const times = Array.from({ length: rounds }, () => timeOf(work)).sort((a, b) => a - b);
  return times[Math.floor(rounds / 2)];
}
