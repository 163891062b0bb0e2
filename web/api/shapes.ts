/** Whether an answer is of the shape that was asked for. */
export type Shape = (content: unknown) => boolean;

/** A thing with these parts, whatever else it has. */
export const thingWith =
  (...keys: readonly string[]): Shape =>
  (content) =>
    typeof content === 'object' && content !== null && !Array.isArray(content) && keys.every((key) => key in content);

/** A list of such things. */
export const listOf =
  (item: Shape): Shape =>
  (content) =>
    Array.isArray(content) && content.every(item);

/** Nothing at all, or such a thing. */
export const perhaps =
  (shape: Shape): Shape =>
  (content) =>
    content === null || shape(content);

/** No content. */
export const nothing: Shape = (content) => content === undefined;
