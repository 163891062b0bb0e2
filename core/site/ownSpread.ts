/** What is usual weighs as much as so many jobs of one's own. */
const WEIGHT_OF_USUAL = 4;

/**
 * How far use strays from the plan, as a share, by what was used over planned in past jobs: the spread about their own
 * mean, drawn towards the usual one as if that had been seen on four jobs (a scaled inverse chi-squared prior). One job
 * alone teaches no spread.
 */
export function ownSpread(ratios: readonly number[], usual: number): number {
  if (ratios.length < 2) return usual;
  const mean = ratios.reduce((sum, one) => sum + one, 0) / ratios.length;
  const squares = ratios.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  return Math.sqrt((WEIGHT_OF_USUAL * usual ** 2 + squares) / (WEIGHT_OF_USUAL + ratios.length - 1));
}
