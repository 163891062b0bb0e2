import { applyEdits } from '@azulejo/core/job/edit/applyEdits';
import { differences } from '@azulejo/core/job/edit/differences';
import { partOf, type Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import type { SentChange } from '@azulejo/core/formats/apiTypes';

/** Status and body. */
export type Answer = [number, object];
/** A refusal by its code. */
export const refusal = (status: number, code: string): Answer => [status, { code, message: code, issues: [] }];

/** A server of some jobs, as the real one answers; nothing of it is shared with the page. */
export class FakeServer {
  readonly jobs = new Map<string, { job: Job; version: number; parts: Map<string, number>; made: Map<string, Edit[]>; labels: string[] }>();
  down = false;
  /** What it answers instead, once for each. */
  refusals: Answer[] = [];
  /** Answers of changes that never arrive. */
  lost = 0;
  saves: string[] = [];
  hold: Promise<void> | null = null;

  add(job: Job): void {
    this.jobs.set(job.id, { job, version: 1, parts: new Map(), made: new Map(), labels: [] });
  }

  of(id = 'job') {
    const found = this.jobs.get(id);
    if (!found) throw new Error(`no job ${id}`);
    return found;
  }

  /** What somebody else saves. */
  change(id: string, label: string, edits: Edit[]): void {
    const kept = this.of(id);
    const before = kept.job;
    kept.job = applyEdits(before, edits);
    kept.version++;
    for (const edit of edits) kept.parts.set(partOf(edit), kept.version);
    kept.made.set(`${label}-${kept.version}`, differences(kept.job, before));
    kept.labels.push(label);
  }

  private answer(method: string, path: string, body: { baseVersion: number; change: SentChange } | null): Answer {
    const [, id, move] = /^\/api\/jobs\/([^/?]+)(?:\/(\w+))?/.exec(path) ?? [];
    const kept = this.jobs.get(id);
    if (!kept) return refusal(404, 'job/not-found');
    const standing = () => ({ version: kept.version, undoLabel: kept.labels.at(-1) ?? null, redoLabel: null });
    const since = (version: number): string[] => [...kept.parts].filter(([, at]) => at > version).map(([part]) => part);
    if (method === 'GET') {
      const query = new URL(path, 'http://x').searchParams;
      const change = query.get('change') ?? '';
      return [
        200,
        { job: kept.job, ...standing(), changed: since(Number(query.get('since') ?? kept.version)), made: kept.made.has(change) },
      ];
    }
    if (!body) return refusal(400, 'request/invalid');
    if (move === 'undo') {
      const [last] = [...kept.made.keys()].slice(-1);
      kept.job = applyEdits(kept.job, kept.made.get(last) ?? []);
      kept.made.delete(last);
      kept.labels.pop();
      kept.version++;
      return [200, { job: kept.job, ...standing() }];
    }
    const { change, baseVersion } = body;
    if (kept.made.has(change.id)) return [200, { ...standing(), others: [] }];
    const others = since(baseVersion);
    const touched = new Set(change.edits.map(partOf));
    if (others.some((part) => touched.has(part))) return refusal(409, 'job/changed-elsewhere');
    const before = kept.job;
    kept.job = applyEdits(before, change.edits);
    kept.version++;
    for (const part of touched) kept.parts.set(part, kept.version);
    kept.made.set(change.id, differences(kept.job, before));
    kept.labels.push(change.label);
    this.saves.push(`${id}: ${change.label}`);
    return [200, { ...standing(), others }];
  }

  fetch = (async (url: string, init?: { method?: string; body?: string }) => {
    await Promise.resolve();
    if (this.down) throw new TypeError('no network');
    const changes = url.endsWith('/changes');
    if (changes && this.hold) await this.hold;
    const [refused] = changes ? this.refusals.splice(0, 1) : [];
    const [status, content] = refused ?? this.answer(init?.method ?? 'GET', url, init?.body ? JSON.parse(init.body) : null);
    if (changes && this.lost > 0 && this.lost--) throw new TypeError('lost');
    return { status, ok: status < 400, json: () => Promise.resolve(structuredClone(content)) };
  }) as unknown as typeof fetch;
}
