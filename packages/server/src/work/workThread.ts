import { Worker } from 'node:worker_threads';
import { Failure } from '../http/failure';
import type { TaskKind, Tasks, Work } from './tasks';
import type { FromThread, ToThread } from './thread';

/** How long a task may take with those before it, in ms; only one that never ends takes as long. */
const MOST_TIME = 300_000;

interface Waiting {
  resolve: (result: Tasks[TaskKind]['result']) => void;
  reject: (error: Error) => void;
  timer: NodeJS.Timeout;
}

/**
 * Heavy work in a thread of its own, one task after the other, so that the server stays quick for everybody. The thread is
 * started when it is first needed, and again when it has ended.
 */
export class WorkThread {
  private worker: Worker | undefined;
  private fonts: ReadonlyMap<string, Uint8Array> | undefined;
  private readonly waiting = new Map<number, Waiting>();
  private last = 0;

  /**
   * @param script the bundled script of the thread
   * @param fontFiles typefaces by name as they are now; another map when one comes or goes
   * @param mostTime how long a task may take with those before it, in ms
   */
  constructor(
    private readonly script: URL,
    private readonly fontFiles: () => ReadonlyMap<string, Uint8Array>,
    private readonly mostTime = MOST_TIME,
  ) {}

  readonly work: Work = <K extends TaskKind>(kind: K, task: Tasks[K]['task']) =>
    new Promise<Tasks[K]['result']>((resolve, reject) => {
      const worker = this.started();
      const fonts = this.fontFiles();
      if (fonts !== this.fonts) {
        this.fonts = fonts;
        worker.postMessage({ fonts } satisfies ToThread);
      }
      const id = ++this.last;
      const timer = setTimeout(() => this.giveUp(worker), this.mostTime).unref();
      this.waiting.set(id, { resolve, reject, timer });
      worker.postMessage({ id, kind, task });
    });

  /** Ends the thread; what it was at is given up. */
  async close(): Promise<void> {
    const { worker } = this;
    this.ended(new Failure('stopped', 'the server was stopped'));
    await worker?.terminate();
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(this.script);
    worker.unref();
    worker.on('message', (answer: FromThread) => {
      const waiting = this.waiting.get(answer.id);
      this.waiting.delete(answer.id);
      clearTimeout(waiting?.timer);
      if ('failed' in answer) waiting?.reject(new Error(answer.failed));
      else waiting?.resolve(answer.result);
    });
    worker.on('error', (error: Error) => this.worker === worker && this.ended(error));
    worker.on('exit', () => this.worker === worker && this.ended(new Error('the thread for heavy work ended')));
    this.worker = worker;
    return worker;
  }

  /** Ends a thread that is at something without end. */
  private giveUp(worker: Worker): void {
    if (this.worker !== worker) return;
    this.ended(new Error('heavy work took too long and was given up'));
    void worker.terminate();
  }

  private ended(error: Error): void {
    this.worker = undefined;
    this.fonts = undefined;
    const waiting = [...this.waiting.values()];
    this.waiting.clear();
    for (const { reject, timer } of waiting) {
      clearTimeout(timer);
      reject(error);
    }
  }
}
