import { chmodSync, closeSync, existsSync, fdatasync, fdatasyncSync, openSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** The parts of the emscripten file system that are watched. */
interface Stream {
  readonly node: object;
  readonly nfd: number;
}
interface StreamOperations {
  fsync?: (stream: Stream) => number;
  write: (stream: Stream, ...what: unknown[]) => number;
  close: (stream: Stream) => void;
}
interface NodeOperations {
  setattr: (node: object, attributes: { mode?: number }) => void;
}
interface FileSystem {
  readonly NODEFS: { readonly stream_ops: StreamOperations; readonly node_ops: NodeOperations; realPath(node: object): string };
}

/** What others of this machine may do with the files: nothing. */
const OTHERS = 0o077;
type InitArguments = Parameters<NodeFS['init']>;

const syncData = promisify(fdatasync);
const LOG = /[\\/]pg_wal[\\/][0-9A-F]{24}$/;

/**
 * PGlite's folder, synced to the disk as PostgreSQL asks for it; PGlite alone would leave that to the
 * system. The write-ahead log is synced once for all commits that wait, off the main thread; nothing
 * else is written while the log it follows from is not on the disk.
 */
export class SyncedFolder extends NodeFS {
  private readonly folder: string;
  private readonly onSynced: (path: string) => void;
  /** Log files written to since they were last synced. */
  private readonly waiting = new Set<string>();
  private running: Promise<void> = Promise.resolve();
  private next: Promise<void> | null = null;
  private failure: Error | null = null;
  private open: { readonly path: string; readonly file: number } | null = null;

  constructor(folder: string, onSynced: (path: string) => void = () => undefined) {
    super(folder);
    this.folder = folder;
    this.onSynced = onSynced;
  }

  override async init(...[pg, options]: InitArguments): ReturnType<NodeFS['init']> {
    if (existsSync(this.folder)) keepFromOthers(this.folder);
    const { emscriptenOpts } = await super.init(pg, options);
    const watch = (module: unknown): void => this.watch(module as FileSystem);
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun as []), watch] } } as Awaited<
      ReturnType<NodeFS['init']>
    >;
  }

  /** Settles when everything written until now is on the disk. Rejects for good once the disk refused. */
  synced(): Promise<void> {
    if (this.failure) return Promise.reject(this.failure);
    if (this.waiting.size === 0) return this.running;
    this.next ??= this.running.then(() => {
      this.next = null;
      this.running = this.syncLog();
      return this.running;
    });
    return this.next;
  }

  private async syncLog(): Promise<void> {
    const paths = [...this.waiting];
    this.waiting.clear();
    for (const path of paths) {
      try {
        await syncData(this.fileOf(path));
        this.onSynced(path);
      } catch (error) {
        this.failure = error as Error;
        throw error;
      }
    }
  }

  private syncLogNow(): void {
    for (const path of this.waiting) {
      fdatasyncSync(this.fileOf(path));
      this.onSynced(path);
    }
    this.waiting.clear();
  }

  /** The log file, held open here too, so that PostgreSQL may close it while it is being synced. */
  private fileOf(path: string): number {
    if (this.open?.path !== path) {
      const before = this.open;
      this.open = { path, file: openSync(path, 'r+') };
      // A sync of the file before may still be under way.
      if (before) void this.running.catch(() => undefined).then(() => closeSync(before.file));
    }
    return this.open.file;
  }

  override async closeFs(): Promise<void> {
    await this.synced().catch(() => undefined);
    await super.closeFs();
    if (this.open) closeSync(this.open.file);
    this.open = null;
  }

  private watch({ NODEFS }: FileSystem): void {
    const operations = NODEFS.stream_ops;
    const { node_ops: nodes } = NODEFS;
    const { setattr } = nodes;
    // Files are given their mode by name, past the mask of the process.
    nodes.setattr = (node, attributes) =>
      setattr(node, attributes.mode === undefined ? attributes : { ...attributes, mode: attributes.mode & ~OTHERS });
    const { write, close } = operations;
    const paths = new WeakMap<object, string>();
    const pathOf = ({ node }: Stream): string => {
      const path = paths.get(node) ?? NODEFS.realPath(node);
      paths.set(node, path);
      return path;
    };
    operations.fsync = (stream) => {
      const path = NODEFS.realPath(stream.node);
      if (LOG.test(path)) {
        this.waiting.add(path);
        return 0;
      }
      this.syncLogNow();
      fdatasyncSync(stream.nfd);
      this.onSynced(path);
      return 0;
    };
    operations.write = (stream, ...what) => {
      if (this.waiting.size > 0 && !LOG.test(pathOf(stream))) this.syncLogNow();
      return write(stream, ...what);
    };
    operations.close = (stream) => {
      if (this.waiting.size > 0 && this.waiting.has(pathOf(stream))) this.syncLogNow();
      close(stream);
    };
  }
}

/** Files of a folder that was written before its files were kept from others. */
function keepFromOthers(folder: string): void {
  for (const name of ['', ...readdirSync(folder, { recursive: true, encoding: 'utf8' })]) {
    const path = join(folder, name);
    const { mode } = statSync(path);
    if (mode & OTHERS) chmodSync(path, mode & 0o777 & ~OTHERS);
  }
}
