import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import pino from 'pino';
import { createApp } from './app';
import { connect, migrate } from './database/connection';
import { seedDemo } from './demo/seed';
import { readInWorker } from './intake/readInWorker';
import { TypefaceLibrary } from './typefaces/typefaceLibrary';

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' }, pino.destination(2));
const url = process.env['DATABASE_URL'];
if (!url) {
  log.fatal('DATABASE_URL is not set');
  process.exit(1);
}
const port = Number(process.env['PORT'] ?? 4310);
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  console.error(`PORT is "${process.env['PORT']}"; it must be a number from 0 to 65535`);
  process.exit(1);
}

const database = connect(url);
await migrate(database);
await seedDemo(database, resolve('demo/legacy'));

const library = await TypefaceLibrary.load(database);
const convert = readInWorker(new URL('./intake-worker.mjs', import.meta.url), library);
const app = createApp({ database, log, library, convert }, resolve('dist/web'));
const server = app.listen(port, '127.0.0.1');
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken; choose another one with PORT=…` : error.message);
  process.exit(1);
});
await once(server, 'listening');
console.log(`Mendrel is ready at http://127.0.0.1:${(server.address() as AddressInfo).port}`);

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  server.closeAllConnections();
  server.close();
  await database.destroy();
  process.exit(0);
}
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
