/** Times of one piece of work, in ms: the median and the spread of many rounds. */
export interface Timing {
  median: number;
  low: number;
  high: number;
}

function timing(times: number[]): Timing {
  const sorted = times.sort((a, b) => a - b);
  const at = (part: number): number => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? 0;
  return { median: at(0.5), low: at(0.1), high: at(0.9) };
}

/** Times two pieces of work in turns, so that whatever the machine does meanwhile meets both. */
export function inTurns(
  ours: () => void,
  theirs: () => void,
  rounds: number,
  repeat = 1,
): { ours: Timing; theirs: Timing } {
  const once = (work: () => void): number => {
    const start = performance.now();
    for (let i = 0; i < repeat; i++) work();
    return (performance.now() - start) / repeat;
  };
  for (let i = 0; i < Math.min(rounds, 20); i++) {
    once(ours);
    once(theirs);
  }
  const times: { ours: number[]; theirs: number[] } = { ours: [], theirs: [] };
  for (let i = 0; i < rounds; i++) {
    times.ours.push(once(ours));
    times.theirs.push(once(theirs));
  }
  return { ours: timing(times.ours), theirs: timing(times.theirs) };
}

const ms = ({ median, low, high }: Timing): string =>
  `${median.toFixed(3)} ms (${low.toFixed(3)} to ${high.toFixed(3)})`;

/** One line of the report: how many times longer ours takes than the peer. @returns our median in ms */
export function report(what: string, peer: string, { ours, theirs }: { ours: Timing; theirs: Timing }): number {
  console.log(`${what}: ${(ours.median / theirs.median).toFixed(2)} x ${peer}`);
  console.log(`    ours ${ms(ours)}, ${peer} ${ms(theirs)}`);
  return ours.median;
}

/** One frame of a screen that shows 60 a second. */
export const FRAME_MS = 1000 / 60;

/** Does nothing for some milliseconds: the peer of work that has to be done within them. */
export function wait(milliseconds: number): void {
  const until = performance.now() + milliseconds;
  while (performance.now() < until);
}
