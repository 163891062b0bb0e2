import { runPlan } from './plan.ts';

process.exitCode = runPlan(
  process.argv.slice(2),
  (text) => process.stdout.write(text),
  (text) => process.stderr.write(text),
);
