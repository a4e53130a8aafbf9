import type { ChildProcess } from 'node:child_process';
import { execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';

/** Longest that anything here may take, in ms; only a failure takes as long. */
const PATIENCE = 90_000;

/** Asks until something is so. @throws Error with what was waited for */
export async function until<T>(what: string, ask: () => T | undefined | Promise<T | undefined>): Promise<T> {
  const end = Date.now() + PATIENCE;
  for (;;) {
    const answer = await ask();
    if (answer !== undefined && answer !== false) return answer;
    if (Date.now() > end) throw new Error(`waited in vain for ${what}`);
    await wait(20);
  }
}

async function freePort(): Promise<number> {
  const probe = createServer();
  await once(probe.listen(0, '127.0.0.1'), 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  return port;
}

const root = process.cwd();

/** A Mendrel with a data folder of its own, started as people start it. */
export class Mendrel {
  readonly data: string;
  said = '';
  private child: ChildProcess | undefined;
  private port: number | undefined;

  constructor() {
    this.data = mkdtempSync(join(tmpdir(), 'mendrel-system-'));
    // PostgreSQL's user must be able to reach it.
    chmodSync(this.data, 0o755);
  }

  /** Gives it the data of one that was started before, with the demo: a first start takes twice as long as another. */
  withData(): this {
    const first = process.env['MENDREL_FIRST_START'];
    if (!first) throw new Error('firstStart.ts has not run');
    // With its owner: PostgreSQL takes no files of somebody else.
    execFileSync('cp', ['-a', '--', `${first}/.`, this.data]);
    return this;
  }

  /** Starts it; resolves when it answers. */
  async start(env: Record<string, string> = {}): Promise<string> {
    // The same port whenever its server is started again, as people have it.
    this.port ??= await freePort();
    this.spawn(env);
    return this.ready();
  }

  /** Starts it without waiting. */
  spawn(env: Record<string, string> = {}): void {
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: '', PORT: String(this.port ?? 0), ...env, MENDREL_DATA: this.data },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk: Buffer) => (this.said += chunk.toString()));
    this.child = child;
  }

  /** The address, when it answers there with its database. */
  async ready(): Promise<string> {
    return until(`Mendrel to answer; it said: ${this.said}`, async () => {
      if (this.child?.exitCode !== null) throw new Error(`Mendrel ended with ${this.child?.exitCode}: ${this.said}`);
      const url = this.told().url;
      const health = url && (await fetch(`${url}/api/health`).catch(() => undefined));
      return health && health.ok ? url : undefined;
    });
  }

  /** What the process that has the data folder says of itself. */
  told(): { pid?: number; url?: string } {
    try {
      return JSON.parse(readFileSync(join(this.data, 'running'), 'utf8')) as { pid?: number; url?: string };
    } catch {
      return {};
    }
  }

  /** Sends a signal to the process that was started, and waits for its end. @returns the exit code, or the signal */
  async end(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | string> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null)
      return child?.exitCode ?? child?.signalCode ?? '';
    child.kill(signal);
    return this.ended();
  }

  /** Waits for the end of the process that was started. */
  async ended(): Promise<number | string> {
    const { child } = this;
    if (child && child.exitCode === null && child.signalCode === null) await once(child, 'exit');
    return child?.exitCode ?? child?.signalCode ?? '';
  }

  /** Numbers of the processes that belong to it: server, database, the one that reads. */
  processes(): { server: number[]; database: number[] } {
    const rows = execFileSync('ps', ['-eo', 'pid=,ppid=,args='], { encoding: 'utf8' })
      .split('\n')
      .map((row) => /^\s*(\d+)\s+(\d+)\s+(.*)$/.exec(row))
      .flatMap((found) => (found ? [{ pid: Number(found[1]), parent: Number(found[2]), args: found[3] ?? '' }] : []));
    const database = rows.filter(({ args }) => args.includes(`${this.data}/postgres`)).map(({ pid }) => pid);
    const starter = this.child?.pid;
    const server = rows
      .filter(({ pid, args }) => args.includes('dist/server.mjs') && this.environmentOf(pid).includes(this.data))
      .map(({ pid }) => pid);
    return { server, database: database.filter((pid) => pid !== starter) };
  }

  private environmentOf(pid: number): string {
    try {
      return readFileSync(`/proc/${pid}/environ`, 'utf8');
    } catch {
      return '';
    }
  }

  /** Waits until nothing of it runs any more. */
  async gone(): Promise<void> {
    await until('all processes to end', () => {
      const { server, database } = this.processes();
      return server.length + database.length === 0 ? true : undefined;
    });
  }

  async remove(): Promise<void> {
    await this.end('SIGTERM');
    await this.gone();
    if (existsSync(this.data)) rmSync(this.data, { recursive: true, force: true });
  }
}

/** Answers are read as whoever calls the API reads them: plain JSON. */
// oxlint-disable-next-line typescript/no-explicit-any -- the assertions themselves check its shape
type Json = any;

/** What the API answers; undefined when the server could not be reached. */
export async function send(
  url: string,
  method: string,
  path: string,
  body?: unknown,
): Promise<{ status: number; body: Json } | undefined> {
  try {
    const answer = await fetch(`${url}/api${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    return { status: answer.status, body: await answer.json() };
  } catch {
    return undefined;
  }
}

/** What is there, when the server answers. */
export const get = async (url: string, path: string): Promise<Json> =>
  until(`an answer to ${path}`, async () => {
    const answer = await send(url, 'GET', path);
    return answer?.status === 200 ? (answer.body as unknown) : undefined;
  });
