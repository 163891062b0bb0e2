/** The day of a time, in words: "Wed, 2 December 2026". */
export const dayOf = (at: string): string =>
  new Date(at).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year: 'numeric' });
