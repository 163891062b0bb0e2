/** A layout as it is kept: under a hash of what it was made from, packed. */
export interface KeptLayout {
  /** SHA-256 in hex. */
  readonly key: string;
  /** A packed text of it (pack.ts). */
  readonly content: string;
}

/** Where layouts are kept from one process to the next. */
export interface LayoutStore {
  /** Those of these keys that are there. */
  find(keys: readonly string[]): Promise<readonly KeptLayout[]>;
  keep(layouts: readonly KeptLayout[]): Promise<void>;
}
