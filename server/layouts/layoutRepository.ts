import type { Database } from '../db/database.ts';
import { readQueries } from '../db/readQueries.ts';
import type { KeptLayout, LayoutStore } from './layoutStore.ts';

const SQL = readQueries(import.meta.url, ['findLayouts', 'keepLayouts', 'thinLayouts', 'forgetLayouts']);

/** What layouts may take up in all, bytes: some hundred jobs of many surfaces. */
const MOST_BYTES = 100e6;

/** Keeps layouts in the database, for all processes on it; those that nobody asked for longest go first. */
export class LayoutRepository implements LayoutStore {
  private readonly database: Database;
  private readonly mostBytes: number;

  constructor(database: Database, mostBytes = MOST_BYTES) {
    [this.database, this.mostBytes] = [database, mostBytes];
  }

  /** None where they can't be read: then it begins anew. */
  async find(keys: readonly string[]): Promise<readonly KeptLayout[]> {
    try {
      return await this.database.query<KeptLayout>(SQL.findLayouts, [JSON.stringify(keys)]);
    } catch {
      await this.database.query(SQL.forgetLayouts).catch(() => undefined);
      return [];
    }
  }

  async keep(layouts: readonly KeptLayout[]): Promise<void> {
    await this.database.query(SQL.keepLayouts, [JSON.stringify(layouts)]);
    await this.database.query(SQL.thinLayouts, [this.mostBytes]);
  }
}
