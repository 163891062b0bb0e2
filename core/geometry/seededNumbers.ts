/** Numbers between 0 and 1 that a seed fixes (a linear congruence; for trials and stand-ins, not for secrets). */
export function seededNumbers(seed: number): () => number {
  let state = (Math.imul(seed + 1, 2654435761) ^ 0x9e3779b9) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
}

/** Errors of a reading: normal with a spread of so many mm (Box and Muller). */
export function readingNoise(next: () => number, sigmaMm: number): () => number {
  return () => sigmaMm * Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
}
