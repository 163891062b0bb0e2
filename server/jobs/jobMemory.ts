import type { Job } from '@azulejo/core/job/job';

/** A job as it was last read or written, and where it stood then. */
export interface KnownJob {
  readonly job: Job;
  readonly version: number;
  /** Tells a job from one of the same id that was there before. */
  readonly made: string;
  readonly position: number;
  /** The version at which each part last changed. */
  readonly parts: Readonly<Record<string, number>>;
  /** Whether there are undone changes, which a new one forgets. */
  readonly hasUndone: boolean;
}

/** Jobs kept in memory, so that a save neither reads nor checks what it does not touch. */
const MOST = 24;

/** The jobs that were used last. What it tells may be old: a write finds out. */
export class JobMemory {
  private readonly known = new Map<string, KnownJob>();

  get(id: string): KnownJob | undefined {
    return this.known.get(id);
  }

  keep(known: KnownJob): KnownJob {
    const { id } = known.job;
    this.known.delete(id);
    this.known.set(id, known);
    const [oldest] = this.known.keys();
    if (this.known.size > MOST && oldest !== undefined) this.known.delete(oldest);
    return known;
  }

  forget(id: string): void {
    this.known.delete(id);
  }
}
