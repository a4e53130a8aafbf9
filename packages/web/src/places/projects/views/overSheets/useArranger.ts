import { useEffect, useState } from 'react';
import type { ArrangeAnswer, ArrangeTask } from './arrangeTask';

/** What comes of a task, worked out in a worker; undefined until it is there. Another task ends the one before. */
export function useArranger(task: ArrangeTask | undefined): { answer?: ArrangeAnswer; problem?: string } {
  const [done, setDone] = useState<{ task: ArrangeTask; answer?: ArrangeAnswer; problem?: string }>();
  useEffect(() => {
    if (!task) return;
    const worker = new Worker(new URL('./arrangeWorker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<ArrangeAnswer>) => setDone({ task, answer: data }));
    worker.addEventListener('error', () => setDone({ task, problem: 'This could not be worked out.' }));
    worker.postMessage(task);
    return () => worker.terminate();
  }, [task]);
  return done && done.task === task ? done : {};
}
