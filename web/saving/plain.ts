/** As the browser's database takes it: without the wrappings of drafts and of what is shown. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
