/** What nobody would write, each with what it is. */
const FAULTS: readonly (readonly [what: string, RegExp])[] = [
  ['a figure that was left out', /undefined|NaN|\[object|Infinity|\$\{/],
  ['a word twice', /\b(about|the|of|to|and|in|a|is|at|by|for|from|with) \1\b/i],
  // A fixture may be called by a number.
  ['one thing as many', /(?<![\d.,/:–\-"'] ?|[A-Z][a-z]+ )\b1 (?!mm|cm|kg|across|was|has|courses? back)[a-z]{2,}s\b/],
  ['one that do', /\bdo one\b|\bdo 1\b|\bis [02-9]\d* (?!mm\b|m\b|\d+\/)/],
  ['a figure too fine', /\d\.\d{4,}/],
  ['a stray space or stop', / [,;:]| {2}|,,|;;|(?<!\.)\.\.(?!\.)|^[ ,;]/],
  ['less than nothing', /(?<![\d\w-])-0\b/],
  // Stones may be set without a joint.
  ['nothing as a figure', /(?<![\d.,/]|joints? (of )?)0 (mm|kg|L|ml|g|min|h)\b|(?<![\d./] ?|joints? (of )?|Fixture )0"/],
];

/** What of a text would make a reader stop: the fault, and the text. */
export const misread = (text: string): string[] => FAULTS.flatMap(([what, fault]) => (fault.test(text) ? [`${what}: ${text}`] : []));
