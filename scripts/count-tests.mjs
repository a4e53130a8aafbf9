// Prints "PASSED FAILED" of a runner's JSON report; a run that failed without a failed test counts as one. What failed is
// written to another file, each test with the beginning of its message, for the end of the whole run.
import { appendFileSync, existsSync, readFileSync } from 'node:fs';
import { relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';

const [kind, file, status, failures] = process.argv.slice(2);
const MESSAGE_LINES = 12;

/** The failed tests of a Vitest report. */
function failedInVitest(report) {
  return report.testResults.flatMap(({ name, message, assertionResults }) => {
    const tests = assertionResults.filter((test) => test.status === 'failed');
    const place = relative(process.cwd(), name);
    if (tests.length === 0 && message !== '') return [{ name: place, message }];
    return tests.map((test) => ({ name: `${place} > ${test.fullName}`, message: test.failureMessages.join('\n') }));
  });
}

/** The failed tests of a Playwright report, whose suites hold suites. */
function failedInPlaywright({ suites = [], specs = [] }) {
  const own = specs
    .filter((spec) => !spec.ok)
    .map((spec) => ({
      name: `e2e/${spec.file}:${spec.line} > ${spec.title}`,
      message: spec.tests.flatMap((test) => test.results.flatMap((result) => result.error?.message ?? [])).join('\n'),
    }));
  return [...own, ...suites.flatMap(failedInPlaywright)];
}

const runners = {
  vitest: { counts: (report) => [report.numPassedTests, report.numFailedTests], failed: failedInVitest },
  playwright: {
    counts: ({ stats }) => [stats.expected + stats.flaky, stats.unexpected],
    failed: failedInPlaywright,
  },
};

let [passed, failed] = [0, 0];
if (existsSync(file)) {
  const report = JSON.parse(readFileSync(file, 'utf8'));
  [passed, failed] = runners[kind].counts(report);
  for (const { name, message } of runners[kind].failed(report)) {
    const said = stripVTControlCharacters(message).trim().split('\n');
    // Where it failed, without the steps of the runner to get there.
    const lines = said.filter((line) => !/^\s+at .*node_modules/.test(line)).slice(0, MESSAGE_LINES);
    appendFileSync(failures, [`FAILED: ${name}`, ...lines.map((line) => `  ${line}`), ''].join('\n'));
  }
}
if (status !== '0' && failed === 0) {
  failed = 1;
  appendFileSync(failures, `FAILED: ${kind} ended with ${status}, though no test failed\n`);
}
console.log(`${passed} ${failed}`);
