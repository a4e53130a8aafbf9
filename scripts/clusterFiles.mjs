// Where the files of a PostgreSQL cluster lie, who owns them, and whether they are whole.
import { execFileSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inWords } from './folder.mjs';

/** Where data lies that PostgreSQL's user cannot reach in the folder itself; only root can make folders there. */
const SYSTEM_DATA = '/var/lib/mendrel';

/** PostgreSQL refuses to run as root, so that root runs it as the user that Debian's package makes. */
export function identity() {
  if (process.getuid?.() !== 0) return {};
  const number = (flag) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  return { uid: number('-u'), gid: number('-g') };
}

/** Whether the user that runs PostgreSQL can reach a folder: one below /root is closed to it. */
function reachable(folder, user) {
  if (user.uid === undefined) return true;
  try {
    execFileSync('test', ['-x', folder], { ...user });
    return true;
  } catch {
    return false;
  }
}

const signOf = (folder) => createHash('sha256').update(folder).digest('hex').slice(0, 12);

/**
 * The folder that holds a cluster: the given one or, where PostgreSQL's user cannot reach that, one of the system's.
 * @param {string} folder
 * @param {{ uid?: number, gid?: number }} user
 */
export function homeOf(folder, user) {
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    throw inWords(`the data folder ${folder} cannot be used`, error);
  }
  if (reachable(folder, user)) return folder;
  const home = join(SYSTEM_DATA, signOf(folder));
  try {
    mkdirSync(SYSTEM_DATA, { recursive: true, mode: 0o755 });
    mkdirSync(home, { recursive: true, mode: 0o711 });
  } catch (error) {
    throw inWords(`PostgreSQL's user cannot reach ${folder}, and ${home} cannot be made for it`, error);
  }
  const { uid, mode } = lstatSync(home);
  if (uid !== 0 || (mode & 0o022) !== 0)
    throw new Error(`${home} belongs to somebody else or can be written to by others; Mendrel keeps no data there`);
  takeOverTemporary(join(tmpdir(), `mendrel-${signOf(folder)}`), home, user);
  console.error(`PostgreSQL's user cannot reach ${folder}; the database lies in ${home}`);
  return home;
}

/** Data that an earlier Mendrel kept in the temporary folder comes along, if it is surely its own. */
function takeOverTemporary(old, home, user) {
  const data = join(old, 'postgres');
  if (existsSync(join(home, 'postgres')) || !isComplete(data)) return;
  const owners = [
    [old, 0],
    [data, user.uid],
    [join(old, 'postgres-password'), user.uid],
  ];
  if (
    !owners.every(([path, uid]) => existsSync(path) && lstatSync(path).uid === uid && !lstatSync(path).isSymbolicLink())
  )
    return;
  if (runningPid(data) !== undefined) throw new Error(`a database still runs in ${data}; end it first`);
  for (const name of ['postgres-password', 'postgres']) execFileSync('mv', ['-T', join(old, name), join(home, name)]);
  console.error(`The database was moved out of the temporary folder, from ${old}`);
}

/** Whether a data folder holds all that initdb makes; one that was interrupted lacks a database or its control file. */
export function isComplete(data) {
  if (!existsSync(join(data, 'global', 'pg_control'))) return false;
  // template1, template0 and postgres.
  return readdirSync(join(data, 'base')).length >= 3;
}

/** Puts a data folder that was never finished out of the way; there is nothing of anybody's in it. */
export function removeUnfinished(home) {
  for (const name of ['postgres', 'postgres.new']) {
    const data = join(home, name);
    if (!existsSync(data) || (isComplete(data) && name === 'postgres')) continue;
    // A folder with databases of ours in it was finished once, whatever has become of it: that is for a person to look at.
    const databases = existsSync(join(data, 'base')) ? readdirSync(join(data, 'base')).length : 0;
    if (name === 'postgres' && databases > 3)
      throw new Error(`${data} is damaged: its control file is missing; restore a backup (docs/operations.md)`);
    rmSync(data, { recursive: true, force: true });
  }
}

/** The password of a cluster, made when there is none yet. */
export function passwordOf(home, user) {
  const file = join(home, 'postgres-password');
  const known = existsSync(file) ? readFileSync(file, 'utf8').trim() : '';
  if (known !== '') return { file, password: known };
  const password = randomBytes(18).toString('hex');
  const begun = `${file}.new`;
  rmSync(begun, { force: true });
  writeFileSync(begun, `${password}\n`, { mode: 0o600, flag: 'wx' });
  if (user.uid !== undefined) chownSync(begun, user.uid, user.gid);
  renameSync(begun, file);
  return { file, password };
}

/** A new data folder for initdb to fill, which only PostgreSQL's user can look into. */
export function newDataFolder(home, user) {
  const data = join(home, 'postgres.new');
  mkdirSync(data, { mode: 0o700 });
  chmodSync(data, 0o700);
  if (user.uid !== undefined) chownSync(data, user.uid, user.gid);
  return data;
}

/**
 * The process of the server that runs on a data folder; undefined when none does. The number in its file may meanwhile be
 * another program's.
 */
export function runningPid(data) {
  const file = join(data, 'postmaster.pid');
  if (!existsSync(file)) return undefined;
  const pid = Number(readFileSync(file, 'utf8').split('\n')[0]);
  if (!(pid > 1)) return undefined;
  try {
    const words = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
    return words.some((word) => /(^|\/)postgres$/.test(word)) && words.includes(data) ? pid : undefined;
  } catch {
    return undefined;
  }
}
