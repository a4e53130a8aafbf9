import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';

/** How often the page is asked whether it is there, in ms. */
const TICK = 15;
/** How long it may take at most, in ms. */
const MOST = 60_000;

/** An answer of the browser; one that says what went wrong has no result. */
interface Answer {
  id?: number;
  result?: { result?: { value?: unknown }; targetId?: string; sessionId?: string };
  error?: { message: string };
}

/**
 * Chromium as a person has it, told over a pipe where to go: what drives browsers in tests watches every request, frame and
 * script, which takes a fifth of the time until a page stands.
 */
export class BareBrowser {
  private count = 0;
  private rest = '';
  private session: string | undefined;
  private readonly waiting = new Map<number, (answer: Answer) => void>();

  private constructor(
    private readonly to: Writable,
    from: Readable,
    readonly close: () => Promise<void>,
  ) {
    from.setEncoding('utf8');
    from.on('data', (piece: string) => {
      const messages = (this.rest + piece).split('\0');
      this.rest = messages.pop() ?? '';
      for (const message of messages) {
        const answer = JSON.parse(message) as Answer;
        if (answer.id !== undefined) this.waiting.get(answer.id)?.(answer);
      }
    });
  }

  /** Starts it with a profile of its own, and a page of 1280 by 800. */
  static async start(): Promise<BareBrowser> {
    const profile = mkdtempSync(join(tmpdir(), 'mendrel-bench-'));
    const program = spawn(
      '/usr/bin/chromium',
      ['--headless', '--no-sandbox', '--remote-debugging-pipe', `--user-data-dir=${profile}`, '--window-size=1280,800'],
      { stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'] },
    );
    const ended = new Promise<void>((done) => program.once('exit', () => done()));
    const browser = new BareBrowser(program.stdio[3] as Writable, program.stdio[4] as Readable, async () => {
      // Asked to end, it waits for the processes that write into its profile.
      await browser.ask('Browser.close', {});
      await ended;
      rmSync(profile, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
    });
    const { targetId } = await browser.ask('Target.createTarget', { url: 'about:blank' });
    browser.session = (await browser.ask('Target.attachToTarget', { targetId, flatten: true })).sessionId;
    return browser;
  }

  private async ask(method: string, params: object): Promise<NonNullable<Answer['result']>> {
    const id = ++this.count;
    const { result, error } = await new Promise<Answer>((done) => {
      this.waiting.set(id, done);
      this.to.write(`${JSON.stringify({ id, method, params, sessionId: this.session })}\0`);
    });
    this.waiting.delete(id);
    if (!result) throw new Error(`${method}: ${error?.message ?? 'no answer'}`);
    return result;
  }

  /** Loads an address anew. @returns the time until a selector finds something with the words in it, in ms */
  async opened(address: string, selector: string, words: string): Promise<number> {
    await this.ask('Page.navigate', { url: 'about:blank' });
    const found = `[...document.querySelectorAll(${JSON.stringify(selector)})].some((each) => each.textContent.includes(${JSON.stringify(words)}))`;
    const begun = performance.now();
    await this.ask('Page.navigate', { url: address });
    for (;;) {
      const { result } = await this.ask('Runtime.evaluate', { expression: found });
      if (result?.value === true) return performance.now() - begun;
      if (performance.now() - begun > MOST) throw new Error(`${address} does not show ${words}`);
      await new Promise((resolve) => setTimeout(resolve, TICK));
    }
  }
}
