import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import pino from 'pino';
import { READING_LIMITS, ReadingProcess } from '@mendrel/reading';
import { createApp } from './app';
import { sweepAll } from './database/sweepAll';
import { connect, migrate } from './database/connection';
import { seedDemo } from './demo/seed';
import { FindingsKeeper } from './findings/findingsKeeper';
import { Soon } from './findings/soon';
import { databaseFailureOf } from './http/databaseFailure';
import { readInTurn } from './intake/convert';
import { TypefaceLibrary } from './typefaces/typefaceLibrary';
import { WorkThread } from './work/workThread';

/** A start that failed for a reason that a person can do something about. */
const CANNOT_START = 1;
/**
 * How long a connection without requests is kept, in ms: longer than browsers and proxies keep theirs, so that none of them
 * sends a request into one that is just being closed.
 */
const KEPT_OPEN = 75_000;
/** How long requests that are under way may take to end when the server is stopped, in ms. */
const LAST_REQUESTS = 5000;
/** How long after a change the sheets it touches are looked at, in ms: whoever edits makes several. */
const AFTER_A_CHANGE = 400;
/** How often files out of use are looked for, in ms: once a day. */
const SWEPT_EVERY = 86_400_000;

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' }, pino.destination({ dest: 2, sync: true }));
// A terminal that was closed takes no more words; that is no reason to end in the middle of a request.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
for (const event of ['uncaughtException', 'unhandledRejection'] as const) {
  process.on(event, (error: unknown) => {
    // Nobody knows what state such an error leaves behind: it is written down, and whoever started the server starts it anew.
    log.fatal({ err: error }, 'an error outside of any request ended the server');
    process.exit(70);
  });
}

const url = process.env['DATABASE_URL'];
if (!url) {
  console.error('DATABASE_URL is not set');
  process.exit(CANNOT_START);
}
const port = Number(process.env['PORT'] ?? 4310);
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  console.error(`PORT is "${process.env['PORT']}"; it must be a number from 0 to 65535`);
  process.exit(CANNOT_START);
}
const hosts = (process.env['MENDREL_HOSTS'] ?? '').split(/[\s,]+/).filter((name) => name !== '');

const database = connect(url);
let library: TypefaceLibrary;
try {
  await migrate(database);
  library = await TypefaceLibrary.load(database);
  await seedDemo(database, resolve('demo/legacy'), library);
} catch (error) {
  const { message } = error as Error;
  const words = /migration directory is corrupt/.test(message)
    ? 'its data was made by a newer Mendrel; start that one, or restore a backup of this one'
    : databaseFailureOf(error)?.message;
  if (words === undefined) throw error;
  console.error(`Mendrel could not open its database: ${words} (${message})`);
  process.exit(CANNOT_START);
}

const limit = (name: string, usual: number): number => {
  const text = process.env[name];
  if (text === undefined) return usual;
  if (/^[1-9]\d{0,5}$/.test(text)) return Number(text);
  console.error(`${name} is "${text}"; it must be a whole number from 1 to 999999`);
  process.exit(CANNOT_START);
};
const reader = new ReadingProcess({
  limits: {
    seconds: limit('MENDREL_READING_SECONDS', READING_LIMITS.seconds),
    megabytes: limit('MENDREL_READING_MEGABYTES', READING_LIMITS.megabytes),
  },
  script: new URL('./reading.mjs', import.meta.url),
  fonts: () => library.fontFiles,
});
const read = readInTurn((task, signal, tell) => reader.run(task, signal, tell));
const readSoon = (): void => reader.prepare();
const script = new URL('./work.mjs', import.meta.url);
const thread = new WorkThread(script, () => library.fontFiles);
// What is found depends on the program, whose parts carry their contents in their names.
const program = createHash('sha256').update(readFileSync(script)).digest('hex').slice(0, 12);
const findings = new FindingsKeeper({ database, work: thread.work, whenIdle: thread.whenIdle, program, log });
const sweep = (): Promise<unknown> =>
  sweepAll(database).catch((error: unknown) => log.error({ err: error }, 'files out of use could not be removed'));
setInterval(() => void sweep(), SWEPT_EVERY).unref();
const refreshing = new Soon(
  () => findings.refresh(),
  AFTER_A_CHANGE,
  (error) => log.error({ err: error }, 'sheets could not be looked at'),
);
const app = createApp(
  { database, log, library, read, readSoon, work: thread.work, findings, changed: refreshing.ask, hosts },
  resolve('dist/web'),
);
const server = app.listen(port, '127.0.0.1');
server.keepAliveTimeout = KEPT_OPEN;
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken; choose another one with PORT=…` : error.message);
  process.exit(CANNOT_START);
});
await once(server, 'listening');
const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
refreshing.ask();
void sweep();
console.log(`Mendrel is ready at ${address}`);
process.send?.({ ready: address });

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  reader.close();
  refreshing.close();
  await Promise.all([findings.close(), thread.close()]);
  // What is being saved is saved; what hangs is broken off.
  const ended = new Promise((done) => server.close(done));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), LAST_REQUESTS).unref();
  await ended;
  await database.destroy();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
// Without the process that started it nobody would stop this one.
process.on('disconnect', () => void stop());
