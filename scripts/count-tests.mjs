// Prints "PASSED FAILED" of a runner's JSON report; a run that failed without a failed test counts as one.
import { existsSync, readFileSync } from 'node:fs';

const [kind, file, status] = process.argv.slice(2);
let [passed, failed] = [0, 0];
if (existsSync(file)) {
  const report = JSON.parse(readFileSync(file, 'utf8'));
  if (kind === 'vitest') [passed, failed] = [report.numPassedTests, report.numFailedTests];
  else [passed, failed] = [report.stats.expected + report.stats.flaky, report.stats.unexpected];
}
if (status !== '0' && failed === 0) failed = 1;
console.log(`${passed} ${failed}`);
