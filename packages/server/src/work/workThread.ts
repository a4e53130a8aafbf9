import { Worker } from 'node:worker_threads';
import { Failure } from '../http/failure';
import type { TaskKind, Tasks, Work } from './tasks';
import type { FromThread, ToThread } from './thread';

/** In ms: how long a task may take, which only one that never ends does, and how long one that nobody waits for is held back. */
const LIMITS = { task: 300_000, held: 5000 } as const;
/** How long after a task that somebody waits for the next one of the same wish may come, in ms: it is not begun behind others. */
const NEXT_OF_A_WISH = 200;

interface Asked {
  waitedFor: boolean;
  /** When it was asked for, in ms. */
  since: number;
  message: ToThread & { id: number };
  resolve: (result: Tasks[TaskKind]['result']) => void;
  reject: (error: Error) => void;
}

/**
 * Heavy work in a thread of its own, one task after the other, so that the server stays quick for everybody. What somebody waits
 * for goes before what nobody waits for. The thread is started when it is first needed, and again when it has ended.
 */
export class WorkThread {
  private worker: Worker | undefined;
  private fonts: ReadonlyMap<string, Uint8Array> | undefined;
  private readonly waitedFor: Asked[] = [];
  private readonly others: Asked[] = [];
  private current: (Asked & { timer: NodeJS.Timeout }) | undefined;
  /** Runs while the next task of what somebody waits for may still come. */
  private pause: NodeJS.Timeout | undefined;
  private last = 0;

  /**
   * @param script the bundled script of the thread
   * @param fontFiles typefaces by name as they are now; another map when one comes or goes
   * @param limits how long a task may take, and how long one that nobody waits for is held back behind others, in ms
   */
  constructor(
    private readonly script: URL,
    private readonly fontFiles: () => ReadonlyMap<string, Uint8Array>,
    private readonly limits: { task: number; held: number } = LIMITS,
  ) {}

  /** Has a task done that somebody waits for. */
  readonly work: Work = (kind, task) => this.asked(true, kind, task);
  /** Has a task done when there is none that somebody waits for, or after a while in spite of them. */
  readonly whenIdle: Work = (kind, task) => this.asked(false, kind, task);

  /** Ends the thread; what it was at is given up. */
  async close(): Promise<void> {
    const { worker } = this;
    this.ended(new Failure('stopped', 'the server was stopped'));
    await worker?.terminate();
  }

  private asked<K extends TaskKind>(waitedFor: boolean, kind: K, task: Tasks[K]['task']): Promise<Tasks[K]['result']> {
    return new Promise<Tasks[K]['result']>((resolve, reject) => {
      // The kind and its task come from one call, which a union of all kinds cannot tell.
      const message = { id: ++this.last, kind, task } as Asked['message'];
      const asked = { waitedFor, since: performance.now(), message, resolve: resolve as Asked['resolve'], reject };
      (waitedFor ? this.waitedFor : this.others).push(asked);
      this.next();
    });
  }

  /** Begins the next task, if none is under way. */
  private next(): void {
    if (this.current) return;
    const [other] = this.others;
    const overdue = other !== undefined && performance.now() - other.since > this.limits.held;
    const asked = overdue
      ? this.others.shift()
      : (this.waitedFor.shift() ?? (this.pause ? undefined : this.others.shift()));
    if (!asked) return;
    const worker = this.started();
    const fonts = this.fontFiles();
    if (fonts !== this.fonts) {
      this.fonts = fonts;
      worker.postMessage({ fonts } satisfies ToThread);
    }
    try {
      worker.postMessage(asked.message);
    } catch (error) {
      // A task that cannot travel between threads is a fault of whoever asks, and keeps nobody else waiting.
      asked.reject(error as Error);
      return this.next();
    }
    this.current = { ...asked, timer: setTimeout(() => this.giveUp(worker), this.limits.task).unref() };
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(this.script);
    worker.unref();
    worker.on('message', (answer: FromThread) => this.worker === worker && this.answered(answer));
    worker.on('error', (error: Error) => this.worker === worker && this.ended(error));
    worker.on('exit', () => this.worker === worker && this.ended(new Error('the thread for heavy work ended')));
    this.worker = worker;
    return worker;
  }

  private answered(answer: FromThread): void {
    const { current } = this;
    if (current?.message.id !== answer.id) return;
    clearTimeout(current.timer);
    this.current = undefined;
    if (current.waitedFor) this.holdOthers();
    if ('failed' in answer) current.reject(new Error(answer.failed));
    else current.resolve(answer.result);
    this.next();
  }

  /** Lets nothing be begun for a moment that nobody waits for. */
  private holdOthers(): void {
    clearTimeout(this.pause);
    this.pause = setTimeout(() => {
      this.pause = undefined;
      this.next();
    }, NEXT_OF_A_WISH).unref();
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
    clearTimeout(this.pause);
    this.pause = undefined;
    const { current } = this;
    clearTimeout(current?.timer);
    this.current = undefined;
    const all = [...(current ? [current] : []), ...this.waitedFor.splice(0), ...this.others.splice(0)];
    for (const { reject } of all) reject(error);
  }
}
