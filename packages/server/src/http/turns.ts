import { Failure } from './failure';

interface Waiting {
  begin: () => void;
}

/** Lets costly work happen a few at a time; what comes meanwhile waits for its turn, in order. */
export class Turns {
  private running = 0;
  private readonly waiting: Waiting[] = [];

  /**
   * @param atOnce works that happen at the same time
   * @param mostWaiting works that may wait; more are refused
   * @param what the work in words, for those who are refused
   */
  constructor(
    private readonly atOnce: number,
    private readonly mostWaiting: number,
    private readonly what: string,
  ) {}

  /**
   * Does a work when it is its turn.
   * @param signal gives the turn back while it is waiting; work that has begun looks at it by itself
   * @throws Failure `too-many` when too many wait already, `stopped` when it was given up
   */
  async take<T>(work: () => Promise<T>, signal?: AbortSignal): Promise<T> {
    await this.turn(signal);
    try {
      return await work();
    } finally {
      const next = this.waiting.shift();
      if (next) next.begin();
      else this.running--;
    }
  }

  private turn(signal: AbortSignal | undefined): Promise<void> {
    const stopped = (): Failure => new Failure('stopped', `${this.what} was stopped`);
    if (signal?.aborted) return Promise.reject(stopped());
    if (this.running < this.atOnce) {
      this.running++;
      return Promise.resolve();
    }
    if (this.waiting.length >= this.mostWaiting)
      return Promise.reject(new Failure('too-many', `${this.what} has to wait for too many others; try again later`));
    return new Promise((resolve, reject) => {
      const place: Waiting = {
        begin: () => {
          signal?.removeEventListener('abort', leave);
          resolve();
        },
      };
      const leave = (): void => {
        this.waiting.splice(this.waiting.indexOf(place), 1);
        reject(stopped());
      };
      signal?.addEventListener('abort', leave, { once: true });
      this.waiting.push(place);
    });
  }
}
