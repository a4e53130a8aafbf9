import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const MOST_BYTES = 350 * 1024;
const FOLDER = 'dist/web/assets';

/** Files that a script loads at once, by its static imports. */
function imports(file: string, seen: Set<string>): Set<string> {
  if (seen.has(file)) return seen;
  seen.add(file);
  const text = readFileSync(`${FOLDER}/${file}`, 'utf8');
  for (const [, name] of text.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) if (name) imports(name, seen);
  return seen;
}

/** JavaScript of the first page: the entry and the desk with everything they load, lettering measured when needed included. */
export function benchFirstPage(): void {
  const entry = /src="\/assets\/([^"]+\.js)"/.exec(readFileSync('dist/web/index.html', 'utf8'))?.[1] ?? '';
  const files = readdirSync(FOLDER);
  const total = (names: Iterable<string>): number =>
    [...names].reduce((sum, name) => sum + gzipSync(readFileSync(`${FOLDER}/${name}`)).length, 0);
  const first = imports(entry, new Set());
  for (const name of files.filter((file) => /^Desk-.*\.js$/.test(file))) imports(name, first);
  const atOnce = total(first);
  const later = total(files.filter((file) => /^loadTypefaces-.*\.js$/.test(file)));
  console.log(`The first page's JavaScript: ${(atOnce / MOST_BYTES).toFixed(2)} x the 350 kB it may have`);
  console.log(
    `    ${Math.round(atOnce / 1024)} kB gzipped at once, ${Math.round((atOnce + later) / 1024)} kB with what measures lettering, loaded after it`,
  );
}
