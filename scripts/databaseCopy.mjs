// What backup and restore share: a way to the database, whether Mendrel runs or not, and PostgreSQL's own programs.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { once } from 'node:events';
import { isAbsolute, join } from 'node:path';
import { Cluster, programs } from './cluster.mjs';
import { homeOf, identity, passwordOf, runningPid } from './clusterFiles.mjs';
import { takeFolder } from './folder.mjs';
import { root } from './paths.mjs';

export const dataFolder = process.env.MENDREL_DATA || join(root, '.mendrel');

/** A file that was named where npm was called. */
export const named = (file) => (isAbsolute(file) ? file : join(process.env.INIT_CWD ?? process.cwd(), file));

/** A moment as it may stand in the name of a file. */
export const stamp = () => new Date().toISOString().slice(0, 19).replaceAll(':', '-');

/** The address of the database of a Mendrel that runs in a folder. */
function addressOfRunning(folder) {
  const user = identity();
  const home = homeOf(folder, user);
  const data = join(home, 'postgres');
  const file = join(data, 'postmaster.pid');
  if (runningPid(data) === undefined || !existsSync(file))
    throw new Error('Mendrel is just starting or ending; try again');
  const port = Number(readFileSync(file, 'utf8').split('\n')[3]);
  return `postgres://mendrel:${passwordOf(home, user).password}@127.0.0.1:${port}/mendrel`;
}

/**
 * Opens the database: the one that DATABASE_URL names, the running Mendrel's, or the one in the data folder, which is started
 * for as long as it is needed.
 * @param {{ alone: boolean }} how `alone` refuses while Mendrel is running
 * @returns {Promise<{ url: string, close: () => Promise<void> }>}
 */
export async function openDatabase({ alone }) {
  if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, close: async () => undefined };
  const held = takeFolder(dataFolder);
  if (!held.taken) {
    if (alone)
      throw new Error(`Mendrel is running${held.by.url ? ` at ${held.by.url}` : ''}; end it first, with Ctrl-C`);
    return { url: addressOfRunning(dataFolder), close: async () => undefined };
  }
  const home = homeOf(dataFolder, identity());
  if (!alone && !existsSync(join(home, 'postgres'))) throw new Error(`there is no data in ${home} yet`);
  const cluster = new Cluster({ folder: dataFolder, database: 'mendrel', port: 4311 });
  const url = await cluster.start();
  return { url, close: () => cluster.stop() };
}

/** Starts one of PostgreSQL's programs on a database; its password does not stand among its arguments. */
export function program(name, args, url, stdio) {
  const { username, password, hostname, port, pathname } = new URL(url);
  const env = {
    ...process.env,
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    PGOPTIONS: '-c client_min_messages=warning',
  };
  return spawn(join(programs(), name), args, { env, stdio });
}

/** Waits for a program. @throws Error when it did not end well */
export async function ended(child, what) {
  const [code] = await once(child, 'close');
  if (code !== 0) throw new Error(`${what} failed; what PostgreSQL said stands above`);
}

/** Writes all data of a database to a file. */
export async function dump(url, file) {
  await ended(
    program('pg_dump', ['--format=custom', '--no-owner', '--no-acl', `--file=${file}`], url, ['ignore', 2, 2]),
    'the backup',
  );
}
