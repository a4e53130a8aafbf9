import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Writable } from 'node:stream';

/** How long a page may take at most, in ms. */
const MOST = 60_000;
/** How long a page is left alone once it stands, in ms: the browser keeps what it made of its code then. */
const LEFT_ALONE = 2500;

/** What is gone to, and by what it is seen to be there. */
export interface Sought {
  address: string;
  /** A link in the page at the address, by which one goes on once the page has stood for a while; the time counts from there. */
  through?: string;
  selector: string;
  words: string;
}

/** In the page, before its own code: tells how long it takes from when it was gone to until what is sought is on screen, in ms. */
async function watch(bench: string, leftAlone: number): Promise<void> {
  const { through, selector, words } = (await (await fetch(`${bench}/sought`)).json()) as Sought;
  const until = (there: () => boolean): Promise<void> =>
    new Promise((found) => {
      const look = (): void => (there() ? found() : void requestAnimationFrame(look));
      look();
    });
  const later = (): Promise<void> => new Promise((done) => setTimeout(done, leftAlone));
  let begun = 0;
  if (through !== undefined) {
    const link = (): HTMLAnchorElement | null => document.querySelector(through);
    await until(() => link() !== null);
    await later();
    begun = performance.now();
    link()?.click();
  }
  await until(() => [...document.querySelectorAll(selector)].some((each) => each.textContent?.includes(words)));
  void fetch(`${bench}/found?ms=${performance.now() - begun}`, { method: 'POST' });
  await later();
  location.href = bench;
}

/** A page that goes wherever it is told to, once the page before it has been cleared away. */
const BETWEEN = `<title>Between two pages</title><script>
  setTimeout(async () => (location.href = await (await fetch('/next')).text()), 1000);
</script>`;

/**
 * Chromium as a person has it, with nothing attached but a stopwatch of ours (an extension): a browser that is driven compiles all code
 * anew at each visit, where others keep what they made of it. It begins with nothing kept.
 */
export class BareBrowser {
  private sought: Sought | undefined;
  private next: ServerResponse | undefined;
  private found: ((ms: number) => void) | undefined;

  private constructor(readonly close: () => Promise<void>) {}

  /** Starts it with a profile of its own and a window of 1280 by 800. */
  static async start(): Promise<BareBrowser> {
    const folder = mkdtempSync(join(tmpdir(), 'mendrel-bench-'));
    const server = createServer((request, answer) => browser.answer(request, answer)).listen(0, '127.0.0.1');
    await new Promise((listening) => server.once('listening', listening));
    const bench = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    const stopwatch = join(folder, 'stopwatch');
    mkdirSync(stopwatch);
    writeFileSync(
      join(stopwatch, 'watch.js'),
      `if (location.origin !== '${bench}') (${watch.toString()})('${bench}', ${LEFT_ALONE});`,
    );
    writeFileSync(
      join(stopwatch, 'manifest.json'),
      JSON.stringify({
        manifest_version: 3,
        name: 'Stopwatch',
        version: '1',
        content_scripts: [{ matches: ['http://127.0.0.1/*'], js: ['watch.js'], run_at: 'document_start' }],
      }),
    );
    const program = spawn(
      '/usr/bin/chromium',
      [
        '--headless',
        '--no-sandbox',
        `--user-data-dir=${join(folder, 'profile')}`,
        '--window-size=1280,800',
        `--load-extension=${stopwatch}`,
        '--disable-features=DisableLoadExtensionCommandLineSwitch',
        // By which it is told to end; no page is attached to.
        '--remote-debugging-pipe',
        bench,
      ],
      { stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'] },
    );
    const ended = new Promise<void>((done) => program.once('exit', () => done()));
    const browser = new BareBrowser(async () => {
      // Asked to end, it waits for the processes that write into its profile.
      (program.stdio[3] as Writable).write(`${JSON.stringify({ id: 1, method: 'Browser.close' })}\0`);
      await ended;
      server.closeAllConnections();
      await new Promise((closed) => server.close(closed));
      rmSync(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
    });
    return browser;
  }

  private answer({ url = '/' }: IncomingMessage, answer: ServerResponse): void {
    const { pathname, searchParams } = new URL(url, 'http://127.0.0.1');
    answer.setHeader('access-control-allow-origin', '*');
    if (pathname === '/next') {
      this.next = answer;
      this.go();
    } else if (pathname === '/sought') answer.end(JSON.stringify(this.sought));
    else if (pathname === '/found') {
      this.found?.(Number(searchParams.get('ms')));
      answer.end();
    } else answer.setHeader('content-type', 'text/html').end(BETWEEN);
  }

  /** Goes to what is sought, once the browser waits for it. */
  private go(): void {
    if (!this.sought || !this.next) return;
    this.next.end(this.sought.address);
    this.next = undefined;
  }

  /** Opens an address. @returns the time until a selector finds something with the words in it, in ms */
  async opened(sought: Sought): Promise<number> {
    const there = new Promise<number>((found, failed) => {
      const late = setTimeout(() => failed(new Error(`${sought.address} does not show ${sought.words}`)), MOST);
      this.found = (ms) => {
        clearTimeout(late);
        found(ms);
      };
    });
    this.sought = sought;
    this.go();
    const ms = await there;
    this.sought = undefined;
    return ms;
  }
}
