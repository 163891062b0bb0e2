/**
 * How many random cases a test tries: every run of all tests takes a share of them, the same ones each time, so that
 * it ends in minutes. TRIALS=1 tries all that the test was written for, TRIALS=5 five times as many.
 */
export const trials = (all: number): number => Math.ceil(all * Number(process.env['TRIALS'] ?? 1 / 3));
