/** A text as it begins a sentence: names within it keep their capitals. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A text as it goes on within a sentence: names within it keep their capitals. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
