/** The figures of a form by name: what in it is a number. */
export const figuresOf = (form: object): Readonly<Record<string, number>> =>
  Object.fromEntries(Object.entries(form).filter((entry): entry is [string, number] => typeof entry[1] === 'number'));
