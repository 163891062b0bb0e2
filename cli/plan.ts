import { readFileSync } from 'node:fs';
import { jobFileSchema, readJobFile } from '@azulejo/core/formats/jobFile';
import { planJson, setoutsJson } from '@azulejo/core/formats/planJson';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { plan } from '@azulejo/core/plan';
import { issue, type Issue } from '@azulejo/core/result';

const BAD_INPUT = 2;

const USAGE = `Usage:
  plan JOB.json    prints the plan of a job file as JSON (a dash reads standard input)
  plan JOB.json --setouts    adds the setouts it compares, the best first
  plan --schema    prints the JSON Schema of a job file
`;

/** Runs the command; returns its exit code. */
export function runPlan(args: readonly string[], write: (text: string) => void, complain: (text: string) => void): number {
  if (args.includes('--schema')) {
    write(`${JSON.stringify(jobFileSchema(), null, 2)}\n`);
    return 0;
  }
  const withSetouts = args.includes('--setouts');
  const [file, ...rest] = args.filter((arg) => arg !== '--setouts');
  if (file === undefined || rest.length > 0 || (file.startsWith('--') && file !== '-')) {
    complain(USAGE);
    return BAD_INPUT;
  }
  const text = readText(file);
  if (text === null) return refuse([issue('file/unreadable', [], { file })], complain);
  const job = readJobFile(text);
  if (!job.ok) return refuse(job.issues, complain);
  const planned = planJson(job.value, plan(job.value));
  write(`${JSON.stringify(withSetouts ? { ...planned, setouts: setoutsJson(job.value) } : planned)}\n`);
  return 0;
}

function readText(file: string): string | null {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    return null;
  }
}

function refuse(issues: readonly Issue[], complain: (text: string) => void): number {
  const list = issues.map((found) => ({ path: found.path, code: found.code, message: describeIssue(found) }));
  complain(`${JSON.stringify(list, null, 2)}\n`);
  return BAD_INPUT;
}
