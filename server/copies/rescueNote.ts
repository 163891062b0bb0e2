import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Rescue } from '@azulejo/core/formats/apiTypes';

/** What was rescued, kept until somebody has read it. */
export class RescueNote {
  private readonly path: string;

  constructor(dataFolder: string) {
    this.path = join(dataFolder, 'rescued.json');
  }

  keep(rescue: Rescue): void {
    writeFileSync(this.path, JSON.stringify(rescue), { mode: 0o600 });
  }

  /** Null when nothing was rescued since it was last read. */
  read(): Rescue | null {
    try {
      // One that was written before parts could be lost names none.
      return { lost: [], ...(JSON.parse(readFileSync(this.path, 'utf8')) as Omit<Rescue, 'lost'> & Partial<Rescue>) };
    } catch {
      return null;
    }
  }

  forget(): void {
    rmSync(this.path, { force: true });
  }
}
