/** Does a work a while after it was asked for, once for however many ask meanwhile. */
export class Soon {
  private timer: NodeJS.Timeout | undefined;

  /** @param wait in ms */
  constructor(
    private readonly work: () => Promise<void>,
    private readonly wait: number,
    private readonly failed: (error: unknown) => void,
  ) {}

  readonly ask = (): void => {
    this.timer ??= setTimeout(() => {
      this.timer = undefined;
      this.work().catch(this.failed);
    }, this.wait).unref();
  };

  close(): void {
    clearTimeout(this.timer);
  }
}
