import { Worker } from 'node:worker_threads';
import { differentSheets, look, SHEETS, shippedTypefaces } from './differentSheets';
import { inTurns, report, wait } from './measure';

/** Each sheet solved, fitted and drawn with what is found on it: a thousand a second. */
export function benchSheets(): void {
  const [sources, typefaces] = [differentSheets(), shippedTypefaces()];
  let at = 0;
  report(
    `Each of ${SHEETS} different sheets solved, fitted and drawn`,
    'a millisecond',
    inTurns(
      () => void look(sources[at++ % SHEETS]!, typefaces),
      () => wait(1),
      SHEETS,
    ),
  );
}

/** How often the thread that waits looks at the clock, in ms. */
const TICK = 5;

/** The same sheets in a worker, while the thread that asked for them goes on. */
export async function benchSheetsInWorker(): Promise<void> {
  const worker = new Worker(new URL('./sheetWorker.mjs', import.meta.url));
  let [last, longest] = [performance.now(), 0];
  const ticking = setInterval(() => {
    const now = performance.now();
    longest = Math.max(longest, now - last);
    last = now;
  }, TICK);
  const took = await new Promise<number>((done, failed) => {
    worker.once('message', done);
    worker.once('error', failed);
  });
  clearInterval(ticking);
  await worker.terminate();
  console.log(`The same ${SHEETS} sheets in a worker: ${(took / SHEETS).toFixed(2)} x a millisecond each`);
  console.log(
    `    ${Math.round((SHEETS * 1000) / took)} a second; the thread that waits stood still for ${Math.round(longest)} ms at most`,
  );
}
