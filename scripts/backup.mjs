// `npm run backup [-- FILE]`: all data of this Mendrel in one file, while it runs or not.
import { chmodSync, existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { install } from './install.mjs';
import { dump, named, openDatabase, stamp } from './databaseCopy.mjs';

const file = named(process.argv[2] ?? `mendrel-${stamp()}.backup`);
const begun = `${file}.part`;
let database;
try {
  await install({ quiet: true });
  if (existsSync(file)) throw new Error(`${file} is there already; name another file`);
  database = await openDatabase({ alone: false });
  await dump(database.url, begun);
  // It holds all that the database does, which only its owner may read.
  chmodSync(begun, 0o600);
  renameSync(begun, file);
  console.log(`${file} holds all data, ${(statSync(file).size / 1e6).toFixed(1)} MB`);
} catch (error) {
  rmSync(begun, { force: true });
  console.error(`There is no backup: ${error.message}`);
  process.exitCode = 1;
} finally {
  await database?.close();
}
