import { readdirSync, readFileSync } from 'node:fs';
import type { HostileFile } from '../packages/reading/src/testing/hostileFile';

/** Limits of a reading here, so that what is meant to go on for ever does not. */
export const [SECONDS, MEGABYTES] = [2, 1000];
/** What a process may take beyond its limit before that is seen, and what a start takes. */
const MORE_MEGABYTES = 200;

/** The most memory that the reading process below another one has had so far, in MB. */
function peakBelow(pid: number, below = (args: string) => args.includes('reading.mjs')): number {
  let peak = 0;
  for (const each of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      const status = readFileSync(`/proc/${each}/status`, 'utf8');
      if (!status.includes(`PPid:\t${pid}\n`) || !below(readFileSync(`/proc/${each}/cmdline`, 'utf8'))) continue;
      peak = Math.max(peak, Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
    } catch {
      // It has ended since it was listed.
    }
  }
  return peak;
}

export interface Ending {
  answer: string;
  seconds: number;
  megabytes: number;
}

/** What a reading answers, and what it takes. @param pid the process that the one that reads stands below */
export async function measured(work: () => Promise<string>, pid: () => number): Promise<Ending> {
  let megabytes = 0;
  const watch = setInterval(() => (megabytes = Math.max(megabytes, peakBelow(pid()))), 100);
  const begun = performance.now();
  try {
    const answer = await work();
    return { answer, seconds: (performance.now() - begun) / 1000, megabytes };
  } finally {
    clearInterval(watch);
  }
}

const LIMIT = /takes longer than \d+ s|needs more than \d+ MB/;

/** Expects what is told of a file, within the limits. */
export function check({ name, answer }: HostileFile, ending: Ending): void {
  const fits =
    answer === 'any'
      ? /./.test(ending.answer)
      : answer === 'read'
        ? ending.answer === 'read'
        : answer.test(ending.answer);
  // What cannot be told apart from a large drawing is ended by the limits, whichever comes first on this machine.
  expect([name, fits || LIMIT.test(ending.answer) ? 'as expected' : ending.answer]).toEqual([name, 'as expected']);
  if (process.env['MENDREL_TABLE'])
    process.stdout.write(
      `| ${name} | ${ending.answer.slice(0, 90)} | ${ending.seconds.toFixed(1)} | ${Math.round(ending.megabytes)} |\n`,
    );
  expect([name, ending.answer]).toEqual([
    name,
    expect.not.stringMatching(/should not happen|undefined|\bat .*:\d+:\d+/),
  ]);
  // That it ended is what the time limit is for: a machine that stands still for seconds says nothing about the reader.
  expect(ending.megabytes).toBeLessThan(MEGABYTES + MORE_MEGABYTES);
}
