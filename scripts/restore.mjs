// `npm run restore -- FILE`: the data of a backup in place of what there is, all of it or nothing.
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { install } from './install.mjs';
import { dataFolder, dump, ended, named, openDatabase, program, stamp } from './databaseCopy.mjs';

/** Takes away what there is, within the transaction that puts the backup in its place. */
const EMPTY = `do $$ declare each record; begin
  for each in select tablename from pg_tables where schemaname = 'public' loop
    execute format('drop table public.%I cascade', each.tablename);
  end loop;
  -- What an extension has brought along is the extension's.
  for each in select oid::regprocedure as signature from pg_proc where pronamespace = 'public'::regnamespace
    and not exists (select 1 from pg_depend where objid = pg_proc.oid and deptype = 'e') loop
    execute format('drop function %s cascade', each.signature);
  end loop;
end $$;
`;

/**
 * What puts a backup in place, as one transaction. Its last words are said only when the whole file was read: a program
 * that writes and sees its input end before that takes everything back.
 */
async function* sqlOf(file, url) {
  yield `begin;\n${EMPTY}`;
  const reader = program('pg_restore', ['--no-owner', '--no-acl', '--file=-', file], url, ['ignore', 'pipe', 2]);
  const done = ended(reader, 'reading the backup');
  done.catch(() => undefined);
  yield* reader.stdout;
  await done;
  yield 'commit;\n';
}

/** Refuses while others work on the database. */
async function refuseUsers(url) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query(
    'select count(*)::int as count from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
  );
  await client.end();
  if (rows[0].count > 0) throw new Error('somebody is connected to the database; end Mendrel first');
}

let database;
try {
  const [name] = process.argv.slice(2);
  if (!name) throw new Error('say which backup: npm run restore -- FILE');
  const file = named(name);
  if (!existsSync(file)) throw new Error(`there is no file ${file}`);
  await install({ quiet: true });
  database = await openDatabase({ alone: true });
  const { url } = database;
  await refuseUsers(url);
  await ended(program('pg_restore', ['--list', file], url, ['ignore', 'ignore', 2]), 'reading the backup');
  const kept = join(dataFolder, `before-restore-${stamp()}.backup`);
  mkdirSync(dataFolder, { recursive: true });
  await dump(url, kept);
  const writer = program('psql', ['--quiet', '--no-psqlrc', '--set=ON_ERROR_STOP=1', '--output=/dev/null'], url, [
    'pipe',
    2,
    2,
  ]);
  const written = ended(writer, 'the restoring');
  written.catch(() => undefined);
  try {
    await pipeline(Readable.from(sqlOf(file, url)), writer.stdin);
  } finally {
    await written;
  }
  console.log(`The data of ${file} is in place; what there was before lies in ${kept}`);
} catch (error) {
  console.error(`Nothing was restored: ${error.message}`);
  process.exitCode = 1;
} finally {
  await database?.close();
}
