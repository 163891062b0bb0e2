/** A kind of thing that is remembered, and how many of it are kept at most: by content, or about each object. */
export interface Shelf<Thing> {
  readonly most: number;
  /** Tells kinds apart by what lies on them; never called. */
  readonly of?: (thing: Thing) => void;
}

/**
 * What was worked out, to be given again for the same. Whoever plans holds one and hands it in: a page's worker for as
 * long as it runs, a paper for the time it is made. With an empty one everything is worked out anew, to the same result.
 */
export class Memory {
  readonly #byContent = new Map<Shelf<never>, Map<string, unknown>>();
  readonly #about = new Map<Shelf<never>, WeakMap<object, readonly { readonly asked: readonly unknown[]; readonly thing: unknown }[]>>();

  /** What was kept under a text of all that it was made from; undefined where there is nothing. It counts as used. */
  find<Thing>(shelf: Shelf<Thing>, content: string): Thing | undefined {
    const kept = this.#byContent.get(shelf);
    const thing = kept?.get(content) as Thing | undefined;
    if (kept && thing !== undefined) {
      kept.delete(content);
      kept.set(content, thing);
    }
    return thing;
  }

  /** Keeps something under a text of all that it was made from; what was not used for longest makes room. */
  keep<Thing>(shelf: Shelf<Thing>, content: string, thing: Thing): Thing {
    const kept = this.#byContent.get(shelf) ?? new Map<string, unknown>();
    this.#byContent.set(shelf, kept);
    kept.delete(content);
    kept.set(content, thing);
    const [oldest] = kept.keys();
    if (kept.size > shelf.most && oldest !== undefined) kept.delete(oldest);
    return thing;
  }

  /** The same again for the same content, else worked out now. */
  recall<Thing>(shelf: Shelf<Thing>, content: string, workOut: () => Thing): Thing {
    return this.find(shelf, content) ?? this.keep(shelf, content, workOut());
  }

  /** The same again while the very same is asked about the very same object, else worked out now; it goes when the object goes. */
  recallAbout<Thing>(shelf: Shelf<Thing>, about: object, asked: readonly unknown[], workOut: () => Thing): Thing {
    const all = this.#about.get(shelf) ?? new WeakMap<object, readonly { readonly asked: readonly unknown[]; readonly thing: unknown }[]>();
    this.#about.set(shelf, all);
    const kept = all.get(about) ?? [];
    const same = kept.find((one) => one.asked.length === asked.length && one.asked.every((part, k) => Object.is(part, asked[k])));
    if (same) return same.thing as Thing;
    const thing = workOut();
    all.set(about, [{ asked, thing }, ...kept].slice(0, shelf.most));
    return thing;
  }
}
