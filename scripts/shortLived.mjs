/**
 * How the engine is to compile what runs for seconds: at once to plain machine code, which is quick to make, and later than usual
 * to the best there is. A plan of the demo in a new process takes two thirds of the time.
 */
export const SHORT_LIVED = ['--always-sparkplug', '--interrupt-budget=1000000'];

/** The same where others run beside it: it clears up alone. That can only be said as a process starts. */
export const SHORT_LIVED_BESIDE_OTHERS = [...SHORT_LIVED, '--single-threaded-gc'];
